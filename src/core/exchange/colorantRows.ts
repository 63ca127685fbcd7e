import * as v from 'valibot';
import { colorantSchema, type Colorant } from '../colorant/schema.ts';
import { fail, ok, type Result } from '../result/result.ts';
import { faultOf } from './schemaFaults.ts';

/** Columns of a colorant table, in the order they are written. Those with `needed` must be there. */
const COLUMNS = [
  { column: 'name', needed: true },
  { column: 'kind', needed: true },
  { column: 'colour', needed: true },
  { column: 'dose_g_per_kg', needed: true },
  { column: 'pale_colour', needed: false },
  { column: 'pale_dose_g_per_kg', needed: false },
  { column: 'base_colour', needed: true },
  { column: 'g_per_tsp', needed: true },
  { column: 'carrier', needed: true },
  { column: 'carrier_ml_per_g', needed: true },
  { column: 'usual_g_per_kg', needed: true },
  { column: 'morph_colour', needed: false },
  { column: 'morph_returns', needed: false },
  { column: 'pales_percent', needed: false },
  { column: 'fades_percent', needed: false },
  { column: 'bleeds', needed: false },
  { column: 'speckles', needed: false },
  { column: 'stock_g', needed: false },
  { column: 'id', needed: false },
] as const;

/** A library of more colorants than this is none. */
const MOST_ROWS = 2000;

/** Stands for the id of a row that has none, while it is checked. */
const NEW = 'new';

type Column = (typeof COLUMNS)[number]['column'];

const yes = (text: string): boolean => /^(yes|true|1)$/i.test(text.trim());

/** A figure as it is written where decimals have a point, or where they have a comma. */
const numberIn =
  (decimal: Decimal) =>
  (text: string): number => {
    const written = text.trim();
    if (written === '') return Number.NaN;
    return Number(decimal === ',' ? written.replace(/^([-+]?\d*),(\d+)$/, '$1.$2') : written);
  };

/** A cell that begins so is taken for a formula by a spreadsheet. */
const RUNS = /^'*[=+\-@\t\r]/;

/** As a cell that no spreadsheet runs: an apostrophe before it. Read back, it is gone again. */
const safe = (cell: string): string => (RUNS.test(cell) ? `'${cell}` : cell);
const plain = (cell: string): string => (cell.startsWith("'") && RUNS.test(cell) ? cell.slice(1) : cell);

export type Decimal = '.' | ',';

/** A colorant of a table. Without an id of its own it is a new one. */
export type ColorantRow = Omit<Colorant, 'id'> & { readonly id: string | undefined };

/** Where in the table a field of the record came from. */
const COLUMN_OF: Readonly<Record<string, Column>> = {
  name: 'name',
  id: 'id',
  stockG: 'stock_g',
  'nature.kind': 'kind',
  'nature.colour': 'colour',
  'nature.doseGPerKg': 'dose_g_per_kg',
  'nature.pale': 'pale_dose_g_per_kg',
  'nature.pale.colour': 'pale_colour',
  'nature.pale.doseGPerKg': 'pale_dose_g_per_kg',
  'nature.base': 'base_colour',
  'nature.gPerTsp': 'g_per_tsp',
  'nature.carrier': 'carrier',
  'nature.carrierMlPerG': 'carrier_ml_per_g',
  'nature.usualGPerKg': 'usual_g_per_kg',
  'nature.morph.colour': 'morph_colour',
  'nature.palesPercent': 'pales_percent',
  'nature.fadesPercent': 'fades_percent',
};

/**
 * Colorants from the rows of a table (a CSV file already split into cells), the first row its column names.
 * Nothing is taken when anything is wrong; the fault names the row, counted as a spreadsheet does, and the
 * column. Where cells are parted by semicolons, decimals may have a comma.
 */
