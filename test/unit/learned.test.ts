import { expect } from 'chai';
import { courseOf } from '../../src/core/clock/courseOf.ts';
import { priorCourse } from '../../src/core/clock/priorCourse.ts';
import { readAsPlanned, readingsSeen, takeReading } from '../../src/core/clock/readings.ts';
import { foretoldOf } from '../../src/core/clock/foretold.ts';
import { sameOils, toldBy } from '../../src/core/clock/kept.ts';
import { learnedOf } from '../../src/core/clock/learned.ts';
import { rateAt, speedOf, type Speed } from '../../src/core/clock/speed.ts';
import type { KnownRate } from '../../src/core/batter/schema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import {
  addReading,
  blendAll,
  lyeOf,
  mixAt,
  forgetLearned,
  keepLearned,
  learnFrom,
  loosenPot,
  scentAt,
  setClock,
  takeKnown,
} from '../../src/core/edit/clock.ts';
import { cupTest } from '../../src/core/edit/cupTest.ts';
import { settled } from '../../src/core/edit/settled.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { stageIn } from '../../src/core/timing/haze.ts';
import { independent, observed, spreadOf } from '../../src/core/timing/learn.ts';
import { Run } from '../../src/core/timing/run.ts';
import { fragrance } from '../support/additions.ts';
import { seeded } from '../support/random.ts';
import { boxPlan, rest } from '../support/plans.ts';

const FIVE = boxPlan([rest(), rest(), rest(), rest()]);

