import { cutBars } from '../cut/bars.ts';
import { barsInAll } from '../cut/barsText.ts';
import type { LaidPlan } from '../fill/laid.ts';
import { inAll } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';
import type { Grams } from '../units/quantity.ts';
import { AS_PLANNED } from '../batch/happened.ts';
import { computing, type Computed } from './compute.ts';

/** What a card says of its plan besides its name. */
export interface CardFacts {
  /**
   * of the whole batch as it is weighed; undefined while that is not known, or the recipe itself is refused
   */
  readonly batterG: Grams | undefined;
  readonly bars: number;
  /**
   * the gravest there is to say: the sheet is refused, or something is warned of; undefined: nothing, or not
   * known yet
   */
  readonly trouble: 'refuse' | 'warn' | undefined;
}

const barsOf = (plan: LaidPlan): number => inAll(plan.moulds, (m) => cutBars(m, m.plan).count);

const factsOf = ({ batch, moulds, warnings }: Computed): CardFacts => {
  const has = (level: 'refuse' | 'warn'): boolean => warnings.some((w) => w.level === level);
  return {
    batterG: batch?.batterG,
    bars: barsInAll(moulds),
    trouble: has('refuse') ? 'refuse' : has('warn') ? 'warn' : undefined,
  };
};

/**
 * A card's facts: the bars as soon as the layers are laid, then what is weighed and whether there is trouble.
 */
export function* cardFacts(plan: Plan): Task<CardFacts, CardFacts> {
  const task = computing(plan, AS_PLANNED);
  for (;;) {
    const step = task.next();
    if (step.done) return factsOf(step.value);
    const { done, partial } = step.value;
    yield partial
      ? { done, partial: { batterG: undefined, bars: barsOf(partial), trouble: undefined } }
      : { done };
  }
}
