import { expect } from 'chai';
import { adoptLye } from '../../src/core/edit/batter.ts';
import { ruleOfThumbOilsG } from '../../src/core/mould/geometry.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { G_PER_OUNCE } from '../../src/core/units/factors.ts';
import { basePlan, boxPlan, rest } from '../support/plans.ts';

/** Trade facts: common practice, no source. */
describe('whole batches against common practice', () => {
  const slow = {
    ...basePlan().batter,
    oils: [
      { oil: 'coconut', percent: 20 },
      { oil: 'lard', percent: 40 },
      { oil: 'olive', percent: 40 },
    ],
    water: { school: 'percent-of-oils' as const, value: 38 },
  };

  it('makes a 27-bar batch of 105 oz of oils that lands in the rule of thumb’s band', () => {
    const oilsG = 105 * G_PER_OUNCE;
    const slab = {
      name: '27-bar slab',
      material: 'wood' as const,
      shape: { kind: 'box' as const, lengthMm: 571.5, widthMm: 228.6, heightMm: 60 },
      wallMm: 10,
      bowMm: 0,
      linerMm: 0,
    };
    const plan = boxPlan([rest()], {
      batter: slow,
      mould: slab,
      fill: { to: { kind: 'oils', massG: oilsG }, copies: 1, overagePercent: 0, top: [] },
    });
    const { weights, fill, recipe } = computePlan(plan);
    expect(weights!.oilsG).to.be.closeTo(oilsG, 2);
    // total batter 1.4 to 1.5 x oils "with ordinary water amounts"; full water is at the wet end
    expect(recipe!.batterPerOil).to.be.within(1.4, 1.55);
    expect(ruleOfThumbOilsG(fill.volumeMl) / oilsG).to.be.within(0.93, 1.07);
    expect(plan.pots.length).to.equal(2);
  });

  it('puts batter close to 1 g/ml, as makers take it', () => {
    expect(computePlan(boxPlan([rest()], { batter: slow })).densityGMl).to.be.within(0.98, 1.06);
  });

  it('refuses a written recipe with more lye than its oils can use, with the numbers', () => {
    const plan = boxPlan([rest()], { batter: slow });
    const adopted = adoptLye(plan, 180, 1000);
    expect(adopted.ok).to.equal(false);
    if (!adopted.ok) {
      expect(adopted.fault.code).to.equal('superfat-negative');
      expect(adopted.fault.message).to.match(/180\.0 g is \d+\.\d g more lye/);
      expect(adopted.fault.message).to.match(/superfat −\d/);
    }
  });

  it('takes a written recipe that leaves oil over, and finds the superfat it has', () => {
    const plan = boxPlan([rest()], { batter: slow });
    const need = computePlan(plan).recipe!.fullNeed;
    const adopted = adoptLye(plan, (need * 1000 * 0.94) / 0.99, 1000);
    expect(adopted.ok && adopted.value.batter.superfatPercent).to.be.closeTo(6, 0.01);
  });
});
