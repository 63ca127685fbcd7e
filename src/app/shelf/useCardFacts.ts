import { useEffect, useState } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { CardFacts } from '../../core/sheet/cardFacts.ts';

/** Worked out once for each plan that is shown. */
const known = new WeakMap<Plan, CardFacts>();

/** The loaves are there first. */
const client = () => import('./factsClient.ts');

/**
 * The figures of a plan, worked out apart from the page: its bars first, the rest when it is done. A card that scrolls out of sight
 * is not worked on any more. A figure that cannot be had is left out.
 */
export function useCardFacts(plan: Plan): CardFacts | undefined {
  const [found, setFound] = useState<{ readonly plan: Plan; readonly facts: CardFacts }>();
  useEffect(() => {
    if (known.has(plan)) return undefined;
    const here: { gone: boolean; stop?: () => void } = { gone: false };
    const ask = async (): Promise<void> => {
      const { factsClient } = await client();
      if (here.gone) return;
      const job = factsClient.ask('card-facts', plan, {
        key: plan.id,
        onProgress: ({ partial }) => {
          if (partial && !here.gone) setFound({ plan, facts: partial });
        },
      });
      here.stop = job.stop;
      const outcome = await job.outcome;
      if (outcome.kind !== 'done') return;
      known.set(plan, outcome.value);
      setFound({ plan, facts: outcome.value });
    };
    void ask().catch(() => undefined);
    return () => {
      here.gone = true;
      here.stop?.();
    };
  }, [plan]);
  return known.get(plan) ?? (found?.plan === plan ? found.facts : undefined);
}
