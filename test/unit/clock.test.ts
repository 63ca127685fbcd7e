import { expect } from 'chai';
import fc from 'fast-check';
import { courseOf } from '../../src/core/clock/courseOf.ts';
import { recipeRate } from '../../src/core/clock/recipeRate.ts';
import { startStage } from '../../src/core/clock/start.ts';
import { planTimetable, type Timetable } from '../../src/core/clock/timetable.ts';
import { searching, type Ways } from '../../src/core/clock/ways.ts';
import { worth } from '../../src/core/clock/likely.ts';
import type { Option } from '../../src/core/clock/option.ts';
import { applied } from '../../src/core/clock/refined.ts';
import { lastOf, woven } from '../../src/core/clock/batches.ts';
import { landings } from '../../src/core/clock/jugLevers.ts';
import { outlook, shownUntil } from '../../src/core/clock/outlook.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import {
  addReading,
  blendPot,
  keepAt,
  landAll,
  loosenPot,
  scentAt,
  setClock,
  setPace,
  takeWay,
} from '../../src/core/edit/clock.ts';
import { settled } from '../../src/core/edit/settled.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { finish, type Task } from '../../src/core/task/task.ts';
import { Normals } from '../../src/core/timing/normals.ts';
import { sampling } from '../../src/core/timing/odds.ts';
import { Run } from '../../src/core/timing/run.ts';
import { LANDS } from '../../src/core/pattern/windows.ts';
import { ombrePlan } from '../support/colours.ts';
import { anyPlan } from '../support/anyPlan.ts';
import { fragrance } from '../support/additions.ts';
import { boxPlan, demo, demoPlans, rest } from '../support/plans.ts';

const timed = (plan: Plan): Timetable => {
  const timetable = planTimetable(plan, layPlan(plan));
  if (!timetable) throw new Error('no recipe');
  return timetable;
};

const whole = (plan: Plan, keeping: 'feel' | 'clock' = 'feel'): number => {
  const of = courseOf(plan, layPlan(plan));
  if (!of) throw new Error('no recipe');
  return finish(sampling(of.course, new Normals(20, 1000), keeping)).whole;
};

const at = (t: Timetable, key: string) => {
  const found = t.acts.find((a) => a.act.key === key);
  if (!found) throw new Error(`no ${key} among ${t.acts.map((a) => a.act.key).join(', ')}`);
  return found;
};

const codes = (plan: Plan): string[] =>
  computePlan(plan)
    .warnings.filter((w) => w.station === 'clock')
    .map((w) => w.code);

const FIVE = boxPlan([rest(), rest(), rest(), rest()]);

/** Any plan with its timing given in any way. */
const anyTimed = fc
  .tuple(
    anyPlan,
    fc.record({
      start: fc.constantFrom(undefined, 0, 0.5, 2.5),
      perMinute: fc.constantFrom(undefined, 0.002, 0.05, 0.9),
      warm: fc.boolean(),
      keeping: fc.constantFrom(undefined, 'clock' as const),
      colouring: fc.constantFrom(undefined, 'all-first' as const),
      blendTo: fc.constantFrom(undefined, 0.2, 1.7, 4.4),
      loosened: fc.boolean(),
      speed: fc.constantFrom(undefined, 'slows' as const, 'quickens-much' as const, 'seizes' as const),
      at: fc.constantFrom(undefined, 0, 7.5, 90),
      reading: fc.constantFrom(undefined, 0, 1, 4.5),
    }),
  )
  .map(([plan, t]): Plan => {
    const [first] = plan.pots;
    let next = setClock(plan, {
      start: t.start,
      perMinute: t.perMinute,
      warm: t.warm ? true : undefined,
      keeping: t.keeping,
      colouring: t.colouring,
    });
    if (first) next = loosenPot(blendPot(next, first.id, t.blendTo), first.id, t.loosened);
    if (first && t.reading !== undefined)
      next = addReading(next, { pot: first.id, min: 12, stage: t.reading });
    const pour = next.steps.filter((s) => s.kind === 'pour')[1];
    if (pour) next = keepAt(next, pour.id, t.at);
    const { speed } = t;
    return {
      ...next,
      batter: {
        ...next.batter,
        fragrances: next.batter.fragrances.map((f) => (speed ? { ...f, speed } : f)),
      },
    };
  });

