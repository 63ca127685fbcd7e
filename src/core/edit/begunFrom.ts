import { sameMould } from '../mould/sameMould.ts';
import type { Mould } from '../mould/schema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { pourInto } from './pourInto.ts';

/** A plan as one to begin others from: what was written about it belongs to the loaf it was. */
export const asBeginning = (plan: Plan): Plan => ({ ...plan, notes: '' });

interface Begun {
  readonly id: string;
  readonly name: string;
  readonly now: string;
}

/** A new plan from one that was kept, or from any other: the same design, in its mould or in another. */
export function begunFrom(kept: Plan, { id, name, now }: Begun, mould?: Mould): Plan {
  const plan = { ...asBeginning(kept), id, name, created: now, changed: now };
  return mould && !sameMould(mould, plan.mould) ? pourInto(plan, mould) : plan;
}
