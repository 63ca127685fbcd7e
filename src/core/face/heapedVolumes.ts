import { columnOf } from '../flow/heap.ts';
import { edgesOf, isIn } from '../flow/outline.ts';
import { slice } from '../geometry/clip.ts';
import { corners } from '../geometry/polyhedron.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Block, Content } from '../pattern/body.ts';
import type { Millilitres } from '../units/quantity.ts';

/** Looks across and along. */
const LOOKS = 220;

/**
 * The volume of every deposit on top of a compartment, as its pictures show it, by its name: column by
 * column, as far as it is seen.
 */
export function heapedVolumes(
  { solid }: Block,
  { keys, heap }: Extract<Content, { kind: 'heaped' }>,
): ReadonlyMap<string, Millilitres> {
  const column = columnOf(heap);
  const points = corners(solid);
  const reach = (axis: 0 | 1 | 2): readonly [number, number] => [
    Math.min(...points.map((p) => p[axis])),
    Math.max(...points.map((p) => p[axis])),
  ];
  const [[x0, x1], [y0, y1], [z0, z1]] = [reach(0), reach(1), reach(2)];
  const edges = edgesOf(
    slice(solid, { normal: [0, 0, 1], offset: (z0 + z1) / 2 }).map(([x, y]) => [x, y] as const),
  );
  const [dx, dy] = [(x1 - x0) / LOOKS, (y1 - y0) / LOOKS];
  const mm3 = new Map<string, number>(keys.map((k) => [k, 0]));
  for (let i = 0; i < LOOKS; i += 1)
    for (let j = 0; j < LOOKS; j += 1) {
      const [x, y] = [x0 + (i + 0.5) * dx, y0 + (j + 0.5) * dy];
      if (!isIn(edges, x, y)) continue;
      for (const [deposit, low, high] of column(x, y)) {
        const key = keys[deposit];
        const seen = Math.max(0, Math.min(high, z1) - Math.max(low, z0));
        if (key !== undefined) mm3.set(key, (mm3.get(key) ?? 0) + dx * dy * seen);
      }
    }
  return new Map([...mm3].map(([key, sum]) => [key, sum / MM3_PER_ML]));
}
