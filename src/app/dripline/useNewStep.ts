import type { Plan } from '../../core/plan/planSchema.ts';
import type { StepId } from '../../core/validate/ids.ts';
import { pourChosen, viewShown, type LoafViewName } from '../../store/deskSlice.ts';
import { useAppDispatch } from '../../store/store.ts';
import { useBenchEdit } from '../parts/usePlan.ts';

type Make = (plan: Plan) => { readonly plan: Plan; readonly stepId: StepId };

/** Puts a new step into the plan, chosen, in the view that it is seen best in. */
export function useNewStep(): (make: Make, view: LoafViewName) => void {
  const edit = useBenchEdit();
  const dispatch = useAppDispatch();
  return (make, view) => {
    let id: StepId | undefined;
    edit((p) => {
      const made = make(p);
      id = made.stepId;
      return made.plan;
    });
    if (id !== undefined) dispatch(pourChosen(id));
    dispatch(viewShown(view));
  };
}
