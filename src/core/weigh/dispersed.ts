import { dispersionPerG } from '../colorant/dispersion.ts';
import type { Nature } from '../colorant/schema.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';

/**
 * A mass of powder with its carrier, as it is weighed: to the fine scale's step, and never less than the
 * powder.
 */
export const dispersedG = (nature: Nature | undefined, powderG: Grams, fineG: Grams): Grams =>
  nature ? Math.max(powderG, toStep(powderG * dispersionPerG(nature), fineG)) : powderG;
