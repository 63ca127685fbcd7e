import { colorantId } from '../validate/ids.ts';
import * as v from 'valibot';
import { knownRate, SPEEDS } from '../batter/schema.ts';
import { CARRIERS } from '../colorant/schema.ts';
import {
  density,
  id,
  lengthMm,
  listOf,
  massG,
  moment,
  name,
  percent,
  ratio,
  volumeMl,
} from '../validate/fields.ts';

/** How much it tans the bar. */
export const TANS = ['none', 'a little', 'much'] as const;

const behaviour = {
  speed: v.picklist(SPEEDS),
  tan: v.picklist(TANS),
};

/** Seen by oneself, in a recipe. */
const observation = v.strictObject({ on: moment, recipe: name(120), ...behaviour });

/**
 * A fragrance that one has. Two lots or versions of one name are two: one may behave where the other does
 * not.
 */
export const fragranceStock = v.strictObject({
  kind: v.literal('fragrance'),
  id,
  name: name(60),
  /** lot, version or supplier's date */
  version: v.optional(name(40)),
  densityGMl: density,
  /** the certificate's limit for rinse-off bar soap, percent of the finished bar */
  limitPercent: v.optional(percent(0, 100)),
  vanillinPercent: v.optional(percent(0, 40)),
  /** what was learned of how it quickens, from readings of batches and cups */
  known: v.optional(knownRate),
  /** what the supplier says of it */
  claimed: v.optional(v.strictObject(behaviour)),
  observed: listOf(observation, 60, 'at most 60 observations'),
});

/** A jar of colour shaken up in its carrier, ready to be weighed out. */
export const jarStock = v.strictObject({
  kind: v.literal('jar'),
  id,
  name: name(60),
  /** of the colorants library */
  colorant: colorantId,
  carrier: v.picklist(CARRIERS),
  /** which oil that is, by its id in the oil library; absent: not known */
  oil: v.optional(id),
  /** g of carrier to each g of powder */
  carrierPerPowder: ratio(0.3, 50),
  leftG: massG(0, 100000),
});

export const jugStock = v.strictObject({
  kind: v.literal('jug'),
  id,
  name: name(60),
  /** to the brim */
  capacityMl: volumeMl(20, 50000),
  tareG: massG(0, 20000),
  count: v.pipe(v.number(), v.integer('whole jugs are wanted'), v.minValue(1), v.maxValue(100)),
});

/** A cutter with slots or wires at an even distance. */
export const cutterStock = v.strictObject({
  kind: v.literal('cutter'),
  id,
  name: name(60),
  /** from one slot or wire to the next */
  pitchMm: lengthMm(2, 200),
  /** what a cut takes away */
  kerfMm: lengthMm(0, 10),
  /** the longest piece that goes in */
  longestMm: lengthMm(20, 2000),
});

/** A plan kept to begin others from; its shape is that of the version it was kept in. */
export const keptBeginning = v.strictObject({
  kind: v.literal('beginning'),
  id,
  name: name(120),
  version: v.pipe(v.number(), v.integer()),
  plan: v.looseObject({}),
});

export const supplySchema = v.variant('kind', [
  fragranceStock,
  jarStock,
  jugStock,
  cutterStock,
  keptBeginning,
]);

export type Supply = v.InferOutput<typeof supplySchema>;
export type SupplyKind = Supply['kind'];
export type SupplyOf<K extends SupplyKind> = Extract<Supply, { kind: K }>;
export type FragranceStock = SupplyOf<'fragrance'>;
export type JarStock = SupplyOf<'jar'>;
export type JugStock = SupplyOf<'jug'>;
export type CutterStock = SupplyOf<'cutter'>;
export type Tan = (typeof TANS)[number];
