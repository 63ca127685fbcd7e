import type { Plan } from '../plan/planSchema.ts';
import type { Act } from '../procedure/act.ts';
import type { VesselAfter } from '../procedure/jugLedger.ts';
import { sumOfLines } from '../procedure/lines.ts';
import { wordsOf } from '../procedure/words/wordsOf.ts';
import { snaked } from './snaked.ts';

/** One act of the procedure as the headless sheet prints it. */
export const actJson = (act: Act, plan: Plan, after: readonly VesselAfter[]): object => ({
  ...snaked(act, 'id', 'chapter'),
  does: act.deed.does,
  step: act.step ?? null,
  pot: act.pot ?? null,
  amount_g: sumOfLines(act.lines),
  // before minute 0 nothing is timed
  start_min: act.timed?.atMin ?? null,
  ...wordsOf(act, plan),
  lye_heavy: act.lyeHeavy?.map((h) => ({
    vessel: h.vessel.key,
    ...snaked(h, 'superfatPercent', 'until'),
  })),
  lines: act.lines.map((l) => ({
    ...snaked(l, 'name', 'massG'),
    times: l.times > 1 ? l.times : undefined,
    from: l.from.key,
    to: l.to.key,
    parts: l.parts?.map((p) => snaked(p, 'name', 'massG')),
  })),
  holds: after.map((v) => ({
    vessel: v.vessel.key,
    mass_g: v.holdsG,
    superfat_percent: v.superfatPercent ?? null,
    water_percent: v.waterPercent,
    fragrance_percent: v.scentPercent,
    scale_g: v.readsG,
  })),
});
