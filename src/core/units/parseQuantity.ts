import { fail, ok, type Result } from '../result/result.ts';
import { unitWritten, type Dimension, type UnitRecord } from './factors.ts';

export interface Quantity {
  readonly dimension: Dimension;
  /** in the base unit of its dimension: mm, g, ml or percent */
  readonly value: number;
}

const VULGAR: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

const NUMBER = String.raw`-?(?:\d+\s+\d+\/\d+|\d+\/\d+|\d+(?:\.\d*)?|\.\d+)`;
/** Two single marks are an inch's double one. */
const UNIT = String.raw`in3|in³|per cent|''|’’|′′|[%"″”'′’]|[a-z]+`;
const PART = new RegExp(String.raw`^(${NUMBER})\s*(${UNIT})?\s*`, 'i');

const tidy = (text: string): string =>
  text
    .replace(/[¼½¾⅛⅜⅝⅞⅓⅔]/g, (c) => ` ${VULGAR[c] ?? ''}`)
    .replaceAll('−', '-')
    // U+2044 fraction slash, U+2215 division slash
    .replaceAll(/[\u2044\u2215]/g, '/')
    // "3-1/2": the hyphen joins a whole to its fraction
    .replaceAll(/(\d)\s*-\s*(?=\d+\s*\/\s*\d)/g, '$1 ')
    .replaceAll(/(\d)\s*\/\s*(?=\d)/g, '$1/')
    // "100 mm.", "1 lb. 4 oz.", "1 lb, 4 oz": what ends a word or parts two parts
    .replaceAll(/([a-z³])\.(?=\s|,|\d|$)/gi, '$1 ')
    .replaceAll(/([a-z³"″”'′’])\s*,\s*(?=\S)/gi, '$1 ')
    .replace(/^\s*\+\s*(?=[\d.])/, '')
    .replaceAll(/[\u00a0\u202f\u2009]/g, ' ')
    // a thin or plain space between groups of three digits is a thousands space: "1 506 g"
    .replaceAll(/(\d) (?=\d{3}(?!\d|\s*\/))/g, '$1')
    .trim();

const numberOf = (text: string): number => {
  const sign = text.startsWith('-') ? -1 : 1;
  const pieces = text.replace('-', '').split(/\s+/);
  const values = pieces.map((piece) => {
    const [top, bottom] = piece.split('/');
    return bottom === undefined ? Number(top) : Number(top) / Number(bottom);
  });
  return sign * values.reduce((a, b) => a + b, 0);
};

const withDecimalPoint = (text: string): Result<string> => {
  if (/\d,\d{3}(?!\d)/.test(text))
    return fail('ambiguous-comma', `"${text}" could be a thousand or a decimal: write it without the comma`);
  return ok(text.replaceAll(/(\d),(\d)/g, '$1.$2'));
};

/**
 * Read what a maker writes: "425", "15 oz", "1 lb 4 oz", "1 lb. 4 oz.", "12%", "18 mm", `3 1/2"`, `3-1/2"`,
 * "3½ in", `1'2"`, "1 506 g". A number without a unit takes `bare`. Several parts add up if they share a
 * dimension. Faults: 'empty', 'not-a-quantity', 'ambiguous-comma', 'mixed-units'. The text is quoted in the
 * message.
 */
export function parseQuantity(text: string, bare: UnitRecord): Result<Quantity> {
  const pointed = withDecimalPoint(tidy(text));
  if (!pointed.ok) return pointed;
  let rest = pointed.value;
  if (rest === '') return fail('empty', 'Type a number');
  let total = 0;
  let count = 0;
  let bareParts = 0;
  let dimension: Dimension | undefined;
  while (rest !== '') {
    const match = PART.exec(rest);
    const unit = match?.[2] === undefined ? bare : unitWritten(match[2]);
    const value = match?.[1] === undefined ? Number.NaN : numberOf(match[1]);
    if (!match || !unit || !Number.isFinite(value))
      return fail('not-a-quantity', `"${text.trim()}" is not a quantity Drip Line can read`);
    if (dimension !== undefined && dimension !== unit.dimension)
      return fail('mixed-units', `"${text.trim()}" mixes a ${dimension} with a ${unit.dimension}`);
    dimension = unit.dimension;
    count += 1;
    if (match[2] === undefined) bareParts += 1;
    total += value * unit.factor;
    rest = rest.slice(match[0].length);
  }
  if (count > 1 && bareParts > 0) return fail('not-a-quantity', `"${text.trim()}" has a part without a unit`);
  return ok({ dimension: dimension ?? bare.dimension, value: total });
}

/** How a figure's own unit may be written, besides as it is shown. */
const ALSO_WRITTEN: Readonly<Record<string, readonly string[]>> = {
  '°': ['degrees', 'degree', 'deg'],
  min: ['minutes', 'minute', 'mins'],
};

/**
 * Read a plain figure with a unit of its own written after it or left out: "12", "12 °", "12 deg". Faults:
 * those of a quantity, and 'wrong-dimension' where another unit is written, naming what is wanted.
 */
export function parseFigure(text: string, suffix: string): Result<number> {
  const written = [suffix, ...(ALSO_WRITTEN[suffix] ?? [])].filter((w) => w !== '');
  const typed = text.trim().toLowerCase();
  const own = written.find((w) => typed.endsWith(w.toLowerCase()));
  const bare = own === undefined ? typed : typed.slice(0, -own.length);
  const wanted =
    suffix === '°' ? 'an angle in degrees' : suffix === '' ? 'a plain figure' : `a figure in ${suffix}`;
  const share = unitWritten('%');
  if (!share) throw new RangeError('no unit %');
  const read = parseQuantity(bare, share);
  if (!read.ok) return read;
  if (read.value.dimension !== 'share' || bare.includes('%'))
    return fail('wrong-dimension', `"${text.trim()}" is a ${read.value.dimension}; ${wanted} is wanted here`);
  return ok(read.value.value);
}

/** Read one quantity that must be of the dimension of `bare`; otherwise the fault 'wrong-dimension'. */
export function parseAs(text: string, bare: UnitRecord): Result<number> {
  const read = parseQuantity(text, bare);
  if (!read.ok) return read;
  return read.value.dimension === bare.dimension
    ? ok(read.value.value)
    : fail(
        'wrong-dimension',
        `"${text.trim()}" is a ${read.value.dimension}; a ${bare.dimension} is wanted here`,
      );
}
