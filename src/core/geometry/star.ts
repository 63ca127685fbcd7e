import { remembered } from '../task/remembered.ts';
import type { Flat } from './prism.ts';

/** Outlines here go anticlockwise and do not end where they begin. */
export type FlatOutline = readonly Flat[];

const turn = ([ax, ay]: Flat, [bx, by]: Flat, [cx, cy]: Flat): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);

/** mm^2; negative for one that goes clockwise. */
export function signedArea(points: FlatOutline): number {
  let twice = 0;
  for (const [i, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(i + 1) % points.length] as Flat;
    twice += ax * by - bx * ay;
  }
  return twice / 2;
}

/** The same outline, anticlockwise. */
export const anticlockwise = <P extends Flat>(points: readonly P[]): readonly P[] =>
  signedArea(points) < 0 ? points.toReversed() : points;

/**
 * The middle of an outline's area (Bourke, "Calculating the area and centroid of a polygon", 1988; from
 * memory).
 */
export function centroid(points: FlatOutline): Flat {
  let [x, y] = [0, 0];
  const six = 6 * signedArea(points);
  for (const [i, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(i + 1) % points.length] as Flat;
    const part = ax * by - bx * ay;
    x += (ax + bx) * part;
    y += (ay + by) * part;
  }
  return [x / six, y / six];
}

/** What of a convex outline lies left of the line from a to b. */
function leftOf(points: FlatOutline, a: Flat, b: Flat): FlatOutline {
  return points.flatMap((p, i): FlatOutline => {
    const q = points[(i + 1) % points.length] as Flat;
    const [dp, dq] = [turn(a, b, p), turn(a, b, q)];
    const kept: Flat[] = dp >= 0 ? [p] : [];
    if (dp * dq < 0) {
      const t = dp / (dp - dq);
      kept.push([p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t]);
    }
    return kept;
  });
}

/** It turns left all along, and round once. */
export function isConvex(points: FlatOutline): boolean {
  const small = 1e-12 * Math.abs(signedArea(points));
  let turned = 0;
  for (const [i, p] of points.entries()) {
    const q = points[(i + 1) % points.length] as Flat;
    const r = points[(i + 2) % points.length] as Flat;
    const by = turn(p, q, r);
    if (by < -small) return false;
    turned += Math.atan2(by, (q[0] - p[0]) * (r[0] - q[0]) + (q[1] - p[1]) * (r[1] - q[1]));
  }
  return turned < 3 * Math.PI;
}

/** Of an outline's area this much is to be seen by all its edges, for it to be one that has an eye. */
const LEAST_KERNEL = 1e-4;

/**
 * A place inside from where all of an outline is seen: the middle of its kernel, the part left of all its
 * edges; undefined where there is none, as in a U, and for outlines that cross themselves.
 */
export function eyeOf(points: FlatOutline): Flat | undefined {
  const area = signedArea(points);
  if (!(area > 0)) return undefined;
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  let kernel: FlatOutline = [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
  for (const [i, a] of points.entries()) {
    kernel = leftOf(kernel, a, points[(i + 1) % points.length] as Flat);
    if (kernel.length < 3) return undefined;
  }
  const eye = centroid(kernel);
  const angle = ([x, y]: Flat): number => Math.atan2(y - eye[1], x - eye[0]);
  // one that goes round twice has a kernel too
  const round = points.reduce((sum, p, i) => {
    const step = angle(points[(i + 1) % points.length] as Flat) - angle(p);
    return sum + (step < 0 ? step + 2 * Math.PI : step);
  }, 0);
  return signedArea(kernel) > LEAST_KERNEL * area && round < 3 * Math.PI ? eye : undefined;
}

/** An outline as convex ones side by side: itself, or the triangles from its eye to its edges. */
export const convexPieces = remembered((points: FlatOutline): readonly FlatOutline[] => {
  if (isConvex(points)) return [points];
  const eye = eyeOf(points);
  return eye ? points.map((p, i) => [eye, p, points[(i + 1) % points.length] as Flat]) : [];
});

/**
 * How far apart two convex outlines are along the best line between them, mm; negative where they overlap
 * (separating axes of their edges).
 */
function gap(a: FlatOutline, b: FlatOutline): number {
  const along = (one: FlatOutline, other: FlatOutline): number =>
    one.reduce((most, p, i) => {
      const q = one[(i + 1) % one.length] as Flat;
      const [nx, ny] = [q[1] - p[1], p[0] - q[0]];
      const length = Math.hypot(nx, ny);
      if (length === 0) return most;
      return Math.max(most, Math.min(...other.map(([x, y]) => (nx * (x - p[0]) + ny * (y - p[1])) / length)));
    }, -Infinity);
  return Math.max(along(a, b), along(b, a));
}

/** At least how far apart two outlines are, mm: nothing or less where they meet. */
export const gapBetween = (a: FlatOutline, b: FlatOutline): number =>
  Math.min(...convexPieces(a).flatMap((p) => convexPieces(b).map((q) => gap(p, q))));
