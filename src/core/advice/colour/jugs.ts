import { heldPots } from '../../plan/held.ts';
import { potNamed, potsOf } from '../../plan/sources.ts';
import { carryOver } from '../../colour/stirring.ts';
import { SHOWS } from '../../colour/thresholds.ts';
import { inJug } from '../../edit/pots.ts';
import type { PlanBodies } from '../../ombre/coloursOf.ts';
import type { Pot } from '../../plan/planSchema.ts';
import { formatShort } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { remedy, warn, type Remedy, type Warning } from '../warning.ts';

/** What stays on the walls of an emptied jug. An estimate; common practice, no source. */
const RESIDUE_G = 5;

const ownJugFor = (pot: Pot): Remedy =>
  remedy(`A jug of its own for pot ${pot.letter}`, (q) => ({
    ...q,
    pots: q.pots.map((p) => (p.id === pot.id ? inJug(p, undefined) : p)),
  }));

/** Jugs used again that are not empty when they are wanted. */
export function jugsNotFree({ plan }: Facts): Warning[] {
  const pours = plan.steps.flatMap((s) => (s.kind === 'pour' ? potsOf(s) : []));
  return plan.pots.flatMap((p): Warning[] => {
    const before = potNamed(plan, p.jugOf);
    if (!before) return [];
    const first = pours.indexOf(p.id);
    const last = pours.lastIndexOf(before.id);
    const why =
      plan.divide.kind === 'before-lye'
        ? 'portions made ready before the lye each need a jug'
        : heldPots(plan).has(before.id)
          ? `pot ${before.letter} is held back in it for the top`
          : first >= 0 && last > first
            ? `pot ${before.letter} is still poured after pot ${p.letter}`
            : undefined;
    if (why === undefined) return [];
    return [
      warn(
        { station: 'colour', pot: p.id },
        'jug-not-free',
        `Pot ${p.letter} cannot take the jug of pot ${before.letter}: ${why}.`,
        [ownJugFor(p)],
      ),
    ];
  });
}

/** Jugs used again: how far what is left in them shifts the next colour. */
export function carriedOver(facts: Facts, bodies: PlanBodies): Warning[] {
  return facts.plan.pots.flatMap((p): Warning[] => {
    const before = potNamed(facts.plan, p.jugOf);
    const left = before && bodies.pots.get(before.id);
    const next = bodies.pots.get(p.id);
    const massG = facts.weights?.pots.find((w) => w.pot.id === p.id)?.batterG ?? 0;
    if (!before || !left || !next || massG <= 0) return [];
    const by = carryOver(left, RESIDUE_G, next, massG);
    if (by <= SHOWS) return [];
    return [
      warn(
        { station: 'colour', pot: p.id },
        'carry-over',
        `About ${RESIDUE_G} g of pot ${before.letter} left in its jug shifts pot ${p.letter} by ${formatShort(by, 1)} (2 shows). Wipe the jug out, or take a clean one.`,
        [ownJugFor(p)],
      ),
    ];
  });
}
