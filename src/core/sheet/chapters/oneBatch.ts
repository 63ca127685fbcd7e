import { ACT } from '../../weigh/acts.ts';
import { spareFromRoundingG } from '../../weigh/targets.ts';
import type { OmbreWeights } from '../../weigh/ombre/types.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import { blendTemperature } from '../../batter/blendTemperature.ts';
import { formatTemperature } from '../../units/format.ts';
import type { Computed } from '../compute.ts';
import { linesOf } from '../lines.ts';
import { pottingOrder } from '../mixing.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { schoolOf, stocks } from './colours.ts';
import { potName, type Draft } from './draft.ts';

/** Pots in the order to colour them with one whisk. */
function inWhiskOrder(computed: Computed, w: Weights): readonly PotWeight[] {
  const order = pottingOrder(computed, w).map((s) => s.pot.id);
  return w.pots.toSorted((a, b) => order.indexOf(a.pot.id) - order.indexOf(b.pot.id));
}

function divideText({ pot, colorants }: PotWeight, school: OmbreWeights['school'] | undefined): string {
  if (school === 'master-blends') return `Blend ${potName(pot)} from the stocks.`;
  const coloured = colorants.length > 0 && school !== 'one-pot';
  return `Weigh out ${potName(pot)}${coloured ? ', and stir in its dispersed colorant' : ''}.`;
}

/** A pot that is mixed in the jug of another is weighed out once that one is empty, just before it is poured. */
export const waitsForJug = (plan: Plan, pot: Pot): boolean =>
  pot.jugOf !== undefined && plan.steps.some((s) => s.kind === 'pour' && s.pot === pot.id);

/** One pot weighed out of the batch, coloured and scented. */
export function weighOut(computed: Computed, w: Weights, p: PotWeight): Draft {
  const { plan } = computed;
  const before = plan.pots.find((q) => q.id === p.pot.jugOf);
  const into = before ? ` Into the jug of pot ${before.letter}, emptied and wiped out.` : '';
  return {
    id: ACT.pot(p.pot.id),
    chapter: 'divide',
    pot: p.pot.id,
    text: divideText(p, schoolOf(w, p.pot.id)) + into,
    lines: linesOf(computed, w, ACT.pot(p.pot.id)),
  };
}

/** One batch, emulsified and then divided into its pots. */
export function oneBatch(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  const trace = linesOf(computed, w, ACT.trace);
  const scent = linesOf(computed, w, ACT.scent);
  const spare = linesOf(computed, w, ACT.spare);
  const meets = formatTemperature(blendTemperature(w, plan.batter.temperatures), plan.units.temperature);
  return [
    {
      id: ACT.emulsify,
      chapter: 'emulsify',
      text: `Pour the cooled lye solution into the oils and blend in short bursts to a stable emulsion. They meet at about ${meets} (estimate).`,
      lines: linesOf(computed, w, ACT.emulsify),
      caution: 'Keep the blender head under the surface: spatters burn.',
    },
    ...(trace.length > 0
      ? [{ id: ACT.trace, chapter: 'emulsify' as const, text: 'Stir in at light trace.', lines: trace }]
      : []),
    ...(scent.length > 0
      ? [{ id: ACT.scent, chapter: 'emulsify' as const, text: 'Stir in the fragrance.', lines: scent }]
      : []),
    ...stocks(computed, w),
    ...inWhiskOrder(computed, w)
      .filter((p) => p.batterG > 0 && !waitsForJug(plan, p.pot))
      .map((p) => weighOut(computed, w, p)),
    ...(w.spareG > spareFromRoundingG(plan)
      ? [
          {
            id: ACT.spare,
            chapter: 'divide' as const,
            text: 'Batter that goes into no pour: keep a small mould ready for it.',
            lines: spare,
          },
        ]
      : []),
  ];
}
