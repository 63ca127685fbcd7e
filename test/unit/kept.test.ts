import type { HappenedByPour } from '../../src/core/batch/happened.ts';
import { poured } from '../../src/core/batch/note.ts';
import { really } from '../support/written.ts';
import { remembered, rememberedBy, rememberedLast } from '../../src/core/task/remembered.ts';
import { expect } from 'chai';
import fc from 'fast-check';
import { computePlan } from '../../src/core/computed/compute.ts';
import { removeStep, setLanding } from '../../src/core/edit/pours.ts';
import { keepAt, setClock } from '../../src/core/edit/clock.ts';
import { addTop } from '../../src/core/edit/tops.ts';
import { setTemperatures } from '../../src/core/edit/batter.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { Pour } from '../../src/core/plan/stepSchema.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { anyDay } from '../support/anyDay.ts';
import { potMixed } from '../support/colours.ts';
import { boxPlan, demo, demoPlans, rest } from '../support/plans.ts';
import { told } from '../support/told.ts';

describe('laying is kept by its inputs', () => {
  const stackOf = (plan: Plan) => layPlan(plan).stack;
  const renamed = (plan: Plan): Plan => ({
    ...plan,
    pots: plan.pots.map((p, i) => (i === 0 ? { ...p, name: 'Another name', colour: '#123456' } : p)),
  });

  it('a name, a painted colour, the thickness of bars and the clock lay nothing anew', () => {
    const plan = demo('Peat Furrows');
    const before = stackOf(plan);
    expect(stackOf(renamed(plan))).to.equal(before);
    expect(stackOf({ ...plan, cut: { ...plan.cut, thicknessMm: plan.cut.thicknessMm + 1 } })).to.equal(
      before,
    );
    expect(stackOf(setClock(plan, { warm: true }))).to.equal(before);
    expect(layPlan(renamed(plan)).plan.pots[0]!.name).to.equal('Another name');
    expect(layPlan(renamed(plan)).moulds[0].plan.pots[0]!.name).to.equal('Another name');
  });

  it('weights are kept while only the bars or the clock change, and are new with a name that stands on a sheet', () => {
    const plan = demo('Copper Weir');
    const { weights, clock } = computePlan(plan);
    const thicker = computePlan({ ...plan, cut: { ...plan.cut, thicknessMm: plan.cut.thicknessMm + 1 } });
    expect(thicker.weights).to.equal(weights);
    expect(thicker.clock).to.equal(clock);
    const later = computePlan(setClock(plan, { start: 1.37 }));
    expect(later.weights).to.equal(weights);
    expect(later.clock).to.not.equal(clock);
    expect(told(computePlan(renamed(plan))).some((a) => a.text.includes('Another name'))).to.equal(true);
  });

  it('a plan that was read once more has the sheet it had', () => {
    for (const plan of demoPlans()) {
      const was = sheetJson(computePlan(plan), 4);
      expect(sheetJson(computePlan(structuredClone(plan)), 4), plan.name).to.deep.equal(was);
    }
  });

  it('what counts is laid anew: as it would be laid by itself', () => {
    // amounts that take no planned one's place: laid without looking at what is kept
    const byItself = (plan: Plan) => layPlan(plan, () => undefined);
    fc.assert(
      fc.property(anyDay, fc.constantFrom('thicker', 'fuller', 'dosed', 'fewer'), ({ plan }, what) => {
        layPlan(plan);
        const [step] = plan.steps;
        const changed: Plan =
          what === 'thicker'
            ? { ...plan, pots: plan.pots.map((p) => ({ ...p, stage: Math.min(5, p.stage + 0.5) })) }
            : what === 'fuller'
              ? { ...plan, fill: { ...plan.fill, overagePercent: plan.fill.overagePercent + 1 } }
              : what === 'dosed'
                ? potMixed(plan, { heather: 3 })
                : step
                  ? removeStep(plan, step.id)
                  : plan;
        const figures = ({ moulds, givenBatchG }: ReturnType<typeof layPlan>) => ({
          givenBatchG,
          layers: moulds.map((m) => m.stack.layers.map((l) => [l.pour.id, l.pots, l.plannedG, l.offset])),
        });
        expect(figures(layPlan(changed))).to.deep.equal(figures(byItself(changed)));
      }),
      { seed: 31, numRuns: 60 },
    );
  });

  it('dents on every bar raise the rest: cut in thinner bars, they are more, and it is laid anew', () => {
    const { plan } = addTop(boxPlan([rest(), rest()]), 'dents');
    const raised = (p: Plan) => stackOf(p).layers.at(-1)!.rough!.dents!.raisedMm;
    const before = raised(plan);
    const thinner: Plan = { ...plan, cut: { ...plan.cut, thicknessMm: plan.cut.thicknessMm / 2 } };
    expect(raised(thinner)).to.be.above(1.5 * before);
    expect(raised(plan)).to.equal(before);
  });
});

