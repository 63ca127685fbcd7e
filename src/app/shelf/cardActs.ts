import { planFileName, writePlanFile } from '../../core/exchange/writePlan.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { bringPlans, newestPlan } from '../../store/keeping/newPlans.ts';
import { newPlanId } from '../../store/page.ts';
import { saveFile } from '../parts/saveFile.ts';

export { removePlan } from '../../store/keeping/newPlans.ts';

/** Another plan like this one, on the shelf. */
export async function duplicate(plan: Plan): Promise<void> {
  const now = new Date().toISOString();
  const newest = await newestPlan(plan);
  const name = `${newest.name} copy`.slice(0, 120);
  await bringPlans([{ ...newest, id: newPlanId(), name, created: now, changed: now }]);
}

/** The plan as a file to keep. */
export async function exportFile(plan: Plan): Promise<void> {
  const newest = await newestPlan(plan);
  saveFile(planFileName(newest), writePlanFile(newest), 'application/json');
}
