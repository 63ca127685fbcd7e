import { eyeOf, isConvex } from '../geometry/star.ts';
import { boxAbout, type Box } from './box.ts';
import type { Spot } from './spec.ts';

/**
 * The edges of a convex outline that goes anticlockwise: for each its outward normal, not of length one, and
 * that normal times any point of it.
 */
export type Edges = Float64Array;

export function edgesOf(points: readonly Spot[]): Edges {
  const edges = new Float64Array(points.length * 3);
  for (const [i, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(i + 1) % points.length] as Spot;
    edges.set([by - ay, ax - bx, (by - ay) * ax + (ax - bx) * ay], i * 3);
  }
  return edges;
}

/** A point lies in the outline, its edge among it. */
export function isIn(edges: Edges, x: number, y: number): boolean {
  for (let i = 0; i < edges.length; i += 3)
    if ((edges[i] as number) * x + (edges[i + 1] as number) * y > (edges[i + 2] as number)) return false;
  return true;
}

/**
 * How much of a convex outline about a point within it has to shrink to come to (x, y): 0 there, 1 on its
 * edge. Its square is the part of the area within.
 */
export function reachOf(edges: Edges, mx: number, my: number, x: number, y: number): number {
  let most = 0;
  for (let i = 0; i < edges.length; i += 3) {
    const [a, b, c] = [edges[i] as number, edges[i + 1] as number, edges[i + 2] as number];
    const reach = (a * (x - mx) + b * (y - my)) / (c - a * mx - b * my);
    if (reach > most) most = reach;
  }
  return most;
}

/** An outline that is seen whole from a place inside: a column's. */
export interface Star {
  readonly edges: Edges;
  readonly eye: Spot;
  readonly box: Box;
  /** where it is not convex: its corners, that each edge is told between */
  readonly corners: readonly Spot[] | undefined;
}

/**
 * @throws RangeError for an outline that is not seen whole from anywhere inside: moulds with one are refused
 */
export function starOf(points: readonly Spot[]): Star {
  const eye = eyeOf(points);
  if (!eye) throw new RangeError('an outline that is not seen whole from inside');
  return {
    edges: edgesOf(points),
    eye,
    box: boxAbout(points),
    corners: isConvex(points) ? undefined : points,
  };
}

/** How much of an outline about its eye has to shrink to come to (x, y), as `reachOf`. */
export function starReach({ edges, eye: [mx, my], corners }: Star, x: number, y: number): number {
  if (!corners) return reachOf(edges, mx, my, x, y);
  const [px, py] = [x - mx, y - my];
  for (let i = 0; i < corners.length; i += 1) {
    const [ax, ay] = corners[i] as Spot;
    const [bx, by] = corners[i + 1 === corners.length ? 0 : i + 1] as Spot;
    if ((ax - mx) * py - (ay - my) * px < 0 || px * (by - my) - py * (bx - mx) < 0) continue;
    const [a, b, c] = [edges[3 * i] as number, edges[3 * i + 1] as number, edges[3 * i + 2] as number];
    return (a * px + b * py) / (c - a * mx - b * my);
  }
  return 0;
}

export function isInStar(star: Star, x: number, y: number): boolean {
  const { x0, x1, y0, y1 } = star.box;
  if (x < x0 || x > x1 || y < y0 || y > y1) return false;
  return star.corners ? starReach(star, x, y) <= 1 : isIn(star.edges, x, y);
}