describe('what is kept by its inputs', () => {
  const firstPour = (plan: Plan): Pour => plan.steps.find((x): x is Pour => x.kind === 'pour')!;
  /** Every kind of thing that an edit may change. */
  const EDITS: Readonly<Record<string, (plan: Plan) => Plan>> = {
    'the order of colouring': (p) =>
      setClock(p, { colouring: p.clock.colouring === 'all-first' ? 'each' : 'all-first' }),
    'where blending stops': (p) => setClock(p, { start: 1.2 }),
    'a warm cupboard': (p) => setClock(p, { warm: p.clock.warm === true ? undefined : true }),
    temperatures: (p) => setTemperatures(p, { oilsC: p.batter.temperatures.oilsC + 4 }),
    superfat: (p) => ({ ...p, batter: { ...p.batter, superfatPercent: p.batter.superfatPercent + 1 } }),
    'the scale’s step': (p) => ({ ...p, units: { ...p.units, scaleStepG: 5 } }),
    ounces: (p) => ({ ...p, units: { ...p.units, mass: 'oz' } }),
    'a pot’s thickness': (p) => ({ ...p, pots: p.pots.map((x) => ({ ...x, stage: x.stage + 0.4 })) }),
    'a jug that is blended on': (p) => ({ ...p, pots: p.pots.map((x) => ({ ...x, blendTo: 2.3 })) }),
    'a name on the sheet': (p) => ({ ...p, pots: p.pots.map((x) => ({ ...x, name: `${x.name} too` })) }),
    'a jug’s weight': (p) => ({
      ...p,
      pots: p.pots.map((x) => ({ ...x, jug: { name: 'Blue', tareG: 321, capacityMl: 5000 } })),
    }),
    'thickness of bars': (p) => ({ ...p, cut: { ...p.cut, thicknessMm: p.cut.thicknessMm + 2 } }),
    'fall of the first pour': (p) => setLanding(p, firstPour(p).id, { how: 'spoon', fallMm: 3 }),
    'the minute of the first pour': (p) => keepAt(p, firstPour(p).id, 33),
    'made beyond': (p) => ({ ...p, fill: { ...p.fill, overagePercent: p.fill.overagePercent + 2 } }),
    'a colorant’s power': (p) => ({
      ...p,
      colorants: p.colorants.map((c) =>
        c.nature ? { ...c, nature: { ...c.nature, fadesPercent: 50, carrier: 'water' } } : c,
      ),
    }),
  };
  const figures = (plan: Plan, happened?: HappenedByPour) => {
    const computed = computePlan(plan, happened);
    return {
      sheet: sheetJson(computed, 1),
      acts: computed.clock?.acts.map((a) => [a.startMin, a.endMin, a.stage, a.about.of]),
      bars: computed.cut,
      looks: computed.colours,
    };
  };

  for (const [what, edit] of Object.entries(EDITS))
    it(`after an edit of ${what} comes what would come by itself`, () => {
      for (const name of ['Copper Weir', 'Peat Furrows', 'Thrift Ledge', 'Heather on Peat']) {
        const plan = demo(name);
        const before = figures(plan);
        const edited = edit(plan);
        const now = figures(edited);
        // a plan of other objects is computed anew
        expect(now, name).to.deep.equal(figures(structuredClone(edited)));
        expect(figures(plan), `${name}, taken back`).to.deep.equal(before);
        expect(structuredClone(edited), `${name}: nothing was edited`).to.not.deep.equal(plan);
      }
    });

  it('what was really poured is weighed anew, and as planned once it is taken back', () => {
    const plan = demo('Heather on Peat');
    const layer = plan.steps.find((x) => x.kind === 'pour' && x.ombre)!;
    const before = figures(plan);
    const entered = figures(plan, really(plan, poured(layer.id, 111)));
    expect(entered.sheet).to.not.deep.equal(before.sheet);
    expect(entered).to.deep.equal(figures(structuredClone(plan), really(plan, poured(layer.id, 111))));
    expect(figures(plan, really(plan, poured(layer.id, 111), poured(layer.id, undefined)))).to.deep.equal(
      before,
    );
  });
});

describe('what is remembered with an object', () => {
  it('is made once for each object, by a key once for each, and by inputs anew once one is another', () => {
    let made = 0;
    const make = (): number => (made += 1);
    const [a, b] = [{}, {}];
    const once = remembered(make);
    expect([once(a), once(b), once(a)]).to.deep.equal([1, 2, 1]);
    const by = rememberedBy<number>();
    expect([by(a, 'x', make), by(a, 'y', make), by(b, 'x', make), by(a, 'x', make)]).to.deep.equal([
      3, 4, 5, 3,
    ]);
    const last = rememberedLast<number>();
    const inputs = [a, 0];
    expect([last(a, inputs, make), last(a, [a, 0], make)]).to.deep.equal([6, 6]);
    expect([last(a, [b, 0], make), last(a, [a, -0], make), last(b, [], make)]).to.deep.equal([7, 8, 9]);
  });

  it('nothing that was made is something: it is not made again', () => {
    let made = 0;
    const once = remembered((_of: object): number | undefined => {
      made += 1;
      return undefined;
    });
    const a = {};
    expect([once(a), once(a), made]).to.deep.equal([undefined, undefined, 1]);
  });
});
