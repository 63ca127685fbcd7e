import { clip } from '../geometry/clip.ts';
import { fillProfile } from '../geometry/fillProfile.ts';
import { MM3_PER_ML, type MouldGeometry } from '../mould/geometry.ts';
import type { Layer } from '../mould/stack.ts';
import type { Millilitres, Millimetres } from '../units/quantity.ts';

/**
 * The volume pour `index` would have if its surface stood at `offset` (same tilt), ml, the earlier pours
 * staying as they are. The direct inverse of solving a line from a volume.
 */
export function volumeAtLine(
  geometry: MouldGeometry,
  layers: readonly Layer[],
  index: number,
  offset: Millimetres,
): Millilitres {
  const layer = layers[index];
  if (!layer) throw new RangeError(`no pour at ${index}`);
  const space = layers
    .slice(0, index)
    .reduce((solid, l) => clip(solid, { normal: l.up, offset: l.offset }).above, geometry.solid);
  return fillProfile(space, layer.up).volumeBelow(offset) / MM3_PER_ML;
}
