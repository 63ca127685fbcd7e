import { potId } from '../validate/ids.ts';
import * as v from 'valibot';
import { batterSchema, MOST_POTS, oilsSchema, waterSchema } from '../batter/schema.ts';
import { planColorantSchema } from '../colorant/schema.ts';
import { mouldSchema } from '../mould/schema.ts';
import {
  colour,
  id,
  listOf,
  massG,
  moment,
  name,
  percent,
  stage,
  text,
  volumeMl,
} from '../validate/fields.ts';
import { clockSchema } from './clockSchema.ts';
import { mix, ombreSchema } from './ombreSchema.ts';
import { copies, cutSchema, otherMouldSchema, toHeadspace, toHeight } from './otherMould.ts';
import { stepSchema } from './stepSchema.ts';

export const SCALE_STEPS_G = [5, 2, 1, 0.5, 0.1, 0.01] as const;

export const unitsSchema = v.strictObject({
  length: v.picklist(['mm', 'in']),
  mass: v.picklist(['g', 'oz']),
  temperature: v.picklist(['C', 'F']),
  /** what the bench scale shows, g: oils, water, lye, batter */
  scaleStepG: v.picklist(SCALE_STEPS_G),
  /** what the fine scale shows, g: colorants, fragrance, additives */
  fineStepG: v.picklist(SCALE_STEPS_G),
});

const fillTo = v.variant('kind', [
  toHeadspace,
  toHeight,
  /** whatever height a batch of this much batter reaches */
  v.strictObject({ kind: v.literal('batter'), massG: massG(20, 500000) }),
  /** whatever height a batch with this much oil reaches */
  v.strictObject({ kind: v.literal('oils'), massG: massG(10, 400000) }),
]);

const fill = v.strictObject({
  to: fillTo,
  /** how full the mould is where the batch has a given size; absent: it takes what the batch leaves for it */
  upTo: v.optional(v.variant('kind', [toHeadspace, toHeight])),
  /** so many of this mould are filled alike from the one batch */
  copies,
  /** batter mixed beyond what is poured and held back, for jugs, blender and spatula */
  overagePercent: percent(0, 50),
  /** top allowance: batter held back for the top and for repairs, and from which pot */
  top: listOf(v.strictObject({ pot: potId, massG: massG(0, 100000) }), 48, 'at most 48 pots'),
});

const pot = v.strictObject({
  id: potId,
  letter: v.pipe(v.string(), v.regex(/^[A-Z][0-9]?$/, 'a letter A to Z, with a digit at most')),
  name: name(60),
  /** given by hand; absent: as its colorants make it */
  colour: v.optional(colour),
  /** stage wanted when it is poured: 0 emulsion, 1 light, 2 medium, 3 thick, 4 spoonable, 5 firm */
  stage: stage(0, 5),
  /** a pot that an ombre is poured from takes its colorants from there instead */
  colorants: mix,
  /** it is mixed in the jug that this pot has left empty, not in one of its own */
  jugOf: v.optional(potId),
  /** what it is mixed in: how much it holds to the brim, and its weight empty */
  jug: v.optional(
    v.strictObject({ name: name(60), capacityMl: volumeMl(20, 50000), tareG: massG(0, 20000) }),
  ),
  /** blended on to this stage right before it is poured */
  blendTo: v.optional(stage(0, 5)),
  /** stirred loose right before it is poured: thinner for a short while */
  loosened: v.optional(v.literal(true)),
  /** in portions made ready before the lye: its own oils in place of the recipe's, its own water */
  own: v.optional(v.strictObject({ oils: v.optional(oilsSchema), water: v.optional(waterSchema) })),
});

/**
 * A small batch of its own that is piped on top: mixed after the loaf is poured, in one vessel, and parted
 * into its pots.
 */
const second = v.strictObject({
  batter: batterSchema,
  pots: listOf(pot, MOST_POTS, `at most ${MOST_POTS} pots`, 1, 'a second batch needs at least one pot'),
  /** batter mixed beyond what is piped: bags and nozzles keep more than jugs do */
  overagePercent: percent(0, 100),
});

/** One batch split after emulsion, or portions made ready before the lye. */
const divide = v.variant('kind', [
  v.strictObject({ kind: v.literal('after-emulsion') }),
  v.strictObject({ kind: v.literal('before-lye'), lye: v.picklist(['together', 'jug-by-jug']) }),
]);

/** More steps than this nobody follows. */
export const MOST_STEPS = 200;

export const planSchema = v.strictObject({
  id,
  name: name(120),
  notes: v.pipe(text, v.maxLength(20000, 'notes have at most 20 000 characters')),
  created: moment,
  changed: moment,
  units: unitsSchema,
  mould: mouldSchema,
  fill,
  batter: batterSchema,
  divide,
  /** the plan's own copies: changing the library changes no plan */
  colorants: listOf(planColorantSchema, 300, 'at most 300 colorants'),
  pots: listOf(pot, MOST_POTS, `at most ${MOST_POTS} pots`, 1, 'a plan needs at least one pot'),
  ombres: listOf(ombreSchema, 8, 'at most 8 ombres'),
  steps: listOf(stepSchema, MOST_STEPS, `at most ${MOST_STEPS} steps`),
  cut: cutSchema,
  /** what the timing rests on */
  clock: v.optional(clockSchema, () => ({})),
  /** piped on top */
  second: v.optional(second),
  /** other moulds, filled from the same batch */
  others: v.optional(listOf(otherMouldSchema, 5, 'at most five moulds beside the first'), () => []),
});

export type Plan = v.InferOutput<typeof planSchema>;
export type Units = Plan['units'];
export type FillTo = Plan['fill']['to'];
export type Pot = Plan['pots'][number];
export type Divide = Plan['divide'];
export type CutSettings = Plan['cut'];
/** Blocks that are sliced, in place of bars straight across. */
export type CutWay = NonNullable<CutSettings['way']>;
