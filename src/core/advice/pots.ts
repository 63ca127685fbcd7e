import { heldPots } from '../plan/held.ts';
import { pouredPots } from '../plan/sources.ts';
import { removePot } from '../edit/pots.ts';
import type { Warning } from './warning.ts';
import type { Facts } from './facts.ts';
import { note, remedy } from './/warning.ts';

export function potWarnings({ plan }: Facts): Warning[] {
  const used = new Set([...pouredPots(plan), ...heldPots(plan)]);
  return plan.pots
    .filter((p) => !used.has(p.id))
    .map((p) =>
      note(
        { station: 'colour', pot: p.id },
        'pot-unused',
        `Pot ${p.letter} (${p.name}) is not poured anywhere.`,
        plan.pots.length > 1
          ? [remedy(`Remove pot ${p.letter}`, (q: typeof plan) => removePot(q, p.id))]
          : [],
      ),
    );
}
