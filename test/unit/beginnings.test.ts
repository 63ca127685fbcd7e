import { expect } from 'chai';
import { courseOf } from '../../src/core/clock/courseOf.ts';
import { inPortions } from '../../src/core/edit/clock.ts';
import { jugEach } from '../../src/core/edit/jugEach.ts';
import { madeToHold } from '../../src/core/clock/madeToHold.ts';
import { BEGINNINGS, beginPlan, type Chosen } from '../../src/core/edit/beginnings.ts';
import { POT_COLOURS } from '../../src/core/edit/pots.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { begunWith } from '../../src/core/mould/begunWith.ts';
import type { Mould } from '../../src/core/mould/schema.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { finish } from '../../src/core/task/task.ts';
import { Normals } from '../../src/core/timing/normals.ts';
import { sampling } from '../../src/core/timing/odds.ts';
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

describe('the mould that a new plan begins in', () => {
  const [box] = STARTER_MOULDS;
  const parted: Mould = { ...box!, divider: { runs: 'lengthwise', atMm: [40], thicknessMm: 2 } };
  const filled: Mould = {
    ...parted,
    columns: [{ id: 'c1', form: 'round', acrossMm: 12, xMm: 10, yMm: 0 }],
  };

  it('is the last one without what stood in it, or as it is kept', () => {
    expect(begunWith(filled, [])).to.deep.equal(box);
    // one that is kept with its walls has them again
    expect(begunWith(filled, [parted])).to.deep.equal(parted);
    // another of its name is not it
    const longer: Mould = { ...parted, linerMm: parted.linerMm + 1 };
    expect(begunWith(filled, [longer])).to.deep.equal(box);
  });

  it('does not offer a way that what stands in it is in the way of', () => {
    const offered = (mould: Mould): readonly string[] =>
      BEGINNINGS.filter((b) => beginPlan(b.id, chosen({ mould }))).map((b) => b.id);
    expect(offered(parted)).to.include('wire').and.not.include('column');
    const { divider: _divider, ...columned } = filled;
    expect(offered(columned)).to.include('column').and.not.include.members(['wire', 'sculpted']);
    for (const id of offered(columned)) {
      const plan = beginPlan(id as (typeof BEGINNINGS)[number]['id'], chosen({ mould: columned }))!;
      const refused = computePlan(plan).warnings.filter((w) => w.level === 'refuse' && w.code !== 'no-pours');
      expect(
        refused.map((w) => w.code),
        id,
      ).to.deep.equal([]);
    }
  });
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

describe('a plan that is begun', () => {
  const holds = (plan: Plan): number => {
    const of = courseOf(plan, layPlan(plan));
    return of ? finish(sampling(of.course, new Normals(7, 600), 'feel')).whole : 1;
  };
  it('is timed so that it holds, with what was done for that in its notes; one that held anyway is as it was', () => {
    for (const layers of [3, 5])
      for (const { id } of BEGINNINGS) {
        const plan = beginPlan(id, chosen({ layers }))!;
        const made = madeToHold(plan);
        expect(holds(made), `${id}, ${layers} layers`).to.be.above(0.7);
        const read = readPlanValue(made);
        expect(read.ok, read.ok ? '' : `${id}: ${read.faults[0].message}`).to.equal(true);
        if (made === plan) continue;
        expect(holds(plan), id).to.be.below(0.85);
        expect(made.notes).to.match(/^So that it holds in time, /);
        // nothing of it is poured otherwise but for when, how and out of which jug
        const amounts = (p: Plan): unknown =>
          p.steps.map((s) => (s.kind === 'pour' ? [s.id, s.amount, s.pattern] : s));
        expect(amounts(made)).to.deep.equal(amounts(plan));
        expect(computePlan(made).weights, id).to.not.equal(undefined);
      }
  });
  it('has a jug for each layer where layers are portions, in the colours that were chosen', () => {
    const plan = beginPlan('zigzag', chosen({ layers: 5 }))!;
    const made = inPortions(jugEach(plan));
    expect(made.divide).to.deep.equal({ kind: 'before-lye', lye: 'jug-by-jug' });
    const colours = (p: Plan): unknown =>
      p.steps.flatMap((s) => (s.kind === 'pour' ? [p.pots.find((o) => o.id === s.pot)?.colour] : []));
    expect(colours(made)).to.deep.equal(colours(plan));
    expect(new Set(made.steps.flatMap((s) => (s.kind === 'pour' ? [s.pot] : []))).size).to.equal(5);
  });
});
