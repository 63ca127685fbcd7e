import { isLyeHeavy, type LyeHeavy } from '../ask/superfat.ts';
import type { Plan } from '../plan/planSchema.ts';
import { formatMass, formatPercent } from '../units/format.ts';
import { listed } from '../units/words.ts';
import { potOfVessel, type Vessel } from '../day/vessel.ts';
import { vesselName } from '../day/vesselName.ts';
import { potNamed } from '../plan/sources.ts';
import type { Weights } from '../weigh/weights.ts';
import { SUBSTANCE } from '../weigh/substances.ts';
import type { Facts } from './facts.ts';
import { portionsFirst } from './portionsFirst.ts';
import type { Warning } from './warning.ts';
import { warn } from './/warning.ts';

/** A vessel as a warning calls it: a pot by its letter. */
function vesselWords(plan: Plan, vessel: Vessel): string {
  const pot = potNamed(plan, potOfVessel(vessel));
  return pot ? `pot ${pot.letter}` : vesselName(plan, vessel);
}

/**
 * What cures a lye-heavy vessel, or what is drawn of it: "the dispersed colours and shea butter are in pot
 * A".
 */
export function cureWords(plan: Plan, { substances }: Weights, { cures }: LyeHeavy): string {
  const kinds = cures.flatMap((c) => c.with.flatMap((id) => substances.get(id) ?? []));
  const late = new Set(kinds.flatMap((s) => (s.kind === 'late-oil' ? [s.name.toLowerCase()] : [])));
  const carried = kinds.some((s) => s.kind === 'carrier');
  const what = [...(carried ? ['the dispersed colours'] : []), ...late];
  const where = [...new Set(cures.map((c) => vesselWords(plan, c.vessel)))];
  const is = carried || late.size > 1 ? 'are' : 'is';
  return `${listed(what.length > 0 ? what : ['more oil'])} ${is} in ${listed(where)}`;
}

/** Vessels that have more lye than their oils can use, and until when: all of one cause together. */
export function lyeHeavyWarnings({ plan, weights }: Facts): Warning[] {
  if (!weights) return [];
  const { lyeHeavy, leaving } = weights.asked;
  const [worst] = lyeHeavy.toSorted((a, b) => a.superfatPercent - b.superfatPercent);
  // what leaves a jug like that is refused, and says so
  if (!worst || leaving.some((l) => isLyeHeavy(l.superfatPercent))) return [];
  const stays = lyeHeavy.filter((h) => h.cures.length === 0);
  const of = (list: readonly LyeHeavy[]): string =>
    listed([...new Set(list.map((h) => vesselWords(plan, h.vessel)))]);
  const cured = lyeHeavy.filter((h) => h.cures.length > 0);
  const told = (message: string): Warning =>
    warn(
      { station: 'batter' },
      'lye-heavy-until',
      message,
      plan.divide.kind === 'before-lye' ? [] : [portionsFirst],
    );
  return [
    ...cured
      .slice(0, 1)
      .map((h) =>
        told(
          `For a time there is more lye in ${of(cured)} than the oils there can use, down to superfat ${formatPercent(worst.superfatPercent, 2)}: until ${cureWords(plan, weights, h)}. Left out, it would be caustic soap.`,
        ),
      ),
    ...stays
      .slice(0, 1)
      .map(() =>
        told(
          `What stays in ${of(stays)} has more lye than its oils can use, and nothing more comes in: wash it up, it is no soap.`,
        ),
      ),
  ];
}

/** What would use up the lye of a jug that was made ready before something was left out of it. */
export function usedUpBy({ plan, weights, recipe, happened }: Facts, potId: string): string {
  const heavy = weights?.asked.lyeHeavy.find((h) => potOfVessel(h.vessel) === potId);
  const oil = recipe?.oils.find((o) => o.oil.liquid) ?? recipe?.oils[0];
  const need = oil && weights?.substances.get(SUBSTANCE.oil(oil.line))?.needsNaoh;
  if (!heavy || !oil || !need || happened.size === 0) return '';
  const massG = Math.ceil(heavy.beyondG / need / plan.units.scaleStepG) * plan.units.scaleStepG;
  return ` What was mixed stays as it was mixed: at least ${formatMass(massG, plan.units.mass, plan.units.scaleStepG)} of ${oil.oil.name.toLowerCase()}, stirred into all of it before it is poured, would use that up.`;
}
