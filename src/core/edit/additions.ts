import type { DoseId } from '../validate/ids.ts';
import { potsByPour } from '../plan/sources.ts';
import type { Additive, Batter, Dose, Fragrance, LateOil } from '../batter/schema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { freshId } from './freshId.ts';

/** The three lists of what is stirred in besides oils, lye and water. */
export interface AdditionLists {
  readonly additives: Additive;
  readonly lateOils: LateOil;
  readonly fragrances: Fragrance;
}

export type AdditionList = keyof AdditionLists;

const inBatter = (plan: Plan, change: Partial<Batter>): Plan => ({
  ...plan,
  batter: { ...plan.batter, ...change },
});

const listOf = <K extends AdditionList>(plan: Plan, list: K): readonly AdditionLists[K][] =>
  plan.batter[list] as unknown as readonly AdditionLists[K][];

/** A new entry of a list, with an id of its own. */
export const addAddition = <K extends AdditionList>(
  plan: Plan,
  list: K,
  addition: Omit<AdditionLists[K], 'id'>,
): Plan => {
  const before = listOf(plan, list);
  return inBatter(plan, {
    [list]: [...before, { ...addition, id: freshId(list.charAt(0), before) } as AdditionLists[K]],
  });
};

export const updateAddition = <K extends AdditionList>(
  plan: Plan,
  list: K,
  id: string,
  change: (addition: AdditionLists[K]) => AdditionLists[K],
): Plan => inBatter(plan, { [list]: listOf(plan, list).map((a) => (a.id === id ? change(a) : a)) });

export const removeAddition = (plan: Plan, list: AdditionList, id: string): Plan =>
  inBatter(plan, { [list]: listOf(plan, list).filter((a) => a.id !== id) });

export const updateFragrance = (plan: Plan, id: string, change: (fragrance: Fragrance) => Fragrance): Plan =>
  updateAddition(plan, 'fragrances', id, change);

/** Change one dose. What does not go with its new moment or pots is taken out of it. */
export const updateDose = (
  plan: Plan,
  list: AdditionList,
  id: string,
  doseId: DoseId,
  change: Partial<Dose>,
): Plan =>
  updateAddition(plan, list, id, (a) => ({
    ...a,
    doses: a.doses.map((d) => (d.id === doseId ? fitting({ ...d, ...change }) : d)),
  }));

/** A dose into the whole batch, or into some of its pots. */
export function doseInto(
  plan: Plan,
  list: AdditionList,
  id: string,
  doseId: DoseId,
  pots: readonly string[] | undefined,
): Plan {
  return updateAddition(plan, list, id, (a) => ({
    ...a,
    doses: a.doses.map((d) => {
      if (d.id !== doseId) return d;
      const { pots: _pots, ...rest } = d;
      return fitting(pots === undefined || pots.length === 0 ? rest : { ...rest, pots: [...pots] });
    }),
  }));
}

/**
 * From which pour on a dose goes in, into all that is left in the jug; undefined: before each pour, for it
 * alone.
 */
export const doseFrom = (
  plan: Plan,
  list: AdditionList,
  id: string,
  doseId: DoseId,
  fromPour: string | undefined,
): Plan =>
  updateAddition(plan, list, id, (a) => ({
    ...a,
    doses: a.doses.map((d) => {
      if (d.id !== doseId) return d;
      const { fromPour: _from, ...rest } = d;
      return fromPour === undefined ? rest : { ...rest, fromPour };
    }),
  }));

/** Another dose of the same: what the first one does not go into, or the rest of it later. */
export const addDose = (plan: Plan, list: AdditionList, id: string): Plan =>
  updateAddition(plan, list, id, (a) => {
    const last = a.doses.at(-1);
    if (!last) return a;
    const { fromPour: _from, ...rest } = last;
    return { ...a, doses: [...a.doses, { ...rest, id: freshId('d', a.doses) }] };
  });

export const removeDose = (plan: Plan, list: AdditionList, id: string, doseId: DoseId): Plan =>
  updateAddition(plan, list, id, (a) =>
    a.doses.length > 1 ? { ...a, doses: a.doses.filter((d) => d.id !== doseId) } : a,
  );

/** `fromPour` has a meaning only before a pour of one pot. */
function fitting(dose: Dose): Dose {
  const { fromPour, ...rest } = dose;
  return fromPour !== undefined && rest.moment === 'pour' && rest.pots?.length === 1
    ? { ...rest, fromPour }
    : rest;
}

/**
 * Doses after pots or pours went: a pot that is no longer there gets none, a dose without a pot goes, and
 * what waited for a pour that is gone goes in before each. The plan itself where nothing is amiss.
 */
export function settleDoses(plan: Plan): Plan {
  const pots = new Set(plan.pots.map((p) => p.id));
  const potOf = potsByPour(plan);
  const isFine = (d: Dose): boolean =>
    (d.pots?.every((p) => pots.has(p)) ?? true) &&
    (d.fromPour === undefined || (d.pots?.length === 1 && potOf.get(d.fromPour) === d.pots[0]));
  const { additives, lateOils, fragrances } = plan.batter;
  const all: readonly { readonly doses: readonly Dose[] }[] = [...additives, ...lateOils, ...fragrances];
  if (all.every((a) => a.doses.every(isFine))) return plan;
  const settle = <A extends { readonly doses: readonly Dose[] }>(list: readonly A[]): A[] =>
    list.flatMap((a): A[] => {
      const doses = a.doses.flatMap((d): Dose[] => {
        if (isFine(d)) return [d];
        const { fromPour: _from, ...rest } = d;
        const there = rest.pots?.filter((p) => pots.has(p));
        if (there?.length === 0) return [];
        const kept = there === undefined ? rest : { ...rest, pots: there };
        return [kept];
      });
      return doses.length > 0 ? [{ ...a, doses }] : [];
    });
  return inBatter(plan, {
    additives: settle(additives),
    lateOils: settle(lateOils),
    fragrances: settle(fragrances),
  });
}
