import { batchWarnings } from './batch.ts';
import { batterWarnings } from './batter.ts';
import { bookWarnings } from './book.ts';
import { clockWarnings } from './clock.ts';
import { colourWarnings } from './colour/colourWarnings.ts';
import { cutWarnings } from './cut.ts';
import { cutterWarnings } from './cutter.ts';
import { jugWarnings } from './jugs.ts';
import { promiseWarnings } from './promises.ts';
import { inEachMould } from './eachMould.ts';
import type { Facts } from './facts.ts';
import { fillWarnings } from './fill.ts';
import { onFluidWarnings } from './onFluid.ts';
import { patternWarnings } from './patterns.ts';
import { potWarnings } from './pots.ts';
import { pourWarnings } from './pours.ts';
import { temperatureWarnings } from './temperatures.ts';
import { tiltWarnings } from './tilts.ts';
import type { Task } from '../task/task.ts';
import type { Warning } from './warning.ts';

type Warns = (facts: Facts) => readonly Warning[];

/** In the order the stations come. */
const ALL: readonly Warns[] = [
  batchWarnings,
  (facts) => inEachMould(facts, fillWarnings, { ofDesign: false }),
  ...[pourWarnings, patternWarnings, onFluidWarnings, tiltWarnings].map(
    (warns): Warns =>
      (facts) =>
        inEachMould(facts, warns, { ofDesign: true }),
  ),
  batterWarnings,
  temperatureWarnings,
  promiseWarnings,
  potWarnings,
  jugWarnings,
  colourWarnings,
  bookWarnings,
  clockWarnings,
  ...[cutWarnings, cutterWarnings].map(
    (warns): Warns =>
      (facts) =>
        inEachMould(facts, warns, { ofDesign: false }),
  ),
];

/** Everything to warn of. */
export function* warningOf(facts: Facts): Task<never, readonly Warning[]> {
  const found: Warning[] = [];
  for (const [i, warns] of ALL.entries()) {
    found.push(...warns(facts));
    yield { done: i / ALL.length };
  }
  return found;
}