describe('how fast a recipe thickens', () => {
  it('is between slow (0.045) and fast (0.15), slower with olive and lard, faster with butters (common practice, no source)', () => {
    const rate = (...oils: readonly (readonly [string, number])[]): number =>
      recipeRate({ oils: oils.map(([oil, percent]) => ({ oil, percent })) }) ?? 0;
    const slow = rate(['lard', 40], ['olive', 40], ['coconut', 20]);
    const medium = rate(['olive', 35], ['palm', 25], ['coconut', 25], ['shea', 10], ['castor', 5]);
    const fast = rate(['cocoa-butter', 40], ['shea', 30], ['coconut', 30]);
    expect(slow).to.be.within(0.045, 0.055);
    expect(medium).to.be.within(0.063, 0.09);
    expect(fast).to.be.within(0.12, 0.15);
    expect(recipeRate({ oils: [] })).to.equal(undefined);
  });
  it('goes with temperature and water, and a figure that is given comes before the estimate', () => {
    const perMinute = (plan: Plan): number => courseOf(plan, layPlan(plan))?.course.pots[0]?.perMinute ?? 0;
    const at38 = (p: Plan): Plan => setClock(p, { batterC: 38 });
    expect(perMinute(setClock(FIVE, { batterC: 48 })) / perMinute(at38(FIVE))).to.be.closeTo(2, 1e-9);
    expect(perMinute(setClock(at38(FIVE), { perMinute: 0.07 }))).to.be.closeTo(0.07, 0.0005);
    const strong = {
      ...FIVE,
      batter: { ...FIVE.batter, water: { school: 'lye-concentration' as const, value: 40 } },
    };
    expect(perMinute(at38(strong)) / perMinute(at38(FIVE))).to.be.closeTo((40 / 30) ** 1.5, 1e-9);
  });
  it('what has to spread begins a little past emulsion, layers at light', () => {
    expect(startStage(FIVE)).to.equal(1);
    expect(startStage(demo('Tarn Corner'))).to.be.below(0.6);
    expect(startStage(setClock(FIVE, { start: 1.4 }))).to.equal(1.4);
  });
});

