import { labOfHex } from '../colour/lab.ts';
import { difference } from '../colour/difference.ts';
import { contrastOrder, leastStep, type Table } from '../colour/order.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Pour } from '../plan/stepSchema.ts';

/**
 * Pours whose order is free: the layers of an ombre keep theirs, and what is pushed aside has other
 * neighbours than in the list.
 */
const freePours = (plan: Plan): readonly Pour[] =>
  plan.steps.flatMap((s) => (s.kind === 'pour' && !s.ombre && !s.pattern ? [s] : []));

const tableOf = (pours: readonly Pour[], colours: ReadonlyMap<string, string>): Table => {
  const labs = pours.map((p) => labOfHex(colours.get(p.id) ?? '#000000'));
  return labs.map((a) => labs.map((b) => difference(a, b)));
};

export interface ContrastChoice {
  /** smallest neighbour difference now and in the best order, CIEDE2000 */
  readonly now: number;
  readonly best: number;
  readonly apply: (plan: Plan) => Plan;
}

/**
 * The order of the free pours whose smallest neighbour difference is largest; undefined when there are fewer
 * than three of them, or an ombre or another compartment stands among them, so that they are not all
 * neighbours.
 */
export function contrastChoice(plan: Plan, colours: ReadonlyMap<string, string>): ContrastChoice | undefined {
  const pours = freePours(plan);
  const all = plan.steps.filter((s) => s.kind === 'pour');
  if (pours.length < 3 || pours.length < all.length || pours.some((p) => p.compartment > 0)) return undefined;
  const table = tableOf(pours, colours);
  const order = contrastOrder(table);
  const now = leastStep(
    table,
    pours.map((_, i) => i),
  );
  return {
    now,
    best: leastStep(table, order),
    apply: (p) =>
      inOrder(
        p,
        order.map((i) => pours[i]?.id ?? ''),
      ),
  };
}

/** The pours in a new order, each at the place of another; tilts and waits stay where they are. */
export function inOrder(plan: Plan, pourIds: readonly string[]): Plan {
  const byId = new Map(plan.steps.map((s) => [s.id, s] as const));
  const wanted = pourIds.flatMap((id) => byId.get(id) ?? []);
  const moved = new Set(pourIds);
  let next = 0;
  return {
    ...plan,
    steps: plan.steps.map((s) => {
      if (!moved.has(s.id)) return s;
      next += 1;
      return wanted[next - 1] ?? s;
    }),
  };
}
