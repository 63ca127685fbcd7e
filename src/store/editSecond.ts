import { inSecond } from '../core/edit/second.ts';
import { pipedIn } from '../core/plan/second.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import type { Fault, Result } from '../core/result/result.ts';
import { selectComputed } from './computed.ts';
import { editPlan } from './editPlan.ts';
import type { Gesture } from './gesture.ts';
import type { AppDispatch, RootState } from './store.ts';

/**
 * An edit of the batch that is piped on top, seen as a plan by itself; of the open plan while nothing is
 * piped.
 */
export const editSecond =
  (edit: (part: Plan) => Plan | Result<Plan>, gesture?: Gesture) =>
  (dispatch: AppDispatch, getState: () => RootState): Fault | undefined => {
    const second = selectComputed(getState())?.second;
    return dispatch(editPlan(second ? inSecond(edit, pipedIn(second.plan)) : edit, gesture));
  };
