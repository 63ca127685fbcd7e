import { PIPES } from '../pattern/windows.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { secondAsPlan, type PipedOf } from '../plan/second.ts';
import { ok, type Result } from '../result/result.ts';
import { settleDoses } from './additions.ts';
import { withoutUnused } from './colorants.ts';
import { newPot } from './pots.ts';

/**
 * A batch to be piped: the loaf's oils and lye, with nothing stirred in, in one pot. Bags and nozzles keep a
 * tenth.
 */
export function withSecondBatch(plan: Plan): Plan {
  if (plan.second) return plan;
  const { batter } = plan;
  return {
    ...plan,
    second: {
      batter: { ...batter, partLiquids: [], additives: [], lateOils: [], fragrances: [] },
      pots: [{ ...newPot(plan, 'q'), stage: PIPES.least }],
      overagePercent: 10,
    },
  };
}

/** Pots that an edit of the second batch added, under names that the loaf's batch has not. */
function namedApart(plan: Plan, pots: readonly Pot[]): Pot[] {
  const before = new Set(plan.second?.pots.map((p) => p.id));
  let taken = plan;
  return pots.map((pot) => {
    if (before.has(pot.id)) return pot;
    const fresh = newPot(taken, 'q');
    const named = { ...pot, id: fresh.id, letter: fresh.letter, name: fresh.name, stage: PIPES.least };
    taken = { ...taken, pots: [...taken.pots, named] };
    return named;
  });
}

/** What is piped of a pot that is gone is piped of the first one. */
function rowsOf(plan: Plan, pots: readonly Pot[]): Plan['steps'] {
  const [first] = pots;
  const there = new Set(pots.map((p) => p.id));
  return plan.steps.map((s) =>
    s.kind === 'top' && s.way.top === 'piping' && first && s.way.rows.some((r) => !there.has(r.pot))
      ? {
          ...s,
          way: {
            ...s.way,
            rows: s.way.rows.map((r) => (there.has(r.pot) ? r : { ...r, pot: first.id })),
          },
        }
      : s,
  );
}

/**
 * The plan with its second batch as an edit of that batch left it. Colorants that the loaf has too stay one.
 */
function withSecond(plan: Plan, before: Plan, edited: Plan): Plan {
  const { second } = plan;
  if (!second || edited === before) return plan;
  const part = settleDoses(edited);
  const pots = part.pots === before.pots ? second.pots : namedApart(plan, part.pots);
  const known = new Set(part.colorants.map((c) => c.id));
  return withoutUnused({
    ...plan,
    units: part.units,
    colorants: [...part.colorants, ...plan.colorants.filter((c) => !known.has(c.id))],
    steps: rowsOf(plan, pots),
    second: { ...second, batter: part.batter, pots, overagePercent: part.fill.overagePercent },
  });
}

/** An edit of the second batch, seen as a plan by itself, as one of the plan that it is of. */
export const inSecond =
  (edit: (part: Plan) => Plan | Result<Plan>, massOf: PipedOf) =>
  (plan: Plan): Plan | Result<Plan> => {
    const part = secondAsPlan(plan, massOf);
    if (!part) return plan;
    const outcome = edit(part);
    if (!('ok' in outcome)) return withSecond(plan, part, outcome);
    return outcome.ok ? ok(withSecond(plan, part, outcome.value)) : outcome;
  };
