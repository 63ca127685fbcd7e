import { openProfile } from '../geometry/openProfile.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Layer } from '../mould/stack.ts';
import type { Millilitres, Millimetres } from '../units/quantity.ts';

/**
 * The volume pour `index` would have if its surface stood at `offset` (same tilt), ml, the earlier pours
 * staying as they are. The direct inverse of solving a line from a volume.
 */
export function volumeAtLine(layers: readonly Layer[], index: number, offset: Millimetres): Millilitres {
  const layer = layers[index];
  if (!layer) throw new RangeError(`no pour at ${index}`);
  return (
    openProfile([{ solid: layer.space, blocked: layer.blocked }], layer.up).volumeBelow(offset) / MM3_PER_ML
  );
}
