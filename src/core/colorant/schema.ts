import { colorantId } from '../validate/ids.ts';
import * as v from 'valibot';
import { colour, dose, id, massG, millilitresPerGram, name, percent } from '../validate/fields.ts';

export const COLORANT_KINDS = [
  'mica',
  'oxide',
  'ultramarine',
  'titanium-oil',
  'titanium-water',
  'clay',
  'plant',
  'dye',
  'charcoal',
] as const;

/** What a colorant is dispersed in; `none`: it is sifted in dry. */
export const CARRIERS = ['oil', 'water', 'glycerine', 'alcohol', 'none'] as const;

/** What a maker knows of a colorant. */
const knownNature = v.strictObject({
  kind: v.picklist(COLORANT_KINDS),
  /** the colour that soap of the colour `base` takes on at this dose, cured and not gelled */
  colour,
  doseGPerKg: dose(0.01, 200),
  /** a second test bar: the colour at a pale dose, below the full one, in the same base */
  pale: v.optional(v.strictObject({ colour, doseGPerKg: dose(0.001, 200) })),
  base: colour,
  /** of one level teaspoon */
  gPerTsp: massG(0.1, 20),
  carrier: v.picklist(CARRIERS),
  /** carrier to disperse one gram in; of no account where there is none */
  carrierMlPerG: millilitresPerGram(0.5, 50),
  /** above this it is more than usual: it may speckle, bleed or colour the lather, g per kg of batter */
  usualGPerKg: dose(0.01, 200),
  /**
   * colour while the batter is fresh and at its most alkaline, at the same dose; and whether it comes back
   */
  morph: v.optional(v.strictObject({ colour, returns: v.boolean() })),
  /** strength lost in a hot oven */
  palesPercent: percent(0, 100),
  /** strength lost over the cure */
  fadesPercent: percent(0, 100),
  bleeds: v.boolean(),
  speckles: v.boolean(),
});

/** A pale dose is below the full one. */
const nature = v.pipe(
  knownNature,
  v.forward(
    v.check(
      (n) => n.pale === undefined || n.pale.doseGPerKg < n.doseGPerKg * 0.9,
      'a pale dose is well below the full one',
    ),
    ['pale'],
  ),
);

const head = { id: colorantId, name: name(60) };

/** A colorant of the library: everything about it is known. */
export const colorantSchema = v.strictObject({ ...head, nature, stockG: v.optional(massG(0, 100000)) });

/** A colorant as a plan keeps it: its own copy, or a name alone for one that was never described. */
export const planColorantSchema = v.strictObject({
  ...head,
  nature: v.optional(nature),
  /** weighed out of a jar that is shaken up ready, in the proportion that its carrier says; the jar's name */
  jar: v.optional(name(60)),
  /** the oil it is shaken up in, by its id in the oil library; absent: not known */
  jarOil: v.optional(id),
});

export type Nature = v.InferOutput<typeof nature>;
export type Colorant = v.InferOutput<typeof colorantSchema>;
export type PlanColorant = v.InferOutput<typeof planColorantSchema>;
export type ColorantKind = Nature['kind'];

export const KIND_NAMES: Readonly<Record<ColorantKind, string>> = {
  mica: 'mica',
  oxide: 'oxide',
  ultramarine: 'ultramarine',
  'titanium-oil': 'titanium dioxide, oil type',
  'titanium-water': 'titanium dioxide, water type',
  clay: 'clay',
  plant: 'plant powder',
  dye: 'dye',
  charcoal: 'charcoal',
};
