import type { Task } from '../task/task.ts';
import { pairsOf, wide, type Box } from './box.ts';
import type { Heights } from './heights.ts';
import type { Levels } from './levels.ts';
import { shareAt, sharesOf, valueOfShare, type Shares } from './shares.ts';
import type { Move, Source, Spot } from './spec.ts';
import type { Section } from './stages.ts';
import { warpOf } from './stroke.ts';

/** Between the points that a wire's way is brought into the block's own places at, mm. */
const PIECE = 2;

/**
 * Between the points of the grid that a wire's way is kept on, mm, and of how far round it batter goes along.
 */
const FINEST = 0.33;
const SPACING = 1 / 54;

/** Between the places that two layers' line is kept at, mm. */
const LINE_SPACING = 0.1;

/** How far below the surface what lies there is moved by spikes, of their depth. */
const BELOW = 2.5;

/** Between the points of the grid that spikes are kept on, mm across and up: their tips are sharp. */
const WAVED_SPACING = [0.2, 0.35] as const;

/** A spike is at most so wide on either side of its line, mm. A judgement, no source. */
const SPIKE_HALF = 7;

/** Points of a way no further apart than PIECE. */
function* finer(path: readonly Spot[]): Iterable<Spot> {
  for (const [i, [x, z]] of path.entries()) {
    const before = path[i - 1];
    if (before) {
      const pieces = Math.ceil(Math.hypot(x - before[0], z - before[1]) / PIECE);
      for (let k = 1; k < pieces; k += 1)
        yield [before[0] + ((x - before[0]) * k) / pieces, before[1] + ((z - before[1]) * k) / pieces];
    }
    yield [x, z];
  }
}

/**
 * A place of the section in mm as a place of the reference rectangle and a height; above the surface as
 * undefined.
 */
function placed(
  { levels, box, lowest, spacing }: Levels,
  axis: 0 | 1,
  fits: number,
  surface: number,
  [across, up]: Spot,
): Spot | undefined {
  const at = (up - lowest) / spacing - 0.5;
  const low = Math.min(levels.length - 2, Math.max(0, Math.floor(at)));
  const [a, b] = [levels[low], levels[low + 1]];
  if (!a || !b) return undefined;
  const height = (a.height + (at - low) * (b.height - a.height)) * fits;
  if (height > surface) return undefined;
  const own = (at - low < 0.5 ? a : b).box;
  const [start, end, first, last] =
    axis === 0 ? [own.x0, own.x1, box.x0, box.x1] : [own.y0, own.y1, box.y0, box.y1];
  return [first + ((across - start) / (end - start)) * (last - first), Math.max(0, height)];
}

const sideBox = (box: Box, axis: 0 | 1, surface: number): Box => ({
  x0: axis === 0 ? box.x0 : box.y0,
  x1: axis === 0 ? box.x1 : box.y1,
  y0: 0,
  y1: surface,
});

/** A wire on its way through the section. Out of the batter it moves nothing. */
export function* wireStage(
  levels: Levels,
  { axis, path, widthMm, from, to }: Extract<Move, { does: 'wire' }>,
  surface: number,
  fits: number,
  laid: Heights,
): Task<never, Section> {
  const ways: Spot[][] = [[]];
  for (const p of finer(path)) {
    const there = placed(levels, axis, fits, surface, p);
    if (there) ways.at(-1)?.push(there);
    else if ((ways.at(-1)?.length ?? 0) > 0) ways.push([]);
  }
  const warp = yield* warpOf(
    ways,
    widthMm,
    sideBox(levels.box, axis, surface),
    Math.max(FINEST, SPACING * widthMm),
  );
  return { kind: 'section', axis, ...laid, from, to, warp };
}

/** How deep a spike is at a distance from its line, of what it is on it. */
const spike = (distance: number, half: number): number => Math.max(0, 1 - distance / half) ** 2;

/**
 * By part of the area across, evenly spaced: how much further up the line between two layers is than it was,
 * mm, and all of that before it.
 */
interface Waved {
  readonly up: Float64Array;
  readonly sum: Float64Array;
  readonly sink: number;
}

/**
 * Close lines poured on what lies below leave a spike down at each of them, and push up between them what
 * they take.
 */
