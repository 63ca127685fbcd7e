import { useMemo } from 'react';
import type { Odds } from '../../core/timing/odds.ts';
import { useFigure } from '../parts/usePlan.ts';
import { useOutlook } from './outlookContext.ts';

/** So often of all times a plan has to hold to be settled; where it does not half the time, it wants care. */
export const SURE = 0.9;
export const DOUBTFUL = 0.5;

/** The odds of the open plan: not known yet, or known; those of the plan just before it are stale. */
export type OddsShown =
  { readonly kind: 'unknown' } | { readonly kind: 'known'; readonly odds: Odds; readonly stale: boolean };

export function useOdds(): OddsShown {
  const known = useOutlook();
  const stale = useFigure((c) => known !== undefined && known.plan !== c.plan);
  return useMemo(
    () => (known ? { kind: 'known', odds: known.outlook.odds, stale } : { kind: 'unknown' }),
    [known, stale],
  );
}
