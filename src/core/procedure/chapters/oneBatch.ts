import { coloursEach } from '../../clock/habits.ts';
import { blendTemperature } from '../../batter/blendTemperature.ts';
import type { Computed } from '../../computed/compute.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { poursFrom } from '../../plan/sources.ts';
import { ACT } from '../../weigh/acts.ts';
import { spareFromRoundingG } from '../../weigh/targets.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';
import { linesOf } from '../lines.ts';
import { pottingOrder } from '../mixing.ts';
import { schoolOf, stocks } from './colours.ts';
import { stirIn } from './stirring.ts';

/** Pots in the order to colour them with one whisk. */
function inWhiskOrder(computed: Computed, w: Weights): readonly PotWeight[] {
  const order = pottingOrder(computed, w).map((s) => s.pot.id);
  return w.pots.toSorted((a, b) => order.indexOf(a.pot.id) - order.indexOf(b.pot.id));
}

/** A pot that is mixed in the jug of another is weighed out once that one is empty, just before it is poured. */
export const waitsForJug = (plan: Plan, pot: Pot): boolean =>
  pot.jugOf !== undefined && poursFrom(plan, pot.id).length > 0;

/** One pot weighed out of the batch, with what it gets for itself: at once, or each before its own pour. */
export function weighOut(computed: Computed, w: Weights, { pot, colorants }: PotWeight): Draft {
  const id = ACT.pot(pot.id);
  const each = coloursEach(computed.plan);
  const lines = [...linesOf(computed, w, id), ...(each ? [] : linesOf(computed, w, ACT.potColour(pot.id)))];
  const school = schoolOf(w, pot.id);
  return {
    id,
    chapter: 'divide',
    pot: pot.id,
    deed: {
      does: 'weigh-out',
      school,
      coloured: !each && colorants.length > 0 && school !== 'one-pot',
      more: lines.some((l) => l.from === SUPPLY),
      ...(pot.jugOf === undefined ? {} : { jugOf: pot.jugOf }),
    },
    lines,
  };
}

/** One batch, emulsified and then divided into its pots. */
export function oneBatch(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  const drafts: Draft[] = [
    {
      id: ACT.emulsify,
      chapter: 'emulsify',
      deed: { does: 'emulsify', meetsC: blendTemperature(w, plan.batter.temperatures) },
      lines: linesOf(computed, w, ACT.emulsify),
    },
    ...stirIn(computed, w, 'emulsion'),
    ...stirIn(computed, w, 'trace'),
    ...stirIn(computed, w, 'scent'),
    ...stocks(computed, w),
    ...(coloursEach(plan) ? w.pots : inWhiskOrder(computed, w))
      .filter((p) => p.batterG > 0 && !waitsForJug(plan, p.pot))
      .map((p) => weighOut(computed, w, p)),
  ];
  if (w.spareG > spareFromRoundingG(plan))
    drafts.push({
      id: ACT.spare,
      chapter: 'divide',
      deed: { does: 'keep-spare' },
      lines: linesOf(computed, w, ACT.spare),
    });
  return drafts;
}