describe('what was learned', () => {
  it('of one quantity is the textbook’s posterior: precisions add, means are weighed by them', () => {
    // prior N(0, 1/3), five observations of unit variance with mean 0.4: Gelman et al., BDA, (2.12), by hand
    const prior = independent([{ mean: 0, sd: Math.sqrt(1 / 3) }]);
    const after = [0.1, 0.7, 0.4, 0.5, 0.3].reduce(
      (b, value) => observed(b, { weights: [1], value, sd: 1 }),
      prior,
    );
    expect(after.means[0]).to.be.closeTo((5 * 0.4) / (3 + 5), 1e-12);
    expect(spreadOf(after, 0)).to.be.closeTo(Math.sqrt(1 / 8), 1e-12);
  });
  it('of two that are only seen together is shared by their variances, and hangs together', () => {
    const after = observed(
      independent([
        { mean: 0, sd: 1 },
        { mean: 0, sd: 2 },
      ]),
      {
        weights: [1, 1],
        value: 10,
        sd: 0,
      },
    );
    expect(after.means[0]).to.be.closeTo(2, 1e-9);
    expect(after.means[1]).to.be.closeTo(8, 1e-9);
    expect(after.covariance[0]?.[1]).to.be.below(0);
  });
  it('does not depend on the order of the readings', () => {
    const all = [
      { weights: [1, 0], value: 0.3, sd: 0.4 },
      { weights: [1, 1], value: 0.9, sd: 0.5 },
      { weights: [0.2, 1], value: -0.1, sd: 0.3 },
    ];
    const prior = independent([
      { mean: 0, sd: 0.25 },
      { mean: 0, sd: 0.25 },
    ]);
    const [a, b] = [all.reduce(observed, prior), all.toReversed().reduce(observed, prior)];
    for (const i of [0, 1]) expect(a.means[i]).to.be.closeTo(b.means[i] ?? 0, 1e-12);
  });

  const cup = (speed?: Plan['batter']['fragrances'][number]['speed']): Plan =>
    cupTest(
      { ...FIVE, batter: { ...FIVE.batter, fragrances: [{ ...fragrance(2), ...(speed ? { speed } : {}) }] } },
      fragrance(2).id,
      { id: 'cup', now: '2026-01-02T03:04:05.000Z' },
    );
  /** Readings of a cup whose rate is really so many times as fast, told to within a stage's tenth. */
  const readAt = (plan: Plan, times: number, noise: () => number, minutes: readonly number[]): Plan => {
    const prior = priorCourse(plan, layPlan(plan));
    if (!prior) throw new Error('no recipe');
    const run = new Run(prior.course, { keeps: true });
    run.go({ faster: times });
    return minutes.reduce(
      (p, min) =>
        addReading(p, {
          pot: 'p1',
          min,
          stage: Math.min(5, Math.max(0, stageIn(run.kept?.pots[0] ?? [], min) + noise())),
        }),
      plan,
    );
  };
  it('a cup test is a whole plan of its own: one jug, one scent, little batter', () => {
    const read = readPlanValue(cup());
    expect(read.ok, read.ok ? '' : read.faults[0].message).to.equal(true);
    expect(computePlan(cup()).weights?.batterG).to.be.within(140, 170);
    expect(courseOf(cup('none'), layPlan(cup('none')))?.course.acts.length).to.equal(2);
  });
  it('a cup tells the plan that it is of, of the recipe and of the fragrance of that name and lot; not a plan of other oils', () => {
    const plan: Plan = {
      ...FIVE,
      batter: { ...FIVE.batter, fragrances: [{ ...fragrance(2), id: 'other', speed: 'quickens' }] },
    };
    const cupped = cupTest(plan, 'other', { id: 'cup', now: '2026-01-02T03:04:05.000Z' });
    const told = (of: Plan): ReadonlyMap<string, KnownRate> => {
      const laid = layPlan(of);
      return toldBy(plan, of, laid.recipe, learnedOf(of, laid, priorCourse(of, laid)!));
    };
    expect(told(cupped).size).to.equal(0);
    const quick = readAt(cupped, 2, () => 0, [4, 8, 12]);
    expect([...told(quick).keys()]).to.have.members(['recipe', 'other']);
    const taken = takeKnown(plan, told(quick));
    expect(taken.clock.known).to.include({ readings: 3, rested: true });
    expect(taken.clock.known!.value).to.be.above(speedOf(plan.batter, layPlan(plan).recipe!, {})!.atRest);
    expect(taken.batter.fragrances[0]!.known?.value).to.be.above(1.7);
    expect(readPlanValue(settled(taken)).ok).to.equal(true);
    // taken, it tells nothing new
    expect(toldBy(taken, keepLearned(quick, told(quick)), layPlan(quick).recipe, []).size).to.equal(0);
    expect(sameOils(plan, quick)).to.equal(true);
    const [first, ...rest] = plan.batter.oils;
    expect(
      sameOils(plan, {
        batter: { ...plan.batter, oils: [{ ...first!, percent: first!.percent + 5 }, ...rest] },
      }),
    ).to.equal(false);
    // the recipe alone, in a cup without any fragrance
    const alone = cupTest(plan, undefined, { id: 'cup', now: '2026-01-02T03:04:05.000Z' });
    expect(alone.batter.fragrances).to.deep.equal([]);
    expect([...told(readAt(alone, 2, () => 0, [4, 8, 12])).keys()]).to.deep.equal(['recipe']);
  });
  it('comes to the truth that noisy readings were made of: many of them within a few percent, three of them nearer than before', () => {
    const random = seeded(5);
    const noise = (): number => (random() - 0.5) * 0.1;
    for (const truth of [0.6, 1.4, 2]) {
      const rate = (plan: Plan): number => {
        const prior = priorCourse(plan, layPlan(plan));
        if (!prior) return NaN;
        return learnedOf(plan, layPlan(plan), prior).reduce((f, l) => f * l.factor, 1);
      };
      const three = rate(readAt(cup('none'), truth, noise, [9, 18, 27]));
      expect(Math.abs(Math.log(three / truth))).to.be.below(0.75 * Math.abs(Math.log(truth)));
      const many = rate(
        readAt(
          cup('none'),
          truth,
          noise,
          Array.from({ length: 24 }, (_, i) => 8 * (i + 1)).filter((m) => m * 0.04 * truth < 3.6),
        ),
      );
      expect(Math.abs(Math.log(many / truth))).to.be.below(Math.abs(Math.log(three / truth)) + 0.02);
    }
  });
  it('of a fragrance that nothing is known of is mostly the fragrance’s, of a known one the recipe’s too', () => {
    const share = (plan: Plan): number => {
      const quick = readAt(plan, 3, () => 0, [5, 10, 15]);
      const prior = priorCourse(quick, layPlan(quick));
      const [recipe, scent] = prior ? learnedOf(quick, layPlan(quick), prior) : [];
      return Math.log(scent?.factor ?? 1) / (Math.log(scent?.factor ?? 1) + Math.log(recipe?.factor ?? 1));
    };
    // by the variances of what was believed: 0.6 and 0.5, or 0.25, of a recipe that was told once
    const told = (plan: Plan): Plan => setClock(plan, { perMinute: 0.06 });
    expect(share(cup())).to.be.above(0.55);
    expect(share(told(cup()))).to.be.above(0.75);
    expect(share(cup('none'))).to.be.below(0.3);
  });
  it('moves what is foretold, and makes it surer; refused it does not; kept it stays without its readings; forgotten it is as it was', () => {
    const plain = cup('none');
    const quick = readAt(plain, 2, () => 0, [8, 16, 24]);
    const rate = (p: Plan): number => courseOf(p, layPlan(p))?.course.pots[0]?.perMinute ?? 0;
    const sd = (p: Plan): number => courseOf(p, layPlan(p))?.course.doubts[0]?.sd ?? 0;
    const speedIn = (p: Plan): Speed => speedOf(p.batter, layPlan(p).recipe!, p.clock)!;
    expect(rate(quick)).to.be.above(1.2 * rate(plain));
    expect(sd(quick)).to.be.below(sd(plain));
    expect(rate(learnFrom(quick, 'recipe', false))).to.equal(rate(plain));
    expect(learnFrom(learnFrom(quick, 'recipe', false), 'recipe', true).clock).to.not.have.property(
      'refused',
    );
    const kept = keepLearned(
      quick,
      new Map([
        ['recipe', { value: 0.08, readings: 3, rested: true }],
        [fragrance(2).id, { value: 1.2, readings: 3, rested: true }],
      ]),
    );
    expect(kept.clock).to.not.have.property('readings');
    expect(kept.batter.fragrances[0]?.known).to.deep.equal({ value: 1.2, readings: 3, rested: true });
    expect(sd(kept)).to.be.closeTo(0.25 * Math.sqrt(3 / 6), 1e-9);
    // what temperature does to it is in doubt besides, by two fifths of itself
    expect(speedIn(kept).warmthSd).to.be.closeTo(
      0.4 * Math.abs(Math.log(rateAt(1, speedIn(kept).batterC, 30))),
      1e-12,
    );
    // one that was learned before rest was reckoned with is in doubt by more
    const before = setClock(kept, { known: { value: 0.08, readings: 3 } });
    expect(sd(before)).to.be.above(1.3 * sd(kept));
    expect(rate(forgetLearned(forgetLearned(kept, 'recipe'), fragrance(2).id))).to.equal(rate(plain));
  });
  /**
   * A layer that was touched: it really doubles its strength so many times as fast as it is taken to, and
   * thickens so many times as fast.
   */
  const touched = (plan: Plan, times: number, sooner: number, minutes: readonly number[]): Plan => {
    const laid = layPlan(plan);
    const prior = priorCourse(plan, laid);
    if (!prior) throw new Error('no recipe');
    const { course } = prior;
    const run = new Run(
      { ...course, rest: { ...course.rest!, tcMin: course.rest!.tcMin / sooner } },
      { keeps: true },
    );
    run.go({ faster: times });
    return minutes.reduce(
      (p, min) =>
        takeReading(p, laid, { pot: 'p1', min, stage: Math.min(5, run.layerBears(0, min)), lying: true }),
      plan,
    );
  };
  it('of a layer that was touched is of how soon it stiffens at rest too, and of its jug it is not', () => {
    const plain = setClock(boxPlan([rest(), rest()]), { perMinute: 0.05 });
    const of = (plan: Plan, name: string): number => learnedIn(plan, name);
    const soon = touched(plain, 1, 3, [6, 9, 12]);
    expect(of(soon, 'rest')).to.be.below(0.85);
    expect(of(soon, 'recipe')).to.be.within(0.95, 1.25);
    const late = touched(plain, 1, 1 / 3, [6, 9, 12]);
    expect(of(late, 'rest')).to.be.above(1.15);
    const right = touched(plain, 1, 1, [6, 9, 12]);
    expect(of(right, 'rest')).to.be.closeTo(1, 1e-6);
    expect(of(right, 'recipe')).to.be.closeTo(1, 1e-6);
    // it bears sooner then, and the doubt of it is less
    const rested = (p: Plan): { readonly tcMin: number; readonly sd: number } => {
      const { course } = courseOf(p, layPlan(p))!;
      return { tcMin: course.rest!.tcMin, sd: course.doubts[course.rest!.doubt]!.sd };
    };
    expect(rested(soon).tcMin).to.be.closeTo(2 * of(soon, 'rest'), 1e-9);
    expect(rested(soon).sd).to.be.below(rested(plain).sd);
    // its history is kept with it, and read from the file again
    const read = readPlanValue(settled(soon));
    expect(read.ok, read.ok ? '' : read.faults[0].message).to.equal(true);
    expect(soon.clock.readings?.[0]?.history?.restMin).to.be.above(0);
    // one of the jug says nothing of rest
    expect(of(reallyAt(plain, 1.5, 'p1', 10), 'rest')).to.equal(1);
    // before anything was poured there is no layer to touch
    const [none] = readingsSeen(touched(plain, 1, 1, [0.1]), layPlan(plain));
    expect(none?.unread).to.equal('not-there-yet');
  });
  it('kept, how soon it stiffens at rest is reckoned with, and forgotten it is as it was', () => {
    const kept = keepLearned(FIVE, new Map([['rest', { value: 1.2, readings: 4, rested: true as const }]]));
    const rest = (p: Plan): number | undefined => courseOf(p, layPlan(p))?.course.rest?.tcMin;
    expect(rest(kept)).to.equal(1.2);
    expect(rest(forgetLearned(kept, 'rest'))).to.equal(2);
    expect(readPlanValue(settled(kept)).ok).to.equal(true);
  });
  /** A reading of a pot as it really is when the batter is so many times as fast. */
  const reallyAt = (plan: Plan, times: number, pot: string, min: number): Plan => {
    const laid = layPlan(plan);
    const prior = priorCourse(plan, laid);
    if (!prior) throw new Error('no recipe');
    const run = new Run(prior.course, { keeps: true });
    run.go({ faster: times });
    const place = prior.pots.findIndex((o) => o.pot.id === pot);
    const stage = Math.min(5, stageIn(run.kept?.pots[place] ?? [], min));
    return takeReading(plan, laid, { pot, min, stage });
  };
  const learnedIn = (plan: Plan, name: string): number => {
    const laid = layPlan(plan);
    const prior = priorCourse(plan, laid);
    return (prior && learnedOf(plan, laid, prior).find((l) => l.name === name)?.factor) ?? NaN;
  };
  it('is of the batter that was looked at: changing the plan afterwards changes what is foretold, not what was learned', () => {
    const cupped = cup('none');
    const taught = [10, 20, 30].reduce((p, min) => reallyAt(p, 1.8, 'p1', min), cupped);
    const learned = learnedIn(taught, 'recipe');
    expect(learned).to.be.above(1.15);
    for (const otherwise of [
      mixAt(taught, 27),
      lyeOf(taught, 27),
      setClock(taught, { start: 0.4 }),
      scentAt(taught, 'pour'),
      mixAt(lyeOf(scentAt(taught, 'colour'), 33), 43),
    ])
      expect(learnedIn(otherwise, 'recipe')).to.be.closeTo(learned, 1e-6);
    // 10 degrees cooler is half as fast, whatever was learned: the rate said at 38
    const rate = (p: Plan): number => courseOf(p, layPlan(p))?.course.pots[0]?.perMinute ?? NaN;
    const at = (c: number): number => rate(setClock(taught, { batterC: c }));
    expect(at(28) / at(38)).to.be.closeTo(0.5, 1e-9);
    // said to be of the plan as it is now, they are read so: colder batter that was as thick is faster batter
    const cold = mixAt(taught, 29);
    const again = readAsPlanned(cold, layPlan(cold));
    expect(learnedIn(again, 'recipe')).to.be.above(learned);
    expect(readingsSeen(cold, layPlan(cold)).map((r) => r.asPlanned)).to.deep.equal([false, false, false]);
    expect(readingsSeen(again, layPlan(again)).map((r) => r.asPlanned)).to.deep.equal([true, true, true]);
    expect(readPlanValue(again).ok).to.equal(true);
  });
  it('of a fragrance it knows when that was in: read with it in from the start, it is not blamed on the recipe when the plan scents later', () => {
    const perfumed = { ...FIVE, batter: { ...FIVE.batter, fragrances: [fragrance(2)] } };
    const scented = scentAt(perfumed, 'trace');
    const scent = `fragrance ${fragrance(2).id}`;
    const taught = [2, 4, 6].reduce((p, min) => reallyAt(p, 1.5, 'p2', min), scented);
    const [recipe, own] = [learnedIn(taught, 'recipe'), learnedIn(taught, scent)];
    expect(own).to.be.above(1.05);
    const later = scentAt(taught, 'pour');
    expect(learnedIn(later, 'recipe')).to.be.closeTo(recipe, 1e-6);
    expect(learnedIn(later, scent)).to.be.closeTo(own, 1e-6);
    const gone = { ...taught, batter: { ...taught.batter, fragrances: [] } };
    expect(readingsSeen(gone, layPlan(gone)).map((r) => r.unread)).to.deep.equal(
      Array(3).fill('fragrance-gone'),
    );
    expect(learnedIn(gone, 'recipe')).to.equal(1);
  });
  it('of a fragrance that goes in part by part does a part at a time: both halves in are the whole of it', () => {
    const halves: Plan = {
      ...FIVE,
      batter: {
        ...FIVE.batter,
        fragrances: [
          {
            ...fragrance(2),
            speed: 'quickens-much',
            doses: [
              { id: 'd1', gPerKgOils: 10, moment: 'trace' },
              { id: 'd2', gPerKgOils: 10, moment: 'colour', pots: ['p1'] },
              { id: 'd3', gPerKgOils: 20, moment: 'colour', pots: ['p2'] },
            ],
          },
        ],
      },
    };
    const of = priorCourse(halves, layPlan(halves));
    if (!of) throw new Error('no recipe');
    const run = new Run(of.course, { keeps: true });
    const rates = (p: number, doubts: readonly number[] = []): readonly number[] => {
      run.go({ doubts });
      return (run.kept?.pots[p] ?? []).map((s) => s.perMinute);
    };
    const [bare = NaN] = rates(0);
    // a half is x 2, both are x 4; of the third jug a third and two thirds
    expect(rates(0).map((r) => Math.round((r / bare) * 1e6) / 1e6)).to.include.members([1, 2, 4]);
    expect(
      rates(1)
        .map((r) => r / bare)
        .at(-1),
    ).to.be.closeTo(4, 1e-9);
    expect(rates(1)[1]).to.be.closeTo(bare * 4 ** (1 / 3), 1e-9);
    // and it is in doubt as a whole: twice as strong at the end, by the root of two in between
    const strong = rates(0, [0, Math.LN2]);
    expect(strong.at(-1)).to.be.closeTo(8 * bare, 1e-9);
    expect(strong[1]).to.be.closeTo(2 * Math.SQRT2 * bare, 1e-9);
    // what a reading was taken of knows the parts
    const taught = reallyAt(halves, 1, 'p1', 9);
    const history = taught.clock.readings?.[0]?.history;
    expect(history?.spells.some((s) => s.fragrances[0]?.share === 0.5)).to.equal(true);
    expect(learnedIn(taught, 'recipe')).to.be.closeTo(1, 1e-4);
  });
  it('a reading without its own history is read as the plan stands: the same as one just taken', () => {
    const taught = [4, 8].reduce((p, min) => reallyAt(p, 1.3, 'p2', min), FIVE);
    const plain = {
      ...taught,
      clock: {
        ...taught.clock,
        readings: taught.clock.readings?.map(({ history: _history, ...r }) => r) ?? [],
      },
    };
    expect(learnedIn(plain, 'recipe')).to.be.closeTo(learnedIn(taught, 'recipe'), 1e-6);
  });
  it('what was foretold is what the course has: every pot, blended and stirred loose or not', () => {
    const laid = layPlan(FIVE);
    const blended = blendAll(loosenPot(FIVE, 'p2', true), ['p1'], 1.9);
    const prior = priorCourse(blended, laid);
    if (!prior) throw new Error('no recipe');
    const run = new Run(prior.course, { keeps: true });
    run.go();
    for (const pot of ['p1']) {
      const place = prior.pots.findIndex((o) => o.pot.id === pot);
      const states = run.kept?.pots[place] ?? [];
      const taught = takeReading(blended, laid, { pot, min: 30, stage: 3 });
      const [line] = foretoldOf(taught, laid, prior, learnedOf(taught, laid, prior));
      for (const min of [0, 1, 3, 7, 12, 20, 29])
        expect(line?.before(min)).to.be.closeTo(stageIn(states, min), 1e-6);
    }
  });
  it('readings that get thinner are refused with both, and those of a pot that is gone go with it', () => {
    const plan = addReading(addReading(FIVE, { pot: 'p1', min: 4, stage: 2 }), {
      pot: 'p1',
      min: 11,
      stage: 1,
    });
    const read = readPlanValue(plan);
    expect(read.ok ? '' : read.faults[0].code).to.equal('reading-thinner');
    expect(read.ok ? '' : read.faults[0].message).to.match(
      /medium \(2\) at 4 min.*light \(1\) only at 11 min/,
    );
    const negative = readPlanValue(addReading(FIVE, { pot: 'p1', min: -1, stage: 2 }));
    expect(negative.ok ? '' : negative.faults[0].at).to.equal('clock.readings.0.min');
    const gone = { ...addReading(FIVE, { pot: 'p9', min: 4, stage: 2 }) };
    expect(settled(gone).clock.readings).to.deep.equal([]);
  });
});
