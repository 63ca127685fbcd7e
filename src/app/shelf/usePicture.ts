import { startTransition, useEffect, useState } from 'react';
import type { Picture } from '../../core/face/picture.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { factsClient } from '../parts/factsClient.ts';

/** So many are kept for when the shelf is come back to. */
const KEPT = 300;

/** Of stored plans, by what they are known by: drawn at once, and made sure of. */
const known = new Map<string, Picture>();

function keep(key: string, picture: Picture): void {
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

/**
 * The picture of a plan, worked out apart from the page: until it is there that of the plan before it, or the
 * one that is remembered by `key`; undefined where there is none yet. Throws for one that cannot be drawn.
 */
export function usePicture(plan: Plan, key: string | undefined): Picture | undefined {
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
      if (key !== undefined) keep(key, picture);
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
  }, [plan, key]);
  if (found?.plan === plan && found.fault) throw found.fault;
  return found?.picture ?? (key === undefined ? undefined : known.get(key));
}
