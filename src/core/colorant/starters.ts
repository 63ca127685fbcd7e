import { CREAM } from './cream.ts';
import type { Colorant, ColorantKind, Nature } from './schema.ts';

/**
 * How each kind usually weighs, wets and behaves. Recalled common practice, no source; the supplier's sheet
 * comes first.
 */
const USUAL: Readonly<
  Record<ColorantKind, Pick<Nature, 'gPerTsp' | 'carrier' | 'carrierMlPerG' | 'usualGPerKg'>>
> = {
  mica: { gPerTsp: 2.6, carrier: 'oil', carrierMlPerG: 5, usualGPerKg: 10 },
  oxide: { gPerTsp: 3.6, carrier: 'oil', carrierMlPerG: 5, usualGPerKg: 8 },
  ultramarine: { gPerTsp: 3.2, carrier: 'oil', carrierMlPerG: 5, usualGPerKg: 10 },
  'titanium-oil': { gPerTsp: 2.8, carrier: 'oil', carrierMlPerG: 5, usualGPerKg: 10 },
  'titanium-water': { gPerTsp: 2.8, carrier: 'water', carrierMlPerG: 5, usualGPerKg: 10 },
  clay: { gPerTsp: 2.4, carrier: 'water', carrierMlPerG: 3, usualGPerKg: 30 },
  plant: { gPerTsp: 2.2, carrier: 'oil', carrierMlPerG: 6, usualGPerKg: 20 },
  dye: { gPerTsp: 3, carrier: 'water', carrierMlPerG: 10, usualGPerKg: 2 },
  charcoal: { gPerTsp: 1.6, carrier: 'oil', carrierMlPerG: 8, usualGPerKg: 8 },
};

/**
 * A second, pale test bar of each: invented, plausible, so that a little colours less than in proportion to a
 * lot. A maker's own test bars replace both.
 */
const PALE: Readonly<Record<string, NonNullable<Nature['pale']>>> = {
  heather: { colour: '#d3b7c7', doseGPerKg: 1 },
  'weir-copper': { colour: '#e7b48b', doseGPerKg: 1 },
  slate: { colour: '#b1b9b9', doseGPerKg: 1 },
  'pool-green': { colour: '#afcdbd', doseGPerKg: 1 },
  'heather-2': { colour: '#d9c6ca', doseGPerKg: 0.6 },
  bracken: { colour: '#e6ce9a', doseGPerKg: 0.6 },
  lichen: { colour: '#eae1c5', doseGPerKg: 1 },
  moss: { colour: '#cacfa8', doseGPerKg: 0.4 },
  peat: { colour: '#987c6a', doseGPerKg: 0.9 },
  'oxide-red': { colour: '#d99175', doseGPerKg: 0.6 },
  'oxide-yellow': { colour: '#ecd095', doseGPerKg: 0.6 },
  'oxide-black': { colour: '#86848a', doseGPerKg: 0.8 },
  'chrome-green': { colour: '#b5c7a0', doseGPerKg: 0.6 },
  'ultramarine-blue': { colour: '#99b0cb', doseGPerKg: 0.9 },
  'ultramarine-violet': { colour: '#d9cbcd', doseGPerKg: 1 },
  charcoal: { colour: '#8d8e8c', doseGPerKg: 0.8 },
  'rose-clay': { colour: '#eacbb9', doseGPerKg: 2 },
  madder: { colour: '#e4b2aa', doseGPerKg: 2 },
  indigo: { colour: '#b0bcc3', doseGPerKg: 0.3 },
  annatto: { colour: '#f1d394', doseGPerKg: 0.9 },
  spirulina: { colour: '#bdc699', doseGPerKg: 2 },
  'gorse-dye': { colour: '#f1e2a1', doseGPerKg: 0.1 },
};

const CALM = { palesPercent: 0, fadesPercent: 0, bleeds: false, speckles: false };

const colorant = (
  id: string,
  name: string,
  kind: ColorantKind,
  colour: string,
  doseGPerKg: number,
  change: Partial<Nature> = {},
): Colorant => ({
  id,
  name,
  nature: {
    kind,
    colour,
    doseGPerKg,
    ...(PALE[id] ? { pale: PALE[id] } : {}),
    base: CREAM,
    ...USUAL[kind],
    ...CALM,
    ...change,
  },
});

/** A fresh colorant of a kind, to be described. */
export const newColorant = (id: string, name: string, kind: ColorantKind): Colorant =>
  colorant(id, name, kind, '#a58fb0', 5);

