import type { ColorantId, PotId } from '../validate/ids.ts';
import { CARRIER_DENSITY } from '../colorant/dispersion.ts';
import { addAddition } from './additions.ts';
import { knownSpeed } from '../supplies/behaviour.ts';
import type { CutterStock, FragranceStock, JarStock, JugStock } from '../supplies/schema.ts';
import type { Plan } from '../plan/planSchema.ts';

/** Usual for a fragrance that nothing else is known of, g per kg of oils. Common practice, no source. */
const USUAL_G_PER_KG = 30;

/** A fragrance out of the supplies: the plan's own copy, with its lot and what is known of it. */
export function takeFragrance(plan: Plan, stock: FragranceStock): Plan {
  const speed = knownSpeed(stock);
  return addAddition(plan, 'fragrances', {
    name: stock.name,
    densityGMl: stock.densityGMl,
    ...(stock.version === undefined ? {} : { version: stock.version }),
    ...(speed === undefined ? {} : { speed }),
    ...(stock.known ? { known: stock.known } : {}),
    ...(stock.limitPercent === undefined ? {} : { limitPercent: stock.limitPercent }),
    ...(stock.vanillinPercent === undefined ? {} : { vanillinPercent: stock.vanillinPercent }),
    doses: [{ id: 'd1', gPerKgOils: USUAL_G_PER_KG, moment: 'trace' }],
  });
}

/** Carrier of a colorant is read as ml; a jar is made up by weight. Kept to what a field takes. */
const mlPerG = ({ carrier, carrierPerPowder }: JarStock): number =>
  Math.min(50, Math.max(0.5, Number((carrierPerPowder / CARRIER_DENSITY[carrier]).toPrecision(6))));

/**
 * A colorant weighed out of a jar that stands ready, in that jar's carrier; undefined: dispersed on the day
 * again.
 */
export const fromJar = (plan: Plan, colorantId: ColorantId, jar: JarStock | undefined): Plan => ({
  ...plan,
  colorants: plan.colorants.map((c) => {
    if (c.id !== colorantId || !c.nature) return c;
    const { jar: _jar, jarOil: _oil, ...own } = c;
    return jar
      ? {
          ...own,
          jar: jar.name,
          ...(jar.carrier === 'oil' && jar.oil !== undefined ? { jarOil: jar.oil } : {}),
          nature: { ...c.nature, carrier: jar.carrier, carrierMlPerG: mlPerG(jar) },
        }
      : own;
  }),
});

/** What a pot is mixed in; undefined: a jug that nothing is known of. */
export const intoJug = (plan: Plan, potId: PotId, jug: JugStock | undefined): Plan => ({
  ...plan,
  pots: plan.pots.map((p) => {
    if (p.id !== potId) return p;
    const { jug: _jug, ...own } = p;
    return jug ? { ...own, jug: { name: jug.name, capacityMl: jug.capacityMl, tareG: jug.tareG } } : own;
  }),
});

/** Cut with a cutter, its kerf with it; undefined: by hand, at any thickness. */
export function withCutter(plan: Plan, cutter: CutterStock | undefined): Plan {
  const { cutter: _cutter, ...cut } = plan.cut;
  if (!cutter) return { ...plan, cut };
  const { name, pitchMm, longestMm, kerfMm } = cutter;
  return { ...plan, cut: { ...cut, kerfMm, cutter: { name, pitchMm, longestMm } } };
}
