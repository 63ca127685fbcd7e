import type { ColorantId } from '../validate/ids.ts';
import type { Nature } from '../colorant/schema.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { ACT, colouredAt, VESSEL } from './acts.ts';
import { upToStep } from '../units/scaleStep.ts';
import { dispersedG } from './dispersed.ts';
import type { Weight } from './ingredients.ts';
import type { OmbreWeights } from './ombre/types.ts';
import type { PotTarget } from './targets.ts';

/** Some of a dispersed colorant for one vessel. */
export interface DispersionDraw {
  readonly act: string;
  readonly to: string;
  readonly colorant: ColorantId;
  readonly powderG: Grams;
  /** powder and carrier together, as it is weighed */
  readonly massG: Grams;
}

/** One colorant dispersed once, all of it. */
export interface Dispersion {
  readonly colorant: ColorantId;
  readonly powderG: Grams;
  readonly carrierG: Grams;
  readonly carrier: Exclude<Nature['carrier'], 'none'> | undefined;
  /** it is taken out of a jar that is shaken up ready, carrier and all */
  readonly ready: boolean;
}

export interface Dispersions {
  readonly draws: readonly DispersionDraw[];
  readonly jars: readonly Dispersion[];
}

/** Everything that takes dispersed colorant: pots, stocks of blends, and passes of a pot coloured as it empties. */
function destinations(
  plan: Plan,
  ombres: readonly OmbreWeights[],
  pots: readonly { readonly target: PotTarget; readonly colorants: readonly Weight[] }[],
): { readonly act: string; readonly to: string; readonly colorants: readonly Weight[] }[] {
  const graded = ombres.flatMap((o) => {
    switch (o.school) {
      case 'one-pot':
        return o.pots.flatMap((p) =>
          p.passes.map((pass) => ({
            act: ACT.pass(pass.pourId),
            to: VESSEL.pot(p.pot.id),
            colorants: pass.colorants,
          })),
        );
      case 'master-blends':
        return (['first', 'last'] as const).map((which) => ({
          act: ACT.stock(o.ombre.id, which),
          to: VESSEL.stock(o.ombre.id, which),
          colorants: o[which].colorants,
        }));
      case 'separate-pots':
        return o.pots.map((p) => ({
          act: colouredAt(plan, p.pot.id),
          to: VESSEL.pot(p.pot.id),
          colorants: p.colorants,
        }));
    }
  });
  const plain = pots.map(({ target, colorants }) => ({
    act: colouredAt(plan, target.pot.id),
    to: VESSEL.pot(target.pot.id),
    colorants,
  }));
  return [...plain, ...graded];
}

/**
 * What is drawn of each dispersed colorant at the fine scale's step, and what each jar is made of so that the draws empty
 * it: the carrier is what the draws hold beyond the powder.
 */
export function dispersionsOf(
  plan: Plan,
  ombres: readonly OmbreWeights[],
  pots: readonly { readonly target: PotTarget; readonly colorants: readonly Weight[] }[],
  fineG: Grams,
): Dispersions {
  const natureOf = new Map(plan.colorants.map((c) => [c.id, c.nature] as const));
  const draws = destinations(plan, ombres, pots).flatMap(({ act, to, colorants }) =>
    colorants
      .filter((c) => c.massG > 0)
      .map((c): DispersionDraw => {
        const massG = dispersedG(natureOf.get(c.id), c.massG, fineG);
        return { act, to, colorant: c.id, powderG: c.massG, massG };
      }),
  );
  const jars = plan.colorants.flatMap((c): Dispersion[] => {
    const own = draws.filter((d) => d.colorant === c.id);
    const powderG = own.reduce((s, d) => s + d.powderG, 0);
    if (powderG <= 0) return [];
    // a diluted stock or a spoon gives powder between the scale's steps: the jar is made to the step above, in proportion
    const weighedG = upToStep(powderG, fineG);
    const drawnG = own.reduce((s, d) => s + d.massG, 0);
    const wantedG = weighedG - powderG > 1e-6 ? (drawnG * weighedG) / powderG : drawnG;
    return [
      {
        colorant: c.id,
        powderG: weighedG,
        carrierG: c.nature ? upToStep(Math.max(0, wantedG - weighedG), fineG) : 0,
        carrier: c.nature?.carrier === 'none' ? undefined : c.nature?.carrier,
        ready: c.jar !== undefined,
      },
    ];
  });
  return { draws, jars };
}