export function colorantsFromRows(
  rows: readonly (readonly string[])[],
  decimal: Decimal = '.',
): Result<readonly ColorantRow[]> {
  const number = numberIn(decimal);
  if (rows.length > MOST_ROWS + 1)
    return fail('too-many', `${rows.length - 1} rows are more than ${MOST_ROWS}`, `row ${MOST_ROWS + 2}`);
  const header =
    rows[0]?.map((c) =>
      c
        .trim()
        .toLowerCase()
        .replace(/^\uFEFF/, ''),
    ) ?? [];
  const missing = COLUMNS.filter((c) => c.needed && !header.includes(c.column)).map((c) => c.column);
  const strange = header.filter((h) => !COLUMNS.some((c) => c.column === h));
  if (missing.length > 0)
    return fail(
      'columns-missing',
      `these columns are missing: ${missing.join(', ')}${strange.length > 0 ? ` (it has ${strange.join(', ')})` : ''}`,
      'row 1',
    );
  const colorants: ColorantRow[] = [];
  const ids = new Set<string>();
  for (const [i, row] of rows.entries()) {
    if (i === 0 || row.every((c) => c.trim() === '')) continue;
    const cell = (column: Column): string => plain(row[header.indexOf(column)] ?? '').trim();
    const optional = (column: Column): number => (cell(column) === '' ? 0 : number(cell(column)));
    const parsed = v.safeParse(colorantSchema, {
      id: cell('id') === '' ? NEW : cell('id'),
      name: cell('name'),
      ...(cell('stock_g') === '' ? {} : { stockG: number(cell('stock_g')) }),
      nature: {
        kind: cell('kind').toLowerCase(),
        colour: cell('colour').toLowerCase(),
        doseGPerKg: number(cell('dose_g_per_kg')),
        ...(cell('pale_colour') === '' && cell('pale_dose_g_per_kg') === ''
          ? {}
          : {
              pale: {
                colour: cell('pale_colour').toLowerCase(),
                doseGPerKg: number(cell('pale_dose_g_per_kg')),
              },
            }),
        base: cell('base_colour').toLowerCase(),
        gPerTsp: number(cell('g_per_tsp')),
        carrier: cell('carrier').toLowerCase(),
        carrierMlPerG: number(cell('carrier_ml_per_g')),
        usualGPerKg: number(cell('usual_g_per_kg')),
        ...(cell('morph_colour') === ''
          ? {}
          : { morph: { colour: cell('morph_colour').toLowerCase(), returns: yes(cell('morph_returns')) } }),
        palesPercent: optional('pales_percent'),
        fadesPercent: optional('fades_percent'),
        bleeds: yes(cell('bleeds')),
        speckles: yes(cell('speckles')),
      },
    });
    if (!parsed.success) {
      const fault = faultOf(parsed.issues[0]);
      return fail(fault.code, fault.message, `row ${i + 1}, ${COLUMN_OF[fault.at ?? ''] ?? fault.at ?? ''}`);
    }
    const id = cell('id') === '' ? undefined : parsed.output.id;
    if (id !== undefined && ids.has(id))
      return fail('repeated-id', `"${id}" is there twice`, `row ${i + 1}, id`);
    if (id !== undefined) ids.add(id);
    colorants.push({ ...parsed.output, id });
  }
  return colorants.length > 0 ? ok(colorants) : fail('no-rows', 'there is no colorant in it', 'row 2');
}

/** Colorants as the rows of a table, the column names first. */
export const colorantRows = (colorants: readonly Colorant[]): string[][] => [
  COLUMNS.map((c) => c.column),
  ...colorants.map(({ id, name, nature, stockG }) => {
    const cells: Readonly<Record<Column, string | number | boolean | undefined>> = {
      name,
      kind: nature.kind,
      colour: nature.colour,
      dose_g_per_kg: nature.doseGPerKg,
      pale_colour: nature.pale?.colour,
      pale_dose_g_per_kg: nature.pale?.doseGPerKg,
      base_colour: nature.base,
      g_per_tsp: nature.gPerTsp,
      carrier: nature.carrier,
      carrier_ml_per_g: nature.carrierMlPerG,
      usual_g_per_kg: nature.usualGPerKg,
      morph_colour: nature.morph?.colour,
      morph_returns: nature.morph && (nature.morph.returns ? 'yes' : 'no'),
      pales_percent: nature.palesPercent,
      fades_percent: nature.fadesPercent,
      bleeds: nature.bleeds ? 'yes' : 'no',
      speckles: nature.speckles ? 'yes' : 'no',
      stock_g: stockG,
      id,
    };
    return COLUMNS.map((c) => safe(String(cells[c.column] ?? '')));
  }),
];
