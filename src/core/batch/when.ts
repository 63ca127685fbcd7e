import * as v from 'valibot';
import { id } from '../validate/fields.ts';

/**
 * A moment of a day: what the wall clock showed, and where it stood; and what a running clock of the device
 * showed, where there was one. Durations are taken between readings of one running clock: a wall clock may be
 * set back.
 */
export const whenSchema = v.strictObject({
  /** ms since 1970-01-01T00:00Z */
  utcMs: v.pipe(v.number('a time in ms is wanted'), v.integer(), v.minValue(0), v.maxValue(8.64e15)),
  /** how far the wall clock stood before universal time, minutes; absent: not known */
  zoneMin: v.optional(v.pipe(v.number(), v.integer(), v.minValue(-1080), v.maxValue(1080))),
  running: v.optional(v.strictObject({ clock: id, ms: v.pipe(v.number(), v.minValue(0), v.maxValue(1e13)) })),
});

export type When = v.InferOutput<typeof whenSchema>;
