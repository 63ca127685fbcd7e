import { rememberedBy } from '../task/remembered.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { clip, type Plane } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { dot, type Vec3 } from '../geometry/vec.ts';
import type { Room } from '../mould/rooms.ts';
import type { CutSettings } from '../plan/planSchema.ts';
import type { Millimetres } from '../units/quantity.ts';

/** Square to a face, outward, of length one (Newell's normal). */
function outward(face: readonly Vec3[]): Vec3 {
  let [nx, ny, nz] = [0, 0, 0];
  for (const [i, [ax, ay, az]] of face.entries()) {
    const [bx, by, bz] = face[(i + 1) % face.length] as Vec3;
    nx += (ay - by) * (az + bz);
    ny += (az - bz) * (ax + bx);
    nz += (ax - bx) * (ay + by);
  }
  const length = Math.hypot(nx, ny, nz);
  return length > 0 ? [nx / length, ny / length, nz / length] : [0, 0, 0];
}

/** Looks up: the opening, or an upper half of a round wall that closes over it. */
const OPENING = 0.999;

/** Where the soap lay against its mould, so far inside. */
const wallsIn = ({ solid }: Room, planeMm: Millimetres): readonly Plane[] =>
  solid.faces.flatMap((face): Plane[] => {
    const normal = outward(face);
    const [point] = face;
    return !point || normal[2] > OPENING || normal.every((n) => n === 0)
      ? []
      : [{ normal, offset: dot(normal, point) - planeMm }];
  });

/** What is left of a solid once the faces that lay against its mould are planed off. */
export function planedSolid(room: Room, planeMm: Millimetres, solid: Polyhedron): Polyhedron {
  let left = solid;
  for (const plane of wallsIn(room, planeMm)) left = clip(left, plane).below;
  return left;
}

const planed = rememberedBy<readonly PouredLayer[]>();

/** A mould's layers without what is planed off their mould faces. */
export function planedLayers(
  layers: readonly PouredLayer[],
  { planeMm }: { readonly planeMm?: CutSettings['planeMm'] },
): readonly PouredLayer[] {
  if (planeMm === undefined) return layers;
  return planed(layers, planeMm, () =>
    layers.map((l) => ({ ...l, solid: planedSolid(l.room, planeMm, l.solid) })),
  );
}
