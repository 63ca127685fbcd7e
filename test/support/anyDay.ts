import fc from 'fast-check';
import { withDose } from '../../src/core/edit/colorants.ts';
import { AS_PLANNED, type HappenedByPour } from '../../src/core/batch/happened.ts';
import { added, poured, type Said } from '../../src/core/batch/note.ts';
import { fromJar } from '../../src/core/edit/supplies.ts';
import type { RecipeOil } from '../../src/core/batter/schema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { anyPlan } from './anyPlan.ts';
import { starter } from './colours.ts';
import { really } from './written.ts';

/**
 * Oils that are little alike in what lye they can use, some of one name in two lots, some of a maker's own.
 */
const OILS: readonly (readonly RecipeOil[])[] = [
  [
    { oil: 'olive', percent: 60 },
    { oil: 'coconut', percent: 25 },
    { oil: 'palm', percent: 15 },
  ],
  [{ oil: 'coconut', percent: 100 }],
  [
    { oil: 'olive', percent: 72, svMgG: 186 },
    { oil: 'coconut', percent: 20 },
    { oil: 'olive', percent: 8, svMgG: 195 },
  ],
  [
    { oil: 'fat', percent: 55, custom: { name: 'Rendered fat', svLow: 130, svHigh: 140, densityGMl: 0.9 } },
    { oil: 'fat', percent: 45, custom: { name: 'Rendered fat', svLow: 240, svHigh: 250, densityGMl: 0.9 } },
  ],
  [
    { oil: 'lard', percent: 40 },
    { oil: 'castor', percent: 10 },
    { oil: 'sunflower', percent: 50, svMgG: 191 },
  ],
];

const more = fc.record({
  oils: fc.constantFrom(undefined, ...OILS),
  own: fc.constantFrom(...OILS),
  superfat: fc.constantFrom(0, 1, 2, 2, 3, 4, 5, 8),
  purity: fc.constantFrom(99, 97, 100),
  colours: fc.array(
    fc.record({
      id: fc.constantFrom('heather', 'peat', 'slate', 'rose-clay', 'white-oil', 'charcoal'),
      pot: fc.nat({ max: 7 }),
      doseGPerKg: fc.double({ min: 0.1, max: 16, noNaN: true }),
    }),
    { maxLength: 4 },
  ),
  /** every pot takes the first colour: then a lean batch is cured everywhere */
  alike: fc.boolean(),
  carrierMlPerG: fc.constantFrom(undefined, 4, 6, 8),
  jar: fc.constantFrom(undefined, undefined, undefined, 'unknown', 'sunflower', 'coconut'),
  /** what is entered at which layer of an ombre: how much of what was planned */
  entered: fc.array(
    fc.record({
      at: fc.nat({ max: 5 }),
      what: fc.constantFrom('added', 'poured'),
      times: fc.constantFrom(0, 0.5, 1.2, 2),
    }),
    { maxLength: 2 },
  ),
  spare: fc.constantFrom(0, 0, 0, 0.3, 2),
  small: fc.boolean(),
});

/** A plan, and what really happened of it. */
export interface LivedDay {
  readonly plan: Plan;
  readonly happened: HappenedByPour;
}

/**
 * A plan of any kind for a whole day: mats, spare batter, copies, portions, jars, lots, piping, rounds with
 * late doses, entries made late.
 */
export const anyDay: fc.Arbitrary<LivedDay> = fc.tuple(anyPlan, more).map(([plan, m]): LivedDay => {
  let day: Plan = {
    ...plan,
    batter: {
      ...plan.batter,
      superfatPercent: m.superfat,
      purityPercent: m.purity,
      ...(m.oils ? { oils: [...m.oils] } : {}),
    },
    pots: plan.pots.map((p) => (p.own?.oils ? { ...p, own: { ...p.own, oils: [...m.own] } } : p)),
  };
  for (const c of m.colours) {
    const { id, name, nature } = starter(c.id);
    if (!day.colorants.some((k) => k.id === id))
      day = { ...day, colorants: [...day.colorants, { id, name, nature }] };
    const pot = day.pots[c.pot % day.pots.length]!;
    day = {
      ...day,
      pots: day.pots.map((p) =>
        p === pot ? { ...p, colorants: withDose(p.colorants, id, c.doseGPerKg) } : p,
      ),
    };
  }
  const [colour] = m.colours;
  if (m.alike && colour)
    day = {
      ...day,
      pots: day.pots.map((p) => ({
        ...p,
        colorants: withDose(p.colorants, colour.id, colour.doseGPerKg),
      })),
    };
  const deep = (doseGPerKg: number) => [{ colorant: 'heather', doseGPerKg }];
  if (m.alike) day = { ...day, ombres: day.ombres.map((o) => ({ ...o, from: deep(6), to: deep(14) })) };
  const { carrierMlPerG } = m;
  if (carrierMlPerG !== undefined)
    day = {
      ...day,
      colorants: day.colorants.map((c) => (c.nature ? { ...c, nature: { ...c.nature, carrierMlPerG } } : c)),
    };
  const first = day.colorants[0];
  if (m.jar !== undefined && first)
    day = fromJar(day, first.id, {
      kind: 'jar',
      id: 'j1',
      name: 'Shelf jar',
      colorant: first.id,
      carrier: 'oil',
      carrierPerPowder: 6,
      leftG: 500,
      ...(m.jar === 'unknown' ? {} : { oil: m.jar }),
    });
  if (m.spare > 0 && day.ombres.length === 0 && day.others.length === 0 && day.fill.to.kind !== 'batter') {
    const massG = computePlan(day).batch?.batterG;
    if (massG !== undefined)
      day = {
        ...day,
        fill: {
          ...day.fill,
          to: { kind: 'batter', massG: Math.round(massG * (1 + m.spare)) },
          upTo: { kind: 'headspace', headspaceMm: 5 },
        },
      };
  }
  const layers = day.steps.flatMap((s) => (s.kind === 'pour' && s.ombre ? [s.id] : []));
  const says: Said[] = [];
  if (layers.length > 0 && m.entered.length > 0) {
    const { ombres = [] } = computePlan(day).batch ?? {};
    for (const e of m.entered) {
      const id = layers[e.at % layers.length]!;
      const layer = ombres.flatMap((o) => o.layers).find((l) => l.shade.pourId === id);
      if (!layer) continue;
      says.push(
        e.what === 'poured'
          ? poured(id, Math.round(layer.pouredG * (0.5 + e.times / 2)))
          : added(
              id,
              layer.mix.map(({ colorant, doseGPerKg }) => ({
                colorant,
                massG: Number(((doseGPerKg * layer.pouredG * e.times) / 1000).toFixed(2)),
              })),
            ),
      );
    }
  }
  if (m.small) day = { ...day, units: { ...day.units, scaleStepG: 1, fineStepG: 0.1 } };
  return { plan: day, happened: says.length > 0 ? really(day, ...says) : AS_PLANNED };
});
