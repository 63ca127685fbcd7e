import {
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext } from '@dnd-kit/sortable';
import { Plus } from 'lucide-react';
import { memo, useCallback, useMemo, useState } from 'react';
import { moved, shifted, type Gap } from '../../core/edit/onLine/standing.ts';
import { lettersOf } from '../../core/fill/layers.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { potsIn } from '../../core/plan/sources.ts';
import type { Step } from '../../core/plan/stepSchema.ts';
import { formatClock, formatMinutes } from '../../core/units/format.ts';
import { editHere } from '../../store/editHere.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Introduction } from '../help/Introduction.tsx';
import { useBench, useMouldUse } from '../parts/usePlan.ts';
import { useGrowing } from '../parts/useGrowing.ts';
import { AddMenu, type Asked } from './AddMenu.tsx';
import { braidOf } from './Braid.tsx';
import { DropButton, Mark } from './LineThing.tsx';
import { lineTimes, type OnLine } from './lineTimes.ts';
import { markWords } from './marks.tsx';

/** Hands wait so long before the next thing on the line: drawn where that is. */
function Waited({ at }: { readonly at: OnLine | undefined }) {
  if (!at || at.waitMin < WORTH_MIN) return null;
  return (
    <span
      className="absolute -top-0.5 right-0 grid"
      style={{
        left: `calc(4.5rem + (100% - 4.5rem) * ${(1 - at.waitMin / Math.max(at.gapMin, at.waitMin)).toFixed(3)})`,
      }}
    >
      <span className="-mt-[3px] h-1.5 w-full rounded-full bg-warning" />
      <span className="absolute right-0 bottom-full mb-0.5 text-xs leading-none whitespace-nowrap">
        wait {formatMinutes(at.waitMin)}
      </span>
    </span>
  );
}

/** So many things of a long line are drawn before the page has time for more. */
const AT_ONCE = 40;

/** A shorter wait is not told, minutes. */
const WORTH_MIN = 0.5;

/** "pour 3", "the wait": a thing on the line as it is spoken of. */
function nameOf(steps: readonly Step[], id: Gap): string {
  const step = steps.find((s) => s.id === id);
  if (!step) return 'the beginning';
  if (step.kind !== 'pour') return markWords(step).word;
  return `pour ${steps.filter((s) => s.kind === 'pour').indexOf(step) + 1}`;
}

interface AddHereProps {
  readonly after: string;
  readonly gap: Gap;
  /** before everything else */
  readonly first?: boolean;
  /** what can come here is being asked */
  readonly asked: boolean;
  readonly onAsk: (asked: Asked) => void;
}

/** Between two things on the line: what can come there. It stays as it is while a line is dragged. */
const AddHere = memo(function AddHere({ after, gap, first = false, asked, onAsk }: AddHereProps) {
  const question = first ? 'What comes first?' : `What comes after ${after}?`;
  return (
    <button
      type="button"
      aria-label={first ? 'Add at the beginning' : `Add after ${after}`}
      aria-haspopup="menu"
      className={`absolute -top-[23px] grid size-11 cursor-pointer place-items-center ${first ? '-left-8' : '-right-[30px]'}`}
      onClick={(event) => {
        const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
        onAsk({ gap, question, xPx: left + width / 2, yPx: top + height / 2 });
      }}
    >
      <span
        className={`grid size-5 place-items-center rounded-full border ${asked ? 'border-accent bg-accent text-accent-content' : 'border-base-content/45 bg-base-100'}`}
      >
        <Plus className="size-3.5" aria-hidden="true" />
      </span>
    </button>
  );
});

/** Where on the line something is let go: before what is there, or after it where it came from the left. */
const gapOver = (steps: readonly Step[], active: string, over: string): Gap => {
  const [from, to] = [active, over].map((id) => steps.findIndex((s) => s.id === id)) as [number, number];
  return from < to ? steps[to + 1]?.id : over;
};

/**
 * The order of work along the foot of the window: a drop for each pour, marks for what is between, and
 * between any two of them what can be put there.
 */
