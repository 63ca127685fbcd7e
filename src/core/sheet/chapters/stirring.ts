import type { Pot } from '../../plan/planSchema.ts';
import { stagePhrase } from '../../setting/stage.ts';
import { formatMass } from '../../units/format.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { heldBefore, linesOf } from '../lines.ts';
import { potName, type Draft } from './draft.ts';

/** Seeds and the like sink in anything thinner than medium trace. Common practice, no source. */
const CARRIES_STAGE = 2;

/** What goes into a pot once it has thickened, before anything is poured of it. `done`: pots that have had it. */
export function thickened(computed: Computed, w: Weights, pot: Pot, done: Set<string>): Draft[] {
  const act = ACT.potTrace(pot.id);
  const lines = linesOf(computed, w, act);
  if (lines.length === 0 || done.has(pot.id)) return [];
  done.add(pot.id);
  return [
    {
      id: act,
      chapter: 'pour',
      pot: pot.id,
      text: `Stir into ${potName(pot)}, once it is ${stagePhrase(Math.max(pot.stage, CARRIES_STAGE))}: thinner, and it sinks.`,
      lines,
    },
  ];
}

/** What is stirred in just before a pour: into the jug, or into a cup with that pour's batter alone. */
export function beforePour(
  { plan, ...computed }: Computed,
  w: Weights,
  pourId: string,
  pot: Pot,
  /** as the sheet calls it: pour 3 */
  pour: string,
): Draft[] {
  const act = ACT.stir(pourId);
  const lines = linesOf({ plan, ...computed }, w, act);
  if (lines.length === 0) return [];
  const cup = lines.some((l) => l.to === VESSEL.cup(pot.id, pourId));
  const holds = formatMass(heldBefore(w, act, VESSEL.pot(pot.id)), plan.units.mass, plan.units.scaleStepG);
  return [
    {
      id: act,
      chapter: 'pour',
      step: pourId,
      pot: pot.id,
      text: cup
        ? `For ${pour} alone: weigh batter of ${potName(pot)} into a clean cup and stir in, just before it is poured:`
        : `Just before ${pour}, stir into ${potName(pot)}, which holds ${holds}:`,
      lines,
    },
  ];
}
