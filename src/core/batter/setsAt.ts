import type { Celsius } from '../units/quantity.ts';
import type { Batter } from './schema.ts';
import type { Oil } from './oil.ts';
import { usedOils } from './usedOils.ts';

/** Where hard oils and butters are melted by themselves, C. From memory, good to some degrees. */
const MELTS: Readonly<Record<string, Celsius>> = {
  coconut: 25,
  'palm-kernel': 27,
  babassu: 25,
  palm: 37,
  'palm-stearin': 50,
  lard: 40,
  tallow: 45,
  'cocoa-butter': 35,
  shea: 35,
  mango: 35,
  kokum: 40,
};

/** Among liquid oils it stays melted lower down: by so much where there is hardly any of it. A judgement. */
const LOWERED_C = 13;

/** An oil that sets where the oils are cooler than this. */
export interface Setting {
  readonly oil: Oil;
  /** of all oils, 0..1 */
  readonly share: number;
  readonly atC: Celsius;
}

/** The oils of a recipe that set as it cools, the first to do so first. An estimate. */
export const settingOils = (batter: Pick<Batter, 'oils'>): readonly Setting[] =>
  usedOils(batter)
    .flatMap(({ oil, share }): readonly Setting[] => {
      const melts = MELTS[oil.id];
      return melts === undefined ? [] : [{ oil, share, atC: Math.round(melts - LOWERED_C * (1 - share)) }];
    })
    .toSorted((a, b) => b.atC - a.atC);
