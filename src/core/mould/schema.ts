import * as v from 'valibot';
import { lengthMm } from '../validate/fields.ts';

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

/** Inside sizes in mm, before a liner: length along y, width across x, height from floor to rim. */
export const shapeSchema = v.variant('kind', [boxShape, taperedShape]);

export const mouldSchema = v.strictObject({
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'a mould needs a name'), v.maxLength(80)),
  /** what the walls are made of; decides how they are drawn and which cautions apply */
  material: v.picklist(['wood', 'silicone', 'plastic']),
  shape: shapeSchema,
  /** thickness of paper or film on every wall and the floor, mm */
  linerMm: lengthMm(0, 10),
});

export type Shape = v.InferOutput<typeof shapeSchema>;
export type Mould = v.InferOutput<typeof mouldSchema>;
