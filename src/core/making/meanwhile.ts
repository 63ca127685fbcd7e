import type { BatchState } from '../batch/state.ts';
import type { Act } from '../procedure/act.ts';
import { comesAfter, toCarryOut } from './order.ts';

/** Done at the bench, away from the mould: fit for a wait. */
const AT_BENCH: ReadonlySet<Act['deed']['does']> = new Set([
  'weigh-water',
  'weigh-lye',
  'strain-lye',
  'set-oil-aside',
  'weigh-oils',
  'disperse',
  'weigh-out',
  'colour-pot',
  'make-portion',
  'begin-second',
  'fill-bags',
]);

/** More is not told at once. */
const FEW = 3;

/** What hands can do meanwhile that comes later anyway, and that no vessel stands against. */
export const meanwhile = (
  acts: readonly Act[],
  state: Pick<BatchState, 'done'>,
  waiting: Act,
): readonly Act[] =>
  toCarryOut(acts)
    .filter(
      (a) =>
        a.id !== waiting.id &&
        AT_BENCH.has(a.deed.does) &&
        !state.done.has(a.id) &&
        comesAfter(acts, state, a) === undefined,
    )
    .slice(0, FEW);

/** Acts that can come before the next one, as vessels allow it, in order. */
export const elseFirst = (acts: readonly Act[], state: Pick<BatchState, 'done'>, next: Act): readonly Act[] =>
  toCarryOut(acts).filter(
    (a) => a.id !== next.id && !state.done.has(a.id) && comesAfter(acts, state, a) === undefined,
  );
