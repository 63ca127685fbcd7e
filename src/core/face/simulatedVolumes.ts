import { long, wide } from '../flow/box.ts';
import { rowReader } from '../flow/depositAt.ts';
import { edgesOf, isIn } from '../flow/outline.ts';
import type { Prepared } from '../flow/stages.ts';
import type { Vec3 } from '../geometry/vec.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Millilitres } from '../units/quantity.ts';

/** Looks across and along each sheet, and every so manyth level: 300 000 looks in a block. */
const LOOKS = 64;
const EVERY = 3;

/** Steps of it never come back to the same place. */
const GOLDEN = 0.618034;

/**
 * The volume of every deposit of a block as its pictures show it, by its name: looked at all through it, in
 * even steps.
 */
export function simulatedVolumes(
  keys: readonly string[],
  prepared: Prepared,
): ReadonlyMap<string, Millilitres> {
  const { levels, axes, lowest, spacing } = prepared.levels;
  const [right, away, up] = axes;
  const read = rowReader(prepared);
  const row = new Uint16Array(LOOKS);
  const mm3 = new Float64Array(keys.length);
  const at = (x: number, y: number, z: number): Vec3 => [
    right[0] * x + away[0] * y + up[0] * z,
    right[1] * x + away[1] * y + up[1] * z,
    right[2] * x + away[2] * y + up[2] * z,
  ];
  for (let l = EVERY >> 1; l < levels.length; l += EVERY) {
    const level = levels[l];
    if (!level || level.outline.length < 3) continue;
    const { box } = level;
    const edges = level.fills ? undefined : edgesOf(level.outline);
    const [dx, dy] = [wide(box) / LOOKS, long(box) / LOOKS];
    // each level and row is looked at a little otherwise, so that a thin upright band is neither always met
    // nor always missed
    const aside = (l * GOLDEN * GOLDEN + 0.5) % 1;
    for (let j = 0; j < LOOKS; j += 1) {
      const y = box.y0 + (j + aside) * dy;
      const x0 = box.x0 + dx * (((l + j) * GOLDEN + j * j * GOLDEN * GOLDEN) % 1);
      // all through the levels that this one stands for
      const within = ((l + j) * GOLDEN) % 1;
      read(
        at(x0, y, lowest + (l - (EVERY >> 1) + within * EVERY) * spacing),
        [right[0] * dx, right[1] * dx, right[2] * dx],
        LOOKS,
        row,
        0,
        1,
      );
      for (let i = 0; i < LOOKS; i += 1) {
        const deposit = (row[i] as number) - 1;
        if (deposit < 0 || (edges && !isIn(edges, x0 + i * dx, y))) continue;
        mm3[deposit] = (mm3[deposit] as number) + dx * dy * EVERY * spacing;
      }
    }
  }
  return new Map(keys.map((key, i) => [key, (mm3[i] as number) / MM3_PER_ML]));
}
