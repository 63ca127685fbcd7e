import type { Colouring, PlanClock, Stirrer } from './clockSchema.ts';
import type { Plan } from './planSchema.ts';
import type { Stroke } from './stepSchema.ts';
import type { Landing } from '../setting/landing.ts';
import type { Grams, Millimetres, Minutes, Stage } from '../units/quantity.ts';

/** How long a maker takes, minutes. What a plan does not say is as usual; common practice, no source. */
export interface Habits {
  /** to share the batch out, for each pot */
  readonly divideMin: Minutes;
  /** to put lye to one portion and blend it */
  readonly makeMin: Minutes;
  readonly colourMin: Minutes;
  readonly scentMin: Minutes;
  /** 450 g into one mould */
  readonly pourMin: Readonly<Record<Landing['how'], Minutes>>;
  readonly tapMin: Minutes;
  readonly tiltMin: Minutes;
  readonly scrapeMin: Minutes;
  readonly colouring: Colouring;
  readonly stirrer: Stirrer;
}

export const USUAL: Habits = {
  divideMin: 0.3,
  makeMin: 3,
  colourMin: 0.5,
  scentMin: 0.35,
  pourMin: { stream: 0.6, low: 0.8, spatula: 1, spoon: 1.6 },
  tapMin: 0.2,
  tiltMin: 0.3,
  scrapeMin: 1.5,
  colouring: 'each',
  stirrer: 'whisk',
};

export const habitsOf = ({ pace = {}, colouring, stirrer }: PlanClock): Habits => ({
  divideMin: pace.divideMin ?? USUAL.divideMin,
  makeMin: pace.makeMin ?? USUAL.makeMin,
  colourMin: pace.colourMin ?? USUAL.colourMin,
  scentMin: pace.scentMin ?? USUAL.scentMin,
  pourMin: {
    stream: pace.pourMin?.stream ?? USUAL.pourMin.stream,
    low: pace.pourMin?.low ?? USUAL.pourMin.low,
    spatula: pace.pourMin?.spatula ?? USUAL.pourMin.spatula,
    spoon: pace.pourMin?.spoon ?? USUAL.pourMin.spoon,
  },
  tapMin: pace.tapMin ?? USUAL.tapMin,
  tiltMin: pace.tiltMin ?? USUAL.tiltMin,
  scrapeMin: pace.scrapeMin ?? USUAL.scrapeMin,
  colouring: colouring ?? USUAL.colouring,
  stirrer: stirrer ?? USUAL.stirrer,
});

/** Pots of one batch are coloured each right before it is wanted, not as they are weighed out. */
export const coloursEach = ({ divide, clock }: Pick<Plan, 'divide' | 'clock'>): boolean =>
  divide.kind === 'after-emulsion' && habitsOf(clock).colouring === 'each';

/** What stirring colour in adds, stages: by the stick in a few short bursts. Estimates. */
export const STIRS: Readonly<Record<Stirrer, Stage>> = {
  spatula: 0.1,
  whisk: 0.15,
  'hand-blender': 0.25,
  'stick-blender': 0.35,
};

/** What colour is stirred in with, as makers say it. */
export const STIRRER_WORDS: Readonly<Record<Stirrer, string>> = {
  spatula: 'spatula',
  whisk: 'whisk',
  'hand-blender': 'hand-turned blender',
  'stick-blender': 'stick blender',
};

/** Stirring a scent in by the spatula. An estimate. */
export const SCENT_STIRS: Stage = 0.05;

/** To weigh what is poured into a cup first. An estimate. */
export const CUP_MIN: Minutes = 0.5;

/** To stir a pot loose. An estimate. */
export const LOOSEN_MIN: Minutes = 0.3;

/** To put the jug down and take up the next one. An estimate. */
const NEXT_JUG_MIN: Minutes = 0.1;

/** A pour of any size takes this part of a pour of 450 g; the rest goes by its size. A judgement. */
const FIXED_PART = 0.4;
const USUAL_G: Grams = 450;

/** How long it takes to pour so much into each of so many moulds, drawing on so many jugs in all. */
export const pourMinutes = (
  { pourMin }: Habits,
  how: Landing['how'],
  eachG: Grams,
  moulds: number,
  jugs: number,
): Minutes =>
  moulds * pourMin[how] * (FIXED_PART + ((1 - FIXED_PART) * eachG) / USUAL_G) +
  NEXT_JUG_MIN * Math.max(0, jugs * moulds - 1);

/** How long a stick takes for one way. Estimates. */
const STROKE_MIN: Readonly<Record<Exclude<Stroke['path']['kind'], 'fan'>, Minutes>> = {
  spiral: 0.7,
  rings: 0.7,
  lines: 0.7,
  free: 0.7,
};

export const strokeMinutes = ({ path }: Stroke): Minutes =>
  path.kind === 'fan' ? Math.min(2, Math.max(0.5, path.strokes * 0.06)) : STROKE_MIN[path.kind];

export const WIRE_MIN: Minutes = 0.8;
export const LINE_MIN: Minutes = 1;
export const PULL_MIN: Minutes = 0.7;
export const RIDGES_MIN: Minutes = 1;

/** The border between two layers may be rough by so much, mm, where a plan says nothing. A judgement. */
export const FINE_MM: Millimetres = 2;

/** What is put on top. Estimates. */
export const TOP_MIN = { mound: 2, dents: 1.5, pieces: 2, straws: 1.5, salt: 0.5 } as const;

/** One row of piping on one mould. An estimate. */
export const ROW_MIN: Minutes = 2;
