import { createSelector } from '@reduxjs/toolkit';
import { computePlan, type Computed } from '../core/sheet/compute.ts';
import { seenWith } from '../core/colour/deficiency.ts';
import { plannedHeat, type SoapState } from '../core/look/state.ts';
import { coloursOf, type PlanColours } from '../core/ombre/coloursOf.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import type { Look } from './deskSlice.ts';
import type { RootState } from './store.ts';

/** Everything computed from the open plan; computed once for each state of the plan. */
export const selectComputed = createSelector(
  (state: RootState) => state.plan.present,
  (plan): Computed | undefined => (plan ? computePlan(plan) : undefined),
);

/** Heat of a loaf that gels although the plan does not mean it to: a warm wrap. */
const GELS = 0.5;

export const stateOfLook = (plan: Plan, { when, gelled, scented }: Look): SoapState => {
  const planned = plannedHeat(plan);
  const heat = gelled === 'as-planned' ? planned : gelled === 'no' ? 0 : Math.max(planned, GELS);
  return { moment: when, heat, scented };
};

/** How every pot and pour of the open plan looks, the way the maker looks at it. */
export const selectColours = createSelector(
  selectComputed,
  (state: RootState) => state.desk.look,
  (computed, look): PlanColours | undefined => {
    if (!computed) return undefined;
    const usual = look.when === 'cured' && look.gelled === 'as-planned' && look.scented;
    const colours = usual
      ? computed.colours
      : coloursOf(computed.plan, stateOfLook(computed.plan, look), computed.graded);
    const { eyes } = look;
    if (eyes === 'all') return colours;
    const seen = (hexes: ReadonlyMap<string, string>): Map<string, string> =>
      new Map([...hexes].map(([id, hex]) => [id, seenWith(eyes, hex)]));
    return { pots: seen(colours.pots), pours: seen(colours.pours) };
  },
);
