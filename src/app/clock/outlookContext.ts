import { createContext, useContext } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { FirstOutlook, Outlook } from '../../core/clock/outlook.ts';

/**
 * What is known of how the open plan will go; of a plan just before it while that of this one is worked out.
 */
export interface PlanOutlook {
  readonly plan: Plan;
  readonly outlook: FirstOutlook & Partial<Outlook>;
}

export const OutlookContext = createContext<PlanOutlook | undefined>(undefined);

export const useOutlook = (): PlanOutlook | undefined => useContext(OutlookContext);
