import type { BatchState } from '../batch/state.ts';
import type { Chapter } from '../day/act.ts';
import { isOutside, ofSecond, VESSEL, type Vessel } from '../day/vessel.ts';
import type { Act } from '../procedure/act.ts';
import type { StepId } from '../validate/ids.ts';

/** What is read and laid out before anything is weighed. */
const READY: ReadonlySet<Chapter> = new Set(['safety', 'lay-out']);

/** What is to be made ready, in order. */
export const toMakeReady = (acts: readonly Act[]): readonly Act[] => acts.filter((a) => READY.has(a.chapter));

/** What is done on the day itself, in order: from the lye to what is done to the top. */
export const toCarryOut = (acts: readonly Act[]): readonly Act[] =>
  acts.filter((a) => !READY.has(a.chapter) && a.chapter !== 'cut');

/** What is done next, as planned; undefined: all of it is done. */
export const nextOf = (acts: readonly Act[], { done }: Pick<BatchState, 'done'>): Act | undefined =>
  toCarryOut(acts).find((a) => !done.has(a.id));

/** Everything that is done in the moulds, one thing for all of them: their order is the design. */
const IN_MOULDS = 'moulds';

/** Done to the lye in its jug, without a scale: in either batch nothing is drawn of it before. */
const TO_LYE: ReadonlySet<Act['deed']['does']> = new Set(['dissolve-lye', 'strain-lye']);

/** What an act has in its hands: vessels by their keys, and the moulds. */
function handles(act: Act): ReadonlySet<string> {
  const of = new Set<string>();
  for (const { from, to } of act.lines)
    for (const vessel of [from, to])
      if (vessel.kind !== 'supply')
        of.add(isOutside(vessel) && vessel.kind !== 'cup' ? IN_MOULDS : vessel.key);
  if (act.lines.length > 0) return of;
  const own = (vessel: Vessel): string => (act.ofSecond ? ofSecond(vessel) : vessel).key;
  if (TO_LYE.has(act.deed.does)) return of.add(own(VESSEL.lye));
  // a pot's jug is blended for a pour of it, and is no pour: what stands in neither is kept where it is
  if (act.pot !== undefined) of.add(own(VESSEL.pot(act.pot)));
  return of.add(IN_MOULDS);
}

/**
 * What has to be done before an act, as it has the same vessel in its hands: the first of it that is not done
 * yet. Undefined: nothing, the act can come now.
 */
export function comesAfter(
  acts: readonly Act[],
  { done }: Pick<BatchState, 'done'>,
  act: Act,
): Act | undefined {
  const own = handles(act);
  const all = toCarryOut(acts);
  return all
    .slice(0, all.indexOf(act))
    .find((before) => !done.has(before.id) && [...handles(before)].some((v) => own.has(v)));
}

/**
 * What was done on top of an act, with the same vessel in its hands: while it is done, the act cannot be
 * taken back. The last of it. Undefined: nothing.
 */
export function builtOn(acts: readonly Act[], { done }: Pick<BatchState, 'done'>, act: Act): Act | undefined {
  const own = handles(act);
  const all = toCarryOut(acts);
  return all
    .slice(all.indexOf(act) + 1)
    .findLast((after) => done.has(after.id) && [...handles(after)].some((v) => own.has(v)));
}

/** Steps of the plan of which every act is done. */
export function stepsDone(
  acts: readonly Act[],
  done: { readonly has: (act: Act['id']) => boolean },
): ReadonlySet<StepId> {
  const open = new Set(acts.flatMap((a) => (a.step !== undefined && !done.has(a.id) ? [a.step] : [])));
  return new Set(acts.flatMap((a) => (a.step !== undefined && !open.has(a.step) ? [a.step] : [])));
}
