import type { Plan } from '../plan/planSchema.ts';
import { settleDoses } from './additions.ts';
import { settleProps } from './prop.ts';

/** A plan after any edit: doses of what is gone go, and what is put under a mould makes its tilt. The plan itself where nothing is amiss. */
export const settled = (plan: Plan): Plan => settleProps(settleDoses(plan));
