import type { Millimetres } from '../units/quantity.ts';

/** A convex outline in plan, mm. */
export type Outline = readonly (readonly [x: Millimetres, y: Millimetres])[];

/** How far an outline reaches along an axis. */
export const spanOf = (outline: Outline, axis: 0 | 1): readonly [Millimetres, Millimetres] => {
  const places = outline.map((p) => p[axis]);
  return [Math.min(...places), Math.max(...places)];
};

/** Where a line across an axis enters and leaves an outline, along the other one. */
export function chordAt(
  outline: Outline,
  axis: 0 | 1,
  at: Millimetres,
): readonly [Millimetres, Millimetres] | undefined {
  const other = axis === 0 ? 1 : 0;
  const met = outline.flatMap((p, i) => {
    const q = outline[(i + 1) % outline.length] ?? p;
    if (p[axis] > at === q[axis] > at) return [];
    return [p[other] + ((q[other] - p[other]) * (at - p[axis])) / (q[axis] - p[axis])];
  });
  return met.length < 2 ? undefined : [Math.min(...met), Math.max(...met)];
}

/** An even number of steps for Simpson's rule. */
const STEPS = 400;

/**
 * The volume of a parabola `mm` high and 2 `half` wide about `at`, as far as it lies over an outline, mm^3:
 * Simpson's rule over the length of the outline at each place across.
 */
export function ridgeMm3(
  outline: Outline,
  axis: 0 | 1,
  at: Millimetres,
  half: Millimetres,
  mm: Millimetres,
): number {
  if (outline.length < 3) return 0;
  const [low, high] = spanOf(outline, axis);
  const [from, to] = [Math.max(low, at - half), Math.min(high, at + half)];
  if (to <= from) return 0;
  const step = (to - from) / STEPS;
  let sum = 0;
  for (let i = 0; i <= STEPS; i += 1) {
    // a hair inside: at its ends an outline has no length
    const place = Math.min(high - 1e-9, Math.max(low + 1e-9, from + i * step));
    const chord = chordAt(outline, axis, place);
    const long = chord ? chord[1] - chord[0] : 0;
    const weight = i === 0 || i === STEPS ? 1 : i % 2 === 1 ? 4 : 2;
    sum += weight * long * mm * (1 - ((place - at) / half) ** 2);
  }
  return (sum * step) / 3;
}
