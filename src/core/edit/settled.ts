import type { Plan } from '../plan/planSchema.ts';
import { secondAsPlan } from '../plan/second.ts';
import { settleDoses } from './additions.ts';
import { settleMats } from './mat.ts';
import { settleProps } from './prop.ts';

/** Doses of the second batch, as those of the loaf's are. */
function settleSecond(plan: Plan): Plan {
  const part = secondAsPlan(plan, () => 1);
  if (!part || !plan.second) return plan;
  const { batter } = settleDoses(part);
  return batter === part.batter ? plan : { ...plan, second: { ...plan.second, batter } };
}

/** Readings of pots that are gone go too. */
function settleReadings(plan: Plan): Plan {
  const { readings } = plan.clock;
  const kept = readings?.filter((r) => plan.pots.some((p) => p.id === r.pot));
  return kept && kept.length < (readings?.length ?? 0)
    ? { ...plan, clock: { ...plan.clock, readings: kept } }
    : plan;
}

/**
 * A plan after any edit: doses of what is gone go, hollows are filled where there is a mat, and what is put
 * under a mould makes its tilt. The plan itself where nothing is amiss.
 */
export const settled = (plan: Plan): Plan =>
  settleReadings(settleProps(settleMats(settleSecond(settleDoses(plan)))));
