import * as v from 'valibot';
import { fail, ok, type Result } from '../result/result.ts';
import { colour, listOf, name } from '../validate/fields.ts';
import { MOST_CHARACTERS, readHead } from './head.ts';
import { faultOf } from './schemaFaults.ts';

export const paletteSchema = v.strictObject({
  name: name(80),
  colours: listOf(
    v.strictObject({ name: name(60), colour }),
    500,
    'at most 500 colours',
    1,
    'a palette has one colour at least',
  ),
});

export type Palette = v.InferOutput<typeof paletteSchema>;

const FORMAT = 'drip-line/palette';
const VERSION = 1;

function checked(value: unknown): Result<Palette> {
  const parsed = v.safeParse(paletteSchema, value);
  return parsed.success ? ok(parsed.output) : { ok: false, fault: faultOf(parsed.issues[0]) };
}

const hexOf = (parts: readonly number[]): string =>
  `#${parts.map((n) => n.toString(16).padStart(2, '0')).join('')}`;

/**
 * Read a GIMP palette: the line "GIMP Palette", then "Name:" and "Columns:" lines, comments after #, and one
 * colour a line as red, green, blue (0 to 255) and its name. Faults name the line.
 */
export function readGpl(text: string): Result<Palette> {
  if (text.length > MOST_CHARACTERS)
    return fail('too-large', `${text.length} characters is more than a palette has`, 'file');
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  if (lines[0]?.trim() !== 'GIMP Palette')
    return fail('not-a-palette', 'the first line of a GIMP palette is "GIMP Palette"', 'line 1');
  let title = 'Palette';
  const colours: { name: string; colour: string }[] = [];
  for (const [i, line] of lines.entries()) {
    const named = /^Name:\s*(.+)$/.exec(line);
    if (named?.[1]) title = named[1].trim().slice(0, 80);
    if (i === 0 || line.trim() === '' || /^\s*#|^(Name|Columns):/.test(line)) continue;
    const match = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
    const parts = [match?.[1], match?.[2], match?.[3]].map(Number);
    if (!match || parts.some((n) => !(n <= 255)))
      return fail(
        'not-a-colour',
        `"${line.slice(0, 40)}" is not red, green and blue from 0 to 255 with a name`,
        `line ${i + 1}`,
      );
    const hex = hexOf(parts);
    colours.push({ name: match[4]?.trim().slice(0, 60) ?? hex, colour: hex });
  }
  return checked({
    name: title,
    colours: colours.map((c) => ({ ...c, name: c.name === '' ? c.colour : c.name })),
  });
}

/** A palette as the text of a GIMP palette file. */
export const writeGpl = (palette: Palette): string =>
  [
    'GIMP Palette',
    `Name: ${palette.name}`,
    'Columns: 0',
    '#',
    ...palette.colours.map((c) => {
      const parts = [1, 3, 5].map((at) => String(parseInt(c.colour.slice(at, at + 2), 16)).padStart(3));
      return `${parts.join(' ')}\t${c.name}`;
    }),
    '',
  ].join('\n');

/** Read the text of a `.dripline-palette.json` file. */
export function readPaletteFile(text: string): Result<Palette> {
  const head = readHead(text, 'palette', { format: FORMAT, version: VERSION });
  return head.ok ? checked(head.value.body) : head;
}

export const writePaletteFile = (palette: Palette): string =>
  `${JSON.stringify({ format: FORMAT, version: VERSION, ...palette }, null, 2)}\n`;

/** Either kind of palette, told apart by how it begins. */
export const readPalette = (text: string): Result<Palette> =>
  /^\uFEFF?\s*\{/.test(text) ? readPaletteFile(text) : readGpl(text);
