import type { Spot } from './spec.ts';

/** The edges of a convex outline that goes anticlockwise: for each its outward normal, not of length one, and that normal times any point of it. */
export type Edges = Float64Array;

export function edgesOf(points: readonly Spot[]): Edges {
  const edges = new Float64Array(points.length * 3);
  for (const [i, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(i + 1) % points.length] as Spot;
    edges.set([by - ay, ax - bx, (by - ay) * ax + (ax - bx) * ay], i * 3);
  }
  return edges;
}

/** The same outline, anticlockwise. */
export function anticlockwise(points: readonly Spot[]): readonly Spot[] {
  let twice = 0;
  for (const [i, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(i + 1) % points.length] as Spot;
    twice += ax * by - bx * ay;
  }
  return twice < 0 ? points.toReversed() : points;
}

/** A point lies in the outline, its edge among it. */
export function isIn(edges: Edges, x: number, y: number): boolean {
  for (let i = 0; i < edges.length; i += 3)
    if ((edges[i] as number) * x + (edges[i + 1] as number) * y > (edges[i + 2] as number)) return false;
  return true;
}

/** How much of a convex outline about a point within it has to shrink to come to (x, y): 0 there, 1 on its edge. Its square is the part of the area within. */
export function reachOf(edges: Edges, mx: number, my: number, x: number, y: number): number {
  let most = 0;
  for (let i = 0; i < edges.length; i += 3) {
    const [a, b, c] = [edges[i] as number, edges[i + 1] as number, edges[i + 2] as number];
    const reach = (a * (x - mx) + b * (y - my)) / (c - a * mx - b * my);
    if (reach > most) most = reach;
  }
  return most;
}
