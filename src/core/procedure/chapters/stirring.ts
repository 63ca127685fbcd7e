import type { StepId } from '../../validate/ids.ts';
import type { Computed } from '../../computed/compute.ts';
import type { Pot } from '../../plan/planSchema.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Chapter, Draft } from '../act.ts';
import type { Into } from '../deeds.ts';
import { heldBefore, linesOf } from '../lines.ts';

/** Seeds and the like sink in anything thinner than medium trace. Common practice, no source. */
const CARRIES_STAGE = 2;

const WHOLE: Readonly<Record<Into, { readonly act: string; readonly chapter: Chapter }>> = {
  water: { act: ACT.inWater, chapter: 'lye' },
  'hot-lye': { act: ACT.inHotLye, chapter: 'lye' },
  'cooled-lye': { act: ACT.dissolve, chapter: 'lye' },
  oils: { act: ACT.inOils, chapter: 'oils' },
  emulsion: { act: ACT.inEmulsion, chapter: 'emulsify' },
  trace: { act: ACT.trace, chapter: 'emulsify' },
  scent: { act: ACT.scent, chapter: 'emulsify' },
};

/** What the whole batch gets at one moment; nothing where there is nothing. */
export function stirIn(computed: Computed, w: Weights, into: Into): Draft[] {
  const { act: id, chapter } = WHOLE[into];
  const lines = linesOf(computed, w, id);
  return lines.length > 0 ? [{ id, chapter, deed: { does: 'stir-in', into }, lines }] : [];
}

/** What goes into a pot once it has thickened, before anything is poured of it. `done`: pots that have had it. */
export function thickened(computed: Computed, w: Weights, pot: Pot, done: Set<string>): Draft[] {
  const id = ACT.potTrace(pot.id);
  const lines = linesOf(computed, w, id);
  if (lines.length === 0 || done.has(pot.id)) return [];
  done.add(pot.id);
  const stage = Math.max(pot.stage, CARRIES_STAGE);
  return [{ id, chapter: 'pour', pot: pot.id, deed: { does: 'stir-into-pot', at: 'stage', stage }, lines }];
}

/** What is stirred in just before something is taken of a pot, by its key: into the jug, or into a cup with that part's batter alone. */
export function beforePour(
  computed: Computed,
  w: Weights,
  { step, key, pot }: { readonly step: StepId; readonly key: string; readonly pot: Pot },
  /** as the sheet calls it: pour 3 */
  pour: string,
): Draft[] {
  const id = ACT.stir(key);
  const lines = linesOf(computed, w, id);
  if (lines.length === 0) return [];
  const cup = lines.some((l) => l.to === VESSEL.cup(pot.id, step));
  const holdsG = heldBefore(w, id, VESSEL.pot(pot.id));
  return [
    {
      id,
      chapter: 'pour',
      step,
      pot: pot.id,
      deed: { does: 'stir-into-pot', at: 'pour', pour, holdsG, cup },
      lines,
    },
  ];
}