describe('the course of a plan', () => {
  it('each layer but the first is carried by the one before it, and every pot is coloured before its first pour', () => {
    const t = timed(FIVE);
    for (const [i, id] of ['s1', 's2', 's3', 's4'].entries())
      expect(at(t, `pour:${id}`).act.carried?.by, id).to.deep.equal(i === 0 ? undefined : [i - 1]);
    for (const pot of ['p1', 'p2'])
      expect(at(t, `pot-colour:${pot}`).endMin).to.be.at.most(
        at(t, `pour:${pot === 'p1' ? 's1' : 's2'}`).startMin + 1e-9,
      );
  });
  it('what is poured on its own colour waits for nothing: there is no other to break through to', () => {
    const twice = timed({
      ...FIVE,
      steps: FIVE.steps.map((s) => (s.id === 's2' && s.kind === 'pour' ? { ...s, pot: 'p1' } : s)),
    });
    expect(at(twice, 'pour:s2').act.carried).to.equal(undefined);
    expect(at(twice, 'pour:s2').waitMin).to.be.closeTo(0, 1e-9);
    expect(at(twice, 'pour:s4').act.carried).to.not.equal(undefined);
  });
  it('softer landings are carried sooner; a wait for a stage is kept; minutes count from the last pour', () => {
    const straight = setClock(FIVE, { blurMm: 0 });
    expect(at(timed(landAll(straight, 'spoon')), 'pour:s2').startMin).to.be.below(
      at(timed(straight), 'pour:s2').startMin,
    );
    const waits = (until: Extract<Plan['steps'][number], { kind: 'wait' }>['until']): Plan => ({
      ...FIVE,
      steps: FIVE.steps.flatMap((s) =>
        s.id === 's2' ? [{ id: 'w1', kind: 'wait', until } as const, s] : [s],
      ),
    });
    const staged = timed(waits({ kind: 'stage', stage: 3 }));
    expect(at(staged, 'pour:s2').belowStage).to.be.at.least(3 - 1e-9);
    const minutes = timed(waits({ kind: 'minutes', minutes: 90 }));
    expect(at(minutes, 'w1').startMin).to.be.closeTo(at(minutes, 'pour:s1').endMin + 90, 1e-6);
  });
  it('a scent in each jug as it is poured does not thicken the jugs that wait; in the batch it thickens all', () => {
    const scented = (moment: 'trace' | 'pour'): Plan => ({
      ...FIVE,
      pots: ['p1', 'p2', 'p3', 'p4'].map((id, i) => ({
        ...(FIVE.pots[0] as Plan['pots'][number]),
        id,
        letter: 'ABCD'[i] ?? 'A',
      })),
      steps: FIVE.steps.map((s, i) => (s.kind === 'pour' ? { ...s, pot: `p${i + 1}` } : s)),
      batter: {
        ...FIVE.batter,
        fragrances: [
          {
            ...fragrance(2),
            speed: 'quickens-much',
            doses: [{ id: 'd1', gPerKgOils: 30, moment }],
          },
        ],
      },
    });
    const [batch, each] = [timed(scented('trace')), timed(scented('pour'))];
    expect(at(each, 'pour:s4').stage).to.be.below((at(batch, 'pour:s4').stage ?? 0) - 0.5);
    expect(whole(scented('pour'))).to.be.above(whole(scented('trace')));
    // a pot that is poured twice is scented in a cup: what stays in its jug stays thin
    const twice = timed(scentAt({ ...scented('pour'), pots: FIVE.pots, steps: FIVE.steps }, 'pour'));
    const [cup, first] = [at(twice, 'pour:s1').act.cup, twice.plan.course.pots[0]];
    expect(cup?.quickens).to.have.length(1);
    // by hand: half a minute to weigh it, 0.35 to stir, which adds 0.05; in the cup it goes four times as
    // fast as in the jug
    const inJug = (first?.start ?? NaN) + 0.15 + (first?.perMinute ?? NaN) * at(twice, 'pour:s1').startMin;
    const colours = twice.acts.some((a) => a.act.key === 'pot-colour:p1') ? 0 : 0.15;
    expect(at(twice, 'pour:s1').stage).to.be.closeTo(
      inJug - colours + 0.05 + 0.85 * 3 * (first?.perMinute ?? NaN),
      1e-9,
    );
    expect(at(twice, 'pour:s1').startMin - at(twice, 'pour:s1').preparedMin).to.be.closeTo(0.85, 1e-9);
    expect(at(twice, 'pour:s1').act.prepares ?? []).to.deep.equal([]);
  });
  it('portions from their own lye are fresh whatever was waited for', () => {
    const portions = timed({ ...FIVE, divide: { kind: 'before-lye', lye: 'jug-by-jug' } });
    expect(at(portions, 'pour:s2').stage).to.be.closeTo(1, 0.05);
    expect(at(timed(FIVE), 'pour:s2').stage).to.be.above(1.2);
  });
  it('blending on, stirring loose and a warm cupboard are carried out on the day, and are on the sheet', () => {
    const plan = loosenPot(blendPot(setClock(FIVE, { warm: true }), 'p2', 1.8), 'p2', true);
    expect(at(timed(plan), 'pour:s2').act.prepares).to.have.length(1);
    const sheet = sheetJson(computePlan(plan), 50) as {
      readonly procedure: readonly { readonly id: string; readonly text: string; readonly timing?: string }[];
    };
    const texts = sheet.procedure.filter((a) => ['work:s2:p2', 'loosen:s2:p2'].includes(a.id));
    expect(texts[0]?.text).to.match(/^Blend pot B.* on until it is between light and medium \(1\.8 of 5\)/);
    expect(texts[1]?.text).to.match(/^Stir pot B.* loose/);
    const pour = sheet.procedure.find((a) => a.id === 'pour:s1');
    expect(pour?.timing)
      .to.match(/^About minute \d+:\d\d/)
      .and.to.match(/warm cupboard/);
  });
  it('of any plan never has two things in one pair of hands, and no figure that is none', () => {
    fc.assert(
      fc.property(anyTimed, (plan) => {
        expect(readPlanValue(plan).ok).to.equal(true);
        const timetable = planTimetable(plan, layPlan(plan));
        if (!timetable) return;
        let free = 0;
        for (const a of timetable.acts) {
          expect(a.preparedMin).to.be.at.least(free - 1e-9);
          expect(a.endMin).to.be.at.least(a.startMin);
          expect(Number.isFinite(a.endMin)).to.equal(true);
          free = a.endMin;
        }
      }),
      { seed: 12, numRuns: 100 },
    );
  });
});

