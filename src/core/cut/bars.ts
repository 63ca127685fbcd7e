import type { Slice } from './slice.ts';
import type { PouredLayer } from '../fill/layers.ts';
import type { LaidPlan } from '../fill/laid.ts';
import { fillProfile } from '../geometry/fillProfile.ts';
import type { Vec3 } from '../geometry/vec.ts';
import { isCavity } from '../mould/schema.ts';
import { piecesOf, type Piece } from '../mould/pieces.ts';
import {
  barCount,
  cutOf as cutOfPiece,
  piecesIn,
  stretchesAlong,
  stripWidth,
  wayOf as wayOfPiece,
} from '../fill/barGrid.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import { holeMassG, holesOf } from '../pattern/hole.ts';
import type { CutSettings, CutWay, Plan } from '../plan/planSchema.ts';
import { totalHeldBack } from '../plan/pours.ts';
import type { Grams, Millilitres, Millimetres } from '../units/quantity.ts';
import { massOnG, type WeighedPart } from '../fill/topMass.ts';
import { slicesOfBlock } from './blockBars.ts';
import { once } from '../task/once.ts';
import { planedLayers } from './planed.ts';

/**
 * The bars of one place along a piece: from `startMm` to `endMm` of its length, 0 at its near end or at the
 * floor.
 */
export interface Bar {
  readonly piece: Piece;
  readonly startMm: Millimetres;
  readonly endMm: Millimetres;
  /** so many beside each other, each this wide at the lined floor, with a kerf between them */
  readonly strips: number;
  readonly stripMm: Millimetres;
  /** of a block that is sliced: which slice of it */
  readonly slice?: Slice;
  /** one bar's: the slice shared by its strips, less the kerfs between them */
  readonly volumeMl: Millilitres;
  /** when cut: its own batter, what fills a column's hole in it, and its share of the top */
  readonly massG: Grams;
  /** of that, what is put on top of it */
  readonly onTopG: Grams;
}

/** How blocks are sliced, in the longest piece. */
export interface Sliced extends CutWay {
  readonly blocks: number;
  /** of each block */
  readonly slices: number;
  /** bars of what is left of the length, cut across */
  readonly across: number;
  /** what is left of the height or the width beside the slices */
  readonly offcutMm: Millimetres;
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
  /** planed off their mould faces */
  readonly planeMm?: Millimetres;
  /** where blocks are sliced */
  readonly sliced?: Sliced;
  /** the longest that is left past a last bar's cut, before the far trim */
  readonly remainderMm: Millimetres;
  /**
   * the thickness at which the same trims and kerf give a piece this many bars and one more, nothing left
   * over; of slices where blocks are sliced
   */
  readonly evenThicknessMm: { readonly same: Millimetres | undefined; readonly more: Millimetres };
}

/** Beyond every mould. */
const FAR = 1e6;

interface Slices {
  /** ml and g of a piece's layers, holes filled, below a place on the axis */
  readonly volumeTo: (at: Millimetres) => Millilitres;
  readonly massTo: (at: Millimetres) => Grams;
}

/**
 * Mass and volume along a piece. `filled` is the part of a column's hole that what is held back fills, 0..1.
 */
function slicesOf(piece: Piece, layers: readonly PouredLayer[], filled: number): Slices {
  const normal: Vec3 = piece.axis === 'y' ? [0, 1, 0] : [0, 0, 1];
  const profiles = layers.map((l) => {
    return {
      density: l.densityGMl / MM3_PER_ML,
      whole: fillProfile(l.solid, normal),
      holes: filled < 1 ? holesOf(l).map((h) => fillProfile(h, normal)) : [],
    };
  });
  const known = new Map<number, readonly number[]>();
  /** what of each layer lies below a place: asked for both volume and mass, and by the bars on either side */
  const open = (at: number): readonly number[] => {
    const before = known.get(at);
    if (before) return before;
    const now = profiles.map(
      (p) => p.whole.volumeBelow(at) - (1 - filled) * p.holes.reduce((s, h) => s + h.volumeBelow(at), 0),
    );
    known.set(at, now);
    return now;
  };
  return {
    volumeTo: (at) => open(at).reduce((s, mm3) => s + mm3, 0) / MM3_PER_ML,
    massTo: (at) => open(at).reduce((s, mm3, i) => s + mm3 * (profiles[i]?.density ?? 0), 0),
  };
}

