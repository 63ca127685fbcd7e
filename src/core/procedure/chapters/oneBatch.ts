import { blendTemperature } from '../../batter/blendTemperature.ts';
import { habitsOf } from '../../clock/habits.ts';
import type { Computed } from '../../computed/compute.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { poursFrom } from '../../plan/sources.ts';
import type { Minutes } from '../../units/quantity.ts';
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

/** Where jugs are coloured one by one, each before its pour: when this one is. */
function stirredAt({ plan, clock }: Computed, pot: Pot): { readonly stirredAtMin?: Minutes } {
  const timed = clock?.acts.find((a) => a.act.key === `colour ${pot.id}`);
  return timed && habitsOf(plan.clock).colouring === 'each' ? { stirredAtMin: timed.startMin } : {};
}

/** One pot weighed out of the batch, coloured and scented. */
export function weighOut(computed: Computed, w: Weights, { pot, colorants }: PotWeight): Draft {
  const id = ACT.pot(pot.id);
  const lines = linesOf(computed, w, id);
  const school = schoolOf(w, pot.id);
  return {
    id,
    chapter: 'divide',
    pot: pot.id,
    deed: {
      does: 'weigh-out',
      school,
      coloured: colorants.length > 0 && school !== 'one-pot',
      more: lines.some((l) => l.from === SUPPLY),
      ...(pot.jugOf === undefined ? {} : { jugOf: pot.jugOf }),
      ...stirredAt(computed, pot),
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
    ...inWhiskOrder(computed, w)
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
