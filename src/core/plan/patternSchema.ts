import * as v from 'valibot';
import { lengthMm, listOf, parts } from '../validate/fields.ts';
import { potId } from '../validate/ids.ts';
import { spot } from '../ways/spot.ts';
import { placeSchema } from '../ways/ways.ts';
import { runsSchema } from '../mould/runs.ts';

/** More rounds than this nobody pours. */
export const MOST_ROUNDS = 60;

export const patternSchema = v.strictObject({
  place: placeSchema,
  /** pots poured after the first in each round, in order; a pot can come again */
  then: listOf(potId, 23, 'at most 24 pots in a round'),
  /** what each round takes of every pot, as parts of what the pour takes of it */
  rounds: listOf(parts, MOST_ROUNDS, `at most ${MOST_ROUNDS} rounds`, 1, 'a round is wanted'),
});

/** How many points a path drawn by hand may have. */
export const MOST_POINTS = 2000;

/** The way of a stick in plan. `about` is where fans, spirals and rings are drawn round. */
const about = v.strictObject(spot);

const fanOf = (issue: { input: number }): string => `${issue.input} strokes is outside 2 to 96`;

const pathSchema = v.variant('kind', [
  v.strictObject({
    kind: v.literal('fan'),
    about,
    strokes: v.pipe(
      v.number(),
      v.integer('whole strokes are wanted'),
      v.minValue(2, fanOf),
      v.maxValue(96, fanOf),
    ),
    way: v.picklist(['out', 'in']),
    /** between each two of them another, from half way out */
    doubled: v.boolean(),
  }),
  v.strictObject({
    kind: v.literal('spiral'),
    about,
    pitchMm: lengthMm(4, 200),
    way: v.picklist(['out', 'in']),
  }),
  v.strictObject({ kind: v.literal('rings'), about, spacingMm: lengthMm(4, 200) }),
  /** back and forth, side to side or end to end */
  v.strictObject({
    kind: v.literal('lines'),
    runs: runsSchema,
    spacingMm: lengthMm(4, 300),
    /** every line the same way, or there and back */
    turns: v.boolean(),
  }),
  v.strictObject({
    kind: v.literal('free'),
    points: listOf(
      v.strictObject(spot),
      MOST_POINTS,
      `a path has at most ${MOST_POINTS} points`,
      2,
      'a path has two points at least',
    ),
  }),
]);

/** A stick drawn through batter that is still fluid. */
export const strokeFields = {
  path: pathSchema,
  end: v.picklist(['thick', 'thin']),
  depthMm: lengthMm(0.5, 600),
  /** for the top alone: the inside is to stay as it was poured */
  forTop: v.optional(v.literal(true)),
};

export type PatternPour = v.InferOutput<typeof patternSchema>;
export type StickPath = v.InferOutput<typeof pathSchema>;
