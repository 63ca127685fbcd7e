import Module, { type Manifold, type ManifoldToplevel } from 'manifold-3d';
import { corners } from '../../src/core/geometry/polyhedron.ts';
import type { MouldGeometry } from '../../src/core/mould/geometry.ts';

let ready: Promise<ManifoldToplevel> | undefined;

/** The reference library, started once. */
export const manifold = (): Promise<ManifoldToplevel> => {
  ready ??= Module().then((wasm) => {
    wasm.setup();
    return wasm;
  });
  return ready;
};

/** A mould's inside as the reference library builds it: the hull of its corners. */
export const mouldManifold = (wasm: ManifoldToplevel, geometry: MouldGeometry): Manifold =>
  wasm.Manifold.hull(corners(geometry.solid).map((p): [number, number, number] => [...p]));
