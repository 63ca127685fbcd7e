import type { CutWay } from '../plan/planSchema.ts';
import type { Millimetres } from '../units/quantity.ts';

/**
 * A slice of a block, mould frame: between two level planes, or between two upright ones that run along the
 * loaf.
 */
export interface Slice {
  readonly by: CutWay['by'];
  readonly fromMm: Millimetres;
  readonly toMm: Millimetres;
  /**
   * the first lies against the floor or the left wall, the last right under the top or against the right wall
   */
  readonly first: boolean;
  readonly last: boolean;
}