describe('a pour kept by the clock', () => {
  it('too early breaks through and is told, with the minute from which on it is carried; one press cures it', () => {
    // nothing of the border may be rough, and it comes in a stream: that is waited for
    const straight = landAll(setClock(FIVE, { blurMm: 0 }), 'stream');
    const t = timed(straight);
    const from = at(t, 'pour:s2').carriedFromMin ?? 0;
    const early = keepAt(straight, 's2', 6);
    expect(codes(early)).to.include('clock-breaks');
    const [warning] = computePlan(early).warnings.filter((w) => w.code === 'clock-breaks');
    expect(warning?.message)
      .to.match(/breaks through/)
      .and.to.match(/carries it from/);
    expect(from).to.be.above(6);
    const cure = warning?.remedies?.find((r) => /as soon as it can be/.test(r.label));
    expect(codes(cure ? cure.apply(early) : early)).to.not.include('clock-breaks');
  });
  it('has the same remedies whether they are looked for ahead, in part, or once they are asked for', () => {
    const straight = landAll(setClock(FIVE, { blurMm: 0 }), 'stream');
    const early = keepAt(straight, 's2', 6);
    const labels = (lookFor: (seeking: Task<never, void>) => void): readonly string[] => {
      // of the same content, and another object: it is computed by itself
      const [warning] = computePlan({ ...early, name: `${early.name} ` }, new Map()).warnings.filter(
        (w) => w.code === 'clock-breaks',
      );
      if (!warning?.seeking) throw new Error('nothing is looked for');
      lookFor(warning.seeking);
      return (warning.remedies ?? []).map((r) => r.label);
    };
    const asked = labels(() => undefined);
    expect(asked).to.have.length(2);
    expect(labels((seeking) => finish(seeking))).to.deep.equal(asked);
    expect(labels((seeking) => void seeking.next())).to.deep.equal(asked);
  });
  it('too late finds its jug too thick', () => {
    const until = at(timed(FIVE), 'pour:s2').pourableUntilMin ?? 0;
    expect(codes(keepAt(FIVE, 's2', until + 2))).to.deep.equal([]);
    expect(codes(keepAt(FIVE, 's2', until + 25))).to.include('clock-too-thick');
    expect(codes(keepAt(FIVE, 's2', at(timed(FIVE), 'pour:s2').startMin))).to.deep.equal([]);
  });
  it('while hands are busy is told with both minutes, and begins when they are free', () => {
    const busy = keepAt(keepAt(FIVE, 's1', 20), 's2', 5);
    const [warning] = computePlan(busy).warnings.filter((w) => w.code === 'clock-kept-late');
    expect(warning?.message).to.match(/kept at 5:00 min, but hands are busy until 2\d:\d\d/);
    const t = timed(busy);
    expect(at(t, 'pour:s2').startMin).to.be.at.least(at(t, 'pour:s1').endMin - 1e-9);
    const cured = warning?.remedies?.[0]?.apply(busy) ?? busy;
    expect(codes(cured)).to.not.include('clock-kept-late');
  });
  it('before minute 0 is refused at its field', () => {
    const read = readPlanValue(keepAt(FIVE, 's2', -3));
    expect(read.ok ? '' : read.faults[0].at).to.equal('steps.1.atMin');
    expect(read.ok ? '' : read.faults[0].message).to.match(/-3 min is outside/);
  });
});

describe('what there is to say of any timing', () => {
  it('is told with figures, and each remedy gives a plan that the product takes, with one trouble less', () => {
    let told = 0;
    fc.assert(
      fc.property(anyTimed, (plan) => {
        const troubles = (p: Plan): number => codes(p).length;
        for (const warning of computePlan(plan).warnings.filter((w) => w.station === 'clock')) {
          told += 1;
          expect(warning.message).to.match(/\d/);
          expect(warning.message).to.not.match(/NaN|Infinity|undefined/);
          for (const remedy of warning.remedies ?? []) {
            const cured = settled(remedy.apply(plan));
            const read = readPlanValue(cured);
            expect(read.ok, read.ok ? '' : `${remedy.label}: ${read.faults[0].message}`).to.equal(true);
            if (warning.code !== 'clock-kept-late') expect(troubles(cured)).to.be.at.most(troubles(plan));
          }
        }
      }),
      { seed: 31, numRuns: 60 },
    );
    expect(told).to.be.above(20);
  });
});

