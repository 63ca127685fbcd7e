import type { ColorantId, OmbreId, PotId, StepId } from '../validate/ids.ts';
import type { Nature } from '../colorant/schema.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { VESSEL, type Vessel } from '../day/vessel.ts';
import { upToStep } from '../units/scaleStep.ts';
import { dispersedG } from './dispersed.ts';
import type { Weight } from './ingredients.ts';
import type { OmbreWeights } from './ombre/types.ts';
import type { PotTarget } from './targets.ts';

/**
 * What dispersed colorant is drawn for: a pot's own colour, a pass of a pot coloured as it empties, or a
 * stock of blends.
 */
export type DrawnFor =
  | { readonly kind: 'pot'; readonly pot: PotId }
  | { readonly kind: 'pass'; readonly pour: StepId }
  | { readonly kind: 'stock'; readonly ombre: OmbreId; readonly which: 'first' | 'last' };

/** Some of a dispersed colorant for one vessel. */
export interface DispersionDraw {
  readonly for: DrawnFor;
  readonly to: Vessel;
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

interface Destination {
  readonly for: DrawnFor;
  readonly to: Vessel;
  readonly colorants: readonly Weight[];
}

/**
 * Everything that takes dispersed colorant: pots, stocks of blends, and passes of a pot coloured as it
 * empties.
 */
function destinations(
  ombres: readonly OmbreWeights[],
  pots: readonly { readonly target: PotTarget; readonly colorants: readonly Weight[] }[],
): readonly Destination[] {
  const own = (pot: PotId, colorants: readonly Weight[]): Destination => ({
    for: { kind: 'pot', pot },
    to: VESSEL.pot(pot),
    colorants,
  });
  const graded = ombres.flatMap((o): readonly Destination[] => {
    switch (o.school) {
      case 'one-pot':
        return o.pots.flatMap((p) =>
          p.passes.map(({ pourId, colorants }): Destination => ({
            for: { kind: 'pass', pour: pourId },
            to: VESSEL.pot(p.pot.id),
            colorants,
          })),
        );
      case 'master-blends':
        return (['first', 'last'] as const).map((which) => ({
          for: { kind: 'stock', ombre: o.ombre.id, which },
          to: VESSEL.stock(o.ombre.id, which),
          colorants: o[which].colorants,
        }));
      case 'separate-pots':
        return o.pots.map((p) => own(p.pot.id, p.colorants));
    }
  });
  return [...pots.map(({ target, colorants }) => own(target.pot.id, colorants)), ...graded];
}

/**
 * What is drawn of each dispersed colorant at the fine scale's step, and what each jar is made of so that the
 * draws empty it: the carrier is what the draws hold beyond the powder.
 */
export function dispersionsOf(
  plan: Plan,
  ombres: readonly OmbreWeights[],
  pots: readonly { readonly target: PotTarget; readonly colorants: readonly Weight[] }[],
  fineG: Grams,
): Dispersions {
  const natureOf = new Map(plan.colorants.map((c) => [c.id, c.nature] as const));
  const draws = destinations(ombres, pots).flatMap(({ to, colorants, for: what }) =>
    colorants
      .filter((c) => c.massG > 0)
      .map((c): DispersionDraw => {
        const massG = dispersedG(natureOf.get(c.id), c.massG, fineG);
        return { for: what, to, colorant: c.id, powderG: c.massG, massG };
      }),
  );
  const jars = plan.colorants.flatMap((c): Dispersion[] => {
    const own = draws.filter((d) => d.colorant === c.id);
    const powderG = own.reduce((s, d) => s + d.powderG, 0);
    if (powderG <= 0) return [];
    // a diluted stock or a spoon gives powder between the scale's steps: the jar is made to the step above,
    // in proportion
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
