import type { PouredLayer } from '../fill/layers.ts';
import type { LaidPlan } from '../fill/layPlan.ts';
import { fillProfile } from '../geometry/fillProfile.ts';
import type { Vec3 } from '../geometry/vec.ts';
import { isCavity } from '../mould/schema.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import { holeMassG, holeOf } from '../pattern/hole.ts';
import type { CutSettings, Plan } from '../plan/planSchema.ts';
import { totalHeldBack } from '../plan/pours.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';
import { piecesOf, type Piece } from './pieces.ts';

/** The bars of one place along a piece: from `startMm` to `endMm` of its length, 0 at its near end or at the floor. */
export interface Bar {
  readonly piece: Piece;
  readonly startMm: Millimetres;
  readonly endMm: Millimetres;
  /** so many beside each other, each this wide at the lined floor, with a kerf between them */
  readonly strips: number;
  readonly stripMm: Millimetres;
  /** one bar's: the slice shared by its strips, less the kerfs between them */
  readonly volumeMl: Millilitres;
  /** when cut: its own batter, what fills a column's hole in it, and its share of the top */
  readonly massG: Grams;
}

export interface BarCut {
  readonly pieces: readonly Piece[];
  /** length of the longest piece */
  readonly loafMm: Millimetres;
  /** bars of one mould: places along its pieces x strips */
  readonly count: number;
  /** width of one bar across the widest piece, at the lined floor */
  readonly stripMm: Millimetres;
  /** one entry a place, piece by piece */
  readonly bars: readonly Bar[];
  /** the longest that is left past a last bar's cut, before the far trim */
  readonly remainderMm: Millimetres;
  /** the thickness at which the same trims and kerf give a piece this many bars and one more, nothing left over */
  readonly evenThicknessMm: { readonly same: Millimetres | undefined; readonly more: Millimetres };
}

/** Bars = floor((length - trims + kerf) / (thickness + kerf)); a part in 10^9 forgives binary rounding. */
export function barCount(lengthMm: Millimetres, cut: CutSettings): number {
  const usable = lengthMm - cut.trimStartMm - cut.trimEndMm;
  return Math.max(0, Math.floor(((usable + cut.kerfMm) / (cut.thicknessMm + cut.kerfMm)) * (1 + 1e-9)));
}

interface Slices {
  /** ml and g of a piece's layers, holes filled, below a place on the axis */
  readonly volumeTo: (at: Millimetres) => Millilitres;
  readonly massTo: (at: Millimetres) => Grams;
}

/** Mass and volume along a piece. `filled` is the part of a column's hole that what is held back fills, 0..1. */
function slicesOf(piece: Piece, layers: readonly PouredLayer[], filled: number): Slices {
  const normal: Vec3 = piece.axis === 'y' ? [0, 1, 0] : [0, 0, 1];
  const profiles = layers.map((l) => {
    const hole = filled < 1 ? holeOf(l) : undefined;
    return {
      density: l.densityGMl / MM3_PER_ML,
      whole: fillProfile(l.solid, normal),
      hole: hole && hole.faces.length > 0 ? fillProfile(hole, normal) : undefined,
    };
  });
  const known = new Map<number, readonly number[]>();
  /** what of each layer lies below a place: asked for both volume and mass, and by the bars on either side */
  const open = (at: number): readonly number[] => {
    const before = known.get(at);
    if (before) return before;
    const now = profiles.map((p) => p.whole.volumeBelow(at) - (1 - filled) * (p.hole?.volumeBelow(at) ?? 0));
    known.set(at, now);
    return now;
  };
  return {
    volumeTo: (at) => open(at).reduce((s, mm3) => s + mm3, 0) / MM3_PER_ML,
    massTo: (at) => open(at).reduce((s, mm3, i) => s + mm3 * (profiles[i]?.density ?? 0), 0),
  };
}

