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
import type { Warning } from './warning.ts';

/** Everything to warn of, in the order the stations come. */
export const warningsOf = (facts: Facts): readonly Warning[] => [
  ...batchWarnings(facts),
  ...inEachMould(facts, fillWarnings, { ofDesign: false }),
  ...inEachMould(facts, pourWarnings, { ofDesign: true }),
  ...inEachMould(facts, patternWarnings, { ofDesign: true }),
  ...inEachMould(facts, onFluidWarnings, { ofDesign: true }),
  ...inEachMould(facts, tiltWarnings, { ofDesign: true }),
  ...batterWarnings(facts),
  ...temperatureWarnings(facts),
  ...promiseWarnings(facts),
  ...potWarnings(facts),
  ...jugWarnings(facts),
  ...colourWarnings(facts),
  ...bookWarnings(facts),
  ...clockWarnings(facts),
  ...inEachMould(facts, cutWarnings, { ofDesign: false }),
  ...inEachMould(facts, cutterWarnings, { ofDesign: false }),
];
