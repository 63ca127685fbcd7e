import { mouldGeometry } from '../mould/geometry.ts';
import { columnOutline, columnsIn } from '../mould/column.ts';
import type { Column } from '../mould/schema.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { ColumnId } from '../validate/ids.ts';
import { gapBetween } from '../geometry/star.ts';
import { freshId } from './freshId.ts';

const withColumns = (plan: Plan, columns: readonly Column[]): Plan => {
  const { columns: _old, ...mould } = plan.mould;
  return { ...plan, mould: columns.length > 0 ? { ...mould, columns: [...columns] } : mould };
};

/** How far a new column stands from one that is there, at least, mm. */
const APART = 6;

/** Parts of the way from the middle to the ends, or the walls, where a new column is tried. */
const PLACES = [0, -0.5, 0.5, -0.25, 0.25, -0.7, 0.7];

/** Steps of a fifth less that a new column is made smaller by, where there is no room. */
const SIZES = [1, 0.8, 0.64, 0.5];

/**
 * A column for a mould: square, a fifth of its lesser side, in its middle; or where there is room beside
 * those that stand there.
 */
export function newColumn({ mould }: Pick<Plan, 'mould'>): Column {
  const { floor } = mouldGeometry(mould);
  const standing = columnsIn(mould);
  const id = freshId('c', standing);
  const acrossMm = Math.max(10, Math.round(Math.min(floor.width, floor.length) / 5));
  const first: Column = { id, form: 'square', acrossMm, xMm: 0, yMm: 0 };
  if (standing.length === 0) return first;
  const outlines = standing.map(columnOutline);
  const fits = (column: Column): boolean =>
    outlines.every((o) => gapBetween(o, columnOutline(column)) >= APART);
  for (const size of SIZES) {
    const across = Math.max(5, Math.round(acrossMm * size));
    for (const x of PLACES)
      for (const y of PLACES) {
        const column: Column = {
          ...first,
          acrossMm: across,
          xMm: Math.round((x * (floor.width - across)) / 2),
          yMm: Math.round((y * (floor.length - across)) / 2),
        };
        if (fits(column)) return column;
      }
  }
  return first;
}

export const addColumn = (plan: Plan, column: Column = newColumn(plan)): Plan =>
  withColumns(plan, [...columnsIn(plan.mould), column]);

/** Stands one where a pour needs it and none is there. */
export const withAColumn = (plan: Plan): Plan => (columnsIn(plan.mould).length > 0 ? plan : addColumn(plan));

export const putColumn = (plan: Plan, column: Column): Plan =>
  withColumns(
    plan,
    columnsIn(plan.mould).map((c) => (c.id === column.id ? column : c)),
  );

/** A column taken out. What is poured over it alone goes over those that stay. */
export const removeColumn = (plan: Plan, id: ColumnId): Plan =>
  withColumns(
    {
      ...plan,
      steps: plan.steps.map((s) => {
        if (s.kind !== 'pour' || s.pattern?.place.at !== 'column' || s.pattern.place.column !== id) return s;
        return { ...s, pattern: { ...s.pattern, place: { at: 'column' } } };
      }),
    },
    columnsIn(plan.mould).filter((c) => c.id !== id),
  );

/** Half of what a column reaches, mm. */
const reachOf = (column: Column): number =>
  column.form === 'own'
    ? Math.max(...column.points.map((p) => Math.hypot(p.xMm, p.yMm)))
    : column.acrossMm / 2;

/** A column of another form, as large as it was. One of own outline begins with six sides. */
export function formedAs(column: Column, form: Column['form']): Column {
  if (form === column.form) return column;
  const { id, xMm, yMm } = column;
  const stands = { id, xMm, yMm };
  const half = reachOf(column);
  const acrossMm = Math.min(500, Math.max(5, Math.round(2 * half)));
  switch (form) {
    case 'round':
      return { ...stands, form, acrossMm };
    case 'square':
      return { ...stands, form, acrossMm };
    case 'own':
      return {
        ...stands,
        form,
        points: Array.from({ length: 6 }, (_, i) => ({
          xMm: Math.round(10 * half * Math.cos((i * Math.PI) / 3)) / 10,
          yMm: Math.round(10 * half * Math.sin((i * Math.PI) / 3)) / 10,
        })),
      };
  }
}

/** An outline with another corner between this one and the next, a little outside the line between them. */
export function withCorner(
  column: Extract<Column, { form: 'own' }>,
  at: number,
): Extract<Column, { form: 'own' }> {
  const { points } = column;
  const a = points[at % points.length];
  const b = points[(at + 1) % points.length];
  if (!a || !b) return column;
  const middle = (p: number, q: number): number => Math.round(5 * (p + q)) / 10;
  const corner = { xMm: middle(a.xMm, b.xMm), yMm: middle(a.yMm, b.yMm) };
  return { ...column, points: points.toSpliced(at + 1, 0, corner) };
}
