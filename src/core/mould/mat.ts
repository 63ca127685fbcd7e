import { partAt, type Edge } from '../flow/edge.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { Mat } from './schema.ts';
import type { View, ViewPoint } from './sectionView.ts';

/** The relief of a mat as an edge: how high it stands, from its deepest place to its flat, is 0 to 1. */
export const edgeOfMat = ({ shape, pitchMm }: Pick<Mat, 'shape' | 'pitchMm'>): Edge => ({
  kind: 'repeated',
  shape,
  pitchMm,
  shiftMm: 0,
});

/** The axis that its relief is seen along: 0 across the mould, 1 along it. */
export const axisOfMat = ({ runs }: Pick<Mat, 'runs'>): 0 | 1 => (runs === 'lengthwise' ? 0 : 1);

/**
 * How far a hollow of a mat goes below its flat at a place of its axis: so high stands the soap's ridge
 * there.
 */
export const hollowAt = (mat: Mat, across: Millimetres): Millimetres =>
  mat.reliefMm * (1 - partAt(edgeOfMat(mat), across));

/** Between places that a mat is drawn through, mm. */
const DRAWN_MM = 0.5;

/**
 * A mat where it is cut across at its middle, end-on or from the side: over so wide a floor, its flat at 0.
 */
export function matInView(mat: Mat, view: View, wideMm: Millimetres): readonly ViewPoint[] {
  const seen = (view === 'section') === (axisOfMat(mat) === 0);
  const count = Math.max(2, Math.ceil(wideMm / DRAWN_MM));
  const flat = Array.from({ length: count + 1 }, (_, i): ViewPoint => {
    const h = (i / count - 0.5) * wideMm;
    return { h, z: 0 - hollowAt(mat, seen ? h : 0) };
  });
  const foot = 0 - mat.thicknessMm;
  return [...flat, { h: wideMm / 2, z: foot }, { h: wideMm / -2, z: foot }];
}

/** The inside of a mould as it is drawn, down to what its mat lies on. */
export const downToMat = (outline: readonly ViewPoint[], mat: Mat | undefined): readonly ViewPoint[] =>
  mat ? outline.map((p) => (p.z < 1e-6 ? { ...p, z: 0 - mat.thicknessMm } : p)) : outline;
