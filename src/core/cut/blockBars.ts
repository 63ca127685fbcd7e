import type { PouredLayer } from '../fill/layers.ts';
import { slabOf } from '../geometry/clip.ts';
import type { Vec3 } from '../geometry/vec.ts';
import { volumeOf } from '../geometry/volume.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import { holesOf } from '../pattern/hole.ts';
import type { CutSettings, CutWay } from '../plan/planSchema.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';
import type { Slice } from './slice.ts';
import { piecesIn } from '../fill/barGrid.ts';
import { once } from '../task/once.ts';
import type { Piece } from '../mould/pieces.ts';

/**
 * A block of a piece, from `startMm` to `endMm` of its length. `filled` is the part of a column's hole that
 * is filled.
 */
interface Block {
  readonly piece: Piece;
  readonly layers: readonly PouredLayer[];
  readonly filled: number;
  readonly startMm: Millimetres;
  readonly endMm: Millimetres;
}

interface Slicing {
  readonly by: CutWay['by'];
  /** where the first slice begins, mould frame, and how much there is to slice */
  readonly from: Millimetres;
  readonly size: Millimetres;
  readonly settings: CutSettings;
}

interface BlockSlice {
  readonly slice: Slice;
  /** of the slice all across, where it is level: worked out once it is asked */
  readonly open: () => { readonly volumeMl: Millilitres; readonly massG: Grams };
}

/** Beyond every mould: an outer slice has what leans beyond the floor's edge. */
const FAR = 1e6;

/** What is left over that is thinner than this is no slice's cut, mm: the last slice has it. */
const FLUSH = 0.5;

/** The slices of a block, from the floor up or from the left, each by its own volume. */
export function slicesOfBlock(
  { piece, layers, filled, startMm, endMm }: Block,
  { by, from, size, settings }: Slicing,
): readonly BlockSlice[] {
  const count = piecesIn(size, settings);
  const { thicknessMm, kerfMm } = settings;
  const along: Vec3 = [0, 1, 0];
  const square: Vec3 = by === 'floor' ? [0, 0, 1] : [1, 0, 0];
  const parts = once(() =>
    layers.map((l) => {
      const [low, high] = [piece.fromMm + startMm, piece.fromMm + endMm];
      return {
        density: l.densityGMl,
        whole: slabOf(l.solid, along, low, high),
        holes: filled < 1 ? holesOf(l).map((h) => slabOf(h, along, low, high)) : [],
      };
    }),
  );
  return Array.from({ length: count }, (_, k): BlockSlice => {
    const fromMm = from + k * (thicknessMm + kerfMm);
    const toMm = fromMm + thicknessMm;
    const last = k === count - 1 && from + size - toMm < FLUSH;
    const slice: Slice = { by, fromMm, toMm, first: k === 0, last };
    const [low, high] = [k === 0 ? -FAR : fromMm, last ? FAR : toMm];
    const open = once(() => {
      let [volumeMl, massG] = [0, 0];
      for (const { density, whole, holes } of parts()) {
        const mm3 =
          volumeOf(slabOf(whole, square, low, high)) -
          (1 - filled) * holes.reduce((s, h) => s + volumeOf(slabOf(h, square, low, high)), 0);
        volumeMl += mm3 / MM3_PER_ML;
        massG += (mm3 / MM3_PER_ML) * density;
      }
      return { volumeMl, massG };
    });
    return { slice, open };
  });
}
