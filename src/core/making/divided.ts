import type { BatchState } from '../batch/state.ts';
import type { ActId } from '../day/act.ts';
import type { Act } from '../procedure/act.ts';

/**
 * The act that minute 0 comes before: the first that the clock of the pour times. Undefined where it times
 * none.
 */
const firstTimed = (acts: readonly Act[]): Act | undefined =>
  acts.find((a) => a.timed !== undefined && a.timed.atMin >= 0);

/**
 * The clock is to be begun before this act: the batter is ready to be divided, and nothing was said of it.
 */
export const beginsClock = (
  acts: readonly Act[],
  { zero }: Pick<BatchState, 'zero'>,
  act: ActId | undefined,
): boolean => zero === undefined && act !== undefined && firstTimed(acts)?.id === act;
