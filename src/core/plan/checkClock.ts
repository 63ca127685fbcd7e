import type { Fault } from '../result/result.ts';
import { STAGES } from '../setting/stage.ts';
import { unknown } from './faults.ts';
import type { Plan } from './planSchema.ts';

const word = (stage: number): string => STAGES[Math.round(stage)] ?? 'firm';

/**
 * Readings are of pots that are there, and batter that is left alone gets no thinner: a later reading that is
 * thinner is refused with both.
 */
export function clockFaults({ clock, pots }: Pick<Plan, 'clock' | 'pots'>): Fault[] {
  const readings = clock.readings ?? [];
  return readings.flatMap((r, i): Fault[] => {
    const at = `clock.readings.${i}`;
    if (!pots.some((p) => p.id === r.pot)) return [unknown('pot', `${at}.pot`, r.pot)];
    const before = readings.find(
      (o) => o.pot === r.pot && o.min < r.min && o.stage > r.stage && readings.indexOf(o) !== i,
    );
    return before
      ? [
          {
            code: 'reading-thinner' as const,
            message: `${word(before.stage)} (${before.stage}) at ${before.min} min, and ${word(r.stage)} (${r.stage}) only at ${r.min} min: batter that is left alone gets no thinner`,
            at: `${at}.stage`,
          },
        ]
      : [];
  });
}
