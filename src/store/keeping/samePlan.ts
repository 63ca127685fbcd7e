import { dequal } from 'dequal/lite';
import type { Plan } from '../../core/plan/planSchema.ts';

/** The same plan but for when it was changed. */
export const samePlan = (a: Plan, b: Plan): boolean => dequal({ ...a, changed: '' }, { ...b, changed: '' });
