import { lumpsOf, scaled } from '../flow/lumps.ts';
import { hollowMm3, unevenAt, type Dents, type Uneven } from '../flow/uneven.ts';
import { corners } from '../geometry/polyhedron.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Room } from '../mould/rooms.ts';
import type { Layer } from '../mould/stack.ts';
import type { Millimetres } from '../units/quantity.ts';
import { levelProfile } from '../mould/levelProfile.ts';
import type { Below } from './scraped.ts';

/**
 * A layer whose surface is no plane: spooned in and left rough, or with hollows pressed into it. Heights are
 * above the floor.
 */
export interface Roughness extends Uneven {
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

/** Heights of a surface over all of a room's plan. */
function heightsOver(
  room: Room,
  surface: Uneven,
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
        of(x, y, unevenAt(surface, x, y));
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

/** How high a surface is over a room's plan, place by place, mm above the floor. */
export function heapsOver(room: Room, surface: Uneven): readonly Millimetres[] {
  const heights: number[] = [];
  heightsOver(room, surface).at((_x, _y, mm) => heights.push(mm));
  return heights;
}

/** What is open at a height, mm^2. */
function openAtMm2(room: Room, heightMm: Millimetres): number {
  const profile = levelProfile(room);
  return (profile.volumeBelow(heightMm + 0.05) - profile.volumeBelow(heightMm - 0.05)) / 0.1;
}

/** Ground of one height. */
const flatAt = (mm: Millimetres): Uneven['ground'] => ({ from: 0, step: 1, heights: [mm, mm] });

/**
 * How a layer is left: `roughMm` from its deepest hollow to its highest peak, and what is pressed into it.
 */
interface LeftSo {
  readonly roughMm: Millimetres | undefined;
  readonly hollows: Dents['hollows'];
  /** what its heaps are told apart by */
  readonly name: string;
}

/**
 * How a level layer is left, as much above as below its mean. Undefined where it slopes, or where nothing is
 * done to it.
 */
export function roughnessOf(
  room: Room,
  layer: Layer,
  below: readonly Below[],
  { roughMm, hollows, name }: LeftSo,
): Roughness | undefined {
  if (layer.up[2] < 1 - 1e-12 || (roughMm === undefined && hollows.length === 0)) return undefined;
  const raised = hollows.reduce((s, h) => s + hollowMm3(h), 0) / openAtMm2(room, layer.offset);
  const dents = hollows.length > 0 ? { dents: { raisedMm: raised, hollows } } : {};
  const shape = roughMm === undefined ? undefined : lumpsOf(seedOf(name));
  const plain = shape && heightsOver(room, { axis: 0, ground: flatAt(0), lumps: shape });
  const by = plain && roughMm !== undefined ? roughMm / (plain.high - plain.low) : 0;
  const surface: Uneven = {
    axis: 0,
    ground: flatAt(layer.offset - (plain?.mean ?? 0) * by),
    ...(shape ? { lumps: scaled(shape, by) } : {}),
    ...dents,
  };
  const whole = heightsOver(room, surface);
  let crosses = 0;
  whole.at((x, y, height) => {
    crosses = Math.max(crosses, 0 - height);
    for (const { layer: under, scraping } of below) {
      const lies = scraping
        ? scraping.highestMm
        : (under.offset - under.up[0] * x - under.up[1] * y) / under.up[2];
      crosses = Math.max(crosses, lies - height);
    }
  });
  return {
    ...surface,
    lowestMm: Math.max(0, whole.low),
    highestMm: whole.high,
    underMm3: [...below.map((b) => b.layer), layer].reduce((s, l) => s + l.volumeMl, 0) * MM3_PER_ML,
    crossesMm: crosses,
  };
}
