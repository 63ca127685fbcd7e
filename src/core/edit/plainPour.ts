import type { Pour } from '../plan/stepSchema.ts';
import { LANDING_FALL_MM } from './pours.ts';

/**
 * The nth pour of a plan that begins: a share of what there is, level, over a spatula once there is something
 * below it.
 */
export const plainPour = (nth: number, pot: string, compartment = 0): Pour => ({
  id: `s${nth}`,
  kind: 'pour',
  pot,
  compartment,
  amount: { kind: 'rest', parts: 1 },
  locked: false,
  landing:
    nth === 1
      ? { how: 'low', fallMm: LANDING_FALL_MM.low }
      : { how: 'spatula', fallMm: LANDING_FALL_MM.spatula },
});
