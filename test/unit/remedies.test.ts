import { expect } from 'chai';
import fc from 'fast-check';
import { evenAll, evenFrom } from '../../src/core/edit/even.ts';
import { addPot, holdBack, removePot, setTopAllowance } from '../../src/core/edit/pots.ts';
import {
  addPour,
  duplicatePour,
  pourAlso,
  removeStep,
  setAmount,
  setPourPot,
  shiftPour,
} from '../../src/core/edit/pours.ts';
import { chevrons, finishLevel, levelAll, setTilt, zigzag } from '../../src/core/edit/tilt.ts';
import { toggleLock } from '../../src/core/edit/line.ts';
import { scaleOilsTo100, switchWaterSchool } from '../../src/core/edit/batter.ts';
import { settled } from '../../src/core/edit/settled.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Amount } from '../../src/core/plan/stepSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { hasPatterns } from '../../src/core/pattern/blocks.ts';
import { basePlan, demoPlans } from '../support/plans.ts';

const amount: fc.Arbitrary<Amount> = fc.oneof(
  fc.record({
    kind: fc.constant('height' as const),
    heightMm: fc.double({ min: 0.5, max: 60, noNaN: true }),
  }),
  fc.record({ kind: fc.constant('mass' as const), massG: fc.double({ min: 1, max: 900, noNaN: true }) }),
  fc.record({ kind: fc.constant('percent' as const), percent: fc.double({ min: 1, max: 60, noNaN: true }) }),
  fc.record({ kind: fc.constant('rest' as const), parts: fc.double({ min: 0.1, max: 9, noNaN: true }) }),
  fc.record({
    kind: fc.constant('line' as const),
    wall: fc.constantFrom('left' as const, 'right' as const, 'near' as const, 'far' as const),
    heightMm: fc.double({ min: 1, max: 70, noNaN: true }),
  }),
);

type Edit = (plan: Plan) => Plan;

/** The nth of the plan's pours, whatever its number. */
const pourAt = (plan: Plan, n: number): string => {
  const pours = plan.steps.filter((s) => s.kind === 'pour');
  return pours[n % Math.max(1, pours.length)]?.id ?? '';
};
const potAt = (plan: Plan, n: number): string => plan.pots[n % plan.pots.length]!.id;
const layersOf = (plan: Plan) => computePlan(plan).stack.layers;

/** Every kind of change a maker can make, at random. */
const anyEdit: fc.Arbitrary<Edit> = fc.oneof(
  fc.nat(20).map(
    (n): Edit =>
      (p) =>
        addPour(p, potAt(p, n)).plan,
  ),
  fc.nat(20).map(
    (n): Edit =>
      (p) =>
        duplicatePour(p, pourAt(p, n)).plan,
  ),
  fc.nat(20).map(
    (n): Edit =>
      (p) =>
        removeStep(p, pourAt(p, n)),
  ),
  fc.tuple(fc.nat(20), amount).map(
    ([n, a]): Edit =>
      (p) =>
        setAmount(p, pourAt(p, n), a),
  ),
  fc.nat(20).map(
    (n): Edit =>
      (p) =>
        shiftPour(p, pourAt(p, n), n % 2 === 0 ? 1 : -1),
  ),
  fc.nat(20).map(
    (n): Edit =>
      (p) =>
        setPourPot(p, pourAt(p, n), potAt(p, n * 7)),
  ),
  fc.constant<Edit>((p) => addPot(p).plan),
  fc.nat(20).map(
    (n): Edit =>
      (p) =>
        removePot(p, potAt(p, n)),
  ),
  fc.tuple(fc.nat(20), fc.nat(200)).map(
    ([n, g]): Edit =>
      (p) =>
        holdBack(p, potAt(p, n), g),
  ),
  fc.nat(300).map(
    (g): Edit =>
      (p) =>
        setTopAllowance(p, g),
  ),
  fc.constant<Edit>(evenAll),
  fc.nat(20).map(
    (n): Edit =>
      (p) =>
        evenFrom(p, pourAt(p, n)),
  ),
  fc.tuple(fc.nat(20), fc.integer({ min: -45, max: 45 }), fc.integer({ min: -20, max: 20 })).map(
    ([n, rollDeg, pitchDeg]): Edit =>
      (p) =>
        setTilt(p, pourAt(p, n), { rollDeg, pitchDeg }),
  ),
  fc.integer({ min: 1, max: 30 }).map(
    (d): Edit =>
      (p) =>
        zigzag(p, layersOf(p), d % 2 === 0 ? 'edge' : 'end', d),
  ),
  fc.integer({ min: 1, max: 20 }).map(
    (d): Edit =>
      (p) =>
        chevrons(p, layersOf(p), 'edge', d),
  ),
  fc.constant<Edit>(finishLevel),
  fc.constant<Edit>((p) => levelAll(p, layersOf(p))),
  fc.nat(20).map((n): Edit => (p) => {
    const layer = layersOf(p)[n];
    return layer ? toggleLock(p, layer) : p;
  }),
  fc.nat(20).map((n): Edit => (p) => ({ ...p, mould: STARTER_MOULDS[n % STARTER_MOULDS.length]! })),
  fc.nat(3).map(
    (n): Edit =>
      (p) =>
        pourAlso(p, n),
  ),
  fc.constant<Edit>(scaleOilsTo100),
  fc.constantFrom('percent-of-oils' as const, 'water-to-lye' as const, 'lye-concentration' as const).map(
    (school): Edit =>
      (p) =>
        switchWaterSchool(p, school),
  ),
);

