import { expect } from 'chai';
import fc from 'fast-check';
import { AS_PLANNED } from '../../src/core/batch/happened.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { movingPlan, movingTimes } from '../../src/core/computed/moving.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { finish } from '../../src/core/task/task.ts';
import { anyPlan } from '../support/anyPlan.ts';
import { demoPlans } from '../support/plans.ts';

/** Each time another plan, so that nothing is remembered of it. */
const again = (plan: Plan): Plan => ({ ...plan, steps: plan.steps.map((s) => ({ ...s })) });

describe('a plan while something of it is dragged', () => {
  it('lies, is cut and is timed as it will be when it is let go of', () => {
    const same = (plan: Plan): void => {
      const moving = finish(movingPlan(again(plan), AS_PLANNED))!;
      const times = movingTimes(moving);
      const whole = computePlan(again(plan));
      expect(moving.moulds.length).to.equal(whole.moulds.length);
      for (const [i, mould] of moving.moulds.entries()) {
        const [there, here] = [whole.moulds[i]!, mould].map(({ stack, fill, cut }) => ({
          layers: stack.layers.map((l) => [l.pour.id, l.offset, l.volumeMl]),
          filledMl: stack.filledMl,
          fill,
          bars: cut.bars.length,
        }));
        expect(here).to.deep.equal(there);
      }
      expect(times.clock?.acts.map((a) => [a.startMin, a.endMin, a.troubles])).to.deep.equal(
        whole.clock?.acts.map((a) => [a.startMin, a.endMin, a.troubles]),
      );
    };
    demoPlans().forEach(same);
    fc.assert(fc.property(anyPlan, same), { seed: 26, numRuns: 40 });
  });

  it('masses of the demo studio’s layers are those of the scale, to two of its steps', () => {
    for (const plan of demoPlans()) {
      const moving = finish(movingPlan(again(plan), AS_PLANNED))!;
      const { stack } = computePlan(again(plan));
      for (const [i, layer] of moving.stack.layers.entries())
        expect(layer.pouredG, `${plan.name}, pour ${i + 1}`).to.be.closeTo(
          stack.layers[i]!.pouredG,
          2 * plan.units.scaleStepG * layer.parts.length,
        );
    }
  });

  it('is worked out whole where something was poured otherwise than planned', () => {
    const plan = demoPlans()[0]!;
    const pour = plan.steps.find((s) => s.kind === 'pour')!;
    const happened = new Map([[pour.id, { pouredG: 100 }]]);
    expect(finish(movingPlan(plan, happened))).to.equal(undefined);
  });
});
