import { startTransition, useEffect, useState } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import { usePrinted } from './usePrinted.ts';

/** A plan of more steps is drawn in parts. */
const MANY_STEPS = 60;

export const isLarge = ({ steps }: Pick<Plan, 'steps'>): boolean => steps.length > MANY_STEPS;

/**
 * How much of a long list is drawn: so many at first, and as many more whenever the page has time, until all
 * of it is there; for paper at once.
 */
export function useGrowing(count: number, each: number): number {
  const printed = usePrinted();
  const [shown, setShown] = useState(each);
  useEffect(() => {
    if (shown >= count) return undefined;
    const timer = setTimeout(() => {
      startTransition(() => {
        setShown((s) => s + each);
      });
    });
    return () => {
      clearTimeout(timer);
    };
  }, [shown, count, each]);
  return printed ? count : Math.min(count, shown);
}
