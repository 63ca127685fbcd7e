import type { Plan } from '../plan/planSchema.ts';
import type { Finish } from '../plan/stepSchema.ts';

/** How old the soap is. */
export const AGES = ['pour', 'cut', 'cured'] as const;
export type Age = (typeof AGES)[number];

/** When and how the soap is looked at. */
export interface SoapState {
  readonly age: Age;
  /** how hot it got: 0 it did not gel, 0.5 wrapped and gelled, 1 a warm oven */
  readonly heat: number;
  /** the fragrance is in */
  readonly scented: boolean;
}

/** How hot each way of finishing gets the loaf. */
const HEATS: Readonly<Record<Finish['what'], number>> = {
  'oven-held': 1,
  'warm-oven': 1,
  'heating-pad': 0.6,
  insulate: 0.5,
  'leave-cool': 0,
  mist: 0,
};

/** What the plan's finish makes of it: a warm oven, wrapped, or left to itself. */
export const plannedHeat = (plan: Pick<Plan, 'steps'>): number =>
  plan.steps.reduce((heat, s) => {
    if (s.kind !== 'finish') return heat;
    return Math.max(heat, HEATS[s.what]);
  }, 0);

export const plannedState = (plan: Pick<Plan, 'steps'>, age: Age): SoapState => ({
  age,
  heat: plannedHeat(plan),
  scented: true,
});
