import type { OmbreId, PotId } from '../validate/ids.ts';
import { potsOf, poursFrom } from '../plan/sources.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Ombre } from '../plan/ombreSchema.ts';
import type { Pour } from '../plan/stepSchema.ts';

/** A stretch of an ombre that goes one way. */
export interface Run {
  readonly pours: readonly Pour[];
  /** from the first colour to the last, or back */
  readonly rising: boolean;
  /** it goes on from the shade before it, which it does not repeat */
  readonly goesOn: boolean;
}

/** An ombre's pours in order. */
export const poursOfOmbre = (plan: Pick<Plan, 'steps'>, ombreId: OmbreId): readonly Pour[] =>
  plan.steps.flatMap((s) => (s.kind === 'pour' && s.ombre?.id === ombreId ? [s] : []));

/** Pots that any ombre is poured from: their colorants come from there. */
export const gradedPots = (plan: Pick<Plan, 'steps'>): ReadonlySet<string> =>
  new Set(plan.steps.flatMap((s) => (s.kind === 'pour' && s.ombre ? potsOf(s) : [])));

/** The ombre that a pot is poured from: its colorants come from there. */
export const gradedBy = (plan: Pick<Plan, 'steps' | 'ombres'>, potId: PotId): Ombre | undefined => {
  const pour = poursFrom(plan, potId).find((p) => p.ombre !== undefined);
  return plan.ombres.find((o) => o.id === pour?.ombre?.id);
};

/** An ombre's pours as its runs: each turn begins a new one. */
export function runsOf(plan: Pick<Plan, 'steps'>, ombreId: OmbreId): readonly Run[] {
  const runs: { pours: Pour[]; rising: boolean; goesOn: boolean }[] = [];
  for (const pour of poursOfOmbre(plan, ombreId)) {
    const last = runs.at(-1);
    const turn = pour.ombre?.turn;
    if (!last) runs.push({ pours: [pour], rising: true, goesOn: false });
    else if (turn === 'restart') runs.push({ pours: [pour], rising: true, goesOn: false });
    else if (turn === 'reverse') runs.push({ pours: [pour], rising: !last.rising, goesOn: true });
    else last.pours.push(pour);
  }
  return runs;
}
