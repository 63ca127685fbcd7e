import { isAbout, mouldNames, mouldOfStep, usesOf, type MouldUse } from './moulds.ts';
import { remembered } from '../task/remembered.ts';
import type { Plan, Pot } from './planSchema.ts';
import { depositKey, potsIn } from './sources.ts';
import type { Pour } from './stepSchema.ts';

/** What goes in at one time from one pot, and into which moulds. */
export interface Deposit {
  /** what it is known by: the pour's own where it takes from one pot alone */
  readonly key: string;
  readonly pour: Pour;
  readonly pot: Pot;
  readonly moulds: readonly MouldUse[];
}

/**
 * All that is poured, in order. A pour of the first mould goes into every mould that follows its design,
 * right after it.
 */
export function depositsOf(plan: Plan): readonly Deposit[] {
  const uses = usesOf(plan);
  return plan.steps.flatMap((pour): Deposit[] => {
    if (pour.kind !== 'pour') return [];
    const moulds = uses.filter((u) => isAbout(u, pour));
    return moulds.length > 0
      ? potsIn(plan, pour).map((pot) => ({ key: depositKey(pour, pot.id), pour, pot, moulds }))
      : [];
  });
}

/** What every pour takes of every pot, whatever mould it is for. */
export const depositsIn = (
  plan: Pick<Plan, 'steps' | 'pots'>,
): readonly Pick<Deposit, 'key' | 'pour' | 'pot'>[] =>
  plan.steps.flatMap((pour) =>
    pour.kind === 'pour'
      ? potsIn(plan, pour).map((pot) => ({ key: depositKey(pour, pot.id), pour, pot }))
      : [],
  );

/**
 * What each pour is called, by its id: "pour 3", counted in its mould; where there are several moulds, "pour
 * 2 of Slab" for one that goes into a single one of them.
 */
export const pourNames = remembered((plan: Plan): ReadonlyMap<string, string> => {
  const names = mouldNames(plan);
  const counts = new Map<string, number>();
  return new Map(
    depositsOf(plan)
      .filter((d) => d.key === d.pour.id)
      .map(({ pour, moulds }) => {
        const mould = mouldOfStep(pour);
        const nth = (counts.get(mould) ?? 0) + 1;
        counts.set(mould, nth);
        const one = plan.others.length > 0 && moulds.length === 1;
        return [pour.id, one ? `pour ${nth} of ${names.get(mould) ?? ''}` : `pour ${nth}`] as const;
      }),
  );
});
