import type { Haze } from '../../../core/timing/haze.ts';
import type { Minutes, Stage } from '../../../core/units/quantity.ts';

/** How a lane is drawn: px, time to the right, thickness upward. */
export interface LaneScale {
  readonly width: number;
  readonly height: number;
  readonly untilMin: Minutes;
  /** the thickness at its upper edge */
  readonly top: Stage;
}

export const xOf = ({ width, untilMin }: Pick<LaneScale, 'width' | 'untilMin'>, minutes: Minutes): number =>
  (width * minutes) / untilMin;

export const yOf = ({ height, top }: LaneScale, stage: Stage): number =>
  height - (height * Math.min(top, Math.max(0, stage))) / top;

const tenths = (px: number): number => Math.round(px * 10) / 10;

const point = (scale: LaneScale, minutes: Minutes, stage: Stage): string =>
  `${tenths(xOf(scale, minutes))},${tenths(yOf(scale, stage))}`;

interface Range {
  readonly from: Minutes;
  readonly to: Minutes;
}

const within = (
  times: readonly Minutes[],
  stages: readonly Stage[],
  { from, to }: Range,
): readonly number[] =>
  times.flatMap((t, i) => (t >= from && t <= to && Number.isFinite(stages[i] ?? NaN) ? [i] : []));

/** A line through the middle of what is in doubt, from one minute to another. */
export function lineOf(
  scale: LaneScale,
  times: readonly Minutes[],
  stages: readonly Stage[],
  range: Range,
): string {
  const places = within(times, stages, range);
  return places.length < 2
    ? ''
    : `M${places.map((i) => point(scale, times[i] ?? 0, stages[i] ?? 0)).join('L')}`;
}

/** The area between which it is eight times of ten. */
export function hazeShape(
  scale: LaneScale,
  times: readonly Minutes[],
  { low, high }: Haze,
  range: Range,
): string {
  const places = within(times, low, range);
  if (places.length < 2) return '';
  const upper = places.map((i) => point(scale, times[i] ?? 0, high[i] ?? 0));
  const lower = places.toReversed().map((i) => point(scale, times[i] ?? 0, low[i] ?? 0));
  return `M${[...upper, ...lower].join('L')}Z`;
}

/** Whole minutes to write along a line that is so long, at most about `most` of them. */
export function ticksOf(untilMin: Minutes, most: number): readonly Minutes[] {
  const step = [1, 2, 5, 10, 15, 20, 30, 60, 120, 240].find((s) => untilMin / s <= most) ?? 480;
  return Array.from({ length: Math.floor(untilMin / step) + 1 }, (_, i) => i * step);
}
