import type { PotId, StepId } from '../../validate/ids.ts';
import type { Computed } from '../../computed/compute.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import { potNamed } from '../../plan/sources.ts';
import { formatMass } from '../../units/format.ts';
import { ACT, VESSEL } from '../../weigh/acts.ts';
import type { OmbreWeights } from '../../weigh/ombre/types.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Draft, Line } from '../act.ts';
import type { Deed } from '../deeds.ts';
import { heldBefore, linesOf, sumOfLines } from '../lines.ts';
import { dispersals, type Dispersal } from '../mixing.ts';

type How = Extract<Deed, { does: 'disperse' }>['how'];

function howOf({ colorant: { jar, nature }, carrier }: Dispersal): How {
  if (jar !== undefined) return { kind: 'jar', jar };
  if (nature?.carrier === 'none') return { kind: 'dry' };
  if (!carrier) return { kind: 'undescribed' };
  return carrier.kind === 'oil'
    ? { kind: 'oil-set-aside', ml: carrier.ml }
    : { kind: 'carrier', name: carrier.name, ml: carrier.ml };
}

/** What is weighed out of a jar that stands ready: powder and what it is dispersed in together. */
function fromJar(computed: Computed, w: Weights, { colorant, massG }: Dispersal): Line {
  const parts = linesOf(computed, w, ACT.disperse(colorant.id));
  return {
    name: `${colorant.name} from its jar (${formatMass(massG, 'g', computed.plan.units.fineStepG)} of powder)`,
    massG: sumOfLines(parts),
    times: 1,
    fine: true,
    lye: false,
    from: SUPPLY,
    to: VESSEL.jar(colorant.id),
    parts,
  };
}

/** Every colorant dispersed once, in the order in which the whisk needs no washing. */
export const colours = (computed: Computed, w: Weights): Draft[] =>
  dispersals(computed, w).map((d): Draft => {
    const id = ACT.disperse(d.colorant.id);
    const how = howOf(d);
    return {
      id,
      chapter: 'colour',
      deed: { does: 'disperse', colorant: d.colorant.name, into: d.into, how },
      lines: how.kind === 'jar' ? [fromJar(computed, w, d)] : linesOf(computed, w, id),
    };
  });

/** The way an ombre colours a pot; undefined for a pot with colorants of its own. */
export function schoolOf(w: Weights, potId: PotId): OmbreWeights['school'] | undefined {
  return w.ombres.find((o) => o.layers.some((l) => l.pot.id === potId))?.school;
}

/** The two stocks of a master-blend ombre, of batter or of oils. */
export const stocks = (computed: Computed, w: Weights): Draft[] =>
  w.ombres.flatMap((o): Draft[] => {
    if (o.school !== 'master-blends') return [];
    return (['first', 'last'] as const).map((which): Draft => {
      const id = ACT.stock(o.ombre.id, which);
      const { name, colorants } = o[which];
      return {
        id,
        chapter: 'divide',
        deed: {
          does: 'make-stock',
          ombre: o.ombre.name,
          stock: name,
          coloured: colorants.length > 0,
          ofOils: o.of === 'oils',
        },
        lines: linesOf(computed, w, id),
      };
    });
  });

/** What is stirred into a one-pot ombre's pot before one of its passes. */
export function beforePass(computed: Computed, w: Weights, pourId: StepId): Draft[] {
  const id = ACT.pass(pourId);
  const lines = linesOf(computed, w, id);
  const pot = potNamed(computed.plan, lines[0]?.pot);
  if (!pot) return [];
  const holdsG = heldBefore(w, id, VESSEL.pot(pot.id));
  return [
    {
      id,
      chapter: 'pour',
      step: pourId,
      pot: pot.id,
      deed: { does: 'stir-into-pot', at: 'pass', holdsG },
      lines,
    },
  ];
}
