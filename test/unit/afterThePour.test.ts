import { expect } from 'chai';
import ICAL from 'ical.js';
import { constantFrom, coolsIn, usualConstant } from '../../src/core/batter/cooling.ts';
import { oilsMeet } from '../../src/core/batter/oilsMeet.ts';
import { usedOils } from '../../src/core/batter/usedOils.ts';
import { recipeOf } from '../../src/core/batter/recipe.ts';
import { afterwards, type Afterwards } from '../../src/core/clock/afterwards.ts';
import { asTimed } from '../../src/core/clock/asTimed.ts';
import { needsOf } from '../../src/core/clock/needs.ts';
import { planTimetable } from '../../src/core/clock/timetable.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { calendarOf, later } from '../../src/core/exchange/calendar.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Finish } from '../../src/core/plan/stepSchema.ts';
import { fallFor, plungeOf } from '../../src/core/setting/plunge.ts';
import { additive } from '../support/additions.ts';
import { boxPlan, demo, demoPlans, rest } from '../support/plans.ts';

const PLAN = boxPlan([rest(), rest()]);

const after = (plan: Plan): Afterwards => {
  const recipe = recipeOf(plan.batter);
  if (!recipe) throw new Error('no recipe');
  return afterwards(plan, recipe);
};

const finished = (...whats: readonly Finish['what'][]): Plan => ({
  ...PLAN,
  steps: [...PLAN.steps, ...whats.map((what, i): Finish => ({ id: `f${i}`, kind: 'finish', what }))],
});

const lyeOf = (value: number): Plan => ({
  ...PLAN,
  batter: { ...PLAN.batter, water: { school: 'lye-concentration', value } },
});

describe('after the pour', () => {
  it('unmould in 18 to 72 h (common practice, no source): sooner gelled, with strong lye or sodium lactate, later wet or kept cool', () => {
    const h = (plan: Plan): number => after(plan).unmouldH.from;
    for (const plan of [PLAN, ...demoPlans()]) expect(h(plan)).to.be.within(18, 72 * 1.5);
    expect(h(finished('warm-oven'))).to.be.below(h(PLAN));
    expect(h(lyeOf(38))).to.be.below(h(lyeOf(27)));
    expect(h(finished('leave-cool'))).to.be.above(h(PLAN));
    const lactate = {
      ...PLAN,
      batter: {
        ...PLAN.batter,
        additives: [{ ...additive('a', 'cooled-lye', 10), name: 'Sodium lactate, 60 %' }],
      },
    };
    expect(h(lactate)).to.be.below(h(PLAN));
  });
  it('cut after it is unmoulded, cured from three to six weeks, longer when wet', () => {
    for (const lye of [26, 30, 33, 40]) {
      const { unmouldH, cutH, cureWeeks } = after(lyeOf(lye));
      expect(cutH.from).to.be.at.least(unmouldH.from);
      expect(cutH.to).to.be.above(cutH.from);
      expect(cureWeeks.from).to.be.within(3, 10);
    }
    expect(after(lyeOf(40)).cureWeeks.from).to.equal(3);
    expect(after(lyeOf(26)).cureWeeks.from).to.be.above(after(lyeOf(33)).cureWeeks.from);
  });
  it('as a calendar is read by ical.js: its events at their times, with reminders by day, whatever the name; a moved pour takes their place', () => {
    const start = { year: 2026, month: 12, day: 31, hour: 22, minute: 30 };
    const name =
      'Heath; “moor”, and, a name\\that is long enough to be folded over more than one line of the file, as it should';
    const file = calendarOf({ id: 'p1', name }, start, 95, after(PLAN), 7);
    if (!file.ok) throw new Error(file.fault.message);
    const calendar = new ICAL.Component(ICAL.parse(file.value) as object[]);
    const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
    const { unmouldH, cutH, cureWeeks } = after(PLAN);
    const weighed = [1, 2, 4, 6].filter((week) => week < cureWeeks.from);
    expect(weighed.length).to.be.above(1);
    expect(events.map((e) => e.summary)).to.deep.equal(
      ['Pour', 'Unmould', 'Cut', ...weighed.map(() => 'Weigh a bar'), 'Cured'].map(
        (what) => `${what}: ${name}`,
      ),
    );
    const at = (i: number): Date => events[i]?.startDate.toJSDate() ?? new Date(NaN);
    expect(at(0)).to.deep.equal(new Date(2026, 11, 31, 22, 30));
    const end = events[0]?.endDate.toJSDate();
    expect(end).to.deep.equal(new Date(2027, 0, 1, 0, 5));
    expect(at(1)).to.deep.equal(new Date(2027, 0, 1, unmouldH.from, 5));
    expect(at(2)).to.deep.equal(new Date(2027, 0, 1, cutH.from, 5));
    // nobody is woken: every reminder comes by day, and no later than what it is of ends
    for (const e of events) {
      const alarms = e.component.getAllSubcomponents('valarm');
      expect(alarms.length).to.be.within(1, 2);
      for (const alarm of alarms) {
        const at = e.startDate.clone();
        at.addDuration(alarm.getFirstPropertyValue('trigger') as ICAL.Duration);
        expect(at.hour * 60 + at.minute, e.summary).to.be.within(8 * 60, 21 * 60);
        expect(at.compare(e.endDate)).to.be.at.most(0);
      }
    }
    expect(new Set(events.map((e) => e.uid)).size).to.equal(4 + weighed.length);
    // moved by two hours its entries are the same ones, and newer
    const moved = calendarOf({ id: 'p1', name }, later(start, 2), 95, after(PLAN), 8);
    if (!moved.ok) throw new Error(moved.fault.message);
    const again = new ICAL.Component(ICAL.parse(moved.value) as object[]).getAllSubcomponents('vevent');
    expect(again.map((e) => e.getFirstPropertyValue('uid'))).to.deep.equal(events.map((e) => e.uid));
    expect(again[0]!.getFirstPropertyValue('sequence')).to.equal(8);
    expect(events[0]!.sequence).to.equal(7);
  });
  it('days go over months and leap years', () => {
    expect(later({ year: 2028, month: 2, day: 28, hour: 23, minute: 0 }, 2)).to.deep.equal({
      year: 2028,
      month: 2,
      day: 29,
      hour: 1,
      minute: 0,
    });
  });
});

