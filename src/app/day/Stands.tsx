import { useMemo } from 'react';
import type { MouldFacts } from '../../core/advice/facts.ts';
import { stepsDone } from '../../core/making/order.ts';
import { isAbout } from '../../core/plan/moulds.ts';
import { standingAfter, type Standing } from '../../core/pattern/standingAfter.ts';
import type { Act } from '../../core/procedure/act.ts';
import type { ScaledLayer } from '../../core/weigh/scaled.ts';
import type { StepId } from '../../core/validate/ids.ts';
import { useShow, type Show } from '../parts/useShow.ts';
import { MouldDrawing } from '../section/MouldDrawing.tsx';
import { useDay } from './dayContext.ts';

const stood = (mould: MouldFacts, done: ReadonlySet<StepId>): Standing<ScaledLayer> =>
  standingAfter(mould, (s) => done.has(s.id));

/** Where a pour comes to on the left and the right wall. */
const marked = ({ deed }: Act, length: Show['length']): string | undefined => {
  const [surface] = deed.does === 'pour' ? deed.surfaces : [];
  if (!surface) return undefined;
  const { left, right } = surface.heightsMm;
  return Math.abs(left - right) < SAME_MM
    ? `to ${length(left)}`
    : `to ${length(left)} left, ${length(right)} right`;
};

/** Nearer than this, mm, and it is one height. */
const SAME_MM = 0.25;

/** The section as it stands now, and as it will once this act is done, as the mould stands on the bench. */
export function Stands({ act, done }: { readonly act: Act; readonly done: boolean }) {
  const { computed, acts, state } = useDay();
  const show = useShow(state.plan.units);
  const step = computed.plan.steps.find((s) => s.id === act.step);
  const mould = computed.moulds.find((m) => step && isAbout(m.use, step)) ?? computed.moulds[0];
  const [now, after] = useMemo((): readonly [Standing<ScaledLayer>, Standing<ScaledLayer>] => {
    const before = new Set([...state.done.keys()].filter((id) => id !== act.id));
    const withIt = new Set([...before, act.id]);
    const was = stepsDone(acts, before);
    const is = stepsDone(acts, withIt);
    const first = stood(mould, was);
    return [first, is.size === was.size ? first : stood(mould, is)];
  }, [acts, state.done, act.id, mould]);
  if (!step || step.kind === 'finish') return null;
  const changes = act.deed.does !== 'wait' && after !== now;
  return (
    <div className={`grid gap-3 ${changes && !done ? 'grid-cols-2' : ''}`}>
      {!done && <Drawn mould={mould} of={now} says="now" />}
      {(changes || done) && (
        <Drawn
          mould={mould}
          of={after}
          says={done ? 'as it stood after it' : 'after it'}
          chosen={step.id}
          mark={marked(act, show.length)}
        />
      )}
    </div>
  );
}

interface DrawnProps {
  readonly mould: MouldFacts;
  readonly of: Standing<ScaledLayer>;
  readonly says: string;
  readonly chosen?: StepId;
  /** where the surface comes to on the walls */
  readonly mark?: string | undefined;
}

function Drawn({ mould, of: { layers, bodies, tilt, columnStands }, says, chosen, mark }: DrawnProps) {
  const { length } = layers;
  return (
    <figure className="max-w-80">
      <MouldDrawing
        of={mould}
        bodies={bodies}
        letters={false}
        rollDeg={tilt.rollDeg}
        columnStands={columnStands}
        chosen={chosen}
        label={`The mould ${says}: ${length === 0 ? 'empty' : `${length} ${length === 1 ? 'layer' : 'layers'}`}`}
      />
      <figcaption className="text-center text-sm leading-snug">
        <span className="quiet">{says}</span>
        {mark !== undefined && <strong className="block">{mark}</strong>}
      </figcaption>
    </figure>
  );
}
