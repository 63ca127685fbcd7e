import { rowReader, type RowReader } from '../flow/depositAt.ts';
import { heapReader } from '../flow/heap.ts';
import { scrapedReader } from '../flow/scraped.ts';
import { tiltedReader } from '../flow/settle.ts';
import type { Prepared } from '../flow/stages.ts';
import type { BlockSpec } from '../flow/spec.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Content } from '../pattern/body.ts';
import type { Band } from './face.ts';
import { scaleFor, type FramedFace } from './framed.ts';

/** Samples across and down each pixel: edges are smooth, and no seam shows between neighbours. */
export const SAMPLES = 3;

/** A face in pixels, which hold the number of a band plus one, 0 where there is none: colours come after. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly samples: number;
  /** what its numbers stand for: pours, and deposits of those that take from several pots */
  readonly pours: readonly string[];
  /** samples x samples for each pixel, row by row from the top */
  readonly band: Uint16Array;
}

/** Gives a block made ready, so that its faces can be read. */
export type Ready = (spec: BlockSpec) => Prepared;

const point = ({ origin, across, up }: NonNullable<Band['swirl']>, h: number, z: number): Vec3 => [
  origin[0] + across[0] * h + up[0] * z,
  origin[1] + across[1] * h + up[1] * z,
  origin[2] + across[2] * h + up[2] * z,
];

/** What reads a content's places. */
export function readerOf(content: Content, ready: Ready): RowReader {
  switch (content.kind) {
    case 'moved':
      return rowReader(ready(content.spec));
    case 'tilted':
      return tiltedReader(content.tilted, rowReader(ready(content.tilted.level)));
    case 'heaped':
      return heapReader(content.heap);
    case 'scraped':
      return scrapedReader(content.scraped, (spec) => rowReader(ready(spec)));
  }
}

/**
 * Fills `count` samples from `to` on, the first at (h, z) of the picture and the next ones `step` mm to its
 * right.
 */
type Filler = (h: number, z: number, step: number, count: number, to: number) => void;

/**
 * What fills a band: its one number, or a block's deposits, read off it. `first` is the number of the first
 * of them.
 */
function fillerOf({ swirl }: Band, first: number, band: Uint16Array, ready: Ready): Filler {
  if (!swirl) return (_h, _z, _step, count, to) => band.fill(first, to, to + count);
  const read = readerOf(swirl.content, ready);
  const { across, behind } = swirl;
  const onward = (step: number): Vec3 => [across[0] * step, across[1] * step, across[2] * step];
  if (!behind)
    return (h, z, step, count, to) => {
      read(point(swirl, h, z), onward(step), count, band, to, first);
    };
  return (h, z, step, count, to) => {
    const start = point(swirl, h, z);
    const [row, seen] = [new Uint16Array(count), new Uint16Array(count)];
    const planes = Math.max(FEWEST_PLANES, Math.ceil(behind.mm / BEHIND_MM));
    // from the far to the near: what is nearer hides what is behind it
    for (let k = planes; k >= 0; k -= 1) {
      const deep = (behind.mm * k) / planes;
      row.fill(0);
      read(
        [start[0] + behind.way[0] * deep, start[1] + behind.way[1] * deep, start[2] + behind.way[2] * deep],
        onward(step),
        count,
        row,
        0,
        first,
      );
      for (let i = 0; i < count; i += 1) if (row[i]) seen[i] = row[i] as number;
    }
    for (let i = 0; i < count; i += 1) if (seen[i]) band[to + i] = seen[i] as number;
  };
}

/** However little there is behind a cut, so many planes of it are looked at. */
const FEWEST_PLANES = 12;

/** Between planes that what stands behind a cut is looked for in, mm. */
const BEHIND_MM = 0.75;

/**
 * A framed face as large as fits into `width` x `height` pixels, in its middle, at one scale. Later bands lie
 * over earlier ones. Outlines need not be convex; a sample belongs to the outlines that go round it an odd
 * number of times.
 */
export function rasterise(
  framed: FramedFace,
  width: number,
  height: number,
  ready: Ready,
  samples = SAMPLES,
): Raster {
  const { face, left, right, foot, head } = framed;
  const [w, h] = [width * samples, height * samples];
  const band = new Uint16Array(w * h);
  const scale = scaleFor(framed, w, h);
  const [x0, y0] = [w / 2 - ((left + right) / 2) * scale, h / 2 + ((foot + head) / 2) * scale];
  const pours: string[] = [];
  for (const one of face) {
    const fill = fillerOf(one, pours.length + 1, band, ready);
    pours.push(...(one.swirl ? one.swirl.content.keys : [one.pourId]));
    const points = one.outline.map((p) => [x0 + p.h * scale, y0 - p.z * scale] as const);
    const ys = points.map(([, y]) => y);
    const from = Math.max(0, Math.ceil(Math.min(...ys) - 0.5));
    const to = Math.min(h - 1, Math.floor(Math.max(...ys) - 0.5));
    for (let row = from; row <= to; row += 1) {
      const y = row + 0.5;
      const met: number[] = [];
      for (const [i, [ax, ay]] of points.entries()) {
        const [bx, by] = points[(i + 1) % points.length] as readonly [number, number];
        if (ay > y !== by > y) met.push(ax + ((bx - ax) * (y - ay)) / (by - ay));
      }
      met.sort((a, b) => a - b);
      for (let i = 0; i + 1 < met.length; i += 2) {
        const start = Math.max(0, Math.ceil((met[i] as number) - 0.5));
        const end = Math.min(w, Math.ceil((met[i + 1] as number) - 0.5));
        if (end > start)
          fill((start + 0.5 - x0) / scale, (y0 - y) / scale, 1 / scale, end - start, row * w + start);
      }
    }
  }
  return { width, height, samples, pours, band };
}
