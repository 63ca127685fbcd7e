import { massOfContents } from '../ledger/contents.ts';
import { leftIn, supplied, type Ledger } from '../ledger/ledger.ts';
import type { Grams } from '../units/quantity.ts';

/** As a part of all that was weighed: what a double loses in so many sums. */
const DUST = 1e-9;

/** What is wrong with a book: more or less is in its vessels than came in, or one holds less than nothing. */
export interface BookFault {
  readonly suppliedG: Grams;
  readonly heldG: Grams;
}

/**
 * All that came in is somewhere, and nothing holds less than nothing: that is so in every book, or its
 * figures are no figures. Undefined where it holds. A fault of the program, asked all the same: people pour
 * by these numbers.
 */
export function askBook(ledger: Ledger): BookFault | undefined {
  const suppliedG = massOfContents(supplied(ledger));
  let heldG = 0;
  let least = 0;
  for (const vessel of ledger.vessels.values()) {
    if (vessel.kind === 'supply') continue;
    for (const massG of leftIn(ledger, vessel).values()) {
      heldG += massG;
      least = Math.min(least, massG);
    }
  }
  const dust = DUST * Math.max(1, suppliedG);
  // what is no number is nothing that holds
  return Math.abs(suppliedG - heldG) <= dust && least >= 0 - dust ? undefined : { suppliedG, heldG };
}
