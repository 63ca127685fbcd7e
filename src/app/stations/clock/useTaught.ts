import { useMemo } from 'react';
import { learnedOf, type LearnedRate } from '../../../core/clock/learned.ts';
import { priorCourse } from '../../../core/clock/priorCourse.ts';
import { usePlan } from '../../parts/usePlan.ts';

/**
 * What the readings of the open plan taught, of each rate that they say something of and that is not left as
 * it was.
 */
export function useTaught(): readonly LearnedRate[] {
  const { plan, computed } = usePlan('moulds', 'recipes', 'day');
  return useMemo(() => {
    if ((plan.clock.readings ?? []).length === 0) return [];
    const prior = priorCourse(plan, computed, computed.day);
    const learned = prior ? learnedOf(plan, computed, prior) : [];
    return learned.filter((l) => l.readings > 0 && !l.refused);
  }, [plan, computed]);
}