describe('several batches by the same hands', () => {
  const busy = (t: Timetable, shift: number): [number, number][] => [
    [shift - 4, shift],
    ...t.acts
      .filter((a) => a.act.does !== 'wait' && a.endMin > a.preparedMin)
      .map((a): [number, number] => [a.preparedMin + shift, a.endMin + shift]),
  ];
  const meet = (a: readonly [number, number][], b: readonly [number, number][], breath = -1e-6): boolean =>
    a.some(([f, t]) => b.some(([g, u]) => f < u + breath && t + breath > g));
  it('never meet, and begin no later than a search minute by minute finds room for them', () => {
    for (const plan of demoPlans()) {
      const t = timed(plan);
      const [second, third] = woven(t, [t, t]);
      if (!second || !third) throw new Error('none');
      const own = busy(t, 0).slice(1);
      const [b, c] = [busy(t, second.startMin), busy(t, third.startMin)];
      expect(meet(own, b) || meet(own, c) || meet(b, c), plan.name).to.equal(false);
      let first = 4;
      // it leaves a breath between two jobs
      while (meet(own, busy(t, first), 0.2)) first += 0.02;
      expect(second.startMin, plan.name).to.be.within(first - 0.03, first + 0.01);
      expect(second.startMin - 4).to.be.closeTo(second.beginMin, 1e-9);
      // and so does the third, between what the first two leave
      let next = 4;
      while (meet(own, busy(t, next), 0.2) || meet(b, busy(t, next), 0.2)) next += 0.02;
      expect(third.startMin, plan.name).to.be.within(next - 0.03, next + 0.01);
    }
  });
  it('of other plans are woven in too: no two jobs meet, each keeps its minutes, in no worse an order than any', () => {
    const all = ['Slate Beds', 'Scree Steps', 'Basalt Columns', 'Peat Furrows'].map((n) => timed(demo(n)));
    const [first, ...others] = all as [Timetable, Timetable, Timetable, Timetable];
    const found = woven(first, others);
    expect(found.map((b) => b.place).toSorted()).to.deep.equal([0, 1, 2]);
    const rows = [
      busy(first, 0).slice(1),
      ...found.map((b) => busy(others[b.place] as Timetable, b.startMin)),
    ];
    for (const [i, a] of rows.entries())
      for (const b of rows.slice(i + 1)) expect(meet(a, b)).to.equal(false);
    // each is as early as it fits between those that were laid before it
    for (const [i, b] of found.entries()) {
      const before = rows.slice(0, i + 1);
      let at = 4;
      while (before.some((r) => meet(r, busy(others[b.place] as Timetable, at), 0.2))) at += 0.02;
      expect(b.startMin, `batch ${i + 2}`).to.be.within(at - 0.03, at + 0.01);
    }
    for (const b of found)
      expect(b.endMin - b.startMin).to.be.closeTo(others[b.place]?.totalMin ?? NaN, 1e-9);
    // the order in which they were asked for makes no difference
    expect(lastOf(first, woven(first, others.toReversed()))).to.be.closeTo(lastOf(first, found), 1e-9);
    expect(lastOf(first, found)).to.be.below(all.reduce((s, t) => s + t.totalMin + 4, 0));
  });
  it('of a long wait use it: both are poured sooner than one after the other', () => {
    const t = timed(landAll(setClock(FIVE, { blurMm: 0, perMinute: 0.05 }), 'low'));
    const [second, third] = woven(t, [t, t]);
    expect(second?.endMin).to.be.below(1.6 * t.totalMin);
    // the third fits between what the first two leave free, before the second is over
    const others = [busy(t, 0).slice(1), busy(t, second!.startMin)];
    let next = 4;
    while (others.some((o) => meet(o, busy(t, next), 0.2))) next += 0.02;
    expect(third!.startMin).to.be.within(next - 0.03, next + 0.01);
  });
});

const THREE = ((plan: Plan): Plan => ({
  ...plan,
  pots: [...plan.pots, { ...(plan.pots[0] as Plan['pots'][number]), id: 'p3', letter: 'C' }],
  steps: plan.steps.map((s, i) => (s.kind === 'pour' ? { ...s, pot: `p${i + 1}` } : s)),
}))(boxPlan([rest(), rest(), rest()]));

const strong = (plan: Plan): Plan => ({
  ...plan,
  batter: { ...plan.batter, fragrances: [{ ...fragrance(2), speed: 'quickens-much' }] },
});

