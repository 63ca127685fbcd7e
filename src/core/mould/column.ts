import { arc, type Flat } from '../geometry/prism.ts';
import { anticlockwise, eyeOf, type FlatOutline } from '../geometry/star.ts';
import type { Column, Mould } from './schema.ts';

/** Sides of the polygon that stands for a round column. */
const COLUMN_SIDES = 96;

const square = (half: number): FlatOutline => [
  [-half, -half],
  [half, -half],
  [half, half],
  [-half, half],
];

/** About its own middle, anticlockwise. */
function ownOutline(column: Column): FlatOutline {
  switch (column.form) {
    case 'round':
      return arc(column.acrossMm / 2, 0, 2 * Math.PI, COLUMN_SIDES);
    case 'square':
      return square(column.acrossMm / 2);
    case 'own':
      return anticlockwise(column.points.map((p): Flat => [p.xMm, p.yMm]));
  }
}

/** Where a column's outline is in plan, mm right of and beyond the middle of the floor, anticlockwise. */
export function columnOutline(column: Column): FlatOutline {
  const angle = ((column.form === 'round' ? 0 : (column.turnDeg ?? 0)) * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return ownOutline(column).map(([x, y]): Flat => [column.xMm + x * c - y * s, column.yMm + x * s + y * c]);
}

/** What stands in a mould while it is poured. */
export const columnsIn = ({ columns = [] }: Pick<Mould, 'columns'>): readonly Column[] => columns;

/** Batter for its hole can be told: its outline is seen whole from a place inside. */
export const hasEye = (column: Column): boolean =>
  column.form !== 'own' || eyeOf(columnOutline(column)) !== undefined;
