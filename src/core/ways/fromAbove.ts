import type { Box } from '../flow/box.ts';
import type { Spot } from '../flow/spec.ts';
import type { Runs } from '../mould/runs.ts';

/**
 * Where batter or a tool goes in a mould as it is seen from above, mm from the middle of its floor: right,
 * and towards the far end.
 */
export interface FromAbove {
  readonly floor: Box;
  /** ways, in the order they are gone */
  readonly paths: readonly (readonly Spot[])[];
  /** places, in the order they are poured into */
  readonly spots: readonly Spot[];
}

/** Straight lines from end to end, or from side to side, at these places across. */
export const straight = (floor: Box, runs: Runs, places: readonly number[]): readonly (readonly Spot[])[] =>
  places.map((at) =>
    runs === 'lengthwise'
      ? [
          [at, floor.y0],
          [at, floor.y1],
        ]
      : [
          [floor.x0, at],
          [floor.x1, at],
        ],
  );

/** Where something is, from the middle of the mould: "12 mm left of and 40 mm beyond the middle". */
export function spotText([x, y]: Spot, length: (mm: number) => string): string {
  const part = (mm: number, low: string, high: string): readonly string[] =>
    Math.abs(mm) < 0.5 ? [] : [`${length(Math.abs(mm))} ${mm < 0 ? low : high}`];
  const parts = [...part(x, 'left of', 'right of'), ...part(y, 'on the near side of', 'beyond')];
  return parts.length > 0 ? `${parts.join(' and ')} the middle` : 'in the middle';
}

/** The first of some lines, from the wall that it lies along. */
export function firstLine({ floor, paths }: FromAbove, runs: Runs, length: (mm: number) => string): string {
  const [x = 0, y = 0] = paths[0]?.[0] ?? [];
  return runs === 'lengthwise'
    ? `the first ${length(x - floor.x0)} from the left wall`
    : `the first ${length(y - floor.y0)} from the near end`;
}