const [patterned, plain] = [true, false].map((moved) => demoPlans().filter((p) => hasPatterns(p) === moved));

/**
 * Plans whose pours push others aside are simulated for their sheet, which takes its time: each of them now
 * and then.
 */
const anyFirst = fc.oneof(
  { weight: 9, arbitrary: fc.constantFrom(basePlan(), ...plain!) },
  { weight: 1, arbitrary: fc.constantFrom(...patterned!) },
);

const anyPlan = fc.tuple(anyFirst, fc.array(anyEdit, { minLength: 1, maxLength: 12 })).map(([start, edits]) =>
  edits.reduce((plan, edit) => {
    const next = edit(plan);
    // as the product does: an edit that would make an invalid plan changes nothing
    return readPlanValue(next).ok ? next : plan;
  }, start),
);

/** Where in a value there is a number that is not one, or nothing at all, as paths. */
function notNumbers(value: unknown, at = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${at}: ${value}`];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, v]) => notNumbers(v, `${at}.${key}`));
}

describe('after any run of edits', () => {
  // in quarters: on a slow machine all of them take minutes
  for (const seed of [77, 177, 277, 377])
    it(`the plan computes, and its pour sheet is there exactly when nothing is refused: ${seed}`, () => {
      fc.assert(
        fc.property(anyPlan, (plan) => {
          const computed = computePlan(plan);
          for (const layer of computed.stack.layers) {
            expect(layer.volumeMl).to.be.at.least(0);
            expect(Number.isFinite(layer.offset)).to.equal(true);
          }
          expect(computed.stack.filledMl).to.be.at.most(computed.geometry.rimVolumeMl * (1 + 1e-9));
          // looked for before it is written: JSON prints what is not a number as null
          expect(notNumbers(sheetJson(computed, 40))).to.deep.equal([]);
          const refused = computed.warnings.some((w) => w.level === 'refuse');
          const tasks = procedureOf(computed);
          expect(tasks.length > 0).to.equal(!refused);
          for (const line of tasks.flatMap((t) => t.lines)) expect(line.massG).to.be.at.least(0);
        }),
        { seed, numRuns: 63 },
      );
    });

  it('every remedy of every warning gives a plan the product takes, or changes nothing', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        for (const warning of computePlan(plan).warnings)
          for (const remedy of warning.remedies ?? []) {
            const read = readPlanValue(settled(remedy.apply(plan)));
            expect(
              read.ok,
              `${warning.code}: ${remedy.label} ${read.ok ? '' : read.faults[0].message}`,
            ).to.equal(true);
          }
      }),
      { seed: 79, numRuns: 200 },
    );
  });

  it('the plan comes back from its file as it was', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const read = readPlanFile(writePlanFile(plan));
        expect(read.ok && read.plan).to.deep.equal(plan);
      }),
      { seed: 80, numRuns: 100 },
    );
  });
});
