import * as v from 'valibot';
import { columnOutline } from '../mould/column.ts';
import type { Column } from '../mould/schema.ts';
import { columnId } from '../validate/ids.ts';
import { SPREADS, way } from './way.ts';

const schema = v.strictObject({ at: v.literal('column'), column: v.optional(columnId) });

/** The columns that a pour goes over: the one it names, where it stands there, or all there are. */
function pouredOver(
  columns: readonly Column[],
  { column }: { readonly column?: string | undefined },
): readonly Column[] {
  const named = columns.filter((c) => c.id === column);
  return named.length > 0 ? named : columns;
}

/** Down the columns that stand in the mould, or one of them. */
export const COLUMN = way(schema, {
  know: {
    name: 'Column pour',
    says: 'over a column that stands in the mould, in rounds',
    needs:
      'Emulsion to light, and a recipe that stays so. A column that water in it holds down; about 30 ml of each pot held back for its hole; a stick.',
    fails:
      'Too thick to spread, and the rings stay heaped round the column. The hole filled late or too little: it slumps.',
  },
  first: { at: 'column' },
  landing: { how: 'low', fallMm: 10 },
  rounds: 4,
  column: true,
  window: SPREADS,
  byHeight: true,
  sources: (place, { box: { x0, x1, y0, y1 }, columns }) => [
    columns.length > 0
      ? { kind: 'outlines', outlines: pouredOver(columns, place).map(columnOutline) }
      : { kind: 'point', at: [(x0 + x1) / 2, (y0 + y1) / 2] },
  ],
  text: (_place, { over }) => {
    if (over && over.count > 1)
      return over.nth === undefined
        ? `over the ${over.count} columns, one after another and as much over each, so that it runs down all their sides`
        : `over column ${over.nth}, so that it runs down all its sides`;
    return 'over the column, so that it runs down all its sides';
  },
  faults: (place, { columns: { standing, inRoom, reached, onDivider } }) => {
    if (!reached)
      return [
        {
          code: 'no-column',
          level: 'warn',
          message: `${
            inRoom.length > 0
              ? 'The column is pulled by then'
              : standing > 0
                ? 'No column stands in this compartment'
                : 'No column stands in the mould'
          }: this pour goes in as a stream in its middle.`,
          remedies: standing > 0 ? [] : [{ label: 'Stand a column in it', stand: 'column' }],
        },
      ];
    return pouredOver(inRoom, place).some(onDivider)
      ? [
          {
            code: 'column-on-divider',
            level: 'refuse',
            message:
              'The column stands on the divider: what is poured over it would go into both compartments.',
          },
        ]
      : [];
  },
});
