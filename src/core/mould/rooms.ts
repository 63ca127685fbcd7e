import { clip } from '../geometry/clip.ts';
import type { OpenSpace } from '../geometry/openProfile.ts';
import { corners, type Polyhedron } from '../geometry/polyhedron.ts';
import type { Flat } from '../geometry/prism.ts';
import { convexPieces, type FlatOutline } from '../geometry/star.ts';
import { sectionArea } from '../geometry/sectionArea.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Millimetres } from '../units/quantity.ts';
import { columnOutline } from './column.ts';
import type { Column, Divider } from './schema.ts';
import { viewPolygon, type View, type ViewPoint } from './sectionView.ts';

/** One compartment of a mould: all of it where there is no divider. */
export interface Room extends OpenSpace {
  /** what stands in it while it is poured */
  readonly columns: readonly Column[];
  readonly heightMm: Millimetres;
  /** the highest points of its walls: batter above the lowest of them in a tilt runs over */
  readonly rim: readonly Vec3[];
  /** area of its opening, mm^2 */
  readonly openingMm2: number;
  /** its outline in the middle of it, end-on and from the side */
  readonly outline: Readonly<Record<View, readonly ViewPoint[]>>;
  /** its middle: where it is cut for the flat views */
  readonly middle: { readonly x: Millimetres; readonly y: Millimetres };
}

const UP: Vec3 = [0, 0, 1];

/** The part of a solid above a convex outline: the solid clipped by each upright side of it. */
function above(solid: Polyhedron, outline: FlatOutline): Polyhedron | undefined {
  let inside = solid;
  for (const [i, [ax, ay]] of outline.entries()) {
    const [bx, by] = outline[(i + 1) % outline.length] as Flat;
    const length = Math.hypot(bx - ax, by - ay);
    if (length === 0) continue;
    const normal: Vec3 = [(by - ay) / length, (ax - bx) / length, 0];
    inside = clip(inside, { normal, offset: normal[0] * ax + normal[1] * ay }).below;
  }
  return inside.faces.length > 0 ? inside : undefined;
}

/** The part of a solid that a column takes up, in convex pieces. */
const blockedBy = (solid: Polyhedron, column: Column): readonly Polyhedron[] =>
  convexPieces(columnOutline(column)).flatMap((piece) => above(solid, piece) ?? []);

/** A convex mould inside parted by upright walls: the pieces from the left or from the near end. */
function parted(
  solid: Polyhedron,
  divider: Divider | undefined,
  startMm: Millimetres,
): readonly Polyhedron[] {
  if (!divider) return [solid];
  const normal: Vec3 = divider.runs === 'lengthwise' ? [1, 0, 0] : [0, 1, 0];
  const half = divider.thicknessMm / 2;
  const pieces: Polyhedron[] = [];
  let rest = solid;
  for (const at of divider.atMm.toSorted((a, b) => a - b)) {
    pieces.push(clip(rest, { normal, offset: startMm + at - half }).below);
    rest = clip(rest, { normal, offset: startMm + at + half }).above;
  }
  return [...pieces, rest].filter((p) => p.faces.length > 0);
}

function roomOf(solid: Polyhedron, columns: readonly Column[]): Room {
  const standing = columns.map((column) => ({ column, takes: blockedBy(solid, column) }));
  const points = corners(solid);
  const heightMm = Math.max(...points.map((p) => p[2]));
  const middleOf = (axis: 0 | 1): Millimetres =>
    (Math.min(...points.map((p) => p[axis])) + Math.max(...points.map((p) => p[axis]))) / 2;
  const middle = { x: middleOf(0), y: middleOf(1) };
  return {
    outline: {
      section: viewPolygon(solid, 'section', middle.y),
      side: viewPolygon(solid, 'side', middle.x),
    },
    solid,
    blocked: standing.flatMap((s) => s.takes),
    columns: standing.filter((s) => s.takes.length > 0).map((s) => s.column),
    heightMm,
    rim: points.filter((p) => p[2] >= heightMm * (1 - 1e-9)),
    openingMm2: sectionArea(solid, UP, heightMm * (1 - 1e-6)),
    middle,
  };
}

/** The compartments of a mould whose whole inside is `solid`, its floor `width` x `length`. */
export const roomsOf = (
  solid: Polyhedron,
  floor: { readonly width: Millimetres; readonly length: Millimetres },
  divider: Divider | undefined,
  columns: readonly Column[],
): readonly Room[] =>
  parted(solid, divider, (divider?.runs === 'crosswise' ? floor.length : floor.width) / -2).map((piece) =>
    roomOf(piece, columns),
  );
