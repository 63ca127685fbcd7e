import * as v from 'valibot';
import {
  celsius,
  colour,
  density,
  dose,
  id,
  name,
  percent,
  ratio,
  saponificationValue,
} from '../validate/fields.ts';

const recipeOil = v.strictObject({
  /** an id from the oil library, or any other id when `custom` describes it */
  oil: id,
  /** percent of all oils by mass */
  percent: percent(0, 100),
  /** the supplier lot's saponification value, mg KOH/g; the library's mid-range when absent */
  svMgG: v.optional(saponificationValue),
  custom: v.optional(
    v.strictObject({
      name: name(60),
      svLow: saponificationValue,
      svHigh: saponificationValue,
      densityGMl: density,
    }),
  ),
});

const water = v.variant('school', [
  v.strictObject({ school: v.literal('percent-of-oils'), value: percent(5, 100) }),
  v.strictObject({ school: v.literal('lye-concentration'), value: percent(10, 50) }),
  v.strictObject({ school: v.literal('water-to-lye'), value: ratio(1, 9) }),
]);

const additive = v.strictObject({
  id,
  name: name(60),
  gPerKgOils: dose(0, 500),
  into: v.picklist(['lye', 'oils', 'trace']),
  densityGMl: density,
});

const partLiquid = v.strictObject({
  id,
  name: name(60),
  /** percent of the recipe's water that this liquid brings */
  percentOfWater: percent(0, 100),
  /** how much of the liquid is water, percent by mass */
  waterPercent: percent(20, 100),
  /** the lye is dissolved in it, frozen, slowly and on ice; otherwise it goes in at emulsion */
  frozen: v.optional(v.boolean()),
});

const fragrance = v.strictObject({
  name: name(80),
  percentOfOils: percent(0, 15),
  /** the certificate's limit for rinse-off bar soap, percent of the finished bar; absent when not known yet */
  limitPercent: v.optional(percent(0, 100)),
  when: v.picklist(['batch', 'pot']),
  densityGMl: density,
  /** what tans soap: vanillin and its like in the fragrance, percent by mass; from the supplier's sheet */
  vanillinPercent: v.optional(percent(0, 40)),
});

export const batterSchema = v.strictObject({
  oils: v.pipe(v.array(recipeOil), v.maxLength(40, 'at most 40 oils')),
  superfatPercent: percent(0, 30),
  alkali: v.literal('naoh'),
  purityPercent: percent(80, 100),
  water,
  partLiquids: v.pipe(v.array(partLiquid), v.maxLength(10, 'at most 10 liquids')),
  additives: v.pipe(v.array(additive), v.maxLength(30, 'at most 30 additives')),
  fragrance: v.optional(fragrance),
  /** colour of the plain soap, cured and not gelled, from a bar of one's own; absent: estimated from the oils */
  colour: v.optional(colour),
  /** wanted temperatures at mixing, and the water's before the lye goes in */
  temperatures: v.strictObject({ oilsC: celsius(15, 80), lyeC: celsius(15, 80), waterC: celsius(-5, 40) }),
});

export type Batter = v.InferOutput<typeof batterSchema>;
export type RecipeOil = Batter['oils'][number];
export type Water = Batter['water'];
export type Additive = Batter['additives'][number];
export type PartLiquid = Batter['partLiquids'][number];
export type Fragrance = NonNullable<Batter['fragrance']>;
