import type { Millimetres } from '../units/quantity.ts';
import type { Footprint } from './barGrid.ts';

interface At {
  readonly x: Millimetres;
  readonly y: Millimetres;
}

const evenly = (from: Millimetres, to: Millimetres, count: number): readonly Millimetres[] =>
  Array.from({ length: count }, (_, i) => from + ((i + 0.5) / count) * (to - from));

/**
 * Places on one bar along a line that is so far to the right of its middle: as far from its cuts as half of
 * what is between them.
 */
export const alongBar = ({ x0, x1, y0, y1 }: Footprint, offMm: Millimetres, perBar: number): readonly At[] =>
  evenly(y0, y1, perBar).map((y) => ({ x: (x0 + x1) / 2 + offMm, y }));

/** Rows of places on one bar, evenly over it. */
export const onEachBar = (bar: Footprint, rows: number, perBar: number): readonly At[] =>
  evenly(bar.x0, bar.x1, rows).flatMap((x) => alongBar(bar, x - (bar.x0 + bar.x1) / 2, perBar));
