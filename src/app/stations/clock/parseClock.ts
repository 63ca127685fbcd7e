import { fail, type Result } from '../../../core/result/result.ts';
import { parseFigure } from '../../../core/units/parseQuantity.ts';

/** Minutes on the clock of the pour, as "12:30" or "12.5 min". None are before its beginning. */
export function parseClock(text: string): Result<number> {
  const match = /^\s*([-−]?)(\d+):([0-5]?\d)\s*(?:min)?\s*$/.exec(text);
  const read: Result<number> = match
    ? {
        ok: true,
        value: (match[1] === '' ? 1 : -1) * (Number(match[2]) + Number(match[3]) / 60),
      }
    : parseFigure(text, 'min');
  return read.ok && read.value < 0
    ? fail('negative', `${text.trim()} is before the batter is there: minutes count from 0`)
    : read;
}
