import { colorantId, mouldId, ombreId, potId, stepId } from '../validate/ids.ts';
import * as v from 'valibot';
import { UNDER } from '../mould/propped.ts';
import { WALLS } from '../mould/walls.ts';
import { landingSchema } from '../setting/landing.ts';
import { patternSchema, strokeFields } from './patternSchema.ts';
import { scrapeFields } from './scrapeSchema.ts';
import { topSchema } from './topSchema.ts';
import { wireFields } from './wireSchema.ts';
import {
  degrees,
  lengthMm,
  listOf,
  massG,
  minutes,
  name,
  parts,
  percent,
  stage,
} from '../validate/fields.ts';

/**
 * How much a pour takes. `height` is the rise of the batter surface above the lowest point still open,
 * measured square to the surface (for level layers: the layer's thickness). `percent` is of the batter
 * that goes into the mould. `rest` pours share what is left by parts.
 */
const amount = v.variant('kind', [
  v.strictObject({ kind: v.literal('height'), heightMm: lengthMm(0.1, 600) }),
  v.strictObject({ kind: v.literal('mass'), massG: massG(0.1, 200000) }),
  v.strictObject({ kind: v.literal('percent'), percent: percent(0.01, 100) }),
  v.strictObject({ kind: v.literal('rest'), parts }),
  /** up to this height on a wall, at its middle */
  v.strictObject({
    kind: v.literal('line'),
    wall: v.picklist(WALLS),
    heightMm: lengthMm(0.1, 600),
  }),
]);

/** The mould that a step is about, where it is not the first. */
const inMould = { mould: v.optional(mouldId) };

const pour = v.strictObject({
  id: stepId,
  ...inMould,
  kind: v.literal('pour'),
  pot: potId,
  /** which compartment of a divided mould, from the left or the near end; 0 is the first */
  compartment: v.pipe(v.number(), v.integer('a whole number is wanted'), v.minValue(0), v.maxValue(11)),
  amount,
  /** kept at this minute by the clock, whatever the batter does; absent: as soon as it can be */
  atMin: v.optional(minutes(0, 2880)),
  /** a locked pour keeps its amount when others are evened or its neighbour's line is dragged */
  locked: v.boolean(),
  landing: landingSchema,
  /**
   * A layer of an ombre: its shade comes from its place among that ombre's pours. With `turn` a new run
   * begins here: `restart` goes back to the first colour, `reverse` goes on the other way.
   */
  ombre: v.optional(v.strictObject({ id: ombreId, turn: v.optional(v.picklist(['restart', 'reverse'])) })),
  /** spooned in and left rough: from its deepest hollow to its highest peak; level when absent */
  roughMm: v.optional(lengthMm(0.5, 60)),
  /** laid on what is fluid, without waiting until that bears it: their border is rough */
  onFluid: v.optional(v.literal(true)),
  /** it pushes what is still fluid aside, from several pots in rounds */
  pattern: v.optional(patternSchema),
});

/** What is put under the mould: the angles follow from it. */
const putUnder = v.strictObject({
  name: v.optional(name(60)),
  under: v.picklist(UNDER),
  heightMm: lengthMm(0.5, 400),
  /** across a corner: how far from it the rod meets the end and the long edge; 60 mm when absent */
  fromCornerMm: v.optional(lengthMm(1, 500)),
});

/** From here on the mould stands at this tilt: roll lifts the +x (right) long edge, pitch the +y end. */
const tilt = v.strictObject({
  id: stepId,
  ...inMould,
  kind: v.literal('tilt'),
  rollDeg: degrees(-60, 60),
  pitchDeg: degrees(-60, 60),
  /** absent: the angles alone are given */
  props: v.optional(listOf(putUnder, 4, 'at most four props', 1, 'a prop is wanted')),
  /** set level while what was poured last is still fluid: it runs level */
  fluid: v.optional(v.literal(true)),
});

const wait = v.strictObject({
  id: stepId,
  ...inMould,
  kind: v.literal('wait'),
  until: v.variant('kind', [
    v.strictObject({ kind: v.literal('minutes'), minutes: minutes(0.1, 2880) }),
    /** until the layer poured last has this stage, 0 emulsion to 5 firm */
    v.strictObject({ kind: v.literal('stage'), stage: stage(0, 5) }),
  ]),
});

/** A stick drawn through the batter in plan. */
const stroke = v.strictObject({ id: stepId, ...inMould, kind: v.literal('stroke'), ...strokeFields });

/** A wire moved through the batter in the section. */
const wire = v.strictObject({ id: stepId, ...inMould, kind: v.literal('wire'), ...wireFields });

/** A scraper pulled over the layer poured last. */
const scrape = v.strictObject({ id: stepId, ...inMould, kind: v.literal('scrape'), ...scrapeFields });

/** A thin line of colorant over the layer poured last: dusted on dry, or trailed in a little oil. */
const mica = v.strictObject({
  id: stepId,
  ...inMould,
  kind: v.literal('mica'),
  colorant: colorantId,
  /** on one mould */
  massG: massG(0.05, 200),
  how: v.picklist(['dry', 'oil']),
});

/** The column is pulled and its hole filled with what is held back, pot after pot. */
const pull = v.strictObject({ id: stepId, ...inMould, kind: v.literal('pull') });

/** Something on top, once everything is poured. */
const top = v.strictObject({ id: stepId, ...inMould, kind: v.literal('top'), way: topSchema });

/** The hollows of the mat under the loaf are filled, level with its flat, before anything else is poured. */
const ridges = v.strictObject({ id: stepId, ...inMould, kind: v.literal('ridges'), pot: potId });

const finish = v.strictObject({
  id: stepId,
  kind: v.literal('finish'),
  /** the oven preheated and off, or held at 77 C for some two hours */
  what: v.picklist(['mist', 'insulate', 'heating-pad', 'warm-oven', 'oven-held', 'leave-cool']),
});

export const stepSchema = v.variant('kind', [
  pour,
  tilt,
  wait,
  stroke,
  wire,
  scrape,
  mica,
  pull,
  ridges,
  top,
  finish,
]);

export type Wall = Extract<v.InferOutput<typeof amount>, { kind: 'line' }>['wall'];
export type Wait = v.InferOutput<typeof wait>;
export type Amount = v.InferOutput<typeof amount>;
export type Pour = v.InferOutput<typeof pour>;
export type Stroke = v.InferOutput<typeof stroke>;
export type Wire = v.InferOutput<typeof wire>;
export type Scrape = v.InferOutput<typeof scrape>;
export type MicaLine = v.InferOutput<typeof mica>;
export type Top = v.InferOutput<typeof top>;
export type Ridges = v.InferOutput<typeof ridges>;
export type Finish = v.InferOutput<typeof finish>;
export type Step = v.InferOutput<typeof stepSchema>;
