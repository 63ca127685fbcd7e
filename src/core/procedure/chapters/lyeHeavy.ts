import { cureWords } from '../../advice/lyeHeavy.ts';
import { coloursEach } from '../../clock/habits.ts';
import type { Computed } from '../../computed/compute.ts';
import { colouredAt, potOfVessel } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';

/** Acts after which a vessel has more lye than its oils can use for a time, with what cures it. */
export function lyeHeavyAt({ plan }: Computed, w: Weights, drafts: readonly Draft[]): readonly Draft[] {
  if (w.asked.lyeHeavy.length === 0) return drafts;
  return drafts.map((draft): Draft => {
    const heavy = w.asked.lyeHeavy.filter((h) => {
      const pot = potOfVessel(h.vessel);
      // coloured in the same breath as it is weighed out
      const atOnce = !coloursEach(plan) && h.cures.some((c) => c.act === colouredAt(plan, pot ?? ''));
      return h.act === draft.id && !(pot !== undefined && atOnce);
    });
    if (heavy.length === 0) return draft;
    return {
      ...draft,
      lyeHeavy: heavy.map((h) => ({
        vessel: h.vessel,
        superfatPercent: h.superfatPercent,
        until: h.cures.map((c) => c.act),
        ...(h.cures.length > 0 ? { cure: cureWords(plan, w, h) } : {}),
      })),
    };
  });
}
