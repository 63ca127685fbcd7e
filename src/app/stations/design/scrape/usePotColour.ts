import { useMemo } from 'react';
import { hexOfBody } from '../../../../core/colour/body.ts';
import { bodyOfPot, paintboxOf } from '../../../../core/look/paintbox.ts';
import { plannedState } from '../../../../core/look/state.ts';
import type { Pot } from '../../../../core/plan/planSchema.ts';
import { useBench } from '../../../parts/usePlan.ts';

/** How a pot looks as it is mixed, cured, whatever is stirred into its jug later; "#rrggbb". */
export function usePotColour(pot: Pot | undefined): string | undefined {
  const { plan } = useBench();
  return useMemo(
    () => pot && hexOfBody(bodyOfPot(paintboxOf(plan, plannedState(plan, 'cured'), pot.id), pot)),
    [plan, pot],
  );
}
