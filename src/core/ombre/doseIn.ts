import type { Mix } from '../plan/ombreSchema.ts';

/** Dose of a colorant in a mix, g/kg; 0 where it is not in it. */
export const doseIn = (mix: Mix, colorant: string): number =>
  mix.find((m) => m.colorant === colorant)?.doseGPerKg ?? 0;
