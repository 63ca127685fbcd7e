import type { Ground } from '../flow/ground.ts';
import { lumpsAt, lumpsOf, scaled, type Lumps } from '../flow/lumps.ts';
import { corners } from '../geometry/polyhedron.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Room } from '../mould/rooms.ts';
import type { Layer } from '../mould/stack.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { Below } from './scraped.ts';

/** A layer that is spooned in and left rough. Heights are above the floor. */
export interface Roughness {
  readonly axis: 0;
  /** level, as high as the layer is on the mean */
  readonly ground: Ground;
  readonly lumps: Lumps;
  readonly lowestMm: Millimetres;
  readonly highestMm: Millimetres;
  /** everything in the compartment up to it, mm^3 */
  readonly underMm3: number;
  /** how far its hollows go into what lies below it, mm; 0 where they stay in it */
  readonly crossesMm: Millimetres;
}

/** Places across and along that a surface is looked at in. */
const LOOKS = 72;

/** The same number for the same name. */
function seedOf(name: string): number {
  let seed = 7;
  for (const c of name) seed = (Math.imul(seed, 31) + (c.codePointAt(0) ?? 0)) | 0;
  return seed;
}

/** Heights of a surface over all of a room's plan, about a mean of nothing. */
function heightsOver(
  room: Room,
  lumps: Lumps,
): {
  readonly low: number;
  readonly high: number;
  readonly mean: number;
  readonly at: (of: (x: number, y: number, mm: number) => void) => void;
} {
  const points = corners(room.solid);
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const at = (of: (x: number, y: number, mm: number) => void): void => {
    for (let j = 0; j < LOOKS; j += 1)
      for (let i = 0; i < LOOKS; i += 1) {
        const [x, y] = [x0 + ((x1 - x0) * (i + 0.5)) / LOOKS, y0 + ((y1 - y0) * (j + 0.5)) / LOOKS];
        of(x, y, lumpsAt(lumps, x, y));
      }
  };
  let [low, high, sum] = [Infinity, -Infinity, 0];
  at((_x, _y, mm) => {
    low = Math.min(low, mm);
    high = Math.max(high, mm);
    sum += mm;
  });
  return { low, high, mean: sum / LOOKS ** 2, at };
}

/** How high they are over a room's plan, place by place, mm. */
export function heapsOver(room: Room, lumps: Lumps): readonly Millimetres[] {
  const heights: number[] = [];
  heightsOver(room, lumps).at((_x, _y, mm) => heights.push(mm));
  return heights;
}

/** How rough a level layer is left: `roughMm` from its deepest hollow to its highest peak, as much above as below its mean. Undefined where it slopes. */
export function roughnessOf(
  room: Room,
  layer: Layer,
  below: readonly Below[],
  roughMm: Millimetres,
  name: string,
): Roughness | undefined {
  if (layer.up[2] < 1 - 1e-12) return undefined;
  const shape = lumpsOf(seedOf(name));
  const whole = heightsOver(room, shape);
  const by = roughMm / (whole.high - whole.low);
  const lumps = scaled(shape, by);
  const base = layer.offset - whole.mean * by;
  let crosses = 0;
  whole.at((x, y, mm) => {
    const height = base + mm * by;
    crosses = Math.max(crosses, 0 - height);
    for (const { layer: under, scraping } of below) {
      const surface = scraping
        ? scraping.highestMm
        : (under.offset - under.up[0] * x - under.up[1] * y) / under.up[2];
      crosses = Math.max(crosses, surface - height);
    }
  });
  const { low, high } = whole;
  return {
    axis: 0,
    ground: { from: 0, step: 1, heights: [base, base] },
    lumps,
    lowestMm: Math.max(0, base + low * by),
    highestMm: base + high * by,
    underMm3: [...below.map((b) => b.layer), layer].reduce((s, l) => s + l.volumeMl, 0) * MM3_PER_ML,
    crossesMm: crosses,
  };
}
