import type { PouredLayer } from '../fill/layers.ts';
import type { Step } from '../plan/stepSchema.ts';
import type { StepId } from '../validate/ids.ts';
import { standingAfter, type Laid, type Standing } from './standingAfter.ts';

/** Without the waits right before a pour, and that pour on what is fluid. */
function atOnce(steps: readonly Step[], id: StepId): Step[] {
  const at = steps.findIndex((s) => s.id === id);
  const from = steps.slice(0, at).findLastIndex((s) => s.kind !== 'wait') + 1;
  return [...steps.slice(0, from), ...steps.slice(at)].map((s) =>
    s.id === id && s.kind === 'pour' ? { ...s, onFluid: true } : s,
  );
}

/**
 * A mould as it would stand if a pour came now, while what it comes on is fluid: their border is rough. For
 * looks.
 */
export const pouredTooSoon = <L extends PouredLayer>(
  laid: Laid<L>,
  isDone: (step: Step) => boolean,
  id: StepId,
): Standing<L> =>
  standingAfter(
    {
      ...laid,
      plan: { ...laid.plan, steps: atOnce(laid.plan.steps, id) },
      stack: {
        ...laid.stack,
        layers: laid.stack.layers.map((l) =>
          l.pour.id === id ? { ...l, pour: { ...l.pour, onFluid: true as const } } : l,
        ),
      },
    },
    (s) => s.id === id || isDone(s),
  );
