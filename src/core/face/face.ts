import type { StepId } from '../validate/ids.ts';
import { lettersOf, type PouredLayer } from '../fill/layers.ts';
import { slice } from '../geometry/clip.ts';
import { viewPolygon, type View, type ViewPoint } from '../mould/sectionView.ts';
import type { Millimetres } from '../units/quantity.ts';

/** What is seen of one layer where the loaf is cut. */
export interface Band {
  /** its pour, by which colours are known: a picture holds none, so that a change of colour makes no other */
  readonly pourId: StepId;
  readonly nth: number;
  readonly letters: string;
  /** mm, h to the right, z up; none where the cut misses it */
  readonly outline: readonly ViewPoint[];
}

/** A cut through a loaf, its layers in the order they were poured. */
export type Face = readonly Band[];

export const bandOf = (layer: PouredLayer, outline: readonly ViewPoint[]): Band => ({
  pourId: layer.pour.id,
  nth: layer.nth,
  letters: lettersOf(layer),
  outline,
});

/** The loaf cut across at y = `at` and seen from the near end, or cut along at x = `at` and seen from the right; mm. */
export const faceAt = (layers: readonly PouredLayer[], view: View, at: Millimetres): Face =>
  layers.map((l) => bandOf(l, viewPolygon(l.solid, view, at)));

/** The loaf cut level at z = `at` and seen from above, x to the right, the near end at the foot; mm. */
export const faceLevel = (layers: readonly PouredLayer[], at: Millimetres): Face =>
  layers.map((l) =>
    bandOf(
      l,
      slice(l.solid, { normal: [0, 0, 1], offset: at }).map(([x, y]) => ({ h: x, z: y })),
    ),
  );
