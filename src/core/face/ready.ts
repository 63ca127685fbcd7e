import { prepare } from '../flow/prepare.ts';
import type { Prepared } from '../flow/stages.ts';
import type { BlockSpec } from '../flow/spec.ts';
import type { Task } from '../task/task.ts';
import { finish } from '../task/task.ts';
import type { FramedFace } from './framed.ts';
import { rasterise, type Raster, type Ready } from './raster.ts';

/** So many blocks are kept ready: a mould and what it is compared with. A slab with strokes takes about 3 MB. */
const KEPT = 12;

/** Blocks that were made ready, the one used last at the end. */
export interface Shelf {
  readonly held: Map<string, Prepared>;
  /** under way: whoever wants one goes on with it */
  readonly making: Map<string, Task<never, Prepared>>;
}

export const newShelf = (): Shelf => ({ held: new Map(), making: new Map() });

function keep({ held }: Shelf, key: string, prepared: Prepared): Prepared {
  held.delete(key);
  held.set(key, prepared);
  const [oldest] = held.keys();
  if (held.size > KEPT && oldest !== undefined) held.delete(oldest);
  return prepared;
}

/** Made at once where it is not there yet. */
export const readyFrom =
  (shelf: Shelf): Ready =>
  (spec) =>
    keep(shelf, spec.key, shelf.held.get(spec.key) ?? finish(prepare(spec)));

/** A face to be drawn, in pixels. Can be posted. */
export interface Wanted {
  readonly face: FramedFace;
  readonly width: number;
  readonly height: number;
}

/** px */
const SMALL = 20_000;

/** A coarse picture has one sample for so many pixels, each way. */
const COARSE = 3;

/** Made ready step by step; several pictures of one block go on with the same work. */
function* made(shelf: Shelf, spec: BlockSpec): Task<never, void> {
  const { held, making } = shelf;
  while (!held.has(spec.key)) {
    const under = making.get(spec.key) ?? prepare(spec);
    making.set(spec.key, under);
    const [oldest] = making.keys();
    if (making.size > KEPT && oldest !== undefined) making.delete(oldest);
    const step = under.next();
    if (step.done) {
      making.delete(spec.key);
      keep(shelf, spec.key, step.value);
    } else yield step.value;
  }
}

/** A face in pixels: what has to be simulated is made ready, then it comes coarse, and then sharp. */
export function* facePicture(shelf: Shelf, { face, width, height }: Wanted): Task<Raster, Raster> {
  const specs = new Map(
    face.face.flatMap((b) => (b.swirl ? [[b.swirl.content.spec.key, b.swirl.content.spec] as const] : [])),
  );
  const fresh = [...specs.values()].some((s) => !shelf.held.has(s.key));
  for (const spec of specs.values()) yield* made(shelf, spec);
  const ready = readyFrom(shelf);
  const [w, h] = [Math.ceil(width / COARSE), Math.ceil(height / COARSE)];
  // a small picture of what is ready is there as soon as its coarse one
  if (fresh || width * height > SMALL) yield { done: 0.9, partial: rasterise(face, w, h, ready, 1) };
  return rasterise(face, width, height, ready);
}
