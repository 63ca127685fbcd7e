import { useMemo } from 'react';
import { stepsDone } from '../../core/making/order.ts';
import { pouredTooSoon } from '../../core/pattern/tooSoon.ts';
import { isAbout } from '../../core/plan/moulds.ts';
import type { Act } from '../../core/procedure/act.ts';
import { MouldDrawing } from '../section/MouldDrawing.tsx';
import { useDay } from './dayContext.ts';

/** What going on too early would look like: the pour with what lies below still fluid. */
export function TooSoon({ act }: { readonly act: Act }) {
  const { computed, acts, state } = useDay();
  const step = computed.plan.steps.find((s) => s.id === act.step);
  const mould = computed.moulds.find((m) => step && isAbout(m.use, step)) ?? computed.moulds[0];
  const id = step?.kind === 'pour' && !step.pattern && !step.onFluid ? step.id : undefined;
  const stands = useMemo(() => {
    const done = stepsDone(acts, state.done);
    return id === undefined ? undefined : pouredTooSoon(mould, (s) => done.has(s.id), id);
  }, [acts, state.done, mould, id]);
  if (!stands || stands.layers.length < 2) return null;
  return (
    <figure className="w-40">
      <MouldDrawing
        of={mould}
        bodies={stands.bodies}
        letters={false}
        rollDeg={stands.tilt.rollDeg}
        columnStands={stands.columnStands}
        label="As it would look poured now: the border runs into what lies below"
      />
      <figcaption className="text-center text-sm">poured now</figcaption>
    </figure>
  );
}