function wavedBy(
  { axis, spacingMm, sinkMm }: Extract<Source, { kind: 'lines' }>,
  { box }: Levels,
  areas: Shares | undefined,
  at: number,
  top: number,
): Waved {
  const [width, deep] = [wide(sideBox(box, axis, top)), top - at];
  const spacing = width / Math.max(1, Math.round(width / spacingMm));
  const half = Math.min(SPIKE_HALF, spacing / 2);
  const count = Math.max(64, Math.ceil(width / LINE_SPACING));
  const depths = Float64Array.from({ length: count }, (_, i) => {
    const part = (i + 0.5) / count;
    const x = (areas ? valueOfShare(areas, part) : part) * width;
    return spike(Math.abs((x % spacing) - spacing / 2), half);
  });
  const mean = depths.reduce((a, b) => a + b, 0) / count;
  // not through the floor, and what it pushes up not through the top
  const sink = Math.max(0, Math.min(sinkMm, 0.95 * at, ((0.9 * deep) / mean) * (1 - mean)));
  const up = depths.map((d) => (sink * (mean - d)) / (1 - mean));
  const sum = new Float64Array(count + 1);
  for (let i = 0; i < count; i += 1) sum[i + 1] = (sum[i] as number) + (up[i] as number) / count;
  return { up, sum, sink };
}

/** The height that `now` was at: between `low` and `high`, where it moves by `by` of it. */
function heightBefore(now: number, low: number, high: number, by: (height: number) => number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < 40; i += 1) {
    const mid = (a + b) / 2;
    if (mid + by(mid) < now) a = mid;
    else b = mid;
  }
  return (a + b) / 2;
}

/**
 * Close lines that sink into what lies below them. A level c of the batter below becomes the line c + ((c -
 * low)/(at - low))^q up(x), which is level at `low` and the waved line at the surface; what lies between two
 * such lines is carried along them so far that nothing is squeezed, and every colour keeps its area. `at` and
 * `top` are the heights of the two surfaces. This product's own.
 */
export function linesStage(
  levels: Levels,
  source: Extract<Source, { kind: 'lines' }>,
  at: number,
  top: number,
  laid: Heights,
): Section {
  const { axis } = source;
  const box = sideBox(levels.box, axis, top);
  const upper = levels.levels.at(-1);
  const areas =
    upper && !upper.fills
      ? sharesOf(levels.box, upper.outline, [], (u, v) => (axis === 0 ? u : v))
      : undefined;
  const { up, sum, sink } = wavedBy(source, levels, areas, at, top);
  const low = Math.max(0, at - BELOW * sink);
  // less than the second power where the floor is near: lines must not cross
  const power = Math.max(1, Math.min(2, (0.98 * (at - low)) / Math.max(sink, 1e-9)));
  const [nx, ny] = [Math.ceil(wide(box) / WAVED_SPACING[0]), Math.ceil(top / WAVED_SPACING[1])];
  const xs = new Float64Array((nx + 1) * (ny + 1));
  const ys = new Float64Array(xs.length);
  for (let i = 0; i <= nx; i += 1) {
    const value = i / nx;
    const part = areas ? shareAt(areas, value) : value;
    const place = Math.min(up.length - 1, Math.floor(part * up.length));
    const high = up[place] as number;
    const before = (sum[place] as number) + high * (part - place / up.length);
    for (let j = 0; j <= ny; j += 1) {
      const now = (j / ny) * top;
      const k = j * (nx + 1) + i;
      xs[k] = value;
      if (now >= at + high) ys[k] = at + ((now - at - high) * (top - at)) / (top - at - high);
      else if (now <= low) ys[k] = now;
      else {
        const over = (height: number): number => (height - low) / (at - low);
        const was = heightBefore(now, low, at, (height) => over(height) ** power * high);
        ys[k] = was;
        const moved = part + ((power * over(was) ** (power - 1)) / (at - low)) * before;
        xs[k] = areas ? valueOfShare(areas, Math.min(1, Math.max(0, moved))) : moved;
      }
    }
  }
  for (let k = 0; k < xs.length; k += 1) xs[k] = box.x0 + (xs[k] as number) * wide(box);
  return {
    kind: 'section',
    axis,
    ...laid,
    from: -Infinity,
    to: Infinity,
    warp: pairsOf(box, nx, ny, xs, ys),
  };
}