/** What is weighed of a bar: worked out once it is asked. */
type Weighing = Readonly<Record<'volumeMl' | 'massG' | 'onTopG', () => number>>;

function weighed(bar: Omit<Bar, keyof Weighing>, { volumeMl, massG, onTopG }: Weighing): Bar {
  return {
    ...bar,
    get volumeMl() {
      return volumeMl();
    },
    get massG() {
      return massG();
    },
    get onTopG() {
      return onTopG();
    },
  };
}

/**
 * Cut what one mould gives: each piece on its own, with its own trims, a loaf or slab straight across and in
 * strips of equal width, a tube that stands into discs. Volumes come from the layers themselves, so bars of a
 * tapered or sloping loaf differ. All bars, trims and what is left over weigh what was poured and held back
 * for this mould, nothing twice: what is held back first fills a column's hole, the rest lies on top. On a
 * tube that stands the top lies beyond the last disc.
 */
export function cutBars(
  { stack, geometry, fill }: Pick<LaidPlan, 'stack' | 'geometry' | 'fill'>,
  plan: Plan,
  tops: readonly WeighedPart[] = [],
): BarCut {
  const cavity = isCavity(plan.mould);
  const cutOf = (piece: Piece): CutSettings => cutOfPiece(plan.mould, plan.cut, piece);
  const pieces = piecesOf(plan.mould, geometry, fill.heightMm);
  const heldG = totalHeldBack(plan) / plan.fill.copies;
  const holeG = holeMassG(stack.layers);
  const planed = cavity ? stack.layers : planedLayers(stack.layers, plan.cut);
  const filled = holeG > 0 ? Math.min(1, heldG / holeG) : 1;
  const topG = Math.max(0, heldG - holeG);
  const area = pieces.reduce((s, p) => s + p.widthMm * p.lengthMm, 0);
  const stripOf = (p: Piece): Millimetres => stripWidth(p, cutOf(p));
  const stripsOf = (p: Piece): number => (p.axis === 'z' ? 1 : cutOf(p).strips);
  const wayOf = (p: Piece): CutWay | undefined => wayOfPiece(plan.mould, plan.cut, p);
  /** where slices lie, and how thick what they are cut from is */
  const slicedIn = (p: Piece, { by }: CutWay): { readonly from: Millimetres; readonly size: Millimetres } =>
    by === 'floor' ? { from: 0, size: fill.heightMm } : { from: p.leftMm, size: p.widthMm };
  const bars = pieces.flatMap((piece): Bar[] => {
    const whole = cutOf(piece);
    const strip = stripOf(piece);
    if (strip <= 0) return [];
    const room = geometry.rooms[piece.room];
    const layers = planed.filter((l) => l.room === room);
    const along = once(() => slicesOf(piece, layers, filled));
    const share = strip / piece.widthMm;
    // g of the top on a mm of this piece, all its strips
    const topPerMm =
      cavity && piece.axis === 'z'
        ? topG / Math.max(piece.lengthMm, 1e-9)
        : piece.axis === 'y' && area > 0
          ? (topG * piece.widthMm) / area
          : 0;
    const way = wayOf(piece);
    /** what is put on top of one bar of a place, g; all across, or between two places of it */
    const onTop = (from: Millimetres, to: Millimetres, x0 = -FAR, x1 = FAR): Grams => {
      if (tops.length === 0) return 0;
      const [y0, y1] = piece.axis === 'z' ? [-FAR, FAR] : [piece.fromMm + from, piece.fromMm + to];
      return massOnG(tops, { x0, x1, y0, y1 }, piece.room);
    };
    const stretches = stretchesAlong(piece.lengthMm, whole, way);
    const sliced = way
      ? stretches
          .filter((s) => s.block)
          .flatMap(({ startMm, endMm }): readonly Bar[] => {
            const block = { piece, layers, filled, startMm, endMm };
            const { from, size } = slicedIn(piece, way);
            const lengthwise = way.by === 'lengthwise';
            return slicesOfBlock(block, { by: way.by, from, size, settings: whole }).map(
              ({ slice, open }): Bar => {
                const onTopG = once(() =>
                  lengthwise
                    ? onTop(startMm, endMm, slice.fromMm, slice.toMm)
                    : slice.last
                      ? onTop(startMm, endMm) / stripsOf(piece)
                      : 0,
                );
                const part = lengthwise ? 1 : share;
                const topShare = lengthwise ? whole.thicknessMm / size : slice.last ? 1 : 0;
                return weighed(
                  {
                    piece,
                    startMm,
                    endMm,
                    strips: lengthwise ? 1 : stripsOf(piece),
                    stripMm: lengthwise ? whole.thicknessMm : strip,
                    slice,
                  },
                  {
                    volumeMl: () => open().volumeMl * part,
                    massG: () => (open().massG + topPerMm * way.longMm * topShare) * part + onTopG(),
                    onTopG,
                  },
                );
              },
            );
          })
      : [];
    const across = stretches
      .filter((s) => !s.block)
      .map(({ startMm, endMm }): Bar => {
        const [from, to] = [piece.fromMm + startMm, piece.fromMm + endMm];
        const onTopG = once(() => onTop(startMm, endMm) / stripsOf(piece));
        return weighed(
          { piece, startMm, endMm, strips: stripsOf(piece), stripMm: strip },
          {
            volumeMl: () => (along().volumeTo(to) - along().volumeTo(from)) * share,
            massG: () =>
              (along().massTo(to) - along().massTo(from) + topPerMm * whole.thicknessMm) * share + onTopG(),
            onTopG,
          },
        );
      });
    return [...sliced, ...across];
  });
  const remainderOf = (piece: Piece): Millimetres => {
    const { trimStartMm, trimEndMm } = cutOf(piece);
    const ends = bars.filter((b) => b.piece === piece).map((b) => b.endMm);
    return Math.max(0, piece.lengthMm - trimEndMm - Math.max(trimStartMm, ...ends));
  };
  const loafMm = Math.max(...pieces.map((p) => p.lengthMm));
  const { cut } = plan;
  const longest = pieces.find((p) => p.lengthMm === loafMm);
  const way = longest && wayOf(longest);
  const usable = longest && way ? slicedIn(longest, way).size : loafMm - cut.trimStartMm - cut.trimEndMm;
  const n = piecesIn(usable, cut);
  const thicknessFor = (count: number): number => (usable - (count - 1) * cut.kerfMm) / count;
  return {
    pieces,
    loafMm,
    count: bars.reduce((s, b) => s + b.strips, 0),
    stripMm: Math.max(...pieces.map(stripOf)),
    bars,
    ...(cavity || cut.planeMm === undefined ? {} : { planeMm: cut.planeMm }),
    ...(longest && way
      ? {
          sliced: {
            ...way,
            blocks: barCount(loafMm, { ...cut, thicknessMm: way.longMm }),
            slices: n,
            across: bars.filter((b) => b.piece === longest && !b.slice).reduce((s, b) => s + b.strips, 0),
            offcutMm: Math.max(0, usable - n * cut.thicknessMm - Math.max(0, n - 1) * cut.kerfMm),
          },
        }
      : {}),
    remainderMm: Math.max(...pieces.map(remainderOf)),
    evenThicknessMm: { same: n > 0 ? thicknessFor(n) : undefined, more: thicknessFor(n + 1) },
  };
}
