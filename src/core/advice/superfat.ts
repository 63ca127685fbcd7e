import { isLyeHeavy } from '../ask/superfat.ts';
import { potOfVessel } from '../day/vessel.ts';
import type { PotWeight } from '../weigh/weights.ts';
import { SCALE_STEPS_G, type Plan } from '../plan/planSchema.ts';
import { formatMass, formatPercent } from '../units/format.ts';
import type { Facts } from './facts.ts';
import { lyeHeavyWarnings, usedUpBy } from './lyeHeavy.ts';
import { portionsFirst } from './portionsFirst.ts';
import type { Remedy, Warning } from './warning.ts';
import { refuse, warn, remedy } from './/warning.ts';

/** Below this part of what was planned a pot's superfat is warned of. */
const LOW_PART = 0.5;

/**
 * A pot that is fatter than planned by more than this is soft and slow: percent of its oils. A judgement, no
 * source.
 */
const MUCH_FATTER = 10;

/** A double's dust in a percentage. */
const DUST = 1e-6;

const setSuperfat = (superfatPercent: number): Remedy =>
  remedy(`Set superfat to ${formatPercent(superfatPercent)}`, (p) => ({
    ...p,
    batter: { ...p.batter, superfatPercent },
  }));

/** A step of the scale is no more than this part of a pot: about a fifteenth of its lye solution. */
const FINE_ENOUGH = 0.02;

/** The coarsest bench scale that is fine enough for a pot. */
function finerScale(plan: Plan, { batterG }: PotWeight): Remedy[] {
  const finer = SCALE_STEPS_G.find((s) => s < plan.units.scaleStepG && s <= batterG * FINE_ENOUGH);
  return finer === undefined
    ? []
    : [remedy(`Weigh on a ${finer} g scale`, (p) => ({ ...p, units: { ...p.units, scaleStepG: finer } }))];
}

/**
 * The superfat at which the pot that has least keeps what is planned now, and half of the new one, to a
 * tenth; undefined beyond 30 %. A pot's lye for its oils is `ratio` times the batch's, whatever the superfat.
 */
function enoughFor(planned: number, least: number): number | undefined {
  const ratio = (100 - least) / (100 - planned);
  const wanted = Math.max(100 - (100 - planned) / ratio, (100 * (ratio - 1)) / (ratio - LOW_PART));
  const tenth = Math.ceil(wanted * 10 - DUST) / 10;
  return tenth > planned && tenth <= 30 ? tenth : undefined;
}

function lowIn(facts: Facts, pot: PotWeight, least: number): Warning {
  const { plan } = facts;
  const planned = plan.batter.superfatPercent;
  const refused = least < -DUST;
  const ahead = plan.divide.kind === 'before-lye';
  const enough = enoughFor(planned, least);
  const why = ahead
    ? 'The rest comes with colorants that are stirred in later.'
    : 'The oil that colorants are dispersed in is taken out of the common oils and comes back only to the pots it goes into.';
  return (refused ? refuse : warn)(
    { station: 'batter', pot: pot.pot.id },
    refused ? 'pot-lye-heavy' : 'pot-superfat-low',
    `Pot ${pot.pot.letter} (${pot.pot.name}) is poured at superfat ${formatPercent(least, 2)} as weighed, where ${formatPercent(planned, 2)} is planned${refused ? ': more lye than its oils can use' : ', less than half'}. ${why}${refused ? usedUpBy(facts, pot.pot.id) : ''}`,
    facts.happened.size > 0
      ? []
      : [...(enough === undefined ? [] : [setSuperfat(enough)]), ...(ahead ? [] : [portionsFirst])],
  );
}

function coarseFor(plan: Plan, pot: PotWeight, superfat: number | undefined): Warning {
  const { scaleStepG, mass } = plan.units;
  const size = formatMass(pot.batterG, mass, scaleStepG);
  const about = `Pot ${pot.pot.letter} (${pot.pot.name}) holds only ${size}: on a ${scaleStepG} g scale `;
  return (superfat === undefined ? refuse : warn)(
    { station: 'batter', pot: pot.pot.id },
    superfat === undefined ? 'pot-without-lye' : 'pot-superfat-high',
    superfat === undefined
      ? `${about}its lye solution rounds down to nothing. Weigh finer, or make the pot larger.`
      : `${about}its lye solution, rounded down, leaves superfat ${formatPercent(superfat)} where ${formatPercent(plan.batter.superfatPercent)} is planned: soft soap. Weigh finer, or make the pot larger.`,
    finerScale(plan, pot),
  );
}

/** A pot that oil stirred in after the lye makes much fatter. */
const fattened = (plan: Plan, pot: PotWeight, superfat: number): Warning =>
  warn(
    { station: 'batter', pot: pot.pot.id },
    'pot-superfat-late-oil',
    `Pot ${pot.pot.letter} (${pot.pot.name}) comes to superfat ${formatPercent(superfat)} with the oil stirred in after the lye, where ${formatPercent(plan.batter.superfatPercent)} is planned: soft, slow to set, quick to go rancid.`,
  );

/** Batter that goes into no pot and no pour: a small mould is kept ready for it. */
function spareWarnings({ plan, weights }: Facts): Warning[] {
  return (weights?.asked.leaving ?? []).flatMap((l): Warning[] => {
    const { superfatPercent: least } = l;
    if (potOfVessel(l.from) !== undefined || least === undefined || !isLyeHeavy(least)) return [];
    const enough = enoughFor(plan.batter.superfatPercent, least);
    return [
      refuse(
        { station: 'batter' },
        'spare-lye-heavy',
        `${formatMass(l.massG, plan.units.mass, plan.units.scaleStepG)} of spare batter would leave the batch at superfat ${formatPercent(least, 2)} as weighed, where ${formatPercent(plan.batter.superfatPercent, 2)} is planned: more lye than its oils can use. The oil that colorants are dispersed in is taken out of the common oils and comes back only to the pots it goes into.`,
        enough === undefined ? [] : [setSuperfat(enough)],
      ),
    ];
  });
}

/** Superfat of every vessel as it is weighed, and of all that leaves one. */
export function superfatWarnings(facts: Facts): Warning[] {
  const { plan, weights } = facts;
  if (!weights) return [];
  const planned = plan.batter.superfatPercent;
  const ofPots = weights.pots.flatMap((pot): Warning[] => {
    if (pot.batterG <= 0) return [];
    const { superfatPercent, leastSuperfatPercent } = pot;
    if (superfatPercent === undefined || leastSuperfatPercent === undefined)
      return [coarseFor(plan, pot, undefined)];
    if (leastSuperfatPercent < planned * LOW_PART - DUST || leastSuperfatPercent < -DUST)
      return [lowIn(facts, pot, leastSuperfatPercent)];
    const { carrierG, lateOilsG, oilsG } = pot.jug;
    const carried = (carrierG + lateOilsG) / Math.max(1, oilsG + carrierG + lateOilsG);
    if (lateOilsG > 0 && superfatPercent > planned + MUCH_FATTER)
      return [fattened(plan, pot, superfatPercent)];
    return superfatPercent > planned + MUCH_FATTER + carried * 100
      ? [coarseFor(plan, pot, superfatPercent)]
      : [];
  });
  return [...ofPots, ...spareWarnings(facts), ...lyeHeavyWarnings(facts)];
}
