import { createSelector } from '@reduxjs/toolkit';
import { computePlan, type Computed } from '../core/sheet/compute.ts';
import type { RootState } from './store.ts';

/** Everything computed from the open plan; computed once for each state of the plan. */
export const selectComputed = createSelector(
  (state: RootState) => state.plan.present,
  (plan): Computed | undefined => (plan ? computePlan(plan) : undefined),
);
