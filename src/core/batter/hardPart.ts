import type { UsedOil } from './usedOils.ts';

/** Set in a cool kitchen; of an oil that is only described nothing of the kind is known. */
export const isHard = ({ oil }: Pick<UsedOil, 'oil'>): boolean => oil.liquid === false;

/** The part of some oils that is hard, 0 to 1. */
export const hardPart = (oils: readonly Pick<UsedOil, 'oil' | 'share'>[]): number =>
  oils.reduce((s, o) => s + (isHard(o) ? o.share : 0), 0);
