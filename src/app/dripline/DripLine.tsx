import { lettersOf } from '../../core/fill/layers.ts';
import { potsIn } from '../../core/plan/sources.ts';
import {
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { memo, useMemo, type KeyboardEvent } from 'react';
import { moveStep, shiftPour } from '../../core/edit/pours.ts';
import type { Pot } from '../../core/plan/planSchema.ts';
import type { StickPath } from '../../core/plan/patternSchema.ts';
import type { Finish, Step } from '../../core/plan/stepSchema.ts';
import { formatClock, formatMinutes, formatShort } from '../../core/units/format.ts';
import { lowerFirst } from '../../core/units/words.ts';
import { TOPS } from '../../core/pattern/knowHow.ts';
import { pourChosen } from '../../store/deskSlice.ts';
import { editHere } from '../../store/editHere.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useBench } from '../parts/usePlan.ts';
import { Introduction } from '../help/Introduction.tsx';
import { Braid, braidOf, braidWords } from './Braid.tsx';
import { Drop } from './Drop.tsx';
import { lineTimes, type OnLine } from './lineTimes.ts';

const FINISH: Readonly<Record<Finish['what'], string>> = {
  mist: 'mist',
  insulate: 'insulate',
  'heating-pad': 'heating pad',
  'warm-oven': 'warm oven',
  'oven-held': 'oven held',
  'leave-cool': 'leave cool',
};

const PATHS: Readonly<Record<StickPath['kind'], string>> = {
  fan: 'fan',
  spiral: 'spiral',
  rings: 'rings',
  lines: 'lines',
  free: 'stick',
};

interface MarkProps {
  readonly step: Exclude<Step, { kind: 'pour' }>;
  readonly chosen: boolean;
}

interface ToolMarkProps {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly chosen: boolean;
}

/** Something done with a tool: chosen, it is seen and changed. */
function ToolMark({ id, name, says, chosen }: ToolMarkProps) {
  const dispatch = useAppDispatch();
  return (
    <button
      type="button"
      className="grid cursor-pointer justify-items-center gap-1 px-2 pb-1"
      aria-pressed={chosen}
      aria-label={says}
      onClick={() => dispatch(pourChosen(chosen ? null : id))}
    >
      <span
        className={`-mt-[5px] size-2.5 rotate-45 border border-base-content ${chosen ? 'bg-accent' : 'bg-base-100'}`}
      />
      <span className={`text-xs ${chosen ? 'font-bold' : ''}`}>{name}</span>
    </button>
  );
}

const Mark = memo(function Mark({ step, chosen }: MarkProps) {
  if (step.kind === 'stroke') {
    const name = PATHS[step.path.kind];
    return <ToolMark id={step.id} name={name} says={`The stick: ${name}`} chosen={chosen} />;
  }
  if (step.kind === 'wire')
    return <ToolMark id={step.id} name="wire" says="The wire, through the section" chosen={chosen} />;
  if (step.kind === 'scrape')
    return <ToolMark id={step.id} name="scrape" says="The layer is scraped" chosen={chosen} />;
  if (step.kind === 'mica')
    return <ToolMark id={step.id} name="line" says="A line of colorant" chosen={chosen} />;
  if (step.kind === 'ridges')
    return <ToolMark id={step.id} name="ridges" says="The hollows of the mat are filled" chosen={chosen} />;
  if (step.kind === 'top') {
    const { name, says } = TOPS[step.way.top];
    return <ToolMark id={step.id} name={lowerFirst(name)} says={`${name}: ${says}`} chosen={chosen} />;
  }
  if (step.kind === 'pull')
    return <ToolMark id={step.id} name="pull" says="The column is pulled" chosen={chosen} />;
  if (step.kind === 'wait')
    return (
      <span className="grid justify-items-center gap-1">
        <span className="-mt-[3px] h-1.5 w-14 rounded-full bg-warning" />
        <span className="text-xs">
          {step.until.kind === 'minutes'
            ? `wait ${formatShort(step.until.minutes, 1)} min`
            : `wait, ${formatShort(step.until.stage, 1)} of 5`}
        </span>
      </span>
    );
  if (step.kind === 'tilt')
    return (
      <span className="grid justify-items-center gap-1">
        <svg width="34" height="26" viewBox="-17 -13 34 26" className="-mt-[13px]" aria-hidden="true">
          <rect
            x="-12"
            y="-8"
            width="24"
            height="16"
            fill="var(--color-base-100)"
            stroke="var(--color-base-content)"
            transform={`rotate(${0 - step.rollDeg})`}
          />
        </svg>
        <span className="text-xs">
          {step.rollDeg === 0 && step.pitchDeg === 0
            ? step.fluid
              ? 'runs level'
              : 'level'
            : `${formatShort(step.rollDeg || step.pitchDeg, 1)}°`}
        </span>
      </span>
    );
  return (
    <span className="grid justify-items-center gap-1">
      <span className="-mt-[5px] size-2.5 rotate-45 border border-base-content bg-base-100" />
      <span className="text-xs">{FINISH[step.what]}</span>
    </span>
  );
});

interface DropButtonProps {
  readonly id: string;
  readonly nth: number;
  readonly pot: Pot;
  readonly mass: string;
  /** its minute on the clock */
  readonly at: string | undefined;
  /** something of it does not go as it is timed */
  readonly amiss: boolean;
  readonly chosen: boolean;
  /** rounds of several pots: how they are drawn, in one line that stays the same for the same rounds */
  readonly braid: string | undefined;
}

/** One pour's drop. Its props are plain, so that a drag in the section redraws only the drops it changes. */
const DropButton = memo(function DropButton({
  id,
  nth,
  pot,
  mass,
  at,
  amiss,
  chosen,
  braid,
}: DropButtonProps) {
  const dispatch = useAppDispatch();
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id });
  const move = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key] as 1 | -1 | undefined;
    if (!event.altKey || !by) return;
    event.preventDefault();
    dispatch(editHere((p) => shiftPour(p, id, by)));
  };
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...listeners}
      className={`grid touch-none justify-items-center rounded-b-box px-1 pb-1 ${isDragging ? 'z-10 cursor-grabbing' : 'cursor-pointer'}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      aria-pressed={chosen}
      aria-label={`Pour ${nth}: ${braid === undefined ? `${pot.letter}, ${pot.name}` : braidWords(braid)}, ${mass}${at === undefined ? '' : `, at ${at} min`}`}
      aria-keyshortcuts="Alt+ArrowLeft Alt+ArrowRight"
      onClick={() => dispatch(pourChosen(chosen ? null : id))}
      onKeyDown={move}
    >
      {braid === undefined ? (
        <Drop pot={pot} pour={id} chosen={chosen} />
      ) : (
        <Braid braid={braid} chosen={chosen} />
      )}
      <span className={`text-xs whitespace-nowrap ${chosen ? 'font-bold' : 'quiet'}`}>{mass}</span>
      {at !== undefined && (
        <span className={`text-xs whitespace-nowrap ${amiss ? 'font-bold text-error' : 'quiet'}`}>{at}</span>
      )}
    </button>
  );
});

/** Hands wait so long before the next thing on the line: drawn where that is. */
function Waited({ at }: { readonly at: OnLine | undefined }) {
  if (!at || at.waitMin < WORTH_MIN) return null;
  return (
    <span
      className="absolute -top-0.5 right-0 grid justify-items-center"
      style={{
        left: `calc(4.5rem + (100% - 4.5rem) * ${(1 - at.waitMin / Math.max(at.gapMin, at.waitMin)).toFixed(3)})`,
      }}
    >
      <span className="-mt-[3px] h-1.5 w-full rounded-full bg-warning" />
      <span className="text-xs whitespace-nowrap">wait {formatMinutes(at.waitMin)}</span>
    </span>
  );
}

/** A shorter wait is not told, minutes. */
const WORTH_MIN = 0.5;

/** The order of work along the foot of the window: a drop for each pour, marks for what is between. */
export function DripLine() {
  const { plan, computed, show, edit } = useBench('clock', 'stack');
  const chosen = useAppSelector((s) => s.desk.chosen);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (over && over.id !== active.id) edit((p) => moveStep(p, String(active.id), String(over.id)));
  };
  // one list object for one order: every drop listens to it
  const order = plan.steps.flatMap((s) => (s.kind === 'pour' ? [s.id] : [])).join(' ');
  const pours = useMemo(() => (order === '' ? [] : order.split(' ')), [order]);
  const times = computed.clock && lineTimes(plan.steps, computed.clock);
  const named = (id: string | number): string => {
    const layer = computed.stack.layers.find((l) => l.pour.id === id);
    return `pour ${pours.indexOf(String(id)) + 1}, pot ${layer ? lettersOf(layer) : ''}`;
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
  return (
    <nav
      aria-label="Drip line: the pours in order"
      className="no-print rule overflow-x-auto overflow-y-hidden border-t bg-base-100 px-6 pt-5"
    >
      <Introduction of="drops" className="-mt-3 mb-4" />
      <DndContext
        sensors={sensors}
        onDragEnd={dropped}
        accessibility={{ screenReaderInstructions: { draggable: '' }, announcements }}
      >
        <SortableContext items={pours} strategy={horizontalListSortingStrategy}>
          <ol className="flex min-h-30 min-w-max items-start gap-4 border-t-2 border-base-content">
            {plan.steps.map((step) => {
              const [pot] = step.kind === 'pour' ? potsIn(plan, step) : [];
              const layer = computed.stack.layers.find((l) => l.pour.id === step.id);
              return (
                <li
                  key={step.id}
                  className={`relative flex ${times ? ((times.get(step.id)?.waitMin ?? 0) >= WORTH_MIN ? 'min-w-40' : 'min-w-18') : 'min-w-16 justify-center'} ${times ? '' : `flex-1 ${step.kind === 'pour' && step.pattern ? '' : 'max-w-36'}`}`}
                  style={times ? { flexGrow: times.get(step.id)?.gapMin ?? 0 } : {}}
                >
                  <Waited at={times?.get(step.id)} />
                  {step.kind !== 'pour' ? (
                    <Mark step={step} chosen={chosen === step.id} />
                  ) : (
                    pot && (
                      <DropButton
                        braid={step.pattern && step.pattern.then.length > 0 ? braidOf(step) : undefined}
                        id={step.id}
                        nth={pours.indexOf(step.id) + 1}
                        pot={pot}
                        mass={show.mass(layer?.pouredG ?? 0)}
                        at={times && formatClock(times.get(step.id)?.atMin ?? 0)}
                        amiss={times?.get(step.id)?.amiss ?? false}
                        chosen={chosen === step.id}
                      />
                    )
                  )}
                </li>
              );
            })}
          </ol>
        </SortableContext>
      </DndContext>
    </nav>
  );
}
