import { poursFrom } from '../../plan/sources.ts';
import { ACT } from '../../weigh/acts.ts';
import { spareFromRoundingG } from '../../weigh/targets.ts';
import type { OmbreWeights } from '../../weigh/ombre/types.ts';
import type { PotWeight, Weights } from '../../weigh/weights.ts';
import { blendTemperature } from '../../batter/blendTemperature.ts';
import { formatTemperature } from '../../units/format.ts';
import type { Computed } from '../compute.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import { linesOf } from '../lines.ts';
import type { Line } from '../procedure.ts';
import { pottingOrder } from '../mixing.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { schoolOf, stocks } from './colours.ts';
import { potName, type Draft } from './draft.ts';

/** Pots in the order to colour them with one whisk. */
function inWhiskOrder(computed: Computed, w: Weights): readonly PotWeight[] {
  const order = pottingOrder(computed, w).map((s) => s.pot.id);
  return w.pots.toSorted((a, b) => order.indexOf(a.pot.id) - order.indexOf(b.pot.id));
}

function divideText(
  { pot, colorants }: PotWeight,
  school: OmbreWeights['school'] | undefined,
  lines: readonly Line[],
): string {
  const more = lines.some((l) => l.from === SUPPLY);
  if (school === 'master-blends')
    return `Blend ${potName(pot)} from the stocks${more ? ', and stir in what is its own' : ''}.`;
  const coloured = colorants.length > 0 && school !== 'one-pot';
  const stirred = [
    ...(coloured ? ['its dispersed colorant'] : []),
    ...(more ? ['what else is its own'] : []),
  ];
  return `Weigh out ${potName(pot)}${stirred.length > 0 ? `, and stir in ${stirred.join(' and ')}` : ''}.`;
}

/** A pot that is mixed in the jug of another is weighed out once that one is empty, just before it is poured. */
export const waitsForJug = (plan: Plan, pot: Pot): boolean =>
  pot.jugOf !== undefined && poursFrom(plan, pot.id).length > 0;

/** One pot weighed out of the batch, coloured and scented. */
export function weighOut(computed: Computed, w: Weights, p: PotWeight): Draft {
  const { plan } = computed;
  const before = plan.pots.find((q) => q.id === p.pot.jugOf);
  const lines = linesOf(computed, w, ACT.pot(p.pot.id));
  const into = before ? ` Into the jug of pot ${before.letter}, emptied and wiped out.` : '';
  return {
    id: ACT.pot(p.pot.id),
    chapter: 'divide',
    pot: p.pot.id,
    text: divideText(p, schoolOf(w, p.pot.id), lines) + into,
    lines,
  };
}

/** One batch, emulsified and then divided into its pots. */
export function oneBatch(computed: Computed, w: Weights): Draft[] {
  const { plan } = computed;
  const emulsion = linesOf(computed, w, ACT.inEmulsion);
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
    ...(emulsion.length > 0
      ? [
          {
            id: ACT.inEmulsion,
            chapter: 'emulsify' as const,
            text: 'Stir in as soon as it holds as an emulsion.',
            lines: emulsion,
          },
        ]
      : []),
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
