import { MOMENTS, type Moment } from '../../src/core/batter/moments.ts';
import { potsByPour } from '../../src/core/plan/sources.ts';
import fc from 'fast-check';
import { type Dose } from '../../src/core/batter/schema.ts';
import { addMould, ownDesign, setCopies, sizeBatch, takesRest } from '../../src/core/edit/moulds.ts';
import { onMat } from '../../src/core/edit/mat.ts';
import { addPot } from '../../src/core/edit/pots.ts';
import { addTop, setTop } from '../../src/core/edit/tops.ts';
import type { Column } from '../../src/core/mould/schema.ts';
import type { TopWay } from '../../src/core/plan/topSchema.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { SCALE_STEPS_G, type Plan } from '../../src/core/plan/planSchema.ts';
import { FIRST } from '../../src/core/plan/moulds.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { additive, fragrance } from './additions.ts';
import { ombrePlan } from './colours.ts';
import { basePlan, boxPlan, rest } from './plans.ts';

const dose = fc.record({
  gPerKgOils: fc.double({ min: 0, max: 40, noNaN: true }),
  moment: fc.constantFrom(...MOMENTS),
  pots: fc.constantFrom(undefined, ['p1'], ['p2'], ['p1', 'p2']),
  from: fc.constantFrom(undefined, 's1', 's2', 's3', 's4'),
});
const COLUMNS: Column[] = [
  { id: 'c1', form: 'round', acrossMm: 20, xMm: 0, yMm: 0 },
  {
    id: 'c2',
    form: 'own',
    xMm: 4,
    yMm: 28,
    points: [
      { xMm: 12, yMm: 0 },
      { xMm: 3, yMm: 3 },
      { xMm: 0, yMm: 12 },
      { xMm: -12, yMm: 0 },
      { xMm: 0, yMm: -12 },
    ],
  },
];

/** A plan whose third pour takes from both pots in rounds. */
function inRounds(plan: Plan, at: 'wall' | 'column'): Plan {
  const place = at === 'wall' ? ({ at, wall: 'left' } as const) : ({ at } as const);
  const steps = plan.steps.map((s) =>
    s.id === 's3' && s.kind === 'pour'
      ? { ...s, pattern: { place, then: ['p2', 'p1'], rounds: [2, 1, 0.3] } }
      : s,
  );
  return at === 'wall'
    ? { ...plan, steps }
    : {
        ...plan,
        mould: { ...plan.mould, columns: COLUMNS },
        steps: [...steps, { id: 'u1', kind: 'pull' }],
      };
}

/** A plan whose first pour is scraped. */
const scraped = (plan: Plan, to: 'spare' | 'pot' | 'next'): Plan => ({
  ...plan,
  steps: plan.steps.flatMap((s): Plan['steps'] =>
    s.id === 's1'
      ? [
          s,
          {
            id: 'r1',
            kind: 'scrape',
            pulled: 'lengthwise',
            edge: { kind: 'repeated', shape: 'waves', pitchMm: 20, shiftMm: 0 },
            reliefMm: 8,
            depthMm: 9,
            to,
          },
        ]
      : [s],
  ),
});

/** A plan with batter heaped on top, or piped. */
function withTop(plan: Plan, top: 'none' | 'first' | 'last' | 'unpoured' | 'piping' | 'mat'): Plan {
  if (top === 'none') return plan;
  if (top === 'mat') return onMat(plan);
  if (top === 'piping') return addTop(plan, 'piping').plan;
  const ready = top === 'unpoured' ? addPot(plan) : { plan, potId: undefined };
  const { plan: next, stepId } = addTop(ready.plan, 'mound');
  const { pots } = next;
  const pot = ready.potId ?? (top === 'first' ? pots[0] : pots.at(-1))!.id;
  const way = next.steps.find((s) => s.kind === 'top')!.way as Extract<TopWay, { top: 'mound' }>;
  return setTop(next, stepId, { ...way, pot });
}

