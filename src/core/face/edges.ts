import type { FramedFace } from './framed.ts';
import { rasterise, type Ready } from './raster.ts';

/** px of a picture that edges are counted in */
const SIZE = 150;

/**
 * How long the edges between two deposits are in a picture, px, added to `edges`: keys x keys. Gives how many
 * px are in it.
 */
export function countEdges(
  face: FramedFace,
  keys: readonly string[],
  ready: Ready,
  edges: Float64Array,
): number {
  const { band, pours } = rasterise(face, SIZE, SIZE, ready, 1);
  const indexOf = Int16Array.from([-1, ...pours.map((key) => keys.indexOf(key))]);
  const n = keys.length;
  const meet = (i: number, j: number): void => {
    const [a, b] = [indexOf[band[i] ?? 0] ?? -1, indexOf[band[j] ?? 0] ?? -1];
    if (a < 0 || b < 0 || a === b) return;
    edges[a * n + b] = (edges[a * n + b] as number) + 1;
    edges[b * n + a] = (edges[b * n + a] as number) + 1;
  };
  for (let y = 0; y + 1 < SIZE; y += 1)
    for (let x = 0; x + 1 < SIZE; x += 1) {
      meet(y * SIZE + x, y * SIZE + x + 1);
      meet(y * SIZE + x, (y + 1) * SIZE + x);
    }
  return band.reduce((sum, b) => sum + (b > 0 ? 1 : 0), 0);
}
