import { MOMENTS, type LiquidMoment } from './moments.ts';
import { doseId, potId, stepId } from '../validate/ids.ts';
import * as v from 'valibot';
import {
  celsius,
  colour,
  density,
  dose,
  id,
  listOf,
  moment,
  name,
  percent,
  ratio,
  saponificationValue,
  text,
} from '../validate/fields.ts';

/** Pots a plan may have: a long ombre of separate pots takes one a layer. */
export const MOST_POTS = 48;

/** An oil that is not in the library, from its supplier's sheet. */
export const customOilSchema = v.strictObject({
  name: name(60),
  svLow: saponificationValue,
  svHigh: saponificationValue,
  densityGMl: density,
});

const oilLine = {
  /** an id from the oil library, or any other id when `custom` describes it */
  oil: id,
  /** the supplier lot's saponification value, mg KOH/g; the library's mid-range when absent */
  svMgG: v.optional(saponificationValue),
  custom: v.optional(customOilSchema),
};

const recipeOil = v.strictObject({
  ...oilLine,
  /** percent of all oils by mass */
  percent: percent(0, 100),
});

export const oilsSchema = listOf(recipeOil, 40, 'at most 40 oils');

export const waterSchema = v.variant('school', [
  v.strictObject({ school: v.literal('percent-of-oils'), value: percent(5, 100) }),
  v.strictObject({ school: v.literal('lye-concentration'), value: percent(10, 50) }),
  v.strictObject({ school: v.literal('water-to-lye'), value: ratio(1, 9) }),
]);

/** So much of an addition, into the whole batch or into some pots, at a moment. */
const doseSchema = v.strictObject({
  id: doseId,
  /** g for each kg of the recipe's oils in what it goes into */
  gPerKgOils: dose(0, 500),
  moment: v.picklist(MOMENTS),
  /** the pots it goes into; absent: the whole batch */
  pots: v.optional(listOf(potId, MOST_POTS, `at most ${MOST_POTS} pots`, 1, 'a pot is wanted')),
  /**
   * with the moment `pour`: once before this pour, into all that is left in the jug; absent: before each
   * pour, for it alone
   */
  fromPour: v.optional(stepId),
});

const doses = listOf(doseSchema, 12, 'at most 12 doses', 1, 'a dose is wanted');

const additive = v.strictObject({ id, name: name(60), densityGMl: density, doses });

/**
 * An oil stirred in after the lye: on top of the recipe's, it counts in the lye balance of what it goes into.
 */
const lateOil = v.strictObject({ id, ...oilLine, doses });

const partLiquid = v.strictObject({
  id,
  name: name(60),
  /** percent of the recipe's water that this liquid brings */
  percentOfWater: percent(0, 100),
  /** how much of the liquid is water, percent by mass */
  waterPercent: percent(20, 100),
  moment: v.picklist(['frozen', 'water', 'cooled-lye', 'oils', 'emulsion'] satisfies LiquidMoment[]),
});

/** What a fragrance does to the batter's speed: quickens it mildly, or much. */
export const SPEEDS = ['slows', 'none', 'quickens', 'quickens-much', 'seizes'] as const;

/**
 * A rate as it was learned, and in how many readings: of a recipe in stages a minute, of a fragrance how many
 * times as fast.
 */
export const knownRate = v.strictObject({
  value: v.pipe(v.number(), v.minValue(0.001), v.maxValue(50)),
  readings: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(100000)),
  /**
   * batter that stiffens at rest and lags near emulsion was reckoned with; absent: it was learned before
   * that, and is in doubt by more
   */
  rested: v.optional(v.literal(true)),
});

const fragrance = v.strictObject({
  id,
  name: name(80),
  /** lot, version or supplier's date: two of one name may behave otherwise */
  version: v.optional(name(40)),
  /** as seen by oneself, or as the supplier says; absent: not known */
  speed: v.optional(v.picklist(SPEEDS)),
  /** what was learned of it in earlier batches: it comes before what is seen or said */
  known: v.optional(knownRate),
  /**
   * the certificate's limit for rinse-off bar soap, percent of the finished bar; absent when not known yet
   */
  limitPercent: v.optional(percent(0, 100)),
  densityGMl: density,
  /** what tans soap: vanillin and its like in the fragrance, percent by mass; from the supplier's sheet */
  vanillinPercent: v.optional(percent(0, 40)),
  doses,
});

export const PROMISES = ['vegan', 'palm-free', 'milk-free'] as const;

/** The recipe as it was assessed for sale: a line for each ingredient (see recipeLines). */
const assessedSchema = v.strictObject({
  on: moment,
  lines: listOf(v.pipe(text, v.maxLength(200)), 200, 'at most 200 lines'),
});

export const batterSchema = v.strictObject({
  oils: oilsSchema,
  superfatPercent: percent(0, 30),
  alkali: v.literal('naoh'),
  purityPercent: percent(80, 100),
  water: waterSchema,
  partLiquids: listOf(partLiquid, 10, 'at most 10 liquids'),
  additives: listOf(additive, 30, 'at most 30 additives'),
  lateOils: listOf(lateOil, 12, 'at most 12 oils'),
  fragrances: listOf(fragrance, 12, 'at most 12 fragrances'),
  /** what is promised of every ingredient */
  promises: v.optional(listOf(v.picklist(PROMISES), 3, 'at most three promises')),
  assessed: v.optional(assessedSchema),
  /**
   * colour of the plain soap, cured and not gelled, from a bar of one's own; absent: estimated from the oils
   */
  colour: v.optional(colour),
  /** wanted temperatures at mixing, and the water's before the lye goes in */
  temperatures: v.strictObject({ oilsC: celsius(15, 80), lyeC: celsius(15, 80), waterC: celsius(-5, 40) }),
});

export type Batter = v.InferOutput<typeof batterSchema>;
export type RecipeOil = Batter['oils'][number];
export type OilLine = Omit<RecipeOil, 'percent'>;
export type Water = Batter['water'];
export type Promised = (typeof PROMISES)[number];
export type Speed = (typeof SPEEDS)[number];
export type KnownRate = v.InferOutput<typeof knownRate>;
export type Dose = v.InferOutput<typeof doseSchema>;
export type Additive = Batter['additives'][number];
export type LateOil = Batter['lateOils'][number];
export type PartLiquid = Batter['partLiquids'][number];
export type Fragrance = Batter['fragrances'][number];
