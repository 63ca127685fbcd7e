import { expect } from 'chai';
import fc from 'fast-check';
import { AS_PLANNED } from '../../src/core/batch/happened.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { jugLedger } from '../../src/core/procedure/jugLedger.ts';
import { anyDay, type LivedDay } from '../support/anyDay.ts';
import { demo, demoPlans } from '../support/plans.ts';

/** Sums over a few lines of doubles. */
const DUST_G = 1e-6;

describe('what is in every jug', () => {
  it('is, line by line, what it held before with what went in and less what went out', () => {
    const reads = ({ plan, happened }: LivedDay): void => {
      const held = new Map<string, number>();
      for (const { act, vessels } of jugLedger(computePlan(plan, happened)))
        for (const { vessel, moved, holdsG } of vessels) {
          expect(moved.length, act).to.be.above(0);
          const sum = moved.reduce((s, m) => s + m.massG, held.get(vessel.key) ?? 0);
          expect(holdsG, `${act}, ${vessel.key}`).to.be.closeTo(sum, DUST_G);
          held.set(vessel.key, holdsG);
        }
      expect([...held.values()].every((g) => g >= 0)).to.equal(true);
    };
    for (const plan of demoPlans()) reads({ plan, happened: AS_PLANNED });
    fc.assert(fc.property(anyDay, reads), { seed: 12, numRuns: 30 });
  });

  it('on the scale weighs its jug too, where that is known', () => {
    const plan = demo('Slate Beds');
    const [first, ...others] = plan.pots;
    const inJug: Plan = {
      ...plan,
      pots: [{ ...first!, jug: { name: 'Blue jug', tareG: 212, capacityMl: 3000 } }, ...others],
    };
    const states = jugLedger(computePlan(inJug)).flatMap((e) => e.vessels);
    for (const { vessel, holdsG, readsG } of states)
      if (vessel.kind === 'pot' && vessel.pot === first!.id)
        expect(readsG).to.be.closeTo(holdsG + 212, DUST_G);
      else expect(readsG, vessel.key).to.equal(undefined);
    expect(states.some((v) => v.readsG !== undefined)).to.equal(true);
  });
});
