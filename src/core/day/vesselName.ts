import { pourNames } from '../plan/deposits.ts';
import { mouldNames } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import { potNamed } from '../plan/sources.ts';
import type { Vessel } from './vessel.ts';

/** A vessel as a maker calls it, of the batch of this plan: "jug A, Chalk", "the lye jug". */
export function vesselName(plan: Plan, vessel: Vessel): string {
  const pot = (id: string): string => {
    const own = potNamed(plan, id);
    return own ? `${own.letter}, ${own.name}` : id;
  };
  const mould = (id: string): string =>
    plan.others.length === 0 && plan.fill.copies === 1
      ? 'the mould'
      : `${plan.others.length === 0 ? 'the moulds' : (mouldNames(plan).get(id) ?? 'a mould')}, all alike together`;
  switch (vessel.kind) {
    case 'supply':
      return 'the shelf';
    case 'oils':
      return plan.divide.kind === 'before-lye' ? 'the mixed oils' : 'the batch';
    case 'lye':
      return 'the lye jug';
    case 'carrier-oil':
      return 'oil set aside';
    case 'spare':
      return 'the spare mould';
    case 'spare-mould':
      return 'the spare mould for scrapings';
    case 'jar':
      return `${plan.colorants.find((c) => c.id === vessel.colorant)?.name ?? vessel.colorant}, dispersed`;
    case 'stock': {
      const ombre = plan.ombres.find((o) => o.id === vessel.ombre);
      return `stock of the ${vessel.which} colour${plan.ombres.length > 1 && ombre ? ` of ${ombre.name}` : ''}`;
    }
    case 'pot':
      return `jug ${pot(vessel.pot)}`;
    case 'plain':
      return `plain batter kept for ${pot(vessel.pot)}`;
    case 'cup':
      return `cup for ${pourNames(plan).get(vessel.pour) ?? 'one pour'}, of ${pot(vessel.pot)}`;
    case 'layer':
      return `${pourNames(plan).get(vessel.pour) ?? 'a layer'} in ${mould(vessel.mould)}, not scraped yet`;
    case 'mould':
      return mould(vessel.mould);
  }
}
