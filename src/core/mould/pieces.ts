import type { MouldGeometry } from './geometry.ts';
import type { Mould } from './schema.ts';
import type { Millimetres } from '../units/quantity.ts';
import { standsOnEnd } from './round.ts';
import type { Runs } from './runs.ts';

/**
 * One piece of soap as it comes out of the mould: a compartment's, or all of it. It is cut square to `axis`:
 * along y, the loaf's length, or along z, the height of a tube that stands.
 */
export interface Piece {
  /** which compartment it lies in */
  readonly room: number;
  readonly axis: 'y' | 'z';
  /** where it begins on the axis, mould frame: its near end, or the floor */
  readonly fromMm: Millimetres;
  readonly lengthMm: Millimetres;
  /** at the lined floor, square to the axis; round moulds: the widest */
  readonly widthMm: Millimetres;
  /** where it begins across, mould frame */
  readonly leftMm: Millimetres;
}

/** The stretches that a divider leaves of a width or a length, from one wall to the other. */
function stretches(mould: Mould, runs: Runs, wholeMm: Millimetres) {
  const { divider } = mould;
  if (divider?.runs !== runs) return [{ fromMm: 0, lengthMm: wholeMm }];
  const half = divider.thicknessMm / 2;
  const walls = divider.atMm.toSorted((a, b) => a - b);
  const starts = [0, ...walls.map((at) => at + half)];
  const ends = [...walls.map((at) => at - half), wholeMm];
  return starts.map((fromMm, i) => ({ fromMm, lengthMm: (ends[i] ?? wholeMm) - fromMm }));
}

/**
 * The pieces of a mould filled to a height, in the order of its compartments. Loaves are measured at the
 * lined floor.
 */
export function piecesOf(mould: Mould, geometry: MouldGeometry, fillMm: Millimetres): readonly Piece[] {
  const { floor } = geometry;
  const across = stretches(mould, 'lengthwise', floor.width);
  const along = stretches(mould, 'crosswise', floor.length);
  const pieces = across.flatMap((w) =>
    along.map((l): Omit<Piece, 'room'> => ({
      axis: 'y',
      fromMm: l.fromMm - floor.length / 2,
      lengthMm: l.lengthMm,
      widthMm: w.lengthMm,
      leftMm: w.fromMm - floor.width / 2,
    })),
  );
  return pieces.map((p, room) =>
    standsOnEnd(mould.shape) ? { ...p, room, axis: 'z', fromMm: 0, lengthMm: fillMm } : { ...p, room },
  );
}
