import { expect } from 'chai';
import fc from 'fast-check';
import { begunFrom } from '../../src/core/edit/begunFrom.ts';
import { pourInto } from '../../src/core/edit/pourInto.ts';
import { setTilt } from '../../src/core/edit/tilt.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Amount } from '../../src/core/plan/stepSchema.ts';
import { changesBetween } from '../../src/core/computed/changes.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { boxPlan, demoPlans, rest } from '../support/plans.ts';

const big: Plan['mould'] = {
  ...boxPlan([]).mould,
  name: 'Twice as long',
  shape: { kind: 'box', lengthMm: 200, widthMm: 80, heightMm: 60 },
};

const shares = (plan: Plan): number[] => {
  const { stack } = layPlan(plan);
  return stack.layers.map((l) => l.volumeMl / stack.filledMl);
};

describe('the same design in another mould', () => {
  it('keeps every share, whatever the amounts were given by', () => {
    const amount = fc.oneof(
      fc.integer({ min: 1, max: 9 }).map(rest),
      fc.integer({ min: 4, max: 12 }).map((heightMm): Amount => ({ kind: 'height', heightMm })),
      fc.integer({ min: 20, max: 60 }).map((massG): Amount => ({ kind: 'mass', massG })),
      fc.integer({ min: 5, max: 15 }).map((percent): Amount => ({ kind: 'percent', percent })),
    );
    fc.assert(
      fc.property(
        fc.array(amount, { minLength: 1, maxLength: 4 }),
        fc.constantFrom(...STARTER_MOULDS),
        fc.integer({ min: -6, max: 6 }),
        (amounts, mould, rollDeg) => {
          const plan = setTilt(boxPlan([...amounts, rest()]), 's1', { rollDeg, pitchDeg: 0 });
          const there = pourInto(plan, mould);
          expect(readPlanValue(there).ok).to.equal(true);
          const before = layPlan(plan);
          const after = layPlan(there);
          if (before.stack.fault || after.stack.fault) return;
          shares(there).forEach((s, i) => expect(s).to.be.closeTo(shares(plan)[i]!, 2e-3));
          expect(after.stack.layers.map((l) => l.tilt)).to.deep.equal(before.stack.layers.map((l) => l.tilt));
        },
      ),
      { seed: 2, numRuns: 80 },
    );
  });

  it('twice the length takes twice the batter, oils, lye and water; the layers stay as thick (by hand)', () => {
    const plan = boxPlan([{ kind: 'height', heightMm: 20 }, { kind: 'mass', massG: 100 }, rest()], {
      units: { ...boxPlan([]).units, scaleStepG: 0.1 },
      fill: {
        to: { kind: 'headspace', headspaceMm: 4 },
        copies: 1,
        overagePercent: 3,
        top: [{ pot: 'p1', massG: 40 }],
      },
    });
    const there = pourInto(plan, big);
    const [a, b] = [computePlan(plan), computePlan(there)];
    for (const of of ['batterG', 'oilsG', 'waterG', 'lyeG'] as const)
      expect(b.batch![of] / a.batch![of]).to.be.closeTo(2, 0.005);
    expect(there.fill.top).to.deep.equal([{ pot: 'p1', massG: 80 }]);
    a.stack.layers.forEach((l, i) => expect(b.stack.layers[i]!.riseMm).to.be.closeTo(l.riseMm, 0.02));
    // and the list says so
    const changes = new Map(changesBetween(a, b).map((c) => [c.what, c]));
    expect(changes.get('Mould')).to.deep.include({ was: 'Test box', now: 'Twice as long' });
    expect(changes.get('Holds to the rim')!.now).to.match(/960 ml/);
    expect([...changes.keys()]).to.include.members([
      'Batter',
      'Oils',
      'Lye',
      'Water',
      'Bars',
      'Pour 1, pot A',
    ]);
    expect(changes.has('Filled to')).to.equal(false);
  });

  it('a batch of given size grows with the mould', () => {
    const plan = boxPlan([rest()], {
      fill: { to: { kind: 'oils', massG: 250 }, copies: 1, overagePercent: 0, top: [] },
    });
    expect(pourInto(plan, big).fill.to).to.deep.equal({ kind: 'oils', massG: 500 });
  });

  it('any plan begins another in any mould', () => {
    for (const demo of demoPlans())
      for (const mould of STARTER_MOULDS) {
        const next = begunFrom(demo, { id: 'next', name: 'Next', now: '2026-02-03T00:00:00.000Z' }, mould);
        const read = readPlanValue(next);
        expect(read.ok || [demo.name, mould.name, read.faults[0]]).to.equal(true);
        expect(next.notes).to.equal('');
      }
  });
});
