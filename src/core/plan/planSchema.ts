import * as v from 'valibot';
import { batterSchema } from '../batter/schema.ts';
import { planColorantSchema } from '../colorant/schema.ts';
import { mouldSchema } from '../mould/schema.ts';
import { colour, id, lengthMm, massG, moment, name, percent, stage } from '../validate/fields.ts';
import { mix, ombreSchema } from './ombreSchema.ts';
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
  /** filled to this far below the rim */
  v.strictObject({ kind: v.literal('headspace'), headspaceMm: lengthMm(0, 500) }),
  /** filled to this height above the lined floor */
  v.strictObject({ kind: v.literal('height'), heightMm: lengthMm(1, 600) }),
  /** whatever height a batch of this much batter reaches */
  v.strictObject({ kind: v.literal('batter'), massG: massG(20, 500000) }),
  /** whatever height a batch with this much oil reaches */
  v.strictObject({ kind: v.literal('oils'), massG: massG(10, 400000) }),
]);

const fill = v.strictObject({
  to: fillTo,
  /** so many of this mould are filled alike from the one batch */
  copies: v.pipe(v.number(), v.integer('whole moulds are wanted'), v.minValue(1), v.maxValue(48)),
  /** batter mixed beyond what is poured and held back, for jugs, blender and spatula */
  overagePercent: percent(0, 50),
  /** top allowance: batter held back for the top and for repairs, and from which pot */
  top: v.pipe(
    v.array(v.strictObject({ pot: id, massG: massG(0, 100000) })),
    v.maxLength(48, 'at most 48 pots'),
  ),
});

/** Pots a plan may have: a long ombre of separate pots takes one a layer. */
export const MOST_POTS = 48;

const pot = v.strictObject({
  id,
  letter: v.pipe(v.string(), v.regex(/^[A-Z][0-9]?$/, 'a letter A to Z, with a digit at most')),
  name: name(60),
  /** given by hand; absent: as its colorants make it */
  colour: v.optional(colour),
  /** stage wanted when it is poured: 0 emulsion, 1 light, 2 medium, 3 thick, 4 spoonable, 5 firm */
  stage: stage(0, 5),
  /** a pot that an ombre is poured from takes its colorants from there instead */
  colorants: mix,
  /** it is mixed in the jug that this pot has left empty, not in one of its own */
  jugOf: v.optional(id),
});

/** One batch split after emulsion, or portions made ready before the lye. */
const divide = v.variant('kind', [
  v.strictObject({ kind: v.literal('after-emulsion') }),
  v.strictObject({ kind: v.literal('before-lye'), lye: v.picklist(['together', 'jug-by-jug']) }),
]);

/** Straight across the loaf, lengths along y in mm; a slab is also cut into strips across its width. */
const cut = v.strictObject({
  strips: v.pipe(v.number(), v.integer('whole strips are wanted'), v.minValue(1), v.maxValue(20)),
  thicknessMm: lengthMm(5, 300),
  kerfMm: lengthMm(0, 10),
  trimStartMm: lengthMm(0, 200),
  trimEndMm: lengthMm(0, 200),
});

export const planSchema = v.strictObject({
  id,
  name: name(120),
  notes: v.pipe(v.string(), v.maxLength(20000, 'notes have at most 20 000 characters')),
  created: moment,
  changed: moment,
  units: unitsSchema,
  mould: mouldSchema,
  fill,
  batter: batterSchema,
  divide,
  /** the plan's own copies: changing the library changes no plan */
  colorants: v.pipe(v.array(planColorantSchema), v.maxLength(300, 'at most 300 colorants')),
  pots: v.pipe(
    v.array(pot),
    v.minLength(1, 'a plan needs at least one pot'),
    v.maxLength(MOST_POTS, `at most ${MOST_POTS} pots`),
  ),
  ombres: v.pipe(v.array(ombreSchema), v.maxLength(8, 'at most 8 ombres')),
  steps: v.pipe(v.array(stepSchema), v.maxLength(200, 'at most 200 steps')),
  cut,
});

export type Plan = v.InferOutput<typeof planSchema>;
export type Units = Plan['units'];
export type FillTo = Plan['fill']['to'];
export type Pot = Plan['pots'][number];
export type Divide = Plan['divide'];
export type CutSettings = Plan['cut'];
