import { fillProfile, type FillProfile } from '../geometry/fillProfile.ts';
import { frustum } from '../geometry/frustum.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';
import { G_PER_OUNCE, ML_PER_CUBIC_INCH } from '../units/factors.ts';
import { insideOf, type Inside } from './inside.ts';
import type { Mould } from './schema.ts';

export const MM3_PER_ML = 1000;

export const UP: Vec3 = [0, 0, 1];

export interface MouldGeometry {
  readonly inside: Inside;
  /** the lined inside up to the rim, in the mould frame */
  readonly solid: Polyhedron;
  /** volume below a level surface, mm^3 of mm */
  readonly level: FillProfile;
  readonly rimVolumeMl: Millilitres;
}

export function mouldGeometry(mould: Mould): MouldGeometry {
  const inside = insideOf(mould);
  const solid = frustum(inside.floor, inside.rim, 0, inside.heightMm);
  const level = fillProfile(solid, UP);
  return { inside, solid, level, rimVolumeMl: level.total / MM3_PER_ML };
}

export const volumeToHeight = (geometry: MouldGeometry, heightMm: Millimetres): Millilitres =>
  geometry.level.volumeBelow(heightMm) / MM3_PER_ML;

/** Height a level volume reaches; the rim when there is more than the mould holds. */
export const heightOfVolume = (geometry: MouldGeometry, volumeMl: Millilitres): Millimetres =>
  geometry.level.levelOf(volumeMl * MM3_PER_ML);

/**
 * The makers' rule: length x width x fill height in inches x 0.40 = ounces of oils.
 * Common practice, no source; shown beside the computed oils as a cross-check, never used to compute.
 */
export const ruleOfThumbOilsG = (fillMl: Millilitres): Grams =>
  (fillMl / ML_PER_CUBIC_INCH) * 0.4 * G_PER_OUNCE;
