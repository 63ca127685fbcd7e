import { inEachMould } from '../eachMould.ts';
import type { Facts } from '../facts.ts';
import type { Warning } from '../warning.ts';
import { mostlyColorant, mud, overDosed, wetPots } from './doses.ts';
import { greyOmbres, greyPurples } from './greying.ts';
import { closeNeighbours } from './neighbours.ts';
import { ombreWarnings } from './ombres.ts';
import { carriedOver, jugsNotFree } from './jugs.ts';
import { paintedOnly } from './painted.ts';
import { behaviours, overruled, paled, tanned, undescribed } from './shifts.ts';

/** What to know of the colours, worst first by kind. */
export function colourWarnings(facts: Facts): Warning[] {
  const { bodies } = facts;
  return [
    ...ombreWarnings(facts, bodies),
    ...overruled(facts),
    ...undescribed(facts),
    ...paintedOnly(facts),
    ...mostlyColorant(facts),
    ...overDosed(facts),
    ...wetPots(facts),
    ...mud(facts),
    ...greyPurples(facts),
    ...greyOmbres(facts),
    ...tanned(facts),
    ...paled(facts),
    ...jugsNotFree(facts),
    ...carriedOver(facts, bodies),
    ...inEachMould(facts, (f, use) => (use.design === 'own' ? closeNeighbours(f, bodies) : []), {
      ofDesign: true,
    }),
    ...behaviours(facts),
  ];
}
