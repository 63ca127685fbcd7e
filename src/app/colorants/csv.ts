import Papa from 'papaparse';
import { colorantRows, colorantsFromRows, type ColorantRow } from '../../core/exchange/colorantRows.ts';
import type { Colorant } from '../../core/colorant/schema.ts';
import { fail, type Result } from '../../core/result/result.ts';

/** Larger tables are not colorants. */
const MOST_CHARACTERS = 1_000_000;

/**
 * Colorants of a CSV file (RFC 4180; comma, tab, or semicolon with decimal commas). The fault names the row
 * and the column.
 */
export function readCsv(text: string): Result<readonly ColorantRow[]> {
  if (text.length > MOST_CHARACTERS)
    return fail('too-large', `${text.length} characters is more than a table of colorants has`, 'file');
  const { data, errors, meta } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const broken = errors.find((e) => e.type === 'Quotes');
  if (broken) return fail('broken-csv', broken.message, `row ${(broken.row ?? 0) + 1}`);
  // where cells are parted by semicolons, decimals have a comma
  return colorantsFromRows(data, meta.delimiter === ';' ? ',' : '.');
}

export const writeCsv = (colorants: readonly Colorant[]): string =>
  `${Papa.unparse(colorantRows(colorants))}\r\n`;
