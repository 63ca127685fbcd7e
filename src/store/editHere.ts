import { inMould } from '../core/edit/inMould.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import type { Fault, Result } from '../core/result/result.ts';
import { selectMouldId } from './computed.ts';
import { editPlan } from './editPlan.ts';
import type { Gesture } from './gesture.ts';
import type { AppDispatch, RootState } from './store.ts';

/** An edit of the mould on the bench: of its own part of the plan, the rest staying as it is. */
export const editHere =
  (edit: (part: Plan) => Plan | Result<Plan>, gesture?: Gesture) =>
  (dispatch: AppDispatch, getState: () => RootState): Fault | undefined =>
    dispatch(editPlan(inMould(selectMouldId(getState()), edit), gesture));