describe('ways that are offered', () => {
  const found = (plan: Plan): Ways => {
    const ways = finish(
      searching(plan, layPlan(plan), {
        seed: 20,
        samples: 1000,
        accepts: (p) => computePlan(p).warnings.every((w) => w.level !== 'refuse'),
      }),
    );
    if (!ways) throw new Error('nothing found');
    return ways;
  };
  it('rescue five jugs with a strong scent in the batch, by different means, each a whole plan', () => {
    const { now, best } = found(demo('Scree Slump'));
    expect(now.odds.whole).to.be.below(0.5);
    expect(best).to.have.length(3);
    expect(best[0]?.odds.whole).to.be.above(0.85);
    const levers = best.map((w) =>
      w.options
        .map((o) => o.lever)
        .toSorted()
        .join(' '),
    );
    expect(new Set(levers).size).to.equal(3);
    for (const way of best) {
      const read = readPlanValue(settled(way.plan));
      expect(read.ok, read.ok ? '' : read.faults[0].message).to.equal(true);
      // what is offered is what is taken
      expect(whole(takeWay(demo('Scree Slump'), way.plan))).to.be.closeTo(way.odds.whole, 0.05);
    }
    expect(best.some((w) => w.options.some((o) => o.lever === 'scent'))).to.equal(true);
  });
  it('are as good as the best of all single and double changes, tried one by one with many samples', () => {
    const plan = landAll(setClock(FIVE, { perMinute: 0.06, batterC: 34 }), 'low');
    const { best } = found(plan);
    const trials: ((p: Plan) => Plan)[] = [
      (p) => landAll(p, 'spoon'),
      (p) => landAll(p, 'spatula'),
      (p) => setClock(p, { warm: true }),
      (p) => setClock(p, { start: 0.4 }),
      (p) => setClock(p, { start: 1.3 }),
      (p) => setClock(p, { start: 1.6 }),
      (p) => p.pots.reduce((q, pot) => loosenPot(q, pot.id, true), p),
      ...[1.4, 1.7, 2, 2.2].map((to) => (p: Plan) => p.pots.reduce((q, pot) => blendPot(q, pot.id, to), p)),
    ];
    const brute = Math.max(...trials.flatMap((a) => trials.map((b) => whole(b(a(plan))))));
    expect(best[0]?.odds.whole).to.be.at.least(brute - 0.03);
  });
  it('do to each jug and each pour only what the way needs: one of them left out more, and it is worth less', () => {
    let fewer = 0;
    for (const name of ['Scree Slump', 'Slate Beds', 'Peat Furrows']) {
      const plan = demo(name);
      const laid = layPlan(plan);
      const value = (options: readonly Option[]): number => {
        const of = courseOf(applied(plan, options), laid);
        if (!of) throw new Error('no recipe');
        const odds = finish(sampling(of.course, new Normals(20, 1000), 'feel'));
        return worth(odds.whole, options, odds.total.middle);
      };
      for (const { options } of found(plan).best)
        for (const [k, o] of options.entries()) {
          const ids = o.each?.ids ?? [];
          if (o.label.includes('pots ') || o.label.includes('pot ')) fewer += 1;
          for (const id of ids.length > 1 ? ids : []) {
            const without = o.each?.alone(ids.filter((i) => i !== id));
            if (without)
              expect(value(options.with(k, without)), `${o.label} without ${id}`).to.be.below(
                value(options) + 1,
              );
          }
        }
    }
    expect(fewer).to.be.above(0);
  });
  it('with three jugs are as good as the best of every stage and every stirring of every jug', () => {
    const plan = landAll(scentAt(setClock(strong(THREE), { perMinute: 0.05 }), 'trace'), 'low');
    const each = [
      (p: Plan) => p,
      (p: Plan, id: string) => loosenPot(p, id, true),
      (p: Plan, id: string) => blendPot(p, id, 1.7),
      (p: Plan, id: string) => blendPot(p, id, 2),
      (p: Plan, id: string) => loosenPot(blendPot(p, id, 2), id, true),
    ];
    let brute = 0;
    for (const a of each)
      for (const b of each)
        for (const c of each) brute = Math.max(brute, whole(c(b(a(plan, 'p1'), 'p2'), 'p3')));
    expect(brute).to.be.within(0.01, 1);
    expect(found(plan).best[0]?.odds.whole).to.be.at.least(brute - 0.03);
  });
  it('are the same for the same seed, and offer nothing worse than what is there', () => {
    const plan = demo('Peat Furrows');
    const [a, b] = [found(plan), found(plan)];
    expect(a.best.map((w) => w.odds.whole)).to.deep.equal(b.best.map((w) => w.odds.whole));
    for (const way of a.best) expect(way.odds.whole).to.be.at.least(a.now.odds.whole - 0.05);
  });
});

describe('demo plans', () => {
  it('have sensible clocks: they hold, in an evening’s time; only the one that is meant to slump does not', () => {
    for (const plan of demoPlans()) {
      const t = timed(plan);
      const slumps = plan.name === 'Scree Slump';
      expect(t.holds, plan.name).to.equal(!slumps);
      expect(codes(plan).length > 0, plan.name).to.equal(slumps);
      expect(whole(plan), plan.name).to.be[slumps ? 'below' : 'above'](slumps ? 0.5 : 0.68);
      expect(t.totalMin, plan.name).to.be.within(5, 120);
    }
  });
  it('five jugs: all the scent at once fails, each as it is poured works', () => {
    expect(whole(demo('Scree Slump'))).to.be.below(0.5);
    expect(whole(demo('Scree Steps'))).to.be.above(0.85);
    expect(whole(scentAt(demo('Scree Slump'), 'pour'))).to.be.above(0.85);
  });
  it('a column pour’s window closes: it has to be begun by then, and with a slower hand it is not', () => {
    const plan = demo('Basalt Columns');
    const pour = at(timed(plan), 'pour:s1');
    expect(pour.pourableUntilMin).to.be.within(pour.startMin, 30);
    const slow = setPace(plan, { colourMin: 4 });
    expect(codes(slow)).to.include('clock-too-thick');
  });
});

