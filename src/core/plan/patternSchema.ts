import * as v from 'valibot';
import { CORNERS } from '../mould/cornerProp.ts';
import { lengthMm, listOf, parts, percent } from '../validate/fields.ts';
import { columnId, potId } from '../validate/ids.ts';

export const WALLS = ['left', 'right', 'near', 'far'] as const;

/** A spot of the plan, from the middle of the floor: right, and towards the far end. */
const spot = { xMm: lengthMm(-1000, 1000), yMm: lengthMm(-1000, 1000) };

const spoonOf = (issue: { input: number }): string => `${issue.input} turns is outside 0.5 to 12`;

/** So much of a pour a thin line between the wiggles of a split jug begins as. A judgement, no source. */
export const THIN_PERCENT = 8;

/** Where a pour that pushes earlier batter aside goes in. */
const placeSchema = v.variant('at', [
  /** down the columns that stand in the mould, or one of them */
  v.strictObject({ at: v.literal('column'), column: v.optional(columnId) }),
  v.strictObject({ at: v.literal('corner'), corner: v.picklist(CORNERS) }),
  /** along a line: lengthwise, so far to the right of the middle; crosswise, so far beyond it */
  v.strictObject({
    at: v.literal('line'),
    runs: v.picklist(['lengthwise', 'crosswise']),
    offMm: lengthMm(-1000, 1000),
  }),
  v.strictObject({ at: v.literal('wall'), wall: v.picklist(WALLS) }),
  /** down both long walls, or both ends, at once; so much of it down the left one, or the near one */
  v.strictObject({
    at: v.literal('two-walls'),
    walls: v.picklist(['long', 'ends']),
    firstPercent: percent(5, 95),
  }),
  /** close lines back and forth, from end to end or from side to side, that sink into what lies below as points */
  v.strictObject({
    at: v.literal('close-lines'),
    runs: v.picklist(['lengthwise', 'crosswise']),
    spacingMm: lengthMm(4, 200),
  }),
  /** accents stirred into the first pot's jug with a few turns of a spoon, and poured level out of it */
  v.strictObject({
    at: v.literal('in-the-pot'),
    spoonTurns: v.pipe(v.number(), v.minValue(0.5, spoonOf), v.maxValue(12, spoonOf)),
  }),
  /** side by side in one jug, poured level in wiggles so far apart */
  v.strictObject({
    at: v.literal('split-jug'),
    wiggleMm: lengthMm(8, 200),
    /** a thin line between the wiggles, out of a jug of its own: so much of the pour */
    accent: v.optional(v.strictObject({ pot: potId, percent: percent(1, 40) })),
  }),
  /** streams let fall in places, each pot in turn */
  v.strictObject({
    at: v.literal('drops'),
    spots: listOf(v.strictObject(spot), 24, 'at most 24 places', 1, 'a place is wanted'),
    /** how far below the surface they reach; to the floor when absent */
    reachMm: v.optional(lengthMm(1, 600)),
  }),
]);

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
    runs: v.picklist(['lengthwise', 'crosswise']),
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

export type Place = v.InferOutput<typeof placeSchema>;
export type PatternPour = v.InferOutput<typeof patternSchema>;
export type StickPath = v.InferOutput<typeof pathSchema>;