/**
 * Cut what one mould gives: each piece on its own, with its own trims, a loaf or slab straight across and in strips of equal
 * width, a tube that stands into discs. Volumes come from the layers themselves, so bars of a tapered or sloping loaf
 * differ. All bars, trims and what is left over weigh what was poured and held back for this mould, nothing twice: what is
 * held back first fills a column's hole, the rest lies on top. On a tube that stands the top lies beyond the last disc.
 */
export function cutBars(
  { stack, geometry, fill }: Pick<LaidPlan, 'stack' | 'geometry' | 'fill'>,
  plan: Plan,
): BarCut {
  const cavity = isCavity(plan.mould);
  /** a cavity's bar is all that is in it */
  const cutOf = (piece: Piece): CutSettings =>
    cavity
      ? { strips: 1, thicknessMm: Math.max(piece.lengthMm, 1e-9), kerfMm: 0, trimStartMm: 0, trimEndMm: 0 }
      : plan.cut;
  const pieces = piecesOf(plan.mould, geometry, fill.heightMm);
  const heldG = totalHeldBack(plan) / plan.fill.copies;
  const holeG = holeMassG(stack.layers);
  const filled = holeG > 0 ? Math.min(1, heldG / holeG) : 1;
  const topG = Math.max(0, heldG - holeG);
  const area = pieces.reduce((s, p) => s + p.widthMm * p.lengthMm, 0);
  const stripOf = (p: Piece): Millimetres => {
    const { strips, kerfMm } = cutOf(p);
    return p.axis === 'z' ? p.widthMm : (p.widthMm - (strips - 1) * kerfMm) / strips;
  };
  const stripsOf = (p: Piece): number => (p.axis === 'z' ? 1 : cutOf(p).strips);
  const bars = pieces.flatMap((piece): Bar[] => {
    const cut = cutOf(piece);
    const strip = stripOf(piece);
    if (strip <= 0) return [];
    const room = geometry.rooms[piece.room];
    const { volumeTo, massTo } = slicesOf(
      piece,
      stack.layers.filter((l) => l.room === room),
      filled,
    );
    const share = strip / piece.widthMm;
    // g of the top on a mm of this piece, all its strips
    const topPerMm =
      cavity && piece.axis === 'z'
        ? topG / Math.max(piece.lengthMm, 1e-9)
        : piece.axis === 'y' && area > 0
          ? (topG * piece.widthMm) / area
          : 0;
    return Array.from({ length: barCount(piece.lengthMm, cut) }, (_, i): Bar => {
      const startMm = cut.trimStartMm + i * (cut.thicknessMm + cut.kerfMm);
      const endMm = startMm + cut.thicknessMm;
      const [from, to] = [piece.fromMm + startMm, piece.fromMm + endMm];
      return {
        piece,
        startMm,
        endMm,
        strips: stripsOf(piece),
        stripMm: strip,
        volumeMl: (volumeTo(to) - volumeTo(from)) * share,
        massG: (massTo(to) - massTo(from) + topPerMm * cut.thicknessMm) * share,
      };
    });
  });
  const remainderOf = (piece: Piece): Millimetres => {
    const { lengthMm } = piece;
    const cut = cutOf(piece);
    const n = barCount(lengthMm, cut);
    const usable = lengthMm - cut.trimStartMm - cut.trimEndMm;
    return Math.max(0, usable - n * cut.thicknessMm - Math.max(0, n - 1) * cut.kerfMm);
  };
  const loafMm = Math.max(...pieces.map((p) => p.lengthMm));
  const { cut } = plan;
  const usable = loafMm - cut.trimStartMm - cut.trimEndMm;
  const n = barCount(loafMm, cut);
  const thicknessFor = (count: number): number => (usable - (count - 1) * cut.kerfMm) / count;
  return {
    pieces,
    loafMm,
    count: bars.reduce((s, b) => s + b.strips, 0),
    stripMm: Math.max(...pieces.map(stripOf)),
    bars,
    remainderMm: Math.max(...pieces.map(remainderOf)),
    evenThicknessMm: { same: n > 0 ? thicknessFor(n) : undefined, more: thicknessFor(n + 1) },
  };
}
