import type { MouldGeometry } from '../mould/geometry.ts';
import { piecesOf, type Piece } from '../mould/pieces.ts';
import { isCavity, type Mould } from '../mould/schema.ts';
import type { CutSettings, CutWay } from '../plan/planSchema.ts';
import type { Millimetres } from '../units/quantity.ts';

/**
 * Slices of a block, or bars of a length that is all to be cut: one kerf less than slices; a part in 10^9
 * forgives binary rounding.
 */
export const piecesIn = (
  lengthMm: Millimetres,
  { thicknessMm, kerfMm }: Pick<CutSettings, 'thicknessMm' | 'kerfMm'>,
): number => Math.max(0, Math.floor(((lengthMm + kerfMm) / (thicknessMm + kerfMm)) * (1 + 1e-9)));

/** Bars = floor((length - trims + kerf) / (thickness + kerf)). */
export const barCount = (lengthMm: Millimetres, cut: CutSettings): number =>
  piecesIn(lengthMm - cut.trimStartMm - cut.trimEndMm, cut);

/** From one cut along a piece to the next: a bar, or a block that is sliced. */
export interface Stretch {
  readonly startMm: Millimetres;
  readonly endMm: Millimetres;
  readonly block: boolean;
}

/** A cavity's bar is all that is in it: it is not cut. */
export const cutOf = (mould: Mould, cut: CutSettings, { lengthMm }: Piece): CutSettings =>
  isCavity(mould)
    ? { strips: 1, thicknessMm: Math.max(lengthMm, 1e-9), kerfMm: 0, trimStartMm: 0, trimEndMm: 0 }
    : cut;

/** How blocks of a piece are sliced; undefined where it is cut straight across. */
export const wayOf = (mould: Mould, { way }: CutSettings, { axis }: Piece): CutWay | undefined =>
  isCavity(mould) || axis === 'z' ? undefined : way;

/** A piece cut along its length: first the blocks, then what is left of it in bars. */
export function stretchesAlong(
  lengthMm: Millimetres,
  cut: CutSettings,
  way: CutWay | undefined,
): readonly Stretch[] {
  const row = (fromMm: Millimetres, each: Millimetres, block: boolean): readonly Stretch[] =>
    Array.from(
      { length: barCount(lengthMm, { ...cut, trimStartMm: fromMm, thicknessMm: each }) },
      (_, i): Stretch => {
        const startMm = fromMm + i * (each + cut.kerfMm);
        return { startMm, endMm: startMm + each, block };
      },
    );
  const blocks = way ? row(cut.trimStartMm, way.longMm, true) : [];
  const last = blocks.at(-1);
  return [...blocks, ...row(last ? last.endMm + cut.kerfMm : cut.trimStartMm, cut.thicknessMm, false)];
}

/** The width of each strip at the lined floor. */
export const stripWidth = ({ axis, widthMm }: Piece, { strips, kerfMm }: CutSettings): Millimetres =>
  axis === 'z' ? widthMm : (widthMm - (strips - 1) * kerfMm) / strips;

/** What of a mould's plan one bar takes up, mm in the mould's frame. */
export interface Footprint {
  readonly room: number;
  readonly x0: Millimetres;
  readonly x1: Millimetres;
  readonly y0: Millimetres;
  readonly y1: Millimetres;
}

/** The bars of a piece beside each other: from the left, each so wide. */
function besideEachOther(
  piece: Piece,
  cut: CutSettings,
  upright: boolean,
): { readonly count: number; readonly wideMm: Millimetres } {
  if (upright) return { count: piecesIn(piece.widthMm, cut), wideMm: cut.thicknessMm };
  return { count: piece.axis === 'z' ? 1 : cut.strips, wideMm: stripWidth(piece, cut) };
}

/** Every bar of a mould as it is seen from above: what lies on its top is repeated on each of them. */
export function barGrid(
  mould: Mould,
  geometry: MouldGeometry,
  settings: CutSettings,
  fillMm: Millimetres,
): readonly Footprint[] {
  return piecesOf(mould, geometry, fillMm).flatMap((piece): readonly Footprint[] => {
    const { room, leftMm, widthMm } = piece;
    if (piece.axis === 'z') {
      const half = widthMm / 2;
      return [{ room, x0: leftMm, x1: leftMm + widthMm, y0: 0 - half, y1: half }];
    }
    const cut = cutOf(mould, settings, piece);
    const way = wayOf(mould, settings, piece);
    return stretchesAlong(piece.lengthMm, cut, way).flatMap(({ startMm, endMm, block }) => {
      const { count, wideMm } = besideEachOther(piece, cut, block && way?.by === 'lengthwise');
      return Array.from({ length: count }, (_, i): Footprint => {
        const x0 = leftMm + i * (wideMm + cut.kerfMm);
        return { room, x0, x1: x0 + wideMm, y0: piece.fromMm + startMm, y1: piece.fromMm + endMm };
      });
    });
  });
}