/** Whatever can be stirred into whichever pots at whatever moment, in every school and way of dividing. */
const anyBatch = fc
  .record({
    doses: fc.array(fc.tuple(fc.constantFrom('additives', 'lateOils', 'fragrances'), dose), {
      minLength: 1,
      maxLength: 6,
    }),
    ahead: fc.constantFrom('after-emulsion', 'together', 'jug-by-jug'),
    school: fc.constantFrom('none', 'one-pot', 'master-blends', 'separate-pots'),
    step: fc.constantFrom(...SCALE_STEPS_G.filter((s) => s <= 1)),
    held: fc.integer({ min: 0, max: 60 }),
    overage: fc.double({ min: 0, max: 8, noNaN: true }),
    milk: fc.constantFrom('none', 'frozen', 'water', 'cooled-lye', 'oils', 'emulsion'),
    own: fc.constantFrom('none', 'oils', 'water', 'both'),
    /** the third pour from both pots in rounds, down a wall or over a column that is pulled */
    rounds: fc.constantFrom('none', 'none', 'wall', 'column'),
    /** the first pour scraped, and where its scrapings go */
    scraped: fc.constantFrom('none', 'none', 'spare', 'pot', 'next'),
    /**
     * heaped out of the first or the last pot, or out of one that nothing is poured of; or piped of a second
     * batch
     */
    top: fc.constantFrom(
      ...Array.from({ length: 8 }, () => 'none' as const),
      'first',
      'last',
      'unpoured',
      'piping',
      'mat',
    ),
  })
  .map((a): Plan => {
    const change: Partial<Plan> = {
      units: { ...basePlan().units, scaleStepG: a.step, fineStepG: 0.01 },
      divide:
        a.ahead === 'after-emulsion' ? { kind: a.ahead } : { kind: 'before-lye', lye: a.ahead as 'together' },
    };
    const layered = boxPlan([rest(), rest(), rest(2), rest()], change);
    const plan =
      a.school !== 'none'
        ? ombrePlan(4, a.school, change)
        : a.rounds === 'none'
          ? a.scraped === 'none'
            ? layered
            : scraped(layered, a.scraped)
          : inRounds(layered, a.rounds);
    const topped = withTop(plan, a.top);
    const potOf = potsByPour(plan);
    const LATE: readonly Moment[] = ['emulsion', 'trace', 'colour', 'pour'];
    const dosesOf = (list: string, i: number): Dose[] => {
      const given = a.doses[i]![1];
      const pots = given.pots?.filter((p) => plan.pots.some((q) => q.id === p));
      const named = pots && pots.length > 0 ? pots : undefined;
      const early =
        a.ahead === 'after-emulsion'
          ? ['water', 'hot-lye', 'cooled-lye', 'oils']
          : ['water', 'hot-lye', 'cooled-lye'];
      const fits =
        (list !== 'lateOils' || LATE.includes(given.moment)) && !(named && early.includes(given.moment));
      const moment = fits ? given.moment : 'colour';
      const from =
        moment === 'pour' && named?.length === 1 && given.from && potOf.get(given.from) === named[0]
          ? given.from
          : undefined;
      return [
        {
          id: 'd1',
          gPerKgOils: given.gPerKgOils,
          moment,
          ...(named ? { pots: named } : {}),
          ...(from ? { fromPour: from } : {}),
        },
      ];
    };
    const of = (list: string) =>
      a.doses.flatMap(([l], i) => (l === list ? [{ i, doses: dosesOf(list, i) }] : []));
    const owned = a.ahead !== 'after-emulsion' && a.school !== 'master-blends' && a.own !== 'none';
    return {
      ...topped,
      pots: topped.pots.map((p, i) =>
        i === 0 && owned
          ? {
              ...p,
              own: {
                ...(a.own === 'water'
                  ? {}
                  : {
                      oils: [
                        { oil: 'coconut', percent: 60 },
                        { oil: 'olive', percent: 40 },
                      ],
                    }),
                ...(a.own === 'oils' ? {} : { water: { school: 'water-to-lye' as const, value: 2.8 } }),
              },
            }
          : p,
      ),
      fill: { ...plan.fill, overagePercent: a.overage, top: [{ pot: plan.pots[0]!.id, massG: a.held }] },
      batter: {
        ...plan.batter,
        partLiquids:
          a.milk === 'none'
            ? []
            : [{ id: 'm', name: 'Milk', percentOfWater: 25, waterPercent: 88, moment: a.milk }],
        additives: of('additives').map(({ i, doses }) => ({ ...additive(`a${i}`, 'oils'), doses })),
        lateOils: of('lateOils').map(({ i, doses }) => ({ id: `l${i}`, oil: 'shea', doses })),
        fragrances: of('fragrances').map(({ i, doses }) => ({
          ...fragrance(3, { id: `f${i}`, name: `Scent ${i}`, limitPercent: 40 }),
          doses,
        })),
      },
    };
  });

const other = fc.record({
  mould: fc.constantFrom(...STARTER_MOULDS),
  copies: fc.integer({ min: 1, max: 6 }),
  own: fc.boolean(),
});

/**
 * A batch poured into up to three kinds of mould, some as the first and some by steps of their own, of given
 * size or not.
 */
const intoMoulds = fc.record({
  others: fc.array(other, { maxLength: 2 }),
  /** of given size, as part of what the moulds want; more than that where none takes what is left */
  given: fc.option(fc.double({ min: 0.92, max: 1, noNaN: true })),
  rest: fc.constantFrom('first', 'last', 'none'),
});

export const anyPlan: fc.Arbitrary<Plan> = fc
  .tuple(anyBatch, intoMoulds)
  .map(([batch, { others, given, rest: takes }]): Plan => {
    let plan = batch;
    let last = FIRST;
    for (const o of others) {
      const added = addMould(plan, o.mould);
      last = added.mouldId;
      plan = setCopies(added.plan, last, o.copies);
      if (o.own && batch.ombres.length === 0) plan = ownDesign(plan, last);
    }
    const wantedG = computePlan(plan).batch?.batterG;
    if (given === null || wantedG === undefined) return plan;
    const upTo = { kind: 'headspace', headspaceMm: 0 } as const;
    const massG = Math.round(wantedG * (takes === 'none' ? 2 - given : given));
    plan = sizeBatch(plan, { kind: 'batter', massG }, upTo);
    if (plan.others.length === 0 || takes === 'none') return plan;
    return takesRest(plan, takes === 'first' ? FIRST : last, upTo);
  });
