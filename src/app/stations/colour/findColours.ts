import type { ColoursWanted, FoundColour } from '../../../core/look/matchPots.ts';
import { factsClient } from '../../parts/factsClient.ts';

/** A search for colorants, apart from the page; undefined once it was stopped. */
export interface Search {
  readonly found: Promise<readonly FoundColour[] | undefined>;
  readonly stop: () => void;
}

/** Worked out in this thread where no worker can be had. */
async function here(wanted: ColoursWanted): Promise<readonly FoundColour[]> {
  const [{ matchPots }, { finish }] = await Promise.all([
    import('../../../core/look/matchPots.ts'),
    import('../../../core/task/task.ts'),
  ]);
  return finish(matchPots(wanted));
}

/** Look for colorants that make colours; a search of the same key that is still under way is left off. */
export function findColours(wanted: ColoursWanted, key: string): Search {
  const job = factsClient.ask('colours', wanted, { key });
  const found = job.outcome.then((outcome) => {
    if (outcome.kind === 'cancelled') return undefined;
    return outcome.kind === 'done' ? outcome.value : here(wanted);
  });
  return { found, stop: job.stop };
}
