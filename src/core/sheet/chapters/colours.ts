import { formatMass, formatNumber } from '../../units/format.ts';
import { lowerFirst } from '../../units/words.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import type { OmbreWeights } from '../../weigh/ombre/types.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import { clean } from '../../weigh/ingredients.ts';
import { heldBefore, linesOf } from '../lines.ts';
import { dispersals } from '../mixing.ts';
import { potName, type Draft } from './draft.ts';

/** Every colorant dispersed once, in the order in which the whisk needs no washing. */
export const colours = (computed: Computed, w: Weights): Draft[] =>
  dispersals(computed, w).map((d): Draft => {
    const act = ACT.disperse(d.colorant.id);
    const into = d.into.map((n) => (n.endsWith('stock') ? `the ${n}` : `pot ${n}`)).join(', ');
    const { jar, nature } = d.colorant;
    if (jar !== undefined) {
      const massG = clean(d.massG + (d.carrier?.massG ?? 0));
      return {
        id: act,
        chapter: 'colour',
        text: `Shake up the jar "${jar}" until nothing sits on its floor, and weigh out ${d.colorant.name}, dispersed as it is. For ${into}.`,
        lines: [
          {
            name: `${d.colorant.name} from its jar (${formatMass(d.massG, 'g', computed.plan.units.fineStepG)} of powder)`,
            massG,
            times: 1,
            fine: true,
            lye: false,
            from: SUPPLY,
            to: VESSEL.jar(d.colorant.id),
          },
        ],
      };
    }
    if (nature?.carrier === 'none')
      return {
        id: act,
        chapter: 'colour',
        text: `Weigh out ${d.colorant.name}, to be sifted in dry: it may speckle. For ${into}.`,
        lines: linesOf(computed, w, act),
      };
    const how = d.carrier
      ? `in ${formatNumber(d.carrier.ml, 0)} ml of ${d.carrier.kind === 'oil' ? 'the oil set aside' : d.carrier.name}`
      : 'in a little light oil or water';
    return {
      id: act,
      chapter: 'colour',
      text: `Disperse ${d.colorant.name} ${how}: crush out every lump. For ${into}.`,
      lines: linesOf(computed, w, act),
    };
  });

/** The way an ombre colours a pot; undefined for a pot with colorants of its own. */
export function schoolOf(w: Weights, potId: string): OmbreWeights['school'] | undefined {
  return w.ombres.find((o) => o.layers.some((l) => l.pot.id === potId))?.school;
}

/** The two stocks of a master-blend ombre, of batter or of oils. */
export const stocks = (computed: Computed, w: Weights): Draft[] =>
  w.ombres.flatMap((o): Draft[] => {
    if (o.school !== 'master-blends') return [];
    return (['first', 'last'] as const).map((which): Draft => {
      const act = ACT.stock(o.ombre.id, which);
      return {
        id: act,
        chapter: 'divide',
        text: `${o.ombre.name}: weigh out the ${lowerFirst(o[which].name)}${o[which].colorants.length > 0 ? ' and stir in its dispersed colorant' : ''}. Label it.${o.of === 'oils' ? ' Stir it again before every draw: colorant settles.' : ''}`,
        lines: linesOf(computed, w, act),
      };
    });
  });

/** What is stirred into a one-pot ombre's pot before one of its passes. */
export function beforePass(computed: Computed, w: Weights, pourId: string): Draft[] {
  const { plan } = computed;
  const act = ACT.pass(pourId);
  const lines = linesOf(computed, w, act);
  const pot = plan.pots.find((p) => lines[0]?.pot === p.id);
  if (!pot) return [];
  const holdsG = heldBefore(w, act, VESSEL.pot(pot.id));
  return [
    {
      id: act,
      chapter: 'pour',
      step: pourId,
      pot: pot.id,
      text: `Stir into ${potName(pot)}, which holds ${formatMass(holdsG, plan.units.mass, plan.units.scaleStepG)}: all through, to the floor of the jug.`,
      lines,
    },
  ];
}
