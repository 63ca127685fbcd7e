import { expect } from 'chai';
import { BEGINNINGS, beginPlan, type Chosen } from '../../src/core/edit/beginnings.ts';
import { POT_COLOURS } from '../../src/core/edit/pots.ts';
import { readPlanValue } from '../../src/core/exchange/planFile.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { starter } from '../support/colours.ts';

const chosen = (change: Partial<Chosen> = {}): Chosen => ({
  planId: 'new',
  now: '2026-01-02T03:04:05.000Z',
  units: undefined,
  mould: STARTER_MOULDS[0]!,
  layers: 5,
  colours: POT_COLOURS.slice(0, 3),
  colorant: starter('heather'),
  ...change,
});

describe('beginnings', () => {
  for (const { id, name } of BEGINNINGS)
    it(`“${name}” is a whole plan in every starter mould that can have it, and its sheet is ready`, () => {
      for (const mould of STARTER_MOULDS) {
        const plan = beginPlan(id, chosen({ mould }));
        if (!plan) {
          const wantsEnds = id === 'wire' || id === 'sculpted';
          expect(wantsEnds || id === 'upside-down' ? mould.shape.kind : id, mould.name).to.be.oneOf([
            'two-soaps',
            'tube',
            ...(id === 'upside-down' ? ['half-round'] : []),
          ]);
          continue;
        }
        expect(readPlanValue(plan).ok, mould.name).to.equal(true);
        const { warnings, weights } = computePlan(plan);
        expect(
          warnings
            .filter(
              (w) =>
                w.level === 'refuse' && w.code !== 'spills' && !(id === 'blank' && w.code === 'no-pours'),
            )
            .map((w) => w.code),
          mould.name,
        ).to.deep.equal([]);
        if (id !== 'blank' && !warnings.some((w) => w.code === 'spills'))
          expect(weights!.batterG, mould.name).to.be.above(100);
      }
    });

  it('take as many layers and colours as were asked for', () => {
    const plan = beginPlan('layers', chosen({ layers: 7 }))!;
    expect(plan.steps.filter((s) => s.kind === 'pour')).to.have.length(7);
    expect(plan.pots.map((p) => p.name)).to.deep.equal(POT_COLOURS.slice(0, 3).map((c) => c.name));
    expect(computePlan(beginPlan('ombre', chosen({ layers: 6 }))!).weights!.ombres[0]!.layers).to.have.length(
      6,
    );
    const slanted = computePlan(beginPlan('zigzag', chosen({ layers: 4 }))!).stack.layers.map((l) =>
      Math.sign(l.tilt.rollDeg),
    );
    expect(slanted).to.deep.equal([1, -1, 1, 0]);
    const two = computePlan(beginPlan('two-soaps', chosen())!);
    expect(two.geometry.rooms).to.have.length(2);
    const [left, right] = two.stack.layers;
    expect(left!.volumeMl).to.be.closeTo(right!.volumeMl, 1e-6 * left!.volumeMl);
  });
});
