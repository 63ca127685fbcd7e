import { dispersionG } from '../../colorant/dispersion.ts';
import { formatMass, formatNumber } from '../../units/format.ts';
import type { Weight } from '../../weigh/ingredients.ts';
import type { OmbreWeights } from '../../weigh/ombre/types.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { dispersals } from '../mixing.ts';
import type { Line } from '../procedure.ts';
import { fine, potName, type Draft } from './draft.ts';

/** Every colorant dispersed once, in the order in which the whisk needs no washing. */
export const colours = (computed: Computed, w: Weights): Draft[] =>
  dispersals(computed, w).map((d): Draft => {
    const how = d.carrier
      ? `in ${formatNumber(d.carrier.ml, 0)} ml of ${d.carrier.name}`
      : 'in a little light oil or water';
    const into = d.into.map((n) => (n.endsWith('stock') ? `the ${n}` : `pot ${n}`)).join(', ');
    return {
      chapter: 'colour',
      text: `Disperse ${d.colorant.name} ${how}: crush out every lump. For ${into}.${d.carrier?.kind === 'oil' ? ' Take that oil out of the recipe’s own, or it adds to the superfat.' : ''}`,
      lines: [fine({ id: d.colorant.id, name: d.colorant.name, massG: d.massG })],
    };
  });

/** Dispersed colorants to weigh into a pot: powder and carrier together. */
export const dispersedLines = ({ plan }: Computed, colorants: readonly Weight[]): Line[] =>
  colorants
    .filter((c) => c.massG > 0)
    .map((c) => {
      const nature = plan.colorants.find((k) => k.id === c.id)?.nature;
      const powder = formatMass(c.massG, 'g', plan.units.fineStepG);
      return {
        name: nature
          ? `${c.name}, dispersed (${powder} of powder)`
          : `${c.name}, dispersed, its powder alone`,
        massG: nature ? dispersionG(nature, c.massG) : c.massG,
        fine: true,
      };
    });

/** Pots that get their colour elsewhere than from their own colorants, and where. */
export function schoolOf(w: Weights, potId: string): OmbreWeights['school'] | undefined {
  return w.ombres.find((o) => o.layers.some((l) => l.pot.id === potId))?.school;
}

const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** The two stocks of a master-blend ombre, of batter or of oils. */
export const stocks = (computed: Computed, w: Weights): Draft[] =>
  w.ombres.flatMap((o): Draft[] => {
    if (o.school !== 'master-blends') return [];
    const what = o.of === 'oils' ? 'Mixed oils' : 'Batter';
    return (['first', 'last'] as const).map((which): Draft => ({
      chapter: 'divide',
      text: `${o.ombre.name}: weigh out the ${lower(o[which].name)}${o[which].colorants.length > 0 ? ' and stir in its dispersed colorant' : ''}. Label it.${o.of === 'oils' ? ' Stir it again before every draw: colorant settles.' : ''}`,
      lines: [
        { name: `${what} for the ${lower(o[which].name)}`, massG: o[which].massG, fine: false },
        ...dispersedLines(computed, o[which].colorants),
      ],
    }));
  });

/** What one pot draws from the stocks of its ombre. */
export function drawLines(w: Weights, potId: string): Line[] {
  for (const o of w.ombres) {
    if (o.school !== 'master-blends') continue;
    const draw = o.draws.find((d) => d.pot.id === potId);
    if (draw)
      return [
        { name: o.last.name, massG: draw.lastG, fine: false, pot: potId },
        { name: o.first.name, massG: draw.firstG, fine: false, pot: potId },
      ].filter((l) => l.massG > 0);
  }
  return [];
}

/** What is stirred into a one-pot ombre's pot before one of its passes. */
export function beforePass(computed: Computed, w: Weights, pourId: string): Draft[] {
  const { units } = computed.plan;
  for (const o of w.ombres) {
    if (o.school !== 'one-pot') continue;
    for (const pot of o.pots) {
      const pass = pot.passes.find((p) => p.pourId === pourId);
      const colorants = dispersedLines(computed, pass?.colorants ?? []);
      if (!pass || (colorants.length === 0 && pass.plainG === 0)) continue;
      return [
        {
          chapter: 'pour',
          step: pourId,
          pot: pot.pot.id,
          text: `Stir into ${potName(pot.pot)}, which holds ${formatMass(pass.holdsG, units.mass, units.scaleStepG)}: all through, to the floor of the jug.`,
          lines: [
            ...(pass.plainG > 0
              ? [{ name: 'Plain batter kept for it', massG: pass.plainG, fine: false, pot: pot.pot.id }]
              : []),
            ...colorants,
          ],
        },
      ];
    }
  }
  return [];
}

/** Batter of a one-pot ombre's pot at the start, and what stands by plain. */
export function startLines(w: Weights, potId: string): Line[] | undefined {
  for (const o of w.ombres) {
    const pot = o.school === 'one-pot' ? o.pots.find((p) => p.pot.id === potId) : undefined;
    if (pot)
      return [
        { name: 'Batter', massG: pot.startG, fine: false, pot: potId },
        ...(pot.plainG > 0
          ? [{ name: 'Plain batter to keep for it', massG: pot.plainG, fine: false, pot: potId }]
          : []),
      ];
  }
  return undefined;
}
