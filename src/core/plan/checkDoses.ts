import { isEarly } from '../batter/moments.ts';
import { potsByPour } from './sources.ts';
import type { Dose } from '../batter/schema.ts';
import type { Fault } from '../result/result.ts';
import { repeats, unknown } from './faults.ts';
import type { Plan } from './planSchema.ts';

/**
 * Pots and pours that doses name must be there, and a dose that waits for a pour must be for that pour's pot.
 */
export function doseFaults(plan: Plan): Fault[] {
  const pots = new Set(plan.pots.map((p) => p.id));
  const potOf = potsByPour(plan);
  const faultsOf = (d: Dose, late: boolean, at: string): Fault[] => [
    ...(d.pots ?? []).flatMap((pot, i, all): Fault[] => {
      if (!pots.has(pot)) return [unknown('pot', `${at}.pots.${i}`, pot)];
      return all.indexOf(pot) < i
        ? [{ code: 'repeated-pot' as const, message: `pot "${pot}" is named twice`, at: `${at}.pots.${i}` }]
        : [];
    }),
    ...(d.fromPour !== undefined &&
    !(d.moment === 'pour' && d.pots?.length === 1 && potOf.get(d.fromPour) === d.pots[0])
      ? [
          {
            code: 'dose-from-pour' as const,
            message: `"${d.fromPour}" is no pour of the one pot that this dose goes into just before it is poured`,
            at: `${at}.fromPour`,
          },
        ]
      : []),
    // on top of what the lye is reckoned for: it goes in once the lye is in
    ...(late && isEarly(d.moment)
      ? [
          {
            code: 'late-oil-early' as const,
            message:
              'an oil stirred in late goes in after the lye; what is melted with the oils belongs to the recipe',
            at: `${at}.moment`,
          },
        ]
      : []),
  ];
  return (['additives', 'lateOils', 'fragrances'] as const).flatMap((list) =>
    plan.batter[list].flatMap((a, i) => [
      ...repeats(a.doses, `batter.${list}.${i}.doses`),
      ...a.doses.flatMap((d, j) => faultsOf(d, list === 'lateOils', `batter.${list}.${i}.doses.${j}`)),
    ]),
  );
}
