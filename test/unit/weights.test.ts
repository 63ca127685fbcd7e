import { expect } from 'chai';
import fc from 'fast-check';
import { computePlan } from '../../src/core/computed/compute.ts';
import { downToStep, roundParts } from '../../src/core/units/scaleStep.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { SCALE_STEPS_G } from '../../src/core/plan/planSchema.ts';
import { additive } from '../support/additions.ts';
import { basePlan, boxPlan, demoPlans, rest } from '../support/plans.ts';

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

const anyPlan = fc
  .record({
    parts: fc.array(fc.double({ min: 0.3, max: 3, noNaN: true }), { minLength: 1, maxLength: 8 }),
    overage: fc.double({ min: 0, max: 10, noNaN: true }),
    held: fc.double({ min: 0, max: 150, noNaN: true }),
    step: fc.constantFrom(...SCALE_STEPS_G.filter((s) => s <= 1)),
    superfat: fc.double({ min: 1, max: 12, noNaN: true }),
    water: fc.double({ min: 24, max: 38, noNaN: true }),
    ahead: fc.boolean(),
  })
  .map((a): Plan =>
    boxPlan(a.parts.map(rest), {
      mould: {
        name: 'Loaf',
        material: 'wood',
        shape: { kind: 'box', lengthMm: 250, widthMm: 85, heightMm: 80 },
        wallMm: 10,
        bowMm: 0,
        linerMm: 0.4,
      },
      units: { length: 'mm', mass: 'g', temperature: 'C', scaleStepG: a.step, fineStepG: 0.1 },
      fill: {
        to: { kind: 'headspace', headspaceMm: 5 },
        copies: 1,
        overagePercent: a.overage,
        top: [{ pot: 'p1', massG: a.held }],
      },
      divide: a.ahead ? { kind: 'before-lye', lye: 'together' } : { kind: 'after-emulsion' },
      batter: {
        ...basePlan().batter,
        superfatPercent: a.superfat,
        water: { school: 'lye-concentration', value: a.water },
        additives: [additive('lactate', 'cooled-lye'), additive('clay', 'oils'), additive('oat', 'trace')],
      },
    }),
  );