describe('the sheet of jugs that are coloured one by one', () => {
  type Line = { readonly mass_g: number; readonly from: string; readonly to: string };
  type Printed = {
    readonly procedure: readonly {
      readonly id: string;
      readonly timing?: string;
      readonly lines: readonly Line[];
    }[];
  };
  const printed = (p: Plan): Printed['procedure'] => (sheetJson(computePlan(p), 40) as Printed).procedure;

  it('colours each right before its own pour, at its minute; coloured all at first, as it is weighed out', () => {
    const plan = demo('Scree Steps');
    const each = printed(plan).map((a) => a.id);
    for (const { id } of plan.pots) {
      const colour = each.indexOf(`pot-colour:${id}`);
      const pour = each.findIndex((a, i) => i > colour && a.startsWith('pour:'));
      const own = plan.steps.find((s) => s.kind === 'pour' && s.pot === id)?.id ?? '';
      expect(each[pour]).to.equal(`pour:${own}`);
      expect(each.indexOf(`pot:${id}`)).to.be.below(colour);
      expect(printed(plan)[colour]?.timing).to.match(/^About minute \d+:\d\d/);
    }
    const first = printed(setClock(plan, { colouring: 'all-first' })).map((a) => a.id);
    expect(first.filter((a) => a.startsWith('pot-colour:'))).to.deep.equal([]);
  });
  it('puts the same on the scale either way, and nothing into a jug after it was poured from', () => {
    const sums = (p: Plan): Readonly<Record<string, number>> => {
      const all: Record<string, number> = {};
      for (const { lines } of printed(p))
        for (const { from, to, mass_g } of lines) {
          const key = `${from} to ${to}`;
          all[key] = Math.round(((all[key] ?? 0) + mass_g) * 1000) / 1000;
        }
      return all;
    };
    for (const plan of demoPlans()) {
      if (plan.divide.kind !== 'after-emulsion') continue;
      const each = setClock(plan, { colouring: 'each' });
      expect(sums(each), plan.name).to.deep.equal(sums(setClock(plan, { colouring: 'all-first' })));
      const order = printed(each);
      for (const { id } of plan.pots) {
        const colour = order.findIndex((a) => a.id === `pot-colour:${id}`);
        const drawn = order.findIndex((a) => a.lines.some((l) => l.from === `pot:${id}`));
        if (colour >= 0 && drawn >= 0) expect(colour, `${plan.name}, ${id}`).to.be.below(drawn);
      }
    }
  });
});

describe('the minutes on the sheet', () => {
  interface Step {
    readonly id: string;
    readonly start_min?: number;
  }
  interface Printed {
    readonly procedure: readonly {
      readonly id: string;
      readonly does: string;
      readonly chapter: string;
      readonly step: string | null;
      readonly start_min: number | null;
      readonly timing?: string;
    }[];
    readonly steps: readonly Step[];
  }
  const minuteIn = (words: string | undefined): number => {
    const [, min = '', sec = ''] = /minute (\d+):(\d\d)/.exec(words ?? '') ?? [];
    return Number(min) + Number(sec) / 60;
  };
  it('are told of every act from minute 0 on, as a number and in words, those of the steps among them; they never go back', () => {
    const told = new Set<string>();
    for (const plan of demoPlans()) {
      const sheet = sheetJson(computePlan(plan), 40) as Printed;
      let before = 0;
      let timed = false;
      for (const { id, does, step: of, chapter, start_min: min, timing } of sheet.procedure) {
        if (chapter === 'cut') continue;
        timed ||= min !== null;
        expect(min !== null, `${plan.name}, ${id}`).to.equal(timed);
        if (min === null) continue;
        expect(min, `${plan.name}, ${id}`).to.be.at.least(before);
        expect(minuteIn(timing), `${plan.name}, ${id}`).to.be.closeTo(min, 0.6 / 60);
        before = min;
        told.add(does);
        const step = sheet.steps.find((s) => s.id === of);
        // a step is timed in its own mould: what a jug needs for it, and what others like it get, come before
        // and after
        const own = !['stir-into-pot', 'blend-jug', 'loosen-jug'].includes(does) && !id.endsWith(':m1');
        if (step?.start_min !== undefined && own)
          expect(min, `${plan.name}, ${id}`).to.be.closeTo(step.start_min, 1e-9);
      }
    }
    expect([...told]).to.include.members([
      'pour',
      'wait',
      'colour-pot',
      'set-level',
      'scrape',
      'stroke',
      'pipe',
      'begin-second',
    ]);
  });
  it('go forward in any plan, timed in any way', () => {
    let timings = 0;
    fc.assert(
      fc.property(anyTimed, (plan) => {
        const sheet = sheetJson(computePlan(plan), 4) as Printed;
        let before = 0;
        for (const act of sheet.procedure) {
          if (act.start_min === null) continue;
          timings += 1;
          expect(act.start_min, act.id).to.be.at.least(before);
          before = act.start_min;
        }
      }),
      { seed: 12, numRuns: 80 },
    );
    expect(timings).to.be.above(200);
  });
});

