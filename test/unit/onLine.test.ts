import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { moved, shifted, type Gap } from '../../src/core/edit/onLine/standing.ts';
import { THINGS, type Thing, type ThingName } from '../../src/core/edit/onLine/things.ts';
import { settled } from '../../src/core/edit/settled.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import { layerUnder } from '../../src/core/plan/scrapes.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { boxPlan, demo, demoPlans, rest } from '../support/plans.ts';

const all = Object.entries(THINGS) as readonly (readonly [ThingName, Thing])[];

const gapsOf = ({ steps }: Plan): readonly Gap[] => [...steps.map((s) => s.id), undefined];

const onBench = (plan: Plan) => {
  const { stack, fill } = computePlan(plan);
  return { plan, stack, fill };
};

const kindsOf = ({ steps }: Plan): string => steps.map((s) => s.kind).join(' ');

const valid = (plan: Plan, what: string): void => {
  const read = readPlanValue(settled(plan));
  expect(read.ok, `${what}: ${read.ok ? '' : read.faults[0].message}`).to.equal(true);
};

const tiltsOf = ({ steps }: Plan): readonly number[] =>
  steps.flatMap((s) => (s.kind === 'tilt' ? [s.rollDeg] : []));

/** Three level layers, then wrapped. */
const LAYERS: Plan = ((plan) => ({
  ...plan,
  steps: [...plan.steps, { id: 'f1', kind: 'finish' as const, what: 'insulate' as const }],
}))(boxPlan([rest(), rest(), rest()]));

describe('what can be put on the line of drops', () => {
  it('in any gap of any demo plan, each way of each thing is put in that gap, or the reason is said', () => {
    for (const plan of demoPlans().filter((p) => p.others.length === 0)) {
      const on = onBench(plan);
      let [put, refused] = [0, 0];
      for (const [at, gap] of gapsOf(plan).entries())
        for (const [name, thing] of all) {
          const why = thing.whyNot(on, gap);
          if (why !== undefined) {
            expect(why, name).to.match(/^[a-z].*[a-z]$/);
            refused += 1;
            continue;
          }
          for (const { way } of thing.ways?.(plan) ?? [{ way: undefined }]) {
            const what = `${plan.id}, ${name} ${way ?? ''} at ${at}`;
            const made = thing.put(on, gap, way);
            valid(made.plan, what);
            expect(made.plan.steps.filter((s) => s.id === made.stepId).length, what).to.equal(1);
            // everything that was there is there in its order
            const there = new Set(plan.steps.map((s) => s.id));
            expect(made.plan.steps.filter((s) => there.has(s.id)).map((s) => s.id)).to.deep.equal([...there]);
            // a layer is scraped once it was waited for: all else stands right in the gap
            const is = made.plan.steps.findIndex((s) => s.id === made.stepId);
            if (name !== 'scrape') expect(made.plan.steps[is + 1]?.id, what).to.equal(gap);
            put += 1;
          }
        }
      expect(put, plan.id).to.be.above(20);
      expect(refused, plan.id).to.be.above(10);
    }
  });

  it('says what is in the way', () => {
    const on = onBench(LAYERS);
    const why = (name: ThingName, gap: Gap): string | undefined => (THINGS[name] as Thing).whyNot(on, gap);
    const [first, second] = LAYERS.steps.map((s) => s.id);
    expect(why('stick', first)).to.equal('nothing is poured there yet');
    expect(why('top', second)).to.equal('it comes once all is poured');
    expect(why('finish', second)).to.equal('it comes once all else is done');
    expect(why('pour', undefined)).to.equal('the loaf is left to itself by then');
    expect(why('pull', 'f1')).to.equal('no column stands in this mould');
    expect(why('tilt', 'f1')).to.equal('nothing is poured after it');
    expect(why('wait', 'f1')).to.equal('nothing comes after it that would wait');
    for (const name of ['pour', 'stick', 'wire', 'scrape', 'line', 'top'] as const)
      expect(why(name, 'f1'), name).to.equal(undefined);
    const all = THINGS.finish
      .ways(LAYERS)
      .reduce((plan, { way }) => THINGS.finish.put(onBench(plan), undefined, way).plan, LAYERS);
    expect(THINGS.finish.whyNot(onBench(all), undefined)).to.equal('all of them are there already');
    const waited = onBench(THINGS.wait.put(on, second).plan);
    expect(THINGS.wait.whyNot(waited, second)).to.equal('there is a wait already');
    const turned = onBench(THINGS.tilt.put(on, second).plan);
    expect(THINGS.tilt.whyNot(turned, second)).to.match(/^pour 2 has its tilt already/);
    const scraped = onBench(THINGS.scrape.put(on, second).plan);
    expect(THINGS.scrape.whyNot(scraped, second)).to.equal('that layer is scraped already');
  });

  it('a tilt is the usual slope, less where the pours after it would spill; the next is level again', () => {
    const [first, second] = LAYERS.steps.map((s) => s.id);
    const filled = (headspaceMm: number): Plan => ({
      ...LAYERS,
      fill: { ...LAYERS.fill, to: { kind: 'headspace', headspaceMm } },
    });
    const turned = THINGS.tilt.put(onBench(filled(30)), second).plan;
    expect(tiltsOf(turned)).to.deep.equal([10]);
    expect(tiltsOf(THINGS.tilt.put(onBench(turned), LAYERS.steps[2]?.id).plan)).to.deep.equal([10, 0]);
    // filled to the rim nothing holds at ten degrees
    const [degrees] = tiltsOf(THINGS.tilt.put(onBench(filled(1)), first).plan);
    expect(degrees).to.be.within(1, 3);
    // all in and propped: it is set level while all is fluid
    const last = THINGS.tilt.put(onBench(turned), 'f1').plan.steps.at(-2);
    expect(last).to.include({ kind: 'tilt', rollDeg: 0, fluid: true });
  });

  it('a line is of a colorant that the plan has, and of one to begin with where it has none', () => {
    const plan = demo('Copper Weir');
    const line = THINGS.line.put(onBench(plan), plan.steps.at(-1)?.id);
    const put = line.plan.steps.find((s) => s.id === line.stepId);
    expect(plan.colorants.map((c) => c.id)).to.include(put?.kind === 'mica' ? put.colorant : '');
    valid(THINGS.line.put(onBench(LAYERS), 'f1').plan, 'a plan without colorants');
  });
});

