import { heldPots } from '../plan/held.ts';
import { pouredPots } from '../plan/sources.ts';
import { removePot } from '../edit/pots.ts';
import type { Warning } from './warning.ts';
import type { Facts } from './facts.ts';

export function potWarnings({ plan }: Facts): Warning[] {
  const used = new Set([...pouredPots(plan), ...heldPots(plan)]);
  return plan.pots
    .filter((p) => !used.has(p.id))
    .map((p) => ({
      code: 'pot-unused',
      level: 'note',
      station: 'colour',
      pot: p.id,
      message: `Pot ${p.letter} (${p.name}) is not poured anywhere.`,
      ...(plan.pots.length > 1
        ? { remedies: [{ label: `Remove pot ${p.letter}`, apply: (q: typeof plan) => removePot(q, p.id) }] }
        : {}),
    }));
}
