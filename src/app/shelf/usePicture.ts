import { startTransition, useEffect, useState } from 'react';
import type { Picture } from '../../core/face/picture.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { factsClient } from './factsClient.ts';

/** So many are kept for when the shelf is come back to. */
const KEPT = 300;

/** By the plan and its last change: drawn at once, and made sure of. */
const known = new Map<string, Picture>();

const stateOf = (plan: Plan): string => `${plan.id} ${plan.changed}`;

function keep(plan: Plan, picture: Picture): void {
  const key = stateOf(plan);
  known.delete(key);
  known.set(key, picture);
  const [oldest] = known.keys();
  if (known.size > KEPT && oldest !== undefined) known.delete(oldest);
}

/** Worked out in this thread where no worker can be had. Throws what is wrong with the plan. */
async function here(plan: Plan): Promise<Picture> {
  const [{ picture }, { finish }] = await Promise.all([
    import('../../core/face/picture.ts'),
    import('../../core/task/task.ts'),
  ]);
  return finish(picture(plan));
}

/** The picture of a plan, worked out apart from the page; undefined until it is there. Throws for one that cannot be drawn. */
export function usePicture(plan: Plan): Picture | undefined {
  const [found, setFound] = useState<{
    readonly plan: Plan;
    readonly picture?: Picture;
    readonly fault?: Error;
  }>();
  useEffect(() => {
    let gone = false;
    const job = factsClient.ask('picture', plan);
    const get = async (): Promise<void> => {
      const outcome = await job.outcome;
      if (outcome.kind === 'cancelled') return;
      const picture = outcome.kind === 'done' ? outcome.value : await here(plan);
      keep(plan, picture);
      // drawing loaves gives way to scrolling
      if (!gone)
        startTransition(() => {
          setFound({ plan, picture });
        });
    };
    get().catch((error: unknown) => {
      if (!gone) setFound({ plan, fault: error instanceof Error ? error : new Error(String(error)) });
    });
    return () => {
      gone = true;
      job.stop();
    };
  }, [plan]);
  if (found?.plan === plan && found.fault) throw found.fault;
  return (found?.plan === plan ? found.picture : undefined) ?? known.get(stateOf(plan));
}
