import { readPlanValue } from '../core/exchange/planFile.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import type { Fault } from '../core/result/result.ts';
import { planEdited } from './planSlice.ts';
import type { AppDispatch, RootState } from './store.ts';

/**
 * Apply an edit to the open plan. An edit that would make an invalid plan changes nothing and comes back
 * as its first fault, for the field to show. `gesture` joins edits that undo as one.
 */
export const editPlan =
  (edit: (plan: Plan) => Plan, gesture: string | null = null) =>
  (dispatch: AppDispatch, getState: () => RootState): Fault | undefined => {
    const plan = getState().plan.present;
    if (!plan) return undefined;
    const edited = edit(plan);
    if (edited === plan) return undefined;
    const stamped = { ...edited, changed: new Date().toISOString() };
    const read = readPlanValue(stamped);
    if (!read.ok) return read.faults[0];
    // the edit's own objects, not the reader's copies: what did not change is still the same object
    dispatch(planEdited({ plan: stamped, gesture }));
    return undefined;
  };