describe('lye that cools', () => {
  it('by Newton’s law, worked by hand: 86 to 43 °C in a room of 20 with 40 min is 40 ln(66/23) = 42 min', () => {
    expect(coolsIn(86, 43, 20, 40)).to.be.closeTo(40 * Math.log(66 / 23), 1e-12);
    expect(coolsIn(86, 43, 20, usualConstant(664))).to.be.within(38, 55);
    // lumped cooling, from memory: tau = mass x c / (h x surface); surface goes by the mass to two thirds
    expect(usualConstant(8 * 250) / usualConstant(250)).to.be.closeTo(2, 1e-12);
    expect(coolsIn(30, 43, 20, 40)).to.equal(0);
    expect(coolsIn(86, 18, 20, 40)).to.equal(undefined);
  });
  it('by two readings, in either order: 80 and 50 °C twenty minutes apart are 20 / ln 2', () => {
    const [a, b] = [
      { min: 5, celsius: 80 },
      { min: 25, celsius: 50 },
    ];
    expect(constantFrom(a, b, 20)).to.be.closeTo(20 / Math.log(2), 1e-12);
    expect(constantFrom(b, a, 20)).to.be.closeTo(20 / Math.log(2), 1e-12);
    expect(constantFrom(a, { min: 25, celsius: 81 }, 20)).to.equal(undefined);
    expect(constantFrom(a, { min: 25, celsius: 19 }, 20)).to.equal(undefined);
    expect(constantFrom(a, { min: 5, celsius: 60 }, 20)).to.equal(undefined);
  });
});

describe('melted and liquid oils', () => {
  it('meet by their masses, worked by hand: 40 % at 55.6 °C (132 °F) and 60 % at 15 °C are at 31.2 °C (88 °F), as makers saw', () => {
    const oils = usedOils({
      oils: [
        { oil: 'coconut', percent: 40 },
        { oil: 'olive', percent: 60 },
      ],
    });
    expect(oilsMeet(oils, (132 - 32) / 1.8, 15)).to.be.closeTo(0.4 * 55.56 + 0.6 * 15, 0.01);
    expect(oilsMeet(oils, 20, 20)).to.be.closeTo(20, 1e-12);
  });
});

const LARDY = [
  { oil: 'lard', percent: 40 },
  { oil: 'olive', percent: 60 },
];

