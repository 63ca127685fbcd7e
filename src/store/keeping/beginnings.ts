import { asBeginning } from '../../core/edit/begunFrom.ts';
import { PLAN_VERSION } from '../../core/plan/planVersion.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { newPlanId } from '../page.ts';
import { store } from '../store.ts';
import { toastShown } from '../toastSlice.ts';
import { supplyKeeper } from './library.ts';

/**
 * Keep a plan as a beginning of one's own: it stands under New plan from now on, whatever becomes of the
 * plan.
 */
export function keepAsBeginning(plan: Plan): void {
  const id = newPlanId();
  void supplyKeeper.change(id, null, {
    kind: 'beginning',
    id,
    name: plan.name,
    version: PLAN_VERSION,
    plan: { ...asBeginning(plan) },
  });
  store.dispatch(
    toastShown({ text: `“${plan.name}” is under New plan now, as a beginning of your own.`, tone: 'plain' }),
  );
}
