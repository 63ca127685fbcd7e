import type { Moment } from '../../src/core/batter/moments.ts';
import type { Additive, Dose, Fragrance } from '../../src/core/batter/schema.ts';

/** An additive in one dose, into the whole batch unless pots are named. */
export const additive = (
  id: string,
  moment: Moment,
  gPerKgOils = 13.3,
  more: Partial<Dose> = {},
): Additive => ({
  id,
  name: `Additive ${id}`,
  densityGMl: 1.2,
  doses: [{ id: 'd1', gPerKgOils, moment, ...more }],
});

/** A fragrance in one dose, by percent of the oils. */
export const fragrance = (
  percentOfOils: number,
  { id = 'f1', moment = 'trace', ...more }: Partial<Omit<Fragrance, 'doses'>> & { moment?: Moment } = {},
): Fragrance => ({
  id,
  name: 'Moor',
  densityGMl: 1,
  ...more,
  doses: [{ id: 'd1', gPerKgOils: percentOfOils * 10, moment }],
});
