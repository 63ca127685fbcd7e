import type { StepId } from '../validate/ids.ts';
import type { Bar } from '../cut/bars.ts';
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

const bandOf = (layer: PouredLayer, outline: readonly ViewPoint[]): Band => ({
  pourId: layer.pour.id,
  nth: layer.nth,
  letters: lettersOf(layer),
  outline,
});

/** The loaf cut across at y = `at` and seen from the near end, or cut along at x = `at` and seen from the right; mm. */
export const faceAt = (layers: readonly PouredLayer[], view: View, at: Millimetres): Face =>
  layers.map((l) => bandOf(l, viewPolygon(l.solid, view, at)));

/** A bar's face is looked at this far inside its cut, mm. */
const INSIDE = 0.01;

/**
 * The near face of a bar, about the middle of its piece: end-on, or a disc of a standing tube from above. `layers` are those of
 * the bar's own compartment.
 */
export function faceOfBar(layers: readonly PouredLayer[], { piece, startMm }: Bar): Face {
  const at = piece.fromMm + startMm + INSIDE;
  if (piece.axis === 'z')
    return layers.map((l) =>
      bandOf(
        l,
        slice(l.solid, { normal: [0, 0, 1], offset: at }).map(([x, y]) => ({
          h: x,
          z: y + piece.widthMm / 2,
        })),
      ),
    );
  const middle = piece.leftMm + piece.widthMm / 2;
  return faceAt(layers, 'section', at).map((band) => ({
    ...band,
    outline: band.outline.map((p) => ({ h: p.h - middle, z: p.z })),
  }));
}
