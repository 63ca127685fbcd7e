import { fail, ok, type Result } from '../result/result.ts';
import type { TemperatureUnit } from './format.ts';
import type { Celsius } from './quantity.ts';

/** A temperature as it is written: "32", "32 C", "90 °F"; without a unit in the one that is given. */
export function parseTemperature(text: string, unit: TemperatureUnit): Result<Celsius> {
  const match = /^\s*(-?\d+(?:[.,]\d+)?)\s*°?\s*([cf])?\s*$/i.exec(text.replace('−', '-'));
  if (!match?.[1]) return fail('not-a-temperature', `"${text.trim()}" is not a temperature`);
  const figure = Number(match[1].replace(',', '.'));
  return ok((match[2] ?? unit).toUpperCase() === 'F' ? (figure - 32) / 1.8 : figure);
}
