import * as v from 'valibot';
import { colour, lengthMm, listOf, massG, name } from '../validate/fields.ts';
import { potId } from '../validate/ids.ts';
import { runsSchema } from '../mould/runs.ts';

/** More than this nobody pipes or presses into the top of one bar. */
const MOST_ON_A_BAR = 24;

const onBarOf = (issue: { input: number }): string =>
  `${issue.input} on a bar is outside 1 to ${MOST_ON_A_BAR}`;

/** So many beside each other, or one after another, on the top of each bar. */
const onBar = v.pipe(
  v.number(),
  v.integer('whole ones are wanted'),
  v.minValue(1, onBarOf),
  v.maxValue(MOST_ON_A_BAR, onBarOf),
);

/** A row that runs along the loaf: so far to the right of each bar's middle. */
const rowSchema = v.strictObject({
  /** one of the second batch */
  pot: potId,
  offMm: lengthMm(-500, 500),
  /** what the nozzle leaves: how wide at its foot, and how high */
  acrossMm: lengthMm(3, 120),
  heightMm: lengthMm(2, 80),
  /** dollops along each bar; absent: a continuous row */
  perBar: v.optional(onBar),
});

/** How many rows lie on a bar. */
export const MOST_ROWS = 12;

const everyBar = { rows: onBar, perBar: onBar };

/**
 * What is put on top once everything is poured. What is said of a bar is repeated on each, clear of its cuts.
 */
export const topSchema = v.variant('top', [
  /** batter heaped along the loaf, or across it, by the spoon */
  v.strictObject({
    top: v.literal('mound'),
    pot: potId,
    runs: runsSchema,
    /** its ridge, so far to the right of the middle, or beyond it */
    offMm: lengthMm(-1000, 1000),
    wideMm: lengthMm(5, 1000),
    heightMm: lengthMm(1, 80),
  }),
  /** pressed in with the back of a spoon */
  v.strictObject({
    top: v.literal('dents'),
    ...everyBar,
    acrossMm: lengthMm(4, 120),
    depthMm: lengthMm(0.5, 40),
  }),
  /** out of a bag, of a batch of its own */
  v.strictObject({
    top: v.literal('piping'),
    rows: listOf(rowSchema, MOST_ROWS, `at most ${MOST_ROWS} rows`, 1, 'a row is wanted'),
  }),
  /** soap-dough made days ahead, pressed in */
  v.strictObject({
    top: v.literal('pieces'),
    name: name(60),
    colour,
    ...everyBar,
    acrossMm: lengthMm(2, 120),
    heightMm: lengthMm(1, 80),
    /** one of them */
    massG: massG(0.1, 500),
  }),
  /** stood in the top, and taken out before the bar is used */
  v.strictObject({
    top: v.literal('straws'),
    colour,
    ...everyBar,
    acrossMm: lengthMm(2, 20),
    standsMm: lengthMm(5, 200),
    deepMm: lengthMm(2, 100),
  }),
  /** coarse salt strewn over it, on one mould */
  v.strictObject({ top: v.literal('salt'), massG: massG(0.5, 2000) }),
]);

export type TopWay = v.InferOutput<typeof topSchema>;
export type PipedRow = v.InferOutput<typeof rowSchema>;