describe('the headless sheet’s clock', () => {
  it('has minutes at each step, and odds of the whole, the interfaces and the pots, with the seed', () => {
    const plan = demo('Scree Steps');
    const sheet = sheetJson(computePlan(plan)) as {
      readonly steps: readonly Readonly<Record<string, unknown>>[];
      readonly clock: {
        readonly total_min: number;
        readonly seed: number;
        readonly samples: number;
        readonly odds: {
          readonly whole: number;
          readonly interfaces: readonly { readonly step: string; readonly holds: number }[];
          readonly pots: readonly { readonly pot: string; readonly holds: number }[];
        };
      };
    };
    const pours = sheet.steps.filter((s) => s['kind'] === 'pour');
    expect(pours.map((s) => s['carried_from_min'] === null)).to.deep.equal([
      true,
      false,
      false,
      false,
      false,
    ]);
    for (const s of pours) {
      expect(s['start_min']).to.be.at.least((s['carried_from_min'] as number | null) ?? 0);
      expect(s['pourable_until_min']).to.be.at.least(s['start_min'] as number);
    }
    const { clock } = sheet;
    expect(clock.samples).to.equal(2000);
    expect(clock.seed).to.be.a('number');
    expect(clock.odds.interfaces.map((i) => i.step)).to.deep.equal(['s2', 's3', 's4', 's5']);
    expect(clock.odds.pots).to.have.length(5);
    for (const part of [...clock.odds.interfaces, ...clock.odds.pots])
      expect(part.holds).to.be.at.least(clock.odds.whole - 1e-9);
  });
});

describe('passes laid on while all is fluid', () => {
  it('are as thin as passes of one pot are; shades of pots of their own as thick as any layer', () => {
    const windows = (['one-pot', 'separate-pots'] as const).map((school) => {
      const plan = ombrePlan(4, school);
      const laidOn: Plan = {
        ...plan,
        steps: plan.steps.map((s) => (s.kind === 'pour' && s.id !== 's1' ? { ...s, onFluid: true } : s)),
      };
      const { course, acts } = courseOf(laidOn, layPlan(laidOn))!;
      return course.acts.find((_, i) => acts[i]!.step?.id === 's3')!.window!;
    });
    const [passes, layers] = windows;
    expect(passes!.most).to.be.below(layers!.most);
    expect(layers).to.deep.equal(LANDS[ombrePlan(4).steps.find((s) => s.kind === 'pour')!.landing.how]);
  });
});

describe('a way that softens landings', () => {
  it('is called by the pours that it is for, one or several, or by all of them', () => {
    const [spooned] = landings(boxPlan([rest(), rest(), rest(), rest()]));
    const { ids, alone } = spooned!.each!;
    expect(ids).to.deep.equal(['s2', 's3', 's4']);
    expect(spooned!.label).to.equal('Spoon the layers on');
    expect(alone(['s3']).label).to.equal('Spoon on pour 3');
    expect(alone(['s2', 's4']).label).to.equal('Spoon on pours 2 and 4');
    // less trouble, but not in proportion: some of it is there with the first
    expect(alone(['s3']).cost).to.be.within(spooned!.cost / 3 + 0.1, spooned!.cost - 0.1);
  });
});

describe('the outlook of a plan', () => {
  it('goes from minute 0 to a little after the last act, and asks what matters most first', () => {
    const plan = demo('Scree Steps');
    const seen = finish(outlook(plan))!;
    const run = new Run(courseOf(plan, layPlan(plan))!.course);
    run.go();
    expect(seen.times[0]).to.equal(0);
    expect(seen.times.at(-1)).to.be.closeTo(shownUntil(run.ends.at(-1)!), 1e-9);
    expect(run.kept, 'what nobody asked to be kept').to.equal(undefined);
    for (const haze of [...seen.pots, ...seen.layers]) {
      expect(haze.low).to.have.length(seen.times.length);
      for (const [i, low] of haze.low.entries())
        if (low > haze.high[i]!) expect.fail(`${low} over ${haze.high[i]!}`);
    }
    const spreads = seen.matters.map(({ less, more }) => Math.abs(less.whole - more.whole));
    expect(spreads).to.deep.equal(spreads.toSorted((a, b) => b - a));
    expect(seen.matters.map((m) => m.name)).to.not.include('Whether fat sets in it');
    // how fast it thickens is the doubt of most weight here: known, it holds more often
    expect(seen.rateKnown).to.be.above(seen.odds.whole);
  });
});
