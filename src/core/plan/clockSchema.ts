import * as v from 'valibot';
import { knownRate } from '../batter/schema.ts';
import { celsius, id, listOf, minutes, percent, ratePerMinute, ratio, stage } from '../validate/fields.ts';
import { potId } from '../validate/ids.ts';

/** Pots are coloured all at first, or each when it is wanted. */
export const COLOURINGS = ['all-first', 'each'] as const;

/** What colour is stirred in with. */
export const STIRRERS = ['spatula', 'whisk', 'hand-blender', 'stick-blender'] as const;

/** Waits are kept by feel, until what lies below carries; or by the clock. */
export const KEEPINGS = ['feel', 'clock'] as const;

/** How rough the border between two layers may be either way, mm: not at all, as is usual, and soft. */
export const BLURS = [0, 2, 5] as const;

/**
 * How long this maker takes: to colour a pot, to stir a scent into it, to pour one of 425 g, to scrape, to
 * tap.
 */
const pace = v.strictObject({
  divideMin: v.optional(minutes(0, 30)),
  makeMin: v.optional(minutes(0.2, 60)),
  colourMin: v.optional(minutes(0, 30)),
  scentMin: v.optional(minutes(0, 10)),
  pourMin: v.optional(
    v.strictObject({
      stream: v.optional(minutes(0.05, 30)),
      low: v.optional(minutes(0.05, 30)),
      spatula: v.optional(minutes(0.05, 30)),
      spoon: v.optional(minutes(0.05, 30)),
    }),
  ),
  tapMin: v.optional(minutes(0, 10)),
  tiltMin: v.optional(minutes(0, 10)),
  scrapeMin: v.optional(minutes(0.1, 30)),
});

/** More readings than this nobody takes of one batch. */
export const MOST_READINGS = 60;

/** More is not done to one pot. */
export const MOST_SPELLS = 60;

/** A fragrance that is in a pot, or a part of its doses, 0 to 1. */
const scentIn = v.strictObject({ id, share: v.optional(ratio(0.001, 24)) });

/**
 * From a minute on a pot thickens at one speed: with these fragrances in it, and so many times as fast for
 * what else was done to it.
 */
const spell = v.strictObject({
  min: minutes(0, 2880),
  /** thicker by this at once, by stirring or blending */
  adds: stage(-10, 10),
  fragrances: listOf(scentIn, 12, 'at most 12 fragrances'),
  times: ratio(0.01, 100),
});

/** What was done to a pot until it was looked at: a reading tells of that, whatever the plan says later. */
const history = v.strictObject({
  /** it was so thick when it was divided off, or made */
  start: stage(0, 5),
  batterC: celsius(-20, 130),
  lyePercent: percent(1, 95),
  /** of its oils at 38 C and 30 % lye, stages a minute: estimated */
  perMinute: ratePerMinute,
  /** at the reading it was thinner by this, stirred loose */
  thinner: v.optional(stage(0, 1)),
  /** at the reading it had lain still for so long, in the mould */
  restMin: v.optional(minutes(0, 2880)),
  /** the first is when it was divided off, or made */
  spells: listOf(spell, MOST_SPELLS, `at most ${MOST_SPELLS} spells`, 1, 'a spell is wanted'),
});

const reading = v.strictObject({
  id,
  /** of this pot */
  pot: potId,
  /** on the clock of the pour */
  min: minutes(0, 2880),
  /** so thick it was then */
  stage: stage(0, 5),
  /** read off the layer poured of it last, as that bears; absent: as it flows, in its jug */
  lying: v.optional(v.literal(true)),
  /** absent: as the plan stands */
  history: v.optional(history),
});

/** A thermometer in the lye, minutes after it was dissolved. */
const thermometer = v.strictObject({ min: minutes(0, 1440), celsius: celsius(0, 120) });

const cooling = v.strictObject({
  roomC: v.optional(celsius(-10, 45)),
  first: v.optional(thermometer),
  second: v.optional(thermometer),
});

/** What the timing rests on. What is absent is estimated, or taken as usual. */
export const clockSchema = v.strictObject({
  /** the batter is divided, or poured from, at this stage: minute 0 */
  start: v.optional(stage(0, 3)),
  /** how fast it thickens at 38 C with 30 % lye and nothing in it that quickens it, stages a minute */
  perMinute: v.optional(ratePerMinute),
  /** where the thermometer says otherwise than the temperatures of the recipe: of the batter itself */
  batterC: v.optional(celsius(5, 80)),
  /** how the lye cools */
  cooling: v.optional(cooling),
  colouring: v.optional(v.picklist(COLOURINGS)),
  stirrer: v.optional(v.picklist(STIRRERS)),
  keeping: v.optional(v.picklist(KEEPINGS)),
  /** how thick pots really were, and when */
  readings: v.optional(listOf(reading, MOST_READINGS, `at most ${MOST_READINGS} readings`)),
  /** what was learned of this recipe in earlier batches */
  known: v.optional(knownRate),
  /** what was learned of how soon it stiffens at rest: in so many minutes its strength doubles */
  knownRest: v.optional(knownRate),
  /** nothing is learned from the readings for the recipe, for rest, or for these fragrances */
  refused: v.optional(listOf(id, 14, 'at most 14 refusals')),
  /** the border between two layers may be rough by so much either way, mm: 2 when absent */
  blurMm: v.optional(v.picklist(BLURS)),
  /** between pours the mould stands in a warm cupboard */
  warm: v.optional(v.literal(true)),
  /** the batch that is piped on top is begun at this minute; absent: once the loaf is poured */
  pipingAtMin: v.optional(minutes(0, 2880)),
  pace: v.optional(pace),
});

export type PlanClock = v.InferOutput<typeof clockSchema>;
export type Reading = v.InferOutput<typeof reading>;
export type PotHistory = v.InferOutput<typeof history>;
export type Cooling = v.InferOutput<typeof cooling>;
export type Pace = v.InferOutput<typeof pace>;
export type Stirrer = (typeof STIRRERS)[number];
export type Colouring = (typeof COLOURINGS)[number];
