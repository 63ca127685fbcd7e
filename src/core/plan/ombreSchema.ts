import { colorantId, ombreId } from '../validate/ids.ts';
import * as v from 'valibot';
import { dose, listOf, name, percent } from '../validate/fields.ts';

/** Colorants at their doses, g per kg of batter. */
export const mix = listOf(
  v.strictObject({ colorant: colorantId, doseGPerKg: dose(0, 200) }),
  12,
  'at most 12 colorants',
);

const seen = v.pipe(
  v.number(),
  v.minValue(0, 'a curve stays between 0 and 1'),
  v.maxValue(1, 'a curve stays between 0 and 1'),
);

const spacing = v.variant('kind', [
  /** neighbours differ alike, by CIEDE2000 */
  v.strictObject({ kind: v.literal('even') }),
  v.strictObject({ kind: v.literal('equal-dose') }),
  v.strictObject({ kind: v.literal('halving') }),
  /** how much of the seen way is gone at a quarter, half and three quarters of the layers; rising */
  v.strictObject({ kind: v.literal('curve'), heights: v.tuple([seen, seen, seen]) }),
]);

export const SCHOOLS = ['one-pot', 'master-blends', 'separate-pots'] as const;

export const ombreSchema = v.strictObject({
  id: ombreId,
  name: name(60),
  school: v.picklist(SCHOOLS),
  /** the first colour, by its colorants; none: plain batter */
  from: mix,
  to: mix,
  spacing,
  /** when the steps are to look as spaced */
  spacedAt: v.picklist(['pour', 'cut', 'cured']),
  /**
   * powder to the fine scale's step, or to eighths of a level teaspoon, or as fine as the scale weighs it in
   * its carrier: a diluted stock
   */
  measure: v.picklist(['scale', 'spoon', 'stock']),
  /** what stays in the jugs of the two stocks, percent of what is drawn */
  stockLossPercent: percent(0, 30),
});

export type Mix = v.InferOutput<typeof mix>;
export type Ombre = v.InferOutput<typeof ombreSchema>;
export type Spacing = Ombre['spacing'];
export type School = Ombre['school'];
