import { factsClient } from './factsClient.ts';
import { useEffect, useState } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { CardFacts } from '../../core/computed/cardFacts.ts';

/** Worked out once for each plan that is shown. */
const known = new WeakMap<Plan, CardFacts>();

/**
 * The figures of a plan, worked out apart from the page: its bars first, the rest when it is done. A card that scrolls out of sight
 * is not worked on any more. A figure that cannot be had is left out. Not asked for until `drawn`: the loaves come first.
 */
export function useCardFacts(plan: Plan, drawn: boolean): CardFacts | undefined {
  const [found, setFound] = useState<{ readonly plan: Plan; readonly facts: CardFacts }>();
  useEffect(() => {
    if (!drawn || known.has(plan)) return undefined;
    let gone = false;
    const job = factsClient.ask('card-facts', plan, {
      key: plan.id,
      onProgress: ({ partial }) => {
        if (partial && !gone) setFound({ plan, facts: partial });
      },
    });
    void job.outcome.then((outcome) => {
      if (outcome.kind !== 'done') return;
      known.set(plan, outcome.value);
      if (!gone) setFound({ plan, facts: outcome.value });
    });
    return () => {
      gone = true;
      job.stop();
    };
  }, [plan, drawn]);
  return known.get(plan) ?? (found?.plan === plan ? found.facts : undefined);
}
