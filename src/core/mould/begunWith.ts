import { sameMould } from './sameMould.ts';
import type { Mould } from './schema.ts';

/** A mould without what is put into it for one design: walls, columns, a mat. */
function emptied({ divider: _divider, columns: _columns, mat: _mat, ...mould }: Mould): Mould {
  return mould;
}

/**
 * The mould that a new plan begins in after one in `last`: as it is kept, where that one is kept, and
 * otherwise empty. What stood in it was for that plan's design.
 */
export const begunWith = (last: Mould, kept: readonly Mould[]): Mould =>
  kept.find((k) => k.name === last.name && sameMould(emptied(k), emptied(last))) ?? emptied(last);
