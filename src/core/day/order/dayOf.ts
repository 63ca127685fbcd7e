import type { LaidMould } from '../../fill/layPlan.ts';
import type { Plan } from '../../plan/planSchema.ts';
import { potsOf } from '../../plan/sources.ts';
import type { Grams } from '../../units/quantity.ts';
import type { PotId } from '../../validate/ids.ts';
import type { ActId, Day } from '../act.ts';
import { after, before } from './around.ts';
import { making } from './making.ts';
import { pouring } from './steps.ts';

/** Masses that differ by less are alike: a double's dust decides no order. Decimals of a gram. */
const ALIKE = 3;

/** What is poured of every pot as it is planned, g: a pour of several pots counts for each alike. */
function plannedMasses(moulds: readonly Pick<LaidMould, 'use' | 'stack'>[]): ReadonlyMap<PotId, Grams> {
  const sums = new Map<PotId, Grams>();
  for (const { use, stack } of moulds)
    for (const { pour, plannedG } of stack.layers) {
      const of = potsOf(pour);
      for (const pot of of) sums.set(pot, (sums.get(pot) ?? 0) + (plannedG * use.copies) / of.length);
    }
  return sums;
}

/** The same, asked for only where an order depends on it. */
function massOfPots(moulds: Parameters<typeof plannedMasses>[0]): (pot: PotId) => Grams {
  let sums: ReadonlyMap<PotId, Grams> | undefined;
  return (pot) => {
    sums ??= plannedMasses(moulds);
    return Number((sums.get(pot) ?? 0).toFixed(ALIKE));
  };
}

/**
 * Everything that is done on the day of a plan, in order: the one place where that is decided. It follows from the plan and from what its
 * pours come to as planned, never from what a scale makes of that. An act that nothing comes of, because a dose rounds to nothing or
 * a plan has none of it, is passed over wherever it is filled in.
 */
export const dayOf = (plan: Plan, moulds: readonly Pick<LaidMould, 'use' | 'stack'>[]): Day =>
  distinct([...before(plan), ...making(plan, massOfPots(moulds)), ...pouring(plan), ...after(plan)]);

/** Each act has a name of its own: a step that is called like something else that is done gets another. */
function distinct(day: Day): Day {
  const names = new Set<ActId>();
  return day.map((act) => {
    let { id } = act;
    for (let n = 2; names.has(id); n += 1) id = `${act.id}~${n}`;
    names.add(id);
    return id === act.id ? act : { ...act, id };
  });
}

/** The same without what comes before the first weighing and after the pour. */
export const runningOf = (plan: Plan, moulds: readonly Pick<LaidMould, 'use' | 'stack'>[]): Day =>
  distinct([...making(plan, massOfPots(moulds)), ...pouring(plan)]);
