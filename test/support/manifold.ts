import Module, { type Manifold, type ManifoldToplevel } from 'manifold-3d';
import type { Inside } from '../../src/core/mould/inside.ts';

let ready: Promise<ManifoldToplevel> | undefined;

/** The reference library, started once. */
export const manifold = (): Promise<ManifoldToplevel> => {
  ready ??= Module().then((wasm) => {
    wasm.setup();
    return wasm;
  });
  return ready;
};

/** The lined inside of a mould as the reference library builds it: the hull of its eight corners. */
export function mouldManifold(wasm: ManifoldToplevel, { floor, rim, heightMm }: Inside): Manifold {
  const corners = [
    [floor, 0],
    [rim, heightMm],
  ] as const;
  return wasm.Manifold.hull(
    corners.flatMap(([r, z]) =>
      [-1, 1].flatMap((x) =>
        [-1, 1].map((y): [number, number, number] => [(x * r.width) / 2, (y * r.length) / 2, z]),
      ),
    ),
  );
}
