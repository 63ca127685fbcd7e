import { factsClient } from '../parts/factsClient.ts';
import { useEffect, useState } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { CardFacts } from '../../core/computed/cardFacts.ts';

/** Worked out once for each plan that is shown. */
const known = new WeakMap<Plan, CardFacts>();

/** The loaves come first, and a card that flies past while the shelf is scrolled is not worked on. */
const STAYS_MS = 120;

/**
 * The figures of a plan, worked out apart from the page: its bars first, the rest when it is done. A card
 * that scrolls out of sight is not worked on any more. A figure that cannot be had is left out.
 */
export function useCardFacts(plan: Plan): CardFacts | undefined {
  const [found, setFound] = useState<{ readonly plan: Plan; readonly facts: CardFacts }>();
  useEffect(() => {
    if (known.has(plan)) return undefined;
    let gone = false;
    let stop: (() => void) | undefined;
    const ask = (): void => {
      const job = factsClient.ask('card-facts', plan, {
        key: plan.id,
        onProgress: ({ partial }) => {
          if (partial && !gone) setFound({ plan, facts: partial });
        },
      });
      stop = job.stop;
      void job.outcome.then((outcome) => {
        if (outcome.kind !== 'done') return;
        known.set(plan, outcome.value);
        if (!gone) setFound({ plan, facts: outcome.value });
      });
    };
    const wait = setTimeout(ask, STAYS_MS);
    return () => {
      gone = true;
      clearTimeout(wait);
      stop?.();
    };
  }, [plan]);
  return known.get(plan) ?? (found?.plan === plan ? found.facts : undefined);
}
