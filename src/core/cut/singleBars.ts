import { once } from '../task/once.ts';
import type { LaidMould } from '../fill/laid.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { slabOf } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { volumeOf } from '../geometry/volume.ts';
import type { Grams, Millimetres } from '../units/quantity.ts';
import type { Bar, BarCut } from './bars.ts';
import { planedLayers } from './planed.ts';

/** What of a mould a bar lay against, apart from the walls that all bars of a loaf share. */
export type Beside = 'near end' | 'far end' | 'left wall' | 'right wall' | 'foot' | 'top';

/** One bar by itself: one strip of one place. */
export interface SingleBar {
  readonly place: Bar;
  /** from the left, 0 the first */
  readonly strip: number;
  /** mould frame, at the lined floor; a round bar: its widest */
  readonly leftMm: Millimetres;
  readonly widthMm: Millimetres;
  /** where it is cut out, mould frame: an outer bar takes what is beyond the floor too, where walls lean */
  readonly fromMm: Millimetres;
  readonly toMm: Millimetres;
  readonly massG: Grams;
  readonly beside: readonly Beside[];
  /** of all bars of its piece it lies nearest to the middle */
  readonly centre: boolean;
}

/** A laid mould and how it is cut. */
export type Cutting = Pick<LaidMould, 'geometry' | 'stack'> & { readonly cut: BarCut };

/** A bar in its place; what it weighs is worked out once it is asked. */
type Placed = Omit<SingleBar, 'centre' | 'massG'> & { readonly massOf: () => Grams };

/** A layer's part of one place. */
interface LayerSlice {
  readonly solid: Polyhedron;
  readonly densityGMl: number;
}

const slicesOf = (
  layers: readonly PouredLayer[],
  { piece, startMm, endMm, slice }: Bar,
): readonly LayerSlice[] =>
  layers.map(({ solid, densityGMl }) => {
    const block = slabOf(solid, [0, 1, 0], piece.fromMm + startMm, piece.fromMm + endMm);
    return {
      solid: slice?.by === 'floor' ? slabOf(block, [0, 0, 1], slice.fromMm, slice.toMm) : block,
      densityGMl,
    };
  });

/** What stands of a place in one strip: by this the place's mass is shared. */
const inStrip = (slices: readonly LayerSlice[], from: Millimetres, to: Millimetres): number =>
  slices.reduce((sum, s) => sum + volumeOf(slabOf(s.solid, [1, 0, 0], from, to)) * s.densityGMl, 0);

/** The only bar of its piece comes from no place in it. */
const ALONE: readonly Beside[] = [];

/** Beyond every mould. */
const FAR = 1e6;

/** Every bar of one mould: piece by piece, from the near end or the foot, each place from the left. */
export function singleBars(facts: Cutting): readonly SingleBar[] {
  const { cut, geometry, stack } = facts;
  const planed = once(() => planedLayers(stack.layers, cut));
  const ofPiece = new Map(cut.pieces.map((piece) => [piece, cut.bars.filter((b) => b.piece === piece)]));
  const all = cut.bars.flatMap((place): Placed[] => {
    const { piece } = place;
    const own = ofPiece.get(piece) ?? [];
    const room = geometry.rooms[piece.room];
    const { strips, stripMm: widthMm, slice } = place;
    const upright = slice?.by === 'lengthwise' ? slice : undefined;
    const kerfMm = strips > 1 ? (piece.widthMm - strips * widthMm) / (strips - 1) : 0;
    const lefts = Array.from(
      { length: strips },
      (_, i) => (upright?.fromMm ?? piece.leftMm) + i * (widthMm + kerfMm),
    );
    const last = lefts.length - 1;
    const froms = lefts.map((left, i) => (i === 0 && (upright?.first ?? true) ? -FAR : left));
    const tos = lefts.map((left, i) => (i === last && (upright?.last ?? true) ? FAR : left + widthMm));
    const shares = once((): readonly number[] => {
      if (last === 0) return [1];
      const layers = planed().filter((l) => l.room === room);
      const slices = slicesOf(layers, place);
      const masses = froms.map((from, i) => inStrip(slices, from, tos[i] ?? FAR));
      const sum = masses.reduce((a, b) => a + b, 0);
      return masses.map((g) => (sum > 0 ? g / sum : 0));
    });
    const alone = own.length * lefts.length === 1;
    const ends: readonly [Beside, Beside] = piece.axis === 'z' ? ['foot', 'top'] : ['near end', 'far end'];
    return lefts.map((leftMm, strip) => ({
      place,
      strip,
      leftMm,
      widthMm,
      fromMm: froms[strip] ?? leftMm,
      toMm: tos[strip] ?? leftMm + widthMm,
      massOf: () => {
        const share = shares()[strip] ?? 0;
        return share > 0 ? (place.massG - place.onTopG) * lefts.length * share + place.onTopG : 0;
      },
      beside: alone
        ? ALONE
        : [
            ...(place.startMm === own[0]?.startMm ? [ends[0]] : []),
            ...(place.endMm === own.at(-1)?.endMm ? [ends[1]] : []),
            ...((last > 0 && strip === 0) || upright?.first ? (['left wall'] as const) : []),
            ...((last > 0 && strip === last) || upright?.last ? (['right wall'] as const) : []),
            ...(slice?.by === 'floor' && slice.first ? (['foot'] as const) : []),
            ...(slice?.by === 'floor' && slice.last ? (['top'] as const) : []),
          ],
    }));
  });
  const half =
    cut.bars.reduce((most, { slice }) => Math.max(most, slice?.by === 'floor' ? slice.toMm : 0), 0) / 2;
  const off = (b: Omit<Placed, 'massOf'>): number => {
    const { piece, startMm, endMm, slice } = b.place;
    return Math.hypot(
      (startMm + endMm - piece.lengthMm) / 2,
      b.leftMm + b.widthMm / 2 - piece.leftMm - piece.widthMm / 2,
      slice?.by === 'floor' ? (slice.fromMm + slice.toMm) / 2 - half : 0,
    );
  };
  const nearest = new Map<Bar['piece'], number>();
  for (const b of all) nearest.set(b.place.piece, Math.min(nearest.get(b.place.piece) ?? Infinity, off(b)));
  return all.map(({ massOf, ...b }) => ({
    ...b,
    get massG() {
      return massOf();
    },
    centre: b.beside !== ALONE && off(b) <= (nearest.get(b.place.piece) ?? 0) + 1e-6,
  }));
}