describe('weights at the scale’s step', () => {
  it('rounds parts so that they add up to the rounded whole, none by a step or more', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 1, maxLength: 20 }),
        fc.constantFrom(1, 0.1, 0.5, 5),
        (parts, step) => {
          const rounded = roundParts(parts, step);
          expect(Math.abs(sum(rounded) - sum(parts))).to.be.at.most(step / 2 + 1e-6);
          for (const [i, r] of rounded.entries()) expect(Math.abs(r - parts[i]!)).to.be.below(step + 1e-9);
        },
      ),
      { seed: 1, numRuns: 1000 },
    );
  });

  it('rounds lye down, never up', () => {
    expect(downToStep(131.99, 1)).to.equal(131);
    expect(downToStep(132, 1)).to.equal(132);
    expect(downToStep(0.3, 0.1)).to.equal(0.3);
  });

  it('has pots, portions and ingredients that agree with the whole', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { weights } = computePlan(plan);
        expect(weights).to.not.equal(undefined);
        const w = weights!;
        const step = plan.units.scaleStepG;
        const dust = 1e-6;
        // pots add up to the batch; pours, top and overage add up to each pot
        expect(sum(w.pots.map((p) => p.batterG))).to.be.closeTo(w.batterG, dust);
        for (const p of w.pots)
          expect(sum(p.pours.map((q) => q.massG)) + p.heldBackG + p.overageG).to.be.closeTo(p.batterG, dust);
        // every ingredient is weighed once: the ingredients are the batch, and never short of it
        const ingredients = w.oilsG + w.lyeG + w.waterG + sum(w.additives.map((a) => a.massG)) + w.fragranceG;
        const jugs = plan.divide.kind === 'before-lye' ? w.pots.length + 1 : 1;
        expect(ingredients - w.batterG).to.be.within(-dust, jugs * step + dust);
        expect(sum(w.oils.map((o) => o.massG))).to.be.closeTo(w.oilsG, dust);
        // portions add up to what was weighed; the solution, which carries fine weights, to half a step
        if (plan.divide.kind === 'before-lye') {
          expect(sum(w.pots.map((p) => p.portion.oilsG))).to.be.closeTo(w.oilsG, dust);
          expect(w.solutionG - sum(w.pots.map((p) => p.portion.solutionG))).to.be.within(-dust, step + dust);
        }
        // the weighed lye never spends the superfat that was asked for: not of the batch, not of a pot
        expect(w.superfatPercent).to.be.at.least(plan.batter.superfatPercent - dust);
        for (const p of w.pots)
          if (p.batterG > 0)
            expect(p.leastSuperfatPercent!).to.be.at.least(plan.batter.superfatPercent - dust);
      }),
      { seed: 12, numRuns: 300 },
    );
  });

  it('pours what fills the mould: volume x density, each pour to the nearest step and equal ones alike', () => {
    const computed = computePlan(boxPlan([rest(), rest(), rest()]));
    const pours = computed.weights!.pots.flatMap((p) => p.pours.map((q) => q.massG));
    expect(sum(pours)).to.be.closeTo(0.1 * 0.08 * 0.06 * 1e6 * computed.densityGMl, 3 * 0.5);
    expect(new Set(pours).size).to.equal(1);
  });

  it('adds overage to every pot and the held-back batter to its own', () => {
    const plan = boxPlan([rest(), rest()], {
      fill: {
        to: { kind: 'headspace', headspaceMm: 0 },
        copies: 1,
        overagePercent: 10,
        top: [{ pot: 'p2', massG: 50 }],
      },
    });
    const [a, b] = computePlan(plan).weights!.pots;
    expect(b!.heldBackG).to.equal(50);
    expect(a!.heldBackG).to.equal(0);
    expect(a!.batterG).to.be.closeTo((a!.batterG - a!.overageG) * 1.1, 1.1);
    expect(b!.overageG).to.be.closeTo((b!.batterG - b!.overageG) * 0.1, 1.1);
  });

  it('fills as high as a given batch reaches', () => {
    const plan = boxPlan([rest()], {
      fill: { to: { kind: 'batter', massG: 300 }, copies: 1, overagePercent: 0, top: [] },
    });
    const computed = computePlan(plan);
    expect(computed.weights!.batterG).to.equal(300);
    expect(computed.fill.heightMm).to.be.closeTo(300 / computed.densityGMl / 8, 1e-6);
  });

  it('doses colorant by the kilogram of batter', () => {
    const plan = boxPlan([rest()], {
      pots: [
        {
          id: 'p1',
          letter: 'A',
          name: 'Slate',
          colour: '#5f6c78',
          stage: 1,
          colorants: [{ colorant: 'c', doseGPerKg: 6 }],
        },
      ],
      colorants: [{ id: 'c', name: 'Mica' }],
    });
    const [pot] = computePlan(plan).weights!.pots;
    expect(pot!.colorants[0]!.massG).to.be.closeTo((pot!.batterG * 6) / 1000, 0.051);
  });

  it('weighs every demo plan, with no warning that refuses', () => {
    for (const plan of demoPlans()) expect(computePlan(plan).weights, plan.name).to.not.equal(undefined);
  });

  it('a finer step moves no weight by more than the coarse step', () => {
    const at = (scaleStepG: 1 | 0.1) =>
      computePlan(boxPlan([rest(), rest()], { units: { ...basePlan().units, scaleStepG } })).weights!;
    expect(Math.abs(at(1).waterG - at(0.1).waterG)).to.be.at.most(2);
    expect(at(1).lyeG).to.be.at.most(at(0.1).lyeG);
  });
});
