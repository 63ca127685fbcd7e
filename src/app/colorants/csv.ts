import Papa from 'papaparse';
import { colorantRows, colorantsFromRows } from '../../core/exchange/colorantRows.ts';
import type { Colorant } from '../../core/colorant/schema.ts';
import { fail, type Result } from '../../core/result/result.ts';

/** Larger tables are not colorants. */
const MOST_CHARACTERS = 1_000_000;

/** Colorants of a CSV file (RFC 4180; comma, semicolon or tab). The fault names the row and the column. */
export function readCsv(text: string): Result<readonly Colorant[]> {
  if (text.length > MOST_CHARACTERS)
    return fail('too-large', `${text.length} characters is more than a table of colorants has`, 'file');
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const broken = errors.find((e) => e.type === 'Quotes');
  if (broken) return fail('broken-csv', broken.message, `row ${(broken.row ?? 0) + 1}`);
  return colorantsFromRows(data);
}

export const writeCsv = (colorants: readonly Colorant[]): string =>
  `${Papa.unparse(colorantRows(colorants))}\r\n`;