/**
 * Colorants to begin with: common pigments and plants, and the made-up micas of the demo studio. Colours and
 * doses are recalled or invented: a maker's own test bar replaces them.
 */
export const STARTER_COLORANTS: readonly Colorant[] = [
  colorant('white-oil', 'Titanium dioxide, oil', 'titanium-oil', '#f7f2e5', 6, { speckles: true }),
  colorant('white-water', 'Titanium dioxide, water', 'titanium-water', '#f7f2e5', 6, { speckles: true }),
  colorant('heather', 'Heather mica', 'mica', '#7d4f86', 8),
  colorant('weir-copper', 'Weir copper mica', 'mica', '#a8562c', 7),
  colorant('slate', 'Slate mica', 'mica', '#4e5b68', 7),
  colorant('pool-green', 'Pool green mica', 'mica', '#3f7f70', 7, {
    morph: { colour: '#8a8f5f', returns: true },
  }),
  colorant('heather-2', 'Heather 2 mica', 'mica', '#94719c', 4),
  colorant('bracken', 'Bracken oxide', 'oxide', '#b98b3e', 4),
  colorant('lichen', 'Lichen clay', 'clay', '#cdc48d', 9),
  colorant('moss', 'Moss oxide', 'oxide', '#77854f', 3),
  colorant('peat', 'Peat oxide', 'oxide', '#3f2d23', 6),
  colorant('oxide-red', 'Iron oxide, red', 'oxide', '#8c3a26', 4),
  colorant('oxide-yellow', 'Iron oxide, yellow', 'oxide', '#c98f35', 4),
  colorant('oxide-black', 'Iron oxide, black', 'oxide', '#35343a', 5),
  colorant('chrome-green', 'Chromium oxide, green', 'oxide', '#5c7b4b', 4),
  colorant('ultramarine-blue', 'Ultramarine, blue', 'ultramarine', '#3a4f9a', 6),
  colorant('ultramarine-violet', 'Ultramarine, violet', 'ultramarine', '#8d6fa6', 8),
  colorant('charcoal', 'Activated charcoal', 'charcoal', '#3a3b3c', 5, { bleeds: false, speckles: true }),
  colorant('kaolin', 'Kaolin, white clay', 'clay', '#f2e9d8', 20),
  colorant('rose-clay', 'Rose clay', 'clay', '#c98a76', 15),
  colorant('madder', 'Madder root', 'plant', '#b86a66', 12, { fadesPercent: 25, bleeds: true }),
  colorant('indigo', 'Indigo', 'plant', '#5f7391', 2, { usualGPerKg: 5, bleeds: true }),
  colorant('annatto', 'Annatto seed', 'plant', '#e0a03c', 6, { palesPercent: 20, fadesPercent: 30 }),
  colorant('spirulina', 'Spirulina', 'plant', '#7f8f58', 10, { fadesPercent: 60, palesPercent: 20 }),
  // a pale family and a bright one, made up like the studio's
  colorant('dawn-rose', 'Dawn rose clay', 'clay', '#e79aa6', 15),
  colorant('dawn-peach', 'Dawn peach clay', 'clay', '#f0ab74', 15),
  colorant('dawn-lemon', 'Dawn lemon clay', 'clay', '#f2d86a', 15),
  colorant('dawn-mint', 'Dawn mint clay', 'clay', '#97cdaa', 15),
  colorant('dawn-sky', 'Dawn sky clay', 'clay', '#8fbbe0', 15),
  colorant('dawn-lilac', 'Dawn lilac clay', 'clay', '#b79fd6', 15),
  colorant('rowan-red', 'Rowan red mica', 'mica', '#c8283a', 9),
  colorant('marigold', 'Marsh marigold mica', 'mica', '#f08a1d', 8),
  colorant('broom', 'Broom yellow mica', 'mica', '#f2cd1f', 5),
  colorant('fern', 'Fern green mica', 'mica', '#3f9a45', 8),
  colorant('kingfisher', 'Kingfisher blue mica', 'mica', '#1f6fc0', 8),
  colorant('foxglove', 'Foxglove pink mica', 'mica', '#cf3f94', 8),
  colorant('gorse-dye', 'Gorse yellow dye', 'dye', '#efc83a', 1, {
    bleeds: true,
    palesPercent: 50,
    fadesPercent: 15,
  }),
];
