import { G_PER_OUNCE, ML_PER_CUBIC_INCH, MM_PER_INCH } from './factors.ts';
import { decimalsOf } from './scaleStep.ts';
import type { Celsius, Grams, Millilitres, Millimetres } from './quantity.ts';

const THIN_SPACE = '\u202f';

/** A figure with a narrow space between thousands and a true minus sign: -1506.25 -> "−1 506.3". */
export function formatNumber(value: number, decimals: number): string {
  const fixed = Math.abs(value).toFixed(decimals);
  const [whole = '0', fraction] = fixed.split('.');
  const grouped = whole.length > 3 ? whole.replaceAll(/\B(?=(\d{3})+(?!\d))/g, THIN_SPACE) : whole;
  const sign = value < 0 && Number(fixed) !== 0 ? '−' : '';
  return sign + grouped + (fraction === undefined ? '' : `.${fraction}`);
}

/** As formatNumber, without zeros at the end of the fraction: 4.50 -> "4.5", 30.00 -> "30". */
export function formatShort(value: number, decimals: number): string {
  const text = formatNumber(value, decimals);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** A time on the clock of the pour: minutes and seconds, "4:06". */
export function formatClock(minutes: number): string {
  const seconds = Math.round(minutes * 60);
  const sign = seconds < 0 ? '−' : '';
  const whole = Math.abs(seconds);
  return `${sign}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** How long something takes, as one would say it: "under 1 min", "2 ½ min", "34 min". */
export function formatMinutes(minutes: number): string {
  const halves = Math.round(minutes * 2);
  if (halves < 1) return 'under 1 min';
  if (halves >= 20) return `${Math.round(minutes)} min`;
  const whole = Math.floor(halves / 2);
  return `${whole > 0 ? String(whole) : ''}${halves % 2 === 1 ? `${whole > 0 ? ' ' : ''}½` : ''} min`;
}

export type MassUnit = 'g' | 'oz';
export type LengthUnit = 'mm' | 'in';
export type TemperatureUnit = 'C' | 'F';

/** Decimals of an ounce that keep a step of the scale visible. */
const ounceDecimals = (stepG: Grams): number => (stepG >= 1 ? 2 : stepG >= 0.1 ? 3 : 4);

/** A mass at the scale's step. In ounces the step is turned into the decimals that keep it visible. */
export function massFigure(massG: Grams, unit: MassUnit, stepG: Grams): string {
  if (unit === 'g') return formatNumber(massG, decimalsOf(stepG));
  return formatNumber(massG / G_PER_OUNCE, ounceDecimals(stepG));
}

/** Mass of lye or lye solution: what is shown is never more than it is, in either unit. */
export function lyeFigure(massG: Grams, unit: MassUnit, stepG: Grams): string {
  if (unit === 'g') return massFigure(massG, unit, stepG);
  const ten = 10 ** ounceDecimals(stepG);
  return formatNumber(Math.floor((massG / G_PER_OUNCE) * ten + 1e-9) / ten, ounceDecimals(stepG));
}

export const formatMass = (massG: Grams, unit: MassUnit, stepG: Grams): string =>
  `${massFigure(massG, unit, stepG)} ${unit}`;

/**
 * A mass on the fine scale: ounces stay ounces, with the grams that such scales and doses are in beside them.
 */
export const formatFine = (massG: Grams, unit: MassUnit, stepG: Grams): string =>
  unit === 'g'
    ? formatMass(massG, 'g', stepG)
    : `${formatMass(massG, unit, stepG)} (${formatMass(massG, 'g', stepG)})`;

/** A length in mm to 0.1, or in inches to 0.01. */
export const lengthFigure = (lengthMm: Millimetres, unit: LengthUnit): string =>
  unit === 'mm' ? formatShort(lengthMm, 1) : formatNumber(lengthMm / MM_PER_INCH, 2);

export const formatLength = (lengthMm: Millimetres, unit: LengthUnit): string =>
  `${lengthFigure(lengthMm, unit)} ${unit}`;

export const formatVolume = (volumeMl: Millilitres, unit: LengthUnit): string =>
  unit === 'mm' ? `${formatNumber(volumeMl, 0)} ml` : `${formatNumber(volumeMl / ML_PER_CUBIC_INCH, 1)} in³`;

export const formatPercent = (percent: number, decimals = 1): string => `${formatShort(percent, decimals)} %`;

/**
 * Two different percentages, with as many decimals as it takes to see that they differ: "2.41 %" and "2.4 %".
 */
export function formatApart(one: number, other: number): readonly [string, string] {
  for (let decimals = 2; decimals < 8; decimals += 1) {
    const [a, b] = [formatPercent(one, decimals), formatPercent(other, decimals)];
    if (a !== b) return [a, b];
  }
  return [formatPercent(one, 8), formatPercent(other, 8)];
}

export const formatTemperature = (celsius: Celsius, unit: TemperatureUnit): string =>
  `${formatNumber(unit === 'C' ? celsius : celsius * 1.8 + 32, 0)} °${unit}`;