export function DripLine() {
  const { plan, computed, show } = useBench('clock', 'stack', 'fill');
  const { follows } = useMouldUse();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const [asked, setAsked] = useState<Asked>();
  /** why something stayed where it was */
  const [stays, setStays] = useState('');
  const go = useCallback(
    (id: string, to: (plan: Plan) => ReturnType<typeof moved>): void => {
      let why = '';
      let name = '';
      dispatch(
        editHere((p) => {
          const went = to(p);
          if ('plan' in went) return went.plan;
          name = nameOf(p.steps, id);
          ({ why } = went);
          return p;
        }),
      );
      setStays(why === '' ? '' : `${name} stays: ${why}.`.replace(/^./, (c) => c.toUpperCase()));
    },
    [dispatch],
  );
  const shift = useCallback((id: string, by: 1 | -1): void => go(id, (p) => shifted(p, id, by)), [go]);
  const dropped = ({ active, over }: DragEndEvent): void => {
    const [id, on] = [String(active.id), String(over?.id ?? active.id)];
    if (id !== on) go(id, (p) => moved(p, id, gapOver(p.steps, id, on)));
  };
  // one list object for one order: every drop listens to it
  const order = plan.steps.map((s) => s.id).join(' ');
  const ids = useMemo(() => (order === '' ? [] : order.split(' ')), [order]);
  const times = computed.clock && lineTimes(plan.steps, computed.clock);
  const named = (id: string | number): string => {
    const layer = computed.stack.layers.find((l) => l.pour.id === id);
    return `${nameOf(plan.steps, String(id))}${layer ? `, pot ${lettersOf(layer)}` : ''}`;
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Picked up ${named(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over && over.id !== active.id ? `${named(active.id)} is over ${named(over.id)}.` : undefined,
    onDragEnd: ({ active, over }) =>
      over && over.id !== active.id
        ? `${named(active.id)} now takes the place of ${named(over.id)}.`
        : `${named(active.id)} stays where it was.`,
    onDragCancel: ({ active }) => `${named(active.id)} stays where it was.`,
  };
  const drawn = useGrowing(plan.steps.length, AT_ONCE);
  let nth = 0;
  return (
    <nav
      aria-label="Drip line: the pours in order"
      className="no-print rule relative overflow-x-auto overflow-y-hidden border-t bg-base-100 px-8 pt-6 max-sm:pt-5 short:pt-2.5 away:hidden"
    >
      <Introduction of="drops" className="-mt-3 mb-4" />
      <DndContext
        sensors={sensors}
        onDragEnd={dropped}
        accessibility={{ screenReaderInstructions: { draggable: '' }, announcements }}
      >
        <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
          <ol className="relative flex min-h-30 min-w-max max-sm:min-h-17 short:min-h-8 items-start gap-4 border-t-2 border-base-content">
            {plan.steps.length === 0 && !follows && (
              <li className="relative flex-1">
                <AddHere after="" gap={undefined} first asked={asked !== undefined} onAsk={setAsked} />
              </li>
            )}
            {plan.steps.slice(0, drawn).map((step, i) => {
              const [pot] = step.kind === 'pour' ? potsIn(plan, step) : [];
              const layer = computed.stack.layers.find((l) => l.pour.id === step.id);
              const time = times?.get(step.id);
              if (step.kind === 'pour') nth += 1;
              return (
                <li
                  key={step.id}
                  className={`relative flex ${times ? ((time?.waitMin ?? 0) >= WORTH_MIN ? 'min-w-40' : 'min-w-18') : 'min-w-16 justify-center'} ${times ? '' : `flex-1 ${step.kind === 'pour' && step.pattern ? '' : 'max-w-36'}`}`}
                  style={times ? { flexGrow: time?.gapMin ?? 0 } : {}}
                >
                  {i === 0 && !follows && (
                    <AddHere
                      after=""
                      gap={step.id}
                      first
                      asked={asked !== undefined && asked.gap === step.id}
                      onAsk={setAsked}
                    />
                  )}
                  <Waited at={time} />
                  {step.kind !== 'pour' ? (
                    <Mark step={step} chosen={chosen === step.id} onShift={shift} />
                  ) : (
                    pot && (
                      <DropButton
                        braid={step.pattern && step.pattern.then.length > 0 ? braidOf(step) : undefined}
                        id={step.id}
                        nth={nth}
                        pot={pot}
                        mass={show.mass(layer?.pouredG ?? 0)}
                        at={time && formatClock(time.atMin)}
                        amiss={time?.amiss ?? false}
                        chosen={chosen === step.id}
                        onShift={shift}
                      />
                    )
                  )}
                  {!follows && (
                    <AddHere
                      after={nameOf(plan.steps, step.id)}
                      gap={plan.steps[i + 1]?.id}
                      asked={asked !== undefined && asked.gap === plan.steps[i + 1]?.id}
                      onAsk={setAsked}
                    />
                  )}
                </li>
              );
            })}
          </ol>
        </SortableContext>
      </DndContext>
      <p role="status" className={`sticky left-0 text-sm text-error ${stays === '' ? '' : 'pb-2'}`}>
        {stays}
      </p>
      {asked && (
        <AddMenu
          key={asked.question}
          on={{ plan, stack: computed.stack, fill: computed.fill }}
          asked={asked}
          onClose={() => setAsked(undefined)}
        />
      )}
    </nav>
  );
}
