import * as v from 'valibot';
import type {
  Celsius,
  Degrees,
  Grams,
  Millilitres,
  Millimetres,
  Minutes,
  Percent,
  Stage,
} from '../units/quantity.ts';
import { cleanLine, cleanText } from './cleanText.ts';

/** A number from `low` to `high`, refused with its own value and the unit in the message. */
const ranged = <Q extends number = number>(low: number, high: number, unit: string) => {
  const message = (issue: { input: number }): string =>
    `${issue.input} ${unit} is outside ${low} to ${high} ${unit}`;
  return v.pipe(
    v.number(`a number in ${unit} is wanted`),
    v.minValue(low, message),
    v.maxValue(high, message),
  ) as unknown as v.GenericSchema<number, Q>;
};

export const lengthMm = (low: number, high: number) => ranged<Millimetres>(low, high, 'mm');
export const massG = (low: number, high: number) => ranged<Grams>(low, high, 'g');
export const percent = (low: number, high: number) => ranged<Percent>(low, high, '%');
export const minutes = (low: number, high: number) => ranged<Minutes>(low, high, 'min');
export const celsius = (low: number, high: number) => ranged<Celsius>(low, high, '°C');
export const degrees = (low: number, high: number) => ranged<Degrees>(low, high, '°');
export const millilitresPerGram = (low: number, high: number) => ranged(low, high, 'ml/g');
export const dose = (low: number, high: number) => ranged(low, high, 'g/kg');
export const saponificationValue = ranged(50, 400, 'mg KOH/g');
export const density = ranged(0.5, 3, 'g/ml');
export const ratio = (low: number, high: number) => ranged(low, high, ': 1');
export const volumeMl = (low: number, high: number) => ranged<Millilitres>(low, high, 'ml');
/** Stages of thickness a minute: from batter that takes a day to one that seizes in the jug. */
export const SLOWEST_RATE = 0.001;
export const QUICKEST_RATE = 2;
export const ratePerMinute = ranged(SLOWEST_RATE, QUICKEST_RATE, 'stages a minute');
export const stage = (low: number, high: number) => ranged<Stage>(low, high, '(stage)');
export const parts = ranged(0.000001, 1e9, 'parts');

export const id = v.pipe(
  v.string(),
  v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id is 1 to 64 letters, digits, hyphens or underscores'),
);

/** Text of a maker's: what would spoil a line it is put into is taken out as it is read (see `cleanText`). */
export const text = v.pipe(v.string('text is wanted'), v.transform(cleanText));

export const name = (most: number) =>
  v.pipe(
    v.string('a name is wanted'),
    v.transform(cleanLine),
    v.trim(),
    v.minLength(1, 'a name is wanted'),
    v.maxLength(most, `a name has at most ${most} characters`),
  );

export const colour = v.pipe(
  v.string(),
  v.regex(/^#[0-9a-f]{6}$/, 'a colour is # and six hexadecimal digits in lower case'),
);

/** RFC 3339 with its offset in full; a shorter offset, as ISO 8601 has too, is no moment to every reader. */
const MOMENT = /^\d{4}-(\d\d)-(\d\d)T\d\d:\d\d:\d\d(?:\.\d{1,9})?(?:Z|[+-]\d\d:\d\d)$/;

/** A day that its month has: "2026-02-31" is read as one in March by some. */
function isMoment(written: string): boolean {
  const [, month, day] = MOMENT.exec(written) ?? [];
  if (month === undefined || day === undefined || !Number.isFinite(Date.parse(written))) return false;
  const asDay = new Date(`${written.slice(0, 10)}T00:00:00Z`);
  return asDay.getUTCMonth() + 1 === Number(month) && asDay.getUTCDate() === Number(day);
}

/** A moment, read as the same moment in universal time: so moments sort as text. */
export const moment = v.pipe(
  v.string('a time as in 2026-11-23T09:30:00.000Z is wanted'),
  v.check(
    isMoment,
    (issue) => `"${issue.input.slice(0, 40)}" is no time; one as in 2026-11-23T09:30:00.000Z is wanted`,
  ),
  v.transform((written) => new Date(written).toISOString()),
);

/**
 * A list of at most so many: how many there are is asked before any of them is looked at, so that a list far
 * too long costs no time.
 */
export const listOf = <T extends v.GenericSchema>(
  item: T,
  most: number,
  message: string,
  least = 0,
  none = message,
) =>
  v.pipe(
    v.array(v.unknown(), 'a list is wanted'),
    v.maxLength(most, message),
    v.minLength(least, none),
    v.array(item),
  );
