import { batterWarnings } from './batter.ts';
import { colourWarnings } from './colour/colourWarnings.ts';
import { cutWarnings } from './cut.ts';
import type { Facts } from './facts.ts';
import { fillWarnings } from './fill.ts';
import { potWarnings } from './pots.ts';
import { pourWarnings } from './pours.ts';
import { tiltWarnings } from './tilts.ts';
import type { Warning } from './warning.ts';

/** Everything to warn of, in the order the stations come. */
export const warningsOf = (facts: Facts): readonly Warning[] => [
  ...fillWarnings(facts),
  ...pourWarnings(facts),
  ...tiltWarnings(facts),
  ...batterWarnings(facts),
  ...potWarnings(facts),
  ...colourWarnings(facts),
  ...cutWarnings(facts),
];
