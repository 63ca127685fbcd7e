import type { Plan } from '../plan/planSchema.ts';
import type { Act } from '../procedure/act.ts';
import type { VesselAfter } from '../procedure/jugLedger.ts';
import { sumOfLines } from '../procedure/lines.ts';
import { wordsOf } from '../procedure/words/wordsOf.ts';

/** One act of the procedure as the headless sheet prints it. */
export const actJson = (act: Act, plan: Plan, after: readonly VesselAfter[]): object => ({
  id: act.id,
  chapter: act.chapter,
  does: act.deed.does,
  step: act.step ?? null,
  pot: act.pot ?? null,
  amount_g: sumOfLines(act.lines),
  // before minute 0 nothing is timed
  start_min: act.timed?.atMin ?? null,
  ...wordsOf(act, plan),
  ...(act.lyeHeavy
    ? {
        lye_heavy: act.lyeHeavy.map((h) => ({
          vessel: h.vessel.key,
          superfat_percent: h.superfatPercent,
          until: h.until,
        })),
      }
    : {}),
  lines: act.lines.map((l) => ({
    name: l.name,
    mass_g: l.massG,
    ...(l.times > 1 ? { times: l.times } : {}),
    from: l.from.key,
    to: l.to.key,
    ...(l.parts ? { parts: l.parts.map((p) => ({ name: p.name, mass_g: p.massG })) } : {}),
  })),
  holds: after.map((v) => ({
    vessel: v.vessel.key,
    mass_g: v.holdsG,
    superfat_percent: v.superfatPercent ?? null,
    water_percent: v.waterPercent,
    fragrance_percent: v.scentPercent,
    ...(v.readsG === undefined ? {} : { scale_g: v.readsG }),
  })),
});
