import * as v from 'valibot';

/** A number from `low` to `high`, refused with its own value and the unit in the message. */
const ranged = (low: number, high: number, unit: string) => {
  const message = (issue: { input: number }): string =>
    `${issue.input} ${unit} is outside ${low} to ${high} ${unit}`;
  return v.pipe(
    v.number(`a number in ${unit} is wanted`),
    v.minValue(low, message),
    v.maxValue(high, message),
  );
};

export const lengthMm = (low: number, high: number) => ranged(low, high, 'mm');
export const massG = (low: number, high: number) => ranged(low, high, 'g');
export const percent = (low: number, high: number) => ranged(low, high, '%');
export const minutes = (low: number, high: number) => ranged(low, high, 'min');
export const celsius = (low: number, high: number) => ranged(low, high, '°C');
export const degrees = (low: number, high: number) => ranged(low, high, '°');
export const millilitresPerGram = (low: number, high: number) => ranged(low, high, 'ml/g');
export const dose = (low: number, high: number) => ranged(low, high, 'g/kg');
export const saponificationValue = ranged(50, 400, 'mg KOH/g');
export const density = ranged(0.5, 3, 'g/ml');
export const ratio = (low: number, high: number) => ranged(low, high, ': 1');
export const stage = (low: number, high: number) => ranged(low, high, '(stage)');
export const parts = ranged(0.000001, 1e9, 'parts');

export const id = v.pipe(
  v.string(),
  v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id is 1 to 64 letters, digits, hyphens or underscores'),
);

export const name = (most: number) =>
  v.pipe(
    v.string('a name is wanted'),
    v.trim(),
    v.minLength(1, 'a name is wanted'),
    v.maxLength(most, `a name has at most ${most} characters`),
  );

export const colour = v.pipe(
  v.string(),
  v.regex(/^#[0-9a-f]{6}$/, 'a colour is # and six hexadecimal digits in lower case'),
);

export const moment = v.pipe(v.string(), v.isoTimestamp('a time as in 2026-11-23T09:30:00.000Z is wanted'));
