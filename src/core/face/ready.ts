import { prepare } from '../flow/prepare.ts';
import type { Prepared } from '../flow/stages.ts';
import type { BlockSpec } from '../flow/spec.ts';
import type { Task } from '../task/task.ts';
import { finish } from '../task/task.ts';
import { specsOf } from '../pattern/body.ts';
import type { FramedFace } from './framed.ts';
import { rasterise, type Raster, type Ready } from './raster.ts';

/**
 * So many blocks are kept ready: a mould and what it is compared with. A slab with strokes takes about 3 MB.
 */
const KEPT = 16;

/** Blocks that were made ready, the one used last at the end. */
export interface ReadyBlocks {
  readonly held: Map<string, Prepared>;
  /** under way: whoever wants one goes on with it */
  readonly making: Map<string, Task<never, Prepared>>;
}

export const noneReady = (): ReadyBlocks => ({ held: new Map(), making: new Map() });

function keep({ held }: ReadyBlocks, key: string, prepared: Prepared): Prepared {
  held.delete(key);
  held.set(key, prepared);
  const [oldest] = held.keys();
  if (held.size > KEPT && oldest !== undefined) held.delete(oldest);
  return prepared;
}

/** Made at once where it is not there yet. */
export const readyFrom =
  (shelf: ReadyBlocks): Ready =>
  (spec) =>
    keep(shelf, spec.key, shelf.held.get(spec.key) ?? finish(prepare(spec)));

/** A face to be drawn, in pixels. Can be posted. */
export interface Wanted {
  readonly face: FramedFace;
  readonly width: number;
  readonly height: number;
  /** across and down each pixel, where that is not as usual */
  readonly samples?: number;
}

/** A coarse picture has one sample for so many pixels, each way. */
const COARSE = 3;

/**
 * px: a picture as small as this is drawn from a block that was made ready on coarser grids, in a fifth of
 * the time
 */
const SMALL = 40_000;

const smallKey = (key: string): string => `small ${key}`;

/**
 * Made ready step by step; several pictures of one block go on with the same work. A small picture takes what
 * is there for a large one.
 */
function* made(shelf: ReadyBlocks, spec: BlockSpec, small: boolean): Task<never, Prepared> {
  const { held, making } = shelf;
  const key = small ? smallKey(spec.key) : spec.key;
  for (;;) {
    const there = held.get(spec.key) ?? held.get(key);
    if (there) return keep(shelf, held.has(spec.key) ? spec.key : key, there);
    const under = making.get(key) ?? prepare(spec, small);
    making.set(key, under);
    const [oldest] = making.keys();
    if (making.size > KEPT && oldest !== undefined) making.delete(oldest);
    const step = under.next();
    if (step.done) {
      making.delete(key);
      keep(shelf, key, step.value);
    } else yield step.value;
  }
}

/** A face in pixels: what has to be simulated is made ready, then it comes coarse, and then sharp. */
export function* facePicture(
  shelf: ReadyBlocks,
  { face, width, height, samples }: Wanted,
): Task<Raster, Raster> {
  const specs = face.face.flatMap((b) => (b.swirl ? specsOf(b.swirl.content) : []));
  const small = width * height <= SMALL;
  const prepared = new Map<string, Prepared>();
  for (const spec of specs)
    if (!prepared.has(spec.key)) prepared.set(spec.key, yield* made(shelf, spec, small));
  const ready: Ready = (spec) => prepared.get(spec.key) ?? readyFrom(shelf)(spec);
  const [w, h] = [Math.ceil(width / COARSE), Math.ceil(height / COARSE)];
  // a small picture is there as soon as its coarse one
  if (!small && samples === undefined) yield { done: 0.9, partial: rasterise(face, w, h, ready, 1) };
  return rasterise(face, width, height, ready, samples);
}
