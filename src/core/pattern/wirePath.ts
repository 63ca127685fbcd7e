import type { Spot } from '../flow/spec.ts';
import type { WirePoint } from '../plan/wireSchema.ts';
import type { Millimetres } from '../units/quantity.ts';

/** Between the points of a smooth way, mm. */
const STEP = 1.5;

/** A wire keeps so far off the floor and the walls, mm. */
const OFF = 4;

/** It comes in and goes out from so far above the batter, mm. */
const ABOVE = 6;

const between = (a: Spot, b: Spot, ta: number, tb: number, t: number): Spot => {
  const w = tb > ta ? (t - ta) / (tb - ta) : 0;
  return [a[0] + (b[0] - a[0]) * w, a[1] + (b[1] - a[1]) * w];
};

/**
 * One piece of a curve through four points, between the middle two (centripetal Catmull-Rom; P. J. Barry and
 * R. N. Goldman 1988, from memory).
 */
function* piece(p: readonly [Spot, Spot, Spot, Spot], step: Millimetres): Iterable<Spot> {
  const gap = (a: Spot, b: Spot): number => Math.hypot(b[0] - a[0], b[1] - a[1]) ** 0.5;
  const t1 = gap(p[0], p[1]);
  const t2 = t1 + gap(p[1], p[2]);
  const t3 = t2 + gap(p[2], p[3]);
  const count = Math.max(1, Math.ceil((t2 - t1) ** 2 / step));
  for (let i = 1; i <= count; i += 1) {
    const t = t1 + ((t2 - t1) * i) / count;
    const [a, b, c] = [
      between(p[0], p[1], 0, t1, t),
      between(p[1], p[2], t1, t2, t),
      between(p[2], p[3], t2, t3, t),
    ];
    yield between(between(a, b, 0, t2, t), between(b, c, t1, t3, t), t1, t2, t);
  }
}

/**
 * A wire's smooth way through its points, in steps of so many mm: mm across from the middle, and above the
 * floor.
 */
export function wireWay(points: readonly WirePoint[], step: Millimetres = STEP): readonly Spot[] {
  const spots = points.map((p): Spot => [p.acrossMm, p.heightMm]);
  const [first] = spots;
  if (!first) return [];
  const way: Spot[] = [first];
  for (let i = 0; i + 1 < spots.length; i += 1) {
    const [b, c] = [spots[i], spots[i + 1]] as [Spot, Spot];
    way.push(...piece([spots[i - 1] ?? b, b, c, spots[i + 2] ?? c], step));
  }
  return way;
}

export const WIRE_WAYS = ['floor', 'waves', 'loops'] as const;
export type WireWay = (typeof WIRE_WAYS)[number];

const whole = ([x, z]: Spot): WirePoint => ({
  acrossMm: Math.round(x * 2) / 2,
  heightMm: Math.max(0, Math.round(z * 2) / 2),
});

/**
 * A usual way, in a section so wide with batter so deep, for a wire of a girth: in down the left wall, out up
 * the right one.
 */
export function usualWay(
  kind: WireWay,
  {
    wide,
    deep,
    girthMm,
  }: { readonly wide: Millimetres; readonly deep: Millimetres; readonly girthMm: Millimetres },
): WirePoint[] {
  const off = OFF + girthMm / 2;
  const side = wide / 2 - off;
  const floor = Math.min(off, deep / 3);
  const top = Math.max(floor, deep - off);
  const middle = (floor + top) / 2;
  const enter: readonly Spot[] = [
    [-side, deep + ABOVE],
    [-side, middle],
  ];
  const leave: readonly Spot[] = [
    [side, middle],
    [side, deep + ABOVE],
  ];
  const [left, right]: readonly [Spot, Spot] = [
    [-side, floor],
    [side, floor],
  ];
  const way = (...between: readonly Spot[]): WirePoint[] => [...enter, ...between, ...leave].map(whole);
  switch (kind) {
    case 'floor':
      return way(left, [-side / 3, floor], [side / 3, floor], right);
    case 'waves': {
      const waves = Math.max(2, Math.round(wide / 22));
      const there = (i: number): number => -side + ((i + 1) * side) / waves;
      const up = Array.from({ length: 2 * waves - 1 }, (_, i): Spot => [there(i), i % 2 === 0 ? top : floor]);
      return way(left, ...up, right);
    }
    case 'loops': {
      const loops = Math.max(2, Math.round(wide / 26));
      const radius = Math.min((top - floor) / 2, (1.5 * side) / loops);
      const round = Array.from({ length: 8 * loops + 1 }, (_, i): Spot => {
        const angle = (2 * Math.PI * i) / 8;
        const run = -side + radius + ((side - radius) * i) / (4 * loops);
        return [run - radius * Math.sin(angle), middle - radius * Math.cos(angle)];
      });
      return way(...round);
    }
  }
}
