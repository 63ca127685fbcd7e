import * as v from 'valibot';
import { REPEATED_EDGES } from '../flow/edge.ts';
import { degrees, lengthMm, listOf, massG, name } from '../validate/fields.ts';
import { columnId } from '../validate/ids.ts';
import { runsSchema } from './runs.ts';

const boxShape = v.strictObject({
  kind: v.literal('box'),
  lengthMm: lengthMm(30, 2000),
  widthMm: lengthMm(15, 1000),
  heightMm: lengthMm(10, 600),
});

const taperedShape = v.strictObject({
  kind: v.literal('tapered'),
  floorLengthMm: lengthMm(30, 2000),
  floorWidthMm: lengthMm(15, 1000),
  rimLengthMm: lengthMm(30, 2000),
  rimWidthMm: lengthMm(15, 1000),
  heightMm: lengthMm(10, 600),
});

/** A trough of half a circle, lying: its rim is its diameter wide. */
const halfRoundShape = v.strictObject({
  kind: v.literal('half-round'),
  lengthMm: lengthMm(30, 2000),
  diameterMm: lengthMm(20, 600),
});

/** A tube, filled standing on its end, or lying and filled through its top. */
const tubeShape = v.strictObject({
  kind: v.literal('tube'),
  stands: v.picklist(['standing', 'lying']),
  lengthMm: lengthMm(30, 2000),
  diameterMm: lengthMm(20, 600),
});

/** An odd shape, measured by the water it holds; taken as a box of that volume, length and height. */
const measuredShape = v.strictObject({
  kind: v.literal('measured'),
  waterG: massG(20, 200_000),
  lengthMm: lengthMm(30, 2000),
  heightMm: lengthMm(10, 600),
});

/** Inside sizes in mm, before a liner: length along y, width across x, height from floor to rim. */
export const shapeSchema = v.variant('kind', [
  boxShape,
  taperedShape,
  halfRoundShape,
  tubeShape,
  measuredShape,
]);

/** Removable walls inside. `lengthwise` walls run along the loaf, `crosswise` ones across it. */
const dividerSchema = v.strictObject({
  runs: runsSchema,
  /** middle of each wall, from the left wall (lengthwise) or the near end (crosswise), at the lined floor */
  atMm: listOf(lengthMm(1, 2000), 11, 'at most 11 walls', 1, 'a divider has at least one wall'),
  thicknessMm: lengthMm(0.1, 30),
});

const stands = {
  id: columnId,
  /** its middle, from the middle of the floor: right and towards the far end */
  xMm: lengthMm(-500, 500),
  yMm: lengthMm(-1000, 1000),
};

/** About its middle, anticlockwise from above. */
const turnDeg = v.optional(degrees(-180, 180));

/** How many corners a column of own outline may have. */
export const MOST_CORNERS = 24;

/** Something that stands in the mould while it is poured, floor to rim, and is pulled out after. */
const columnSchema = v.variant('form', [
  v.strictObject({ ...stands, form: v.literal('round'), acrossMm: lengthMm(5, 500) }),
  v.strictObject({ ...stands, form: v.literal('square'), acrossMm: lengthMm(5, 500), turnDeg }),
  v.strictObject({
    ...stands,
    form: v.literal('own'),
    /** its corners in order, from its middle before it is turned: right and towards the far end */
    points: listOf(
      v.strictObject({ xMm: lengthMm(-250, 250), yMm: lengthMm(-250, 250) }),
      MOST_CORNERS,
      `an outline has at most ${MOST_CORNERS} corners`,
      3,
      'an outline has three corners at least',
    ),
    turnDeg,
  }),
]);

/** More of them nobody has hands for. */
export const MOST_COLUMNS = 8;

/**
 * A texture mat that lies on the floor: what is poured on it comes out upside down and stands on its top. Its
 * relief is hollows below its flat; they are the ridges of the soap.
 */
const matSchema = v.strictObject({
  /** from the floor to its flat */
  thicknessMm: lengthMm(0.5, 60),
  /** from its flat down into its hollows */
  reliefMm: lengthMm(0.3, 30),
  shape: v.picklist(REPEATED_EDGES),
  /** from one hollow to the next */
  pitchMm: lengthMm(3, 400),
  /** its hollows run along the loaf, or across it */
  runs: runsSchema,
});

const wholeBars = (most: number) =>
  v.pipe(v.number(), v.integer('whole bars are wanted'), v.minValue(1), v.maxValue(most));

export const mouldSchema = v.strictObject({
  name: name(80),
  /** what the walls are made of; decides how they are drawn */
  material: v.picklist(['wood', 'silicone', 'plastic']),
  shape: shapeSchema,
  /** thickness of paper or film on every wall and the floor, mm */
  linerMm: lengthMm(0, 10),
  /** thickness of the walls, mm: a prop stands under the outside edge */
  wallMm: lengthMm(0, 60),
  /** how far each long wall bulges outward at mid-length, at the rim, when full, mm */
  bowMm: lengthMm(0, 40),
  /**
   * bars that a slab is made for, across its width and along its length: it is cut so when it is chosen. One
   * by one: a cavity, whose bar is not cut at all
   */
  bars: v.optional(v.strictObject({ across: wholeBars(20), along: wholeBars(60) })),
  divider: v.optional(dividerSchema),
  columns: v.optional(
    listOf(columnSchema, MOST_COLUMNS, `at most ${MOST_COLUMNS} columns`, 1, 'a column is wanted'),
  ),
  mat: v.optional(matSchema),
});

export type Divider = v.InferOutput<typeof dividerSchema>;
export type Mat = v.InferOutput<typeof matSchema>;
export type Column = v.InferOutput<typeof columnSchema>;
export type Shape = v.InferOutput<typeof shapeSchema>;
export type Mould = v.InferOutput<typeof mouldSchema>;

/** A mould for one bar, which is not cut. */
export const isCavity = ({ bars }: Mould): boolean => bars?.across === 1 && bars.along === 1;
