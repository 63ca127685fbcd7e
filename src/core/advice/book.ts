import { askBook } from '../ask/book.ts';
import { formatMass } from '../units/format.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { refuse } from './/warning.ts';

/** A book that does not balance: nobody should pour by it. */
export function bookWarnings({ plan, weights }: Facts): readonly Warning[] {
  const fault = weights && askBook(weights.ledger);
  if (!fault) return [];
  const say = (g: number): string => formatMass(g, plan.units.mass, 0.01);
  return [
    refuse(
      { station: 'sheet' },
      'book-unbalanced',
      `${say(fault.suppliedG)} would be weighed in, and ${say(fault.heldG)} would be in the vessels: a fault of this program. Nobody should pour by this sheet; export the plan and ask.`,
    ),
  ];
}
