import type { StepId } from '../validate/ids.ts';
import { lettersOf, type PouredLayer } from '../fill/layers.ts';
import { slice } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import type { Vec3 } from '../geometry/vec.ts';
import { viewPolygon, type View, type ViewPoint } from '../mould/sectionView.ts';
import { solidOf, type Block, type Body, type Content } from '../pattern/body.ts';
import { inRelief } from './shade.ts';
import type { Millimetres } from '../units/quantity.ts';

/** A cut through a block: where each point of the picture is in the mould: origin + h across + z up, mm. */
export interface Swirl {
  readonly content: Content;
  readonly origin: Vec3;
  readonly across: Vec3;
  readonly up: Vec3;
  /** where nothing is in the cut, what stands so far behind it is seen: which way, and how far, mm */
  readonly behind?: Behind;
}

interface Behind {
  readonly way: Vec3;
  readonly mm: Millimetres;
}

/** What is seen of one layer, or of a block of batter that was pushed about, where the loaf is cut. */
export interface Band {
  /**
   * its pour, by which colours are known: a picture holds none, so that a change of colour makes no other. A
   * block's is its last
   */
  readonly pourId: StepId;
  readonly nth: number;
  readonly letters: string;
  /** mm, h to the right, z up; none where the cut misses it */
  readonly outline: readonly ViewPoint[];
  /** what is in it, where that has to be simulated */
  readonly swirl?: Swirl;
}

/** A cut through a loaf, its layers in the order they were poured. */
export type Face = readonly Band[];

export const bandOf = (layer: PouredLayer, outline: readonly ViewPoint[]): Band => ({
  pourId: layer.pour.id,
  nth: layer.nth,
  letters: lettersOf(layer),
  outline,
});

export function swirlBand(block: Block, outline: readonly ViewPoint[], plane: Omit<Swirl, 'content'>): Band {
  const last = block.layers.at(-1) ?? block.layers[0];
  const pots = new Set(block.layers.flatMap((l) => l.pots.map((p) => p.letter)));
  return {
    pourId: last.pour.id,
    nth: last.nth,
    letters: [...pots].join('+'),
    outline,
    swirl: { content: block.content, ...plane },
  };
}

/** Each body cut alike. */
export const cutEach = (
  bodies: readonly Body[],
  outlineOf: (solid: Polyhedron) => readonly ViewPoint[],
  plane: Omit<Swirl, 'content'>,
): Face =>
  bodies.map((b) => {
    const outline = outlineOf(solidOf(b));
    return b.kind === 'layer' ? bandOf(b.layer, outline) : swirlBand(b.block, outline, plane);
  });

/** What stands on top of a loaf behind a cut, in the light that falls on it. */
const standingBehind = (
  bodies: readonly Body[],
  outlineOf: (solid: Polyhedron) => readonly ViewPoint[],
  plane: Omit<Swirl, 'content'>,
): Face =>
  bodies.flatMap((b): Band[] => {
    if (b.kind === 'layer' || b.block.content.kind !== 'heaped') return [];
    return [swirlBand({ ...b.block, content: inRelief(b.block.content) }, outlineOf(b.block.solid), plane)];
  });

/**
 * The loaf cut across at y = `at` and seen from the near end, or cut along at x = `at` and seen from the
 * right; mm. With `behind`, what stands on top of it so far behind the cut is seen too: less than nothing,
 * before it, as it is seen from the other side.
 */
export function faceAt(bodies: readonly Body[], view: View, at: Millimetres, behind: Millimetres = 0): Face {
  const outlineOf = (solid: Polyhedron): readonly ViewPoint[] => viewPolygon(solid, view, at);
  const plane: Omit<Swirl, 'content'> =
    view === 'section'
      ? { origin: [0, at, 0], across: [1, 0, 0], up: [0, 0, 1] }
      : { origin: [at, 0, 0], across: [0, 1, 0], up: [0, 0, 1] };
  const cut = cutEach(bodies, outlineOf, plane);
  if (behind === 0) return cut;
  const side = Math.sign(behind);
  const way: Vec3 = view === 'section' ? [0, side, 0] : [0 - side, 0, 0];
  const seen = standingBehind(bodies, outlineOf, { ...plane, behind: { way, mm: Math.abs(behind) } });
  return [...seen, ...cut];
}

/** The loaf cut level at z = `at` and seen from above, x to the right, the near end at the foot; mm. */
export const faceLevel = (bodies: readonly Body[], at: Millimetres): Face =>
  cutEach(
    bodies,
    (solid) => slice(solid, { normal: [0, 0, 1], offset: at }).map(([x, y]) => ({ h: x, z: y })),
    { origin: [0, 0, at], across: [1, 0, 0], up: [0, 1, 0] },
  );
