import { lumpsOf, lumpsOnGrid, scaled, type Lumps } from '../flow/lumps.ts';
import { hollowMm3, unevenAt, type Dents, type Uneven } from '../flow/uneven.ts';
import { corners } from '../geometry/polyhedron.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import { rememberedBy } from '../task/remembered.ts';
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

/** A grid of places over all of a room's plan, row by row. */
interface Looks {
  readonly xs: readonly number[];
  readonly ys: readonly number[];
}

function looksOver(room: Room): Looks {
  const points = corners(room.solid);
  const spread = (axis: 0 | 1): readonly number[] => {
    const all = points.map((p) => p[axis]);
    const [from, to] = [Math.min(...all), Math.max(...all)];
    return Array.from({ length: LOOKS }, (_, i) => from + ((to - from) * (i + 0.5)) / LOOKS);
  };
  return { xs: spread(0), ys: spread(1) };
}

/** Heaps by themselves over a room, mm about 0; the same for the same name, so found once. */
const lumpsOver = rememberedBy<{ readonly shape: Lumps; readonly heights: Heights }>();

/** Heights of a surface at every place that is looked at, mm, with the least, the greatest and the mean. */
interface Heights {
  readonly all: () => Float64Array;
  readonly low: number;
  readonly high: number;
  readonly mean: number;
}

function heightsOf(all: Float64Array): Heights {
  let low = Infinity;
  let high = -Infinity;
  let sum = 0;
  for (let i = 0; i < all.length; i += 1) {
    const mm = all[i] as number;
    if (mm < low) low = mm;
    if (mm > high) high = mm;
    sum += mm;
  }
  return { all: () => all, low, high, mean: sum / all.length };
}

/** Heights about 0 so many times as high, about another level. */
const raisedTo = ({ all, low, high, mean }: Heights, level: Millimetres, by: number): Heights => ({
  all: () => all().map((mm) => level + by * mm),
  low: level + by * low,
  high: level + by * high,
  mean: level + by * mean,
});

function heightsOver(room: Room, surface: Uneven): Heights {
  const { xs, ys } = looksOver(room);
  const { lumps, ...ground } = surface;
  const all = lumps ? lumpsOnGrid(lumps, xs, ys) : new Float64Array(LOOKS * LOOKS);
  for (const [j, y] of ys.entries())
    for (const [i, x] of xs.entries()) {
      const at = j * LOOKS + i;
      all[at] = (all[at] as number) + unevenAt(ground, x, y);
    }
  return heightsOf(all);
}

const heapsAlone = (room: Room, name: string): { readonly shape: Lumps; readonly heights: Heights } =>
  lumpsOver(room, name, () => {
    const shape = lumpsOf(seedOf(name));
    const { xs, ys } = looksOver(room);
    return { shape, heights: heightsOf(lumpsOnGrid(shape, xs, ys)) };
  });

/** How high a surface is over a room's plan, place by place, mm above the floor. */
export const heapsOver = (room: Room, surface: Uneven): Float64Array => heightsOver(room, surface).all();

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

/** How far a surface lies, at most, under one that was laid before it, mm. */
function reachedOver(room: Room, { all, low }: Heights, { layer, scraping }: Below): Millimetres {
  if (scraping) return scraping.highestMm - low;
  const [ux, uy, uz] = layer.up;
  if (ux === 0 && uy === 0) return layer.offset / uz - low;
  const { xs, ys } = looksOver(room);
  const heights = all();
  let most = -Infinity;
  for (const [j, y] of ys.entries())
    for (const [i, x] of xs.entries())
      most = Math.max(most, (layer.offset - ux * x - uy * y) / uz - (heights[j * LOOKS + i] as number));
  return most;
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
  const heaps = roughMm === undefined ? undefined : heapsAlone(room, name);
  const by = heaps && roughMm !== undefined ? roughMm / (heaps.heights.high - heaps.heights.low) : 0;
  const level = layer.offset - (heaps?.heights.mean ?? 0) * by;
  const surface: Uneven = {
    axis: 0,
    ground: flatAt(level),
    ...(heaps ? { lumps: scaled(heaps.shape, by) } : {}),
    ...dents,
  };
  const whole =
    heaps && hollows.length === 0 ? raisedTo(heaps.heights, level, by) : heightsOver(room, surface);
  const crosses = Math.max(0, 0 - whole.low, ...below.map((b) => reachedOver(room, whole, b)));
  return {
    ...surface,
    lowestMm: Math.max(0, whole.low),
    highestMm: whole.high,
    underMm3: [...below.map((b) => b.layer), layer].reduce((s, l) => s + l.volumeMl, 0) * MM3_PER_ML,
    crossesMm: crosses,
  };
}
