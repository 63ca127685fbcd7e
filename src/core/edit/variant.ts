import type { Plan } from '../plan/planSchema.ts';

/** One way that a design could be otherwise. */
export interface Variant {
  readonly label: string;
  readonly apply: (plan: Plan) => Plan;
}

/** Something of a pattern that can be less or more: three of it, the middle one as it is. */
export interface Setting {
  readonly id: string;
  readonly name: string;
  readonly variants: readonly [Variant, Variant, Variant];
}

/** As it is. */
export const as = (label: string): Variant => ({ label, apply: (plan) => plan });

export const mm = (value: number): string => `${Math.round(value)} mm`;
