import type { LaidMould } from '../../fill/laid.ts';
import type { Plan } from '../../plan/planSchema.ts';
import type { Grams } from '../../units/quantity.ts';
import type { PotId } from '../../validate/ids.ts';
import type { ActId, Day } from '../act.ts';
import { after, before } from './around.ts';
import { making } from './making.ts';
import { meets, secondBatch } from './second.ts';
import { pouring } from './steps.ts';

/** Masses that differ by less are alike: a double's dust decides no order. Decimals of a gram. */
const ALIKE = 3;

type Laid = readonly Pick<LaidMould, 'use' | 'stack'>[];

/** What is poured of every pot as it is planned, and what is held back of it, g. */
function plannedMasses({ fill }: Plan, moulds: Laid): ReadonlyMap<PotId, Grams> {
  const sums = new Map<PotId, Grams>();
  const add = (pot: PotId, massG: Grams) => sums.set(pot, (sums.get(pot) ?? 0) + massG);
  for (const { use, stack } of moulds)
    for (const { parts } of stack.layers)
      for (const { pot, plannedG } of parts) add(pot.id, plannedG * use.copies);
  for (const { pot, massG } of fill.top) add(pot, massG);
  return sums;
}

/** The same, asked for only where an order depends on it. */
function massOfPots(plan: Plan, moulds: Laid): (pot: PotId) => Grams {
  let sums: ReadonlyMap<PotId, Grams> | undefined;
  return (pot) => {
    sums ??= plannedMasses(plan, moulds);
    return Number((sums.get(pot) ?? 0).toFixed(ALIKE));
  };
}

/**
 * Everything that is done on the day of a plan, in order: the one place where that is decided. It follows
 * from the plan and from what its pours come to as planned, never from what a scale makes of that. An act
 * that nothing comes of, because a dose rounds to nothing or a plan has none of it, is passed over wherever
 * it is filled in.
 */
export const dayOf = (plan: Plan, moulds: Laid): Day =>
  distinct([...before(plan), ...running(plan, moulds), ...after(plan)]);

/**
 * From the first weighing to the last that is put on top; lye and oils of what is piped stand ready before
 * the loaf's meet.
 */
function running(plan: Plan, moulds: Laid): Day {
  const day = making(plan, massOfPots(plan, moulds));
  const { ahead, later } = secondBatch(plan);
  // portions that get their lye each in its turn meet it later than all of this
  const at = day.findIndex(meets);
  const first = at < 0 ? day.length : at;
  return [...day.slice(0, first), ...ahead, ...day.slice(first), ...pouring(plan, later)];
}

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
export const runningOf = (plan: Plan, moulds: Laid): Day => distinct(running(plan, moulds));
