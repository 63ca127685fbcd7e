import { remembered } from '../task/remembered.ts';
import { fillProfile, type FillProfile } from '../geometry/fillProfile.ts';
import { frustum } from '../geometry/frustum.ts';
import { openProfile } from '../geometry/openProfile.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { arc, CIRCLE_SIDES, lyingPrism, standingPrism, type Flat } from '../geometry/prism.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';
import { G_PER_OUNCE, ML_PER_CUBIC_INCH } from '../units/factors.ts';
import { columnsIn } from './column.ts';
import { insideOf } from './inside.ts';
import { roomsOf, type Room } from './rooms.ts';
import type { Mould } from './schema.ts';
import { isRound, standsOnEnd } from './round.ts';

export const MM3_PER_ML = 1000;

export const UP: Vec3 = [0, 0, 1];

export interface Size {
  readonly width: Millimetres;
  readonly length: Millimetres;
}

export interface MouldGeometry {
  /** the whole lined inside up to the rim, dividers and column apart, in the mould frame */
  readonly solid: Polyhedron;
  /** the compartments, from the left or from the near end; one where there is no divider */
  readonly rooms: readonly [Room, ...Room[]];
  /** open volume below a level surface in all compartments, mm^3 of mm */
  readonly level: FillProfile;
  /** what can be poured in, up to the rim */
  readonly rimVolumeMl: Millilitres;
  readonly heightMm: Millimetres;
  /** the widest and longest of the lined inside */
  readonly most: Size;
  /** at the lined floor, where loaves are measured for the cut; round moulds: the widest */
  readonly floor: Size;
}

interface Form {
  readonly solid: Polyhedron;
  readonly most: Size;
  readonly floor: Size;
}

const lifted = (outline: readonly Flat[], by: number): Flat[] => outline.map(([a, b]) => [a, b + by]);

function formOf(mould: Mould): Form {
  const { shape, linerMm } = mould;
  if (isRound(shape)) {
    const radius = shape.diameterMm / 2 - linerMm;
    const width = 2 * radius;
    if (standsOnEnd(shape)) {
      const size = { width, length: width };
      return {
        solid: standingPrism(
          arc(radius, 0, 2 * Math.PI, CIRCLE_SIDES),
          shape.lengthMm - linerMm - (mould.mat?.thicknessMm ?? 0),
        ),
        most: size,
        floor: size,
      };
    }
    const length = shape.lengthMm - 2 * linerMm;
    const outline =
      shape.kind === 'tube'
        ? arc(radius, -Math.PI / 2, 1.5 * Math.PI, CIRCLE_SIDES)
        : arc(radius, Math.PI, 2 * Math.PI, CIRCLE_SIDES / 2);
    const lowest = Math.min(...outline.map(([, z]) => z));
    const size = { width, length };
    return { solid: lyingPrism(lifted(outline, -lowest), length), most: size, floor: size };
  }
  const { floor, rim, heightMm } = insideOf(shape, mould);
  const most = { width: Math.max(floor.width, rim.width), length: Math.max(floor.length, rim.length) };
  return { solid: frustum(floor, rim, 0, heightMm), most, floor };
}

/**
 * A mould's geometry is asked for at every place that draws, lays or checks it; it changes only with the
 * mould.
 */
export const mouldGeometry = remembered(geometryOf);

function geometryOf(mould: Mould): MouldGeometry {
  const form = formOf(mould);
  const [first, ...others] = roomsOf(form.solid, form.floor, mould.divider, columnsIn(mould));
  if (!first) throw new RangeError('a mould with no room inside: checkMould refuses these');
  const rooms = [first, ...others] as const;
  const level = openProfile(rooms, UP);
  return {
    ...form,
    rooms,
    level,
    rimVolumeMl: level.total / MM3_PER_ML,
    heightMm: Math.max(...rooms.map((r) => r.heightMm)),
  };
}

/** What columns standing in the mould keep out below a height: the holes that pulling them leaves. */
export const holeMl = (geometry: MouldGeometry, heightMm: Millimetres): Millilitres =>
  geometry.rooms.reduce(
    (sum, r) =>
      sum + r.blocked.reduce((s, b) => s + fillProfile(b, UP).volumeBelow(heightMm), 0) / MM3_PER_ML,
    0,
  );

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