describe('what is too cold, too hot, or near what burns', () => {
  const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);
  const at = (change: Partial<Plan['batter']['temperatures']>): Plan => ({
    ...PLAN,
    batter: { ...PLAN.batter, temperatures: { ...PLAN.batter.temperatures, ...change } },
  });
  it('oils below where their hard ones set, and lye above what its heat makes, with the number and one press', () => {
    for (const [plan, code, says] of [
      [
        { ...at({ oilsC: 18 }), batter: { ...at({ oilsC: 18 }).batter, oils: LARDY } },
        'oils-solid',
        /Oils at 18 °C: 40 % lard sets below ≈ \d+ °C in them\. In some [3-6] of 10 such batches/,
      ],
      [at({ lyeC: 80, waterC: 0 }), 'lye-too-hot', /Lye at 80 °C .* no hotter than ≈ \d+ °C/],
    ] as const) {
      const warning = computePlan(plan).warnings.find((w) => w.code === code);
      expect(warning?.message).to.match(says);
      const cured = warning?.remedies?.[0]?.apply(plan) ?? plan;
      expect(codes(cured)).to.not.include(code);
      expect(readPlanValue(cured).ok).to.equal(true);
    }
    expect(codes(PLAN)).to.not.include.members(['oils-solid']);
    // a little of a hard butter does nothing of the kind
    expect(codes(at({ oilsC: 15 }))).to.not.include('oils-solid');
  });
  it('alcohol mist where anything is heated, and not where it is only wrapped', () => {
    for (const heated of ['heating-pad', 'warm-oven', 'oven-held'] as const) {
      const plan = finished('mist', heated);
      const warning = computePlan(plan).warnings.find((w) => w.code === 'mist-near-heat');
      expect(warning?.message, heated).to.match(/must be dry/);
      for (const remedy of warning?.remedies ?? [])
        expect(codes(remedy.apply(plan))).to.not.include('mist-near-heat');
    }
    expect(codes(finished('mist', 'insulate'))).to.not.include('mist-near-heat');
    expect(codes(finished('warm-oven'))).to.not.include('mist-near-heat');
  });
});

describe('a plan as it comes out when it is poured late', () => {
  const late = (plan: Plan, minutes: number): Plan => asTimed(plan, layPlan(plan), minutes);
  it('on time level layers lie level; too late the upper ones are lumpy, and it weighs the same', () => {
    const plan = demo('Scree Steps');
    expect(late(plan, 0).steps).to.deep.equal(plan.steps);
    const lumpy = late(plan, 40);
    const rough = lumpy.steps.flatMap((s) =>
      s.kind === 'pour' && s.roughMm !== undefined ? [s.roughMm] : [],
    );
    expect(rough.length).to.be.at.least(2);
    expect(readPlanValue(lumpy).ok).to.equal(true);
    expect(computePlan(lumpy).stack.filledMl).to.be.closeTo(computePlan(plan).stack.filledMl, 1e-6);
  });
  it('pours that push others aside plunge less deep the later they are made', () => {
    const plan = demo('Basalt Columns');
    const stage = (minutes: number): number => late(plan, minutes).pots[0]?.stage ?? 0;
    expect(stage(20)).to.be.above(stage(0) + 0.3);
    expect(plungeOf(stage(20), 10, 1)).to.be.at.least(plungeOf(stage(0), 10, 1));
  });
});

describe('what each way needs', () => {
  it('a column pour: until its last round, and until when its batter lets it; a fragrance that quickens closes that sooner', () => {
    const needs = (plan: Plan) => {
      const t = planTimetable(plan, layPlan(plan));
      return t ? needsOf(plan, t) : [];
    };
    const plan = demo('Basalt Columns');
    const [column] = needs(plan);
    expect(column?.name).to.equal('Column pour');
    expect(column?.hasMin).to.be.above(column?.untilMin ?? 0);
    const unscented = { ...plan, batter: { ...plan.batter, fragrances: [] } };
    expect(needs(unscented)[0]?.hasMin).to.be.above(1.5 * (column?.hasMin ?? Infinity));
    expect(needs(plan).some((n) => n.name === 'The stick')).to.equal(true);
  });
  it('the jug is raised as the batter thickens, so that the plunge stays: its exponent by the formula is the same', () => {
    for (const [from, to] of [
      [1, 1.6],
      [1.5, 0.8],
    ] as const)
      expect(plungeOf(to, fallFor(20, from, to), 1)).to.be.closeTo(plungeOf(from, 20, 1), 1e-9);
    expect(fallFor(20, 1, 1.6)).to.be.above(20);
  });
});
