import { formatClock } from '../../units/format.ts';
import type { Minutes } from '../../units/quantity.ts';
import type { Act, Timing } from '../act.ts';

/** A window longer than this is none to watch. */
const LONG_MIN: Minutes = 240;

const until = (what: string, min: Minutes | undefined): string =>
  min === undefined || min > LONG_MIN ? '' : `, ${what} until ${formatClock(Math.max(0, min))}`;

/** What lies below does something for what comes on it, or for what is done to it. */
const CARRIED: Readonly<Partial<Record<Act['deed']['does'], string>>> = {
  scrape: 'holds its edge from',
  'set-level': 'holds its slope from',
  prop: 'holds its slope from',
};

/** When something is done: estimates, told as those. */
function timingText({ deed }: Act, timing: Timing): string {
  const { atMin, untilMin, carriedFromMin, pourableUntilMin, fluidUntilMin, warm } = timing;
  if (untilMin !== undefined)
    return `About minute ${formatClock(atMin)}, until ${formatClock(untilMin)}: an estimate, what you see comes first.`;
  const from =
    carriedFromMin === undefined || carriedFromMin <= 0
      ? ''
      : `, ${CARRIED[deed.does] ?? 'carried from'} ${formatClock(carriedFromMin)}`;
  const pourable = deed.does === 'pipe' ? 'keeps its shape and can be pressed' : 'pourable';
  const ends = until(pourable, pourableUntilMin) + until('fluid enough', fluidUntilMin);
  const told = `About minute ${formatClock(atMin)}${from}${ends}`;
  // of a pour once more what decides; of the rest its minute is enough
  if (deed.does !== 'pour' && deed.does !== 'pipe')
    return `${told}: ${from + ends === '' ? 'an estimate' : 'estimates'}.`;
  return `${told}: estimates, what you see comes first.${warm ? ' Then it stands in the warm cupboard until the next.' : ''}`;
}

export const timingWords = (act: Act): { readonly timing?: string } =>
  // hours after the pour are told in what is to be done
  act.timed && act.chapter !== 'cut' ? { timing: timingText(act, act.timed) } : {};