describe('what is moved along the line of drops', () => {
  it('goes into the gap where it is let go, and is laid there', () => {
    const [a, b, c] = LAYERS.steps.map((s) => s.id);
    const went = moved(LAYERS, a!, 'f1');
    expect('plan' in went && went.plan.steps.map((s) => s.id)).to.deep.equal([b, c, a, 'f1']);
    const { layers } = layPlan('plan' in went ? went.plan : LAYERS).stack;
    expect(layers.map((l) => l.pour.id)).to.deep.equal([b, c, a]);
    // a gap beside it is where it is
    expect(moved(LAYERS, a!, b)).to.deep.equal({ plan: LAYERS });
  });

  it('stays where it could not stand, and where what is then first could not, with the reason', () => {
    const why = (went: ReturnType<typeof moved>): string => ('why' in went ? went.why : 'it went');
    const [a, b] = LAYERS.steps.map((s) => s.id);
    expect(why(moved(LAYERS, a!, undefined))).to.equal('the loaf is left to itself by then');
    expect(why(moved(LAYERS, 'f1', a))).to.equal('it comes once all else is done');
    const stick = THINGS.stick.put(onBench(LAYERS), b);
    expect(why(moved(stick.plan, stick.stepId, a))).to.equal('nothing is poured there yet');
    // the only pour before the stick cannot go after it
    expect(why(moved(stick.plan, a!, 'f1'))).to.equal(
      'what comes then could not stand: nothing is poured there yet',
    );
    expect(why(shifted(LAYERS, a!, -1))).to.equal('nothing comes before it');
    expect(why(shifted(stick.plan, stick.stepId, -1))).to.equal('nothing is poured there yet');
  });

  it('a layer takes its scraping and its line with it', () => {
    const [a, b] = LAYERS.steps.map((s) => s.id);
    const lined = THINGS.line.put(onBench(LAYERS), b);
    const went = moved(lined.plan, a!, 'f1');
    const plan = 'plan' in went ? went.plan : LAYERS;
    expect(kindsOf(plan)).to.equal('pour pour pour mica finish');
    const line = plan.steps.find((s) => s.kind === 'mica');
    expect(line && layerUnder(plan, line)?.id).to.equal(a);
  });

  it('any thing of any demo plan, into any gap: the plan is read back, nothing is lost, or it is said why', () => {
    for (const plan of demoPlans().filter((p) => p.others.length === 0)) {
      const ids = (p: Plan): readonly string[] => p.steps.map((s) => s.id).toSorted();
      let went = 0;
      for (const { id } of plan.steps)
        for (const gap of gapsOf(plan)) {
          const to = moved(plan, id, gap);
          if ('why' in to) {
            expect(to.why).to.match(/[a-z]$/);
            continue;
          }
          went += 1;
          valid(to.plan, `${plan.id}, ${id} before ${gap ?? 'nothing'}`);
          expect(ids(to.plan)).to.deep.equal(ids(plan));
        }
      expect(went, plan.id).to.be.above(plan.steps.length);
    }
  });
});
