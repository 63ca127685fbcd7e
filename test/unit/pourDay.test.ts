import { expect } from 'chai';
import fc from 'fast-check';
import { begunBatch, noted, type Said } from '../../src/core/batch/note.ts';
import type { Batch } from '../../src/core/batch/batchSchema.ts';
import { stateOf } from '../../src/core/batch/state.ts';
import type { When } from '../../src/core/batch/when.ts';
import { colourWord } from '../../src/core/colour/colourWord.ts';
import { computePlan, type Computed } from '../../src/core/computed/compute.ts';
import type { Timetable } from '../../src/core/clock/timetable.ts';
import { massOfContents } from '../../src/core/ledger/contents.ts';
import { supplied } from '../../src/core/ledger/ledger.ts';
import { acceptable, toAccept } from '../../src/core/making/accepting.ts';
import { demandsOf } from '../../src/core/making/demands.ts';
import { beginsClock } from '../../src/core/making/divided.ts';
import { expectedNow } from '../../src/core/making/expected.ts';
import { listOfVessel } from '../../src/core/making/inJug.ts';
import { insteadOf } from '../../src/core/making/instead.ts';
import { labelsOf } from '../../src/core/making/labels.ts';
import { layingOut } from '../../src/core/making/laidOut.ts';
import { leftOver } from '../../src/core/making/leftOver.ts';
import { heldNow } from '../../src/core/making/held.ts';
import { liveTimetable, type Went } from '../../src/core/making/live.ts';
import { isNear, lyeCools } from '../../src/core/making/lyeCooling.ts';
import { elseFirst, meanwhile } from '../../src/core/making/meanwhile.ts';
import { minutesOfEvents, sinceThen } from '../../src/core/making/minute.ts';
import {
  builtOn,
  comesAfter,
  nextOf,
  stepsDone,
  toCarryOut,
  toMakeReady,
} from '../../src/core/making/order.ts';
import { paceOf } from '../../src/core/making/pace.ts';
import { doneWith, isDone, screensOf, takenBack } from '../../src/core/making/screens.ts';
import { nextIn, whoseTurn } from '../../src/core/making/turnOf.ts';
import { verdictOf } from '../../src/core/making/verdict.ts';
import { askedBefore, doneWord, signsOf, titleOf } from '../../src/core/making/words.ts';
import { pouredTooSoon } from '../../src/core/pattern/tooSoon.ts';
import { standingAfter } from '../../src/core/pattern/standingAfter.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { procedureOf, retimed } from '../../src/core/procedure/procedureOf.ts';
import { parseTemperature } from '../../src/core/units/parseTemperature.ts';
import { anyDay } from '../support/anyDay.ts';
import { demo, demoPlans } from '../support/plans.ts';

const MIN_MS = 60_000;

const at = (min: number, clock = 'c'): When => ({
  utcMs: 1_800_000_000_000 + Math.round(min * MIN_MS),
  running: { clock, ms: 1e6 + min * MIN_MS },
});

/** A batch of which these things were written, one after another. */
const written = (plan: Plan, says: readonly (readonly [When, Said])[]): Batch =>
  says.reduce(
    (b, [when, said], i) => noted(b, said, { id: `e${i}`, device: 'd', at: when }),
    begunBatch(plan, 'b', at(0)),
  );

/** Everything of a clock up to one of its jobs, done when it is planned. */
const asPlanned = (clock: Timetable, jobs: number): Went => ({
  done: new Map(
    clock.acts
      .slice(0, jobs)
      .flatMap((t) => t.about.of.map((id) => [id, t.endMin] as const))
      .filter(([id]) => !clock.acts.slice(jobs).some((t) => t.about.of.includes(id))),
  ),
  readings: [],
});

/** Between two jobs of one act. */
const parts = ({ acts }: Timetable, jobs: number): boolean =>
  acts
    .slice(0, jobs)
    .some((t) => t.about.of.some((id) => acts.slice(jobs).some((u) => u.about.of.includes(id))));

const clockOf = ({ clock }: Computed): Timetable => {
  if (!clock) throw new Error('no clock');
  return clock;
};

const starts = (clock: Timetable): readonly number[] => clock.acts.map((a) => a.startMin);

describe('the clock of a day under way', () => {
  const all = demoPlans().map((plan) => computePlan(plan));

  it('that goes as planned is the plan’s own at every moment', () => {
    for (const computed of all) {
      const clock = clockOf(computed);
      for (let n = 0; n <= clock.acts.length; n += 1) {
        // what is of no act by itself goes with the job after it
        if (parts(clock, n) || clock.acts[n - 1]?.about.of.length === 0) continue;
        const now = clock.acts[n - 1]?.endMin ?? 0;
        const live = liveTimetable(computed, asPlanned(clock, n), now);
        const told = live ? starts(live) : [];
        // of an act that is several jobs it is known when all of it was done: the first of them about
        const about = (i: number): number => (parts(clock, i + 1) || parts(clock, i) ? 0.5 : 1e-6);
        starts(clock).forEach((min, i) =>
          expect(told[i], `${computed.plan.name}, job ${i} after ${n}`).to.be.closeTo(min, about(i)),
        );
        expect(expectedNow(computed, live as Timetable, new Map())).to.deep.equal([]);
      }
    }
  });

  it('what is still to come begins no sooner than now, and what is late puts the rest off, never before', () => {
    for (const computed of all) {
      const clock = clockOf(computed);
      const middle = Math.floor(clock.acts.length / 2);
      const half = parts(clock, middle) ? middle + 1 : middle;
      const went = asPlanned(clock, half);
      const now = (clock.acts[half - 1]?.endMin ?? 0) + 9;
      const live = liveTimetable(computed, went, now) as Timetable;
      live.acts.forEach((a, i) => {
        if (i < half) expect(a.endMin).to.be.closeTo(clock.acts[i]?.endMin ?? 0, 1e-6);
        else expect(a.startMin, `${computed.plan.name} ${i}`).to.be.at.least(now - 1e-9);
      });
      expect(live.totalMin).to.be.at.least(clock.totalMin - 1e-9);
    }
  });

  it('batter that is read thicker closes its windows sooner, thinner later', () => {
    const computed = computePlan(demo('Copper Weir'));
    const pot = computed.plan.pots[4]?.id ?? '';
    const read = (stage: number): Timetable =>
      liveTimetable(
        computed,
        { done: new Map(), readings: [{ id: 'r', pot, min: 8, stage }] },
        8,
      ) as Timetable;
    const until = (t: Timetable): number =>
      t.acts.findLast((a) => a.about.step?.kind === 'pour')?.pourableUntilMin ?? NaN;
    expect(until(read(2))).to.be.below(until(read(1)) - 1);
    expect(until(read(1))).to.be.below(until(read(0.6)));
  });

  it('what is seen of a jug is so from then on, also where too little has grown to tell of its rate', () => {
    const computed = computePlan(demo('Copper Weir'));
    const pot = computed.plan.pots[1]?.id ?? '';
    const read = (stage: number): Timetable =>
      liveTimetable(
        computed,
        { done: new Map(), readings: [{ id: 'r', pot, min: 0.1, stage }] },
        0.1,
      ) as Timetable;
    const second = (t: Timetable) => t.acts.filter((a) => a.about.step?.kind === 'pour')[1];
    const stirred = (second(read(2))?.firstStage ?? NaN) - (second(read(1))?.firstStage ?? NaN);
    expect(stirred).to.be.closeTo(1, 0.1);
    expect(
      expectedNow(computed, read(3.5), new Map())
        .map((e) => e.says)
        .join(' '),
    ).to.match(/Pour 2.*too thick/);
  });

  it('what is seen of a layer is what it bears as from then on: the wait for it goes by that', () => {
    const computed = computePlan(demo('Copper Weir'));
    const clock = clockOf(computed);
    const wait = clock.acts.findIndex((a) => a.act.does === 'wait');
    const pour = clock.acts[wait - 1];
    const [layer, step] = [pour?.about.of[0], pour?.about.step];
    if (!pour || layer === undefined || step?.kind !== 'pour') throw new Error('no layer');
    const went = asPlanned(clock, wait);
    const min = pour.endMin + 1;
    const over = (stage: number): number =>
      liveTimetable(
        computed,
        { ...went, readings: [{ id: 'r', pot: step.pot, min, stage, lying: true, layer }] },
        min,
      )?.acts[wait]?.endMin ?? NaN;
    expect(over(3)).to.be.closeTo(min, 1e-6);
    expect(over(1.5)).to.be.above(over(2.2));
    expect(over(2.2)).to.be.above(min);
  });

  it('a reading of what the model has at that minute changes nothing', () => {
    const computed = computePlan(demo('Copper Weir'));
    const clock = clockOf(computed);
    const pour = clock.acts.find(
      (a) => a.about.step?.kind === 'pour' && a.firstStage !== undefined && !a.act.cup,
    );
    const step = pour?.about.step;
    if (!pour || step?.kind !== 'pour') throw new Error('no pour');
    const n = clock.acts.indexOf(pour);
    const went = asPlanned(clock, n);
    const stage = pour.firstStage ?? 0;
    const live = liveTimetable(
      computed,
      { ...went, readings: [{ id: 'r', pot: step.pot, min: pour.startMin + 1e-3, stage }] },
      pour.preparedMin,
    ) as Timetable;
    expect(live.totalMin).to.be.closeTo(clock.totalMin, 0.05);
  });

  it('says what it now expects to break: pots that stand too long', () => {
    const computed = computePlan(demo('Slate Beds'));
    const clock = clockOf(computed);
    const first = clock.acts.findIndex((a) => a.about.step?.kind === 'pour');
    const went = asPlanned(clock, first + 1);
    const late = liveTimetable(computed, went, 150) as Timetable;
    const expected = expectedNow(computed, late, went.done);
    expect(expected.map((e) => e.says).join(' ')).to.match(/too thick|comes when/);
    const acts = procedureOf(computed);
    const pour = retimed(computed, acts, late).find((a) => a.id === expected[0]?.act);
    expect(pour?.timed && verdictOf(pour.timed, 150)?.is).to.equal('late');
  });

  it('another act first: told what it changes', () => {
    const computed = computePlan(demo('Copper Weir'));
    const acts = procedureOf(computed);
    const clock = clockOf(computed);
    const went = asPlanned(clock, 2);
    const colour = acts.find((a) => a.id === 'pot-colour:p5');
    if (!colour) throw new Error('no such act');
    const told = insteadOf(computed, went, clock.acts[1]?.endMin ?? 0, colour);
    expect(told).to.match(/^The day ends (when it would have|[\d.]+ min (later|sooner))\./);
  });
});

describe('whether it is the moment', () => {
  it('waits, goes and is late, in that order, whatever the window', () => {
    const order = ['wait', 'go', 'late'];
    fc.assert(
      fc.property(
        fc.record({
          atMin: fc.double({ min: 0, max: 60, noNaN: true }),
          carriedFromMin: fc.option(fc.double({ min: 0, max: 60, noNaN: true }), { nil: undefined }),
          pourableUntilMin: fc.option(fc.double({ min: 0, max: 200, noNaN: true }), { nil: undefined }),
          fluidUntilMin: fc.option(fc.double({ min: 0, max: 200, noNaN: true }), { nil: undefined }),
        }),
        (timing) => {
          const seen = Array.from({ length: 90 }, (_, i) => {
            const v = verdictOf(timing as never, i * 3);
            return v ? order.indexOf(v.is) : -1;
          }).filter((x) => x >= 0);
          expect(seen).to.deep.equal(seen.toSorted((a, b) => a - b));
        },
      ),
    );
  });

  it('a wait is over when the clock says, and tells how long', () => {
    expect(verdictOf({ atMin: 3, untilMin: 8 }, 5)).to.deep.equal({ is: 'wait', untilMin: 8 });
    expect(verdictOf({ atMin: 3, untilMin: 8 }, 8.1)).to.deep.equal({ is: 'go' });
    expect(verdictOf({ atMin: 3 }, 8)).to.equal(undefined);
    expect(verdictOf({ atMin: 3, pourableUntilMin: 9 }, 8)).to.deep.equal({ is: 'go', untilMin: 9 });
  });
});

describe('what is gone through on the day', () => {
  it('turns of a pour come to what its act takes of each pot, and end it', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const acts = toCarryOut(procedureOf(computed));
      const screens = screensOf(acts);
      expect(new Set(screens.map((s) => s.id)).size).to.equal(screens.length);
      for (const act of acts) {
        const own = screens.filter((s) => s.act === act);
        const last = own.at(-1);
        if (!last) throw new Error('an act without a screen');
        expect(doneWith(screens, last)).to.include(act.id);
        if (own.length === 1) continue;
        const copies = Math.max(...act.lines.map((l) => l.times));
        const turned = own.reduce((s, x) => s + (x.turn?.massG ?? 0), 0) * copies;
        const weighed = act.lines.reduce((s, l) => s + l.massG * l.times, 0);
        expect(turned, `${plan.name} ${act.id}`).to.be.closeTo(weighed, 1 + own.length * 0.5);
        expect(doneWith(screens, own[0] ?? last)).to.deep.equal([own[0]?.id]);
      }
    }
  });

  it('a turn is taken back with its act, and those before it stay done', () => {
    const acts = toCarryOut(procedureOf(computePlan(demo('Basalt Columns'))));
    const screens = screensOf(acts);
    const turns = screens.filter((s) => s.turn);
    const third = turns[2];
    if (!third) throw new Error('no turns');
    const whole = { done: new Map([[third.act.id, at(1)]]) };
    expect(turns.every((t) => isDone(t, whole))).to.equal(true);
    const back = takenBack(screens, third, whole);
    expect(back.undone).to.deep.equal([third.act.id]);
    expect(back.done).to.deep.equal(turns.slice(0, 2).map((t) => t.id));
    const then = { done: new Map([...back.done.map((id) => [id, at(1)] as const)]) };
    expect(screens.filter((s) => s.turn).findIndex((s) => !isDone(s, then))).to.equal(2);
  });

  it('what something was done upon cannot be taken back before that', () => {
    for (const plan of demoPlans()) {
      const acts = procedureOf(computePlan(plan));
      const all = toCarryOut(acts);
      const done = new Map(all.map((a) => [a.id, at(0)]));
      const state = { done };
      for (const act of all) {
        if (builtOn(acts, state, act)) continue;
        // without it nothing that is done has been done too soon
        const rest = { done: new Map([...done].filter(([id]) => id !== act.id)) };
        expect(
          all.filter((a) => rest.done.has(a.id)).every((a) => comesAfter(acts, rest, a) !== act),
        ).to.equal(true);
      }
      expect(builtOn(acts, state, all[0] as never), plan.name).to.not.equal(undefined);
    }
  });

  it('every act has its title, the word for done, and what can come first instead is allowed', () => {
    for (const plan of demoPlans()) {
      const acts = procedureOf(computePlan(plan));
      const state = { done: new Map<string, When>() };
      for (let next = nextOf(acts, state); next; next = nextOf(acts, state)) {
        expect(titleOf(next, plan), next.id).to.match(/^[A-Z0-9].{2,}/);
        expect(doneWord(next)).to.match(/^[A-Z]\w+/);
        for (const other of elseFirst(acts, state, next))
          expect(comesAfter(acts, state, other)).to.equal(undefined);
        expect(meanwhile(acts, state, next)).to.not.include(next);
        state.done.set(next.id, at(0));
      }
      expect(nextOf(acts, state)).to.equal(undefined);
    }
  });

  it('asks for undispersed powder and an old tint before each colouring, and signs for each pour and wait', () => {
    const acts = procedureOf(computePlan(demo('Copper Weir')));
    const asked = acts.filter((a) => askedBefore(a) !== undefined).map((a) => a.deed.does);
    expect(new Set(asked)).to.deep.equal(new Set(['colour-pot']));
    expect(asked).to.have.length(5);
    for (const act of acts)
      if (act.deed.does === 'pour' || act.deed.does === 'wait' || act.deed.does === 'prop')
        expect(signsOf(act)?.early, act.id).to.match(/\w/);
  });

  it('the clock begins before the first act that it times, once', () => {
    for (const plan of demoPlans()) {
      const acts = toCarryOut(procedureOf(computePlan(plan)));
      const at0 = acts.filter((a) => beginsClock(acts, { zero: undefined }, a.id));
      expect(at0, plan.name).to.have.length(1);
      expect(at0[0]?.timed?.atMin).to.be.closeTo(0, 1e-9);
      expect(beginsClock(acts, { zero: at(0) }, at0[0]?.id)).to.equal(false);
    }
  });
});

describe('lye is accepted by its weight', () => {
  it('every draw of lye waits for it; more than planned is refused with its number, less and as much is not', () => {
    fc.assert(
      fc.property(anyDay, fc.double({ min: 0.01, max: 2, noNaN: true }), ({ plan, happened }, times) => {
        const computed = computePlan(plan, happened);
        const acts = toCarryOut(procedureOf(computed));
        const none = { weighed: new Map() };
        for (const act of acts) {
          const waits = toAccept(act, none);
          expect(waits.map((w) => w.line)).to.deep.equal(act.lines.filter((l) => l.lye));
          for (const { key, line } of waits) {
            const massG = line.massG * line.times;
            const accepted = {
              weighed: new Map([[act.id, { lines: new Map([[key, { massG, device: 'd' }]]) }]]),
            };
            expect(toAccept(act, accepted).some((w) => w.key === key)).to.equal(false);
            expect(acceptable(plan, line, massG).ok).to.equal(true);
            const step = plan.units.scaleStepG;
            const shown = acceptable(plan, line, massG * times);
            const all = line.from.kind === 'lye' && line.to.kind === 'oils';
            if (massG * times <= massG) expect(shown.ok).to.equal(true);
            if (massG * times > massG * (all ? 1.05 : 1) + step) {
              expect(shown.ok).to.equal(false);
              expect(shown.ok || shown.fault.code).to.equal('too-much-lye');
              expect(shown.ok || shown.fault.message).to.match(/\d/);
            }
          }
        }
        // whatever is weighed of pellets, nothing is rounded up
        const pellets = acts.flatMap((a) => a.lines).find((l) => l.lye && l.from.kind === 'supply');
        if (pellets)
          expect(acceptable(plan, pellets, pellets.massG + plan.units.scaleStepG).ok).to.equal(false);
      }),
      { numRuns: 12 },
    );
  });

  it('nothing, or less than nothing, is no weight', () => {
    const plan = demo('Copper Weir');
    const line = procedureOf(computePlan(plan))
      .flatMap((a) => a.lines)
      .find((l) => l.lye);
    if (!line) throw new Error('no lye');
    for (const g of [0, -5, NaN]) expect(acceptable(plan, line, g).ok).to.equal(false);
  });
});

describe('what is made ready', () => {
  it('has all that the ledger takes from the shelf, each thing once, gram for gram', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const acts = procedureOf(computed);
      const all = layingOut(plan, toMakeReady(acts), toCarryOut(acts));
      expect(new Set(all.map((x) => x.id)).size, plan.name).to.equal(all.length);
      const stores = all.reduce((s, x) => s + (x.massG ?? 0), 0);
      const books = [computed, computed.second].flatMap((c) => (c?.weights ? [c.weights.ledger] : []));
      const taken = books.reduce((s, ledger) => s + massOfContents(supplied(ledger)), 0);
      // what has no weight of its own, a clean cup, is not among them
      expect(stores, plan.name).to.be.closeTo(taken, 0.02 * taken);
      for (const pot of plan.pots)
        if (acts.some((a) => a.id === `pot:${pot.id}`))
          expect(
            all.some((x) => x.pot?.id === pot.id),
            `${plan.name} ${pot.letter}`,
          ).to.equal(true);
      expect(all.filter((x) => x.group === 'protect').length).to.be.at.least(4);
    }
  });

  it('jugs have a label each, the lye’s first and as a danger', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const labels = labelsOf(computed);
      expect(labels[0]?.danger, plan.name).to.equal(true);
      expect(new Set(labels.map((l) => l.key)).size).to.equal(labels.length);
      expect(labels.every((l) => l.massG > 0 && l.letter !== '')).to.equal(true);
      expect(labels.filter((l) => l.pot !== undefined).map((l) => l.letter)).to.include('A');
    }
  });

  it('a jug’s list has what goes into it and out of it', () => {
    const acts = toCarryOut(procedureOf(computePlan(demo('Copper Weir'))));
    const list = listOfVessel(acts, 'pot:p2', { done: new Map([['pot:p2', at(0)]]) });
    expect(list.map((l) => [l.massG > 0, l.done])).to.deep.equal([
      [true, true],
      [true, false],
      [true, false],
      [false, false],
    ]);
  });

  it('colour words are those that the named colours of CSS have', () => {
    // CSS Color Module Level 4, named colours (W3C)
    const named = {
      '#ffffff': 'white',
      '#000000': 'black',
      '#808080': 'grey',
      '#8b4513': 'brown',
      '#808000': 'olive',
      '#ffa500': 'orange',
      '#008080': 'teal',
      '#663399': 'dark purple',
      '#000080': 'dark blue',
      '#006400': 'dark green',
      '#fffdd0': 'cream',
      '#8b0000': 'dark red',
    };
    for (const [hex, word] of Object.entries(named)) expect(colourWord(hex), hex).to.equal(word);
  });

  it('a day that ends after midnight, and a pour that arms are too short for, are said', () => {
    const computed = computePlan(demo('Copper Weir'));
    expect(demandsOf(computed, new Date(2026, 5, 1, 9, 0))).to.deep.equal([]);
    expect(demandsOf(computed, new Date(2026, 5, 1, 23, 30)).join(' ')).to.match(/after midnight/);
    const { clock } = computed;
    const held = clock && {
      ...clock,
      acts: clock.acts.map((a) => (a.act.does === 'pour' ? { ...a, endMin: a.startMin + 12 } : a)),
    };
    expect(demandsOf({ ...computed, clock: held }, new Date(2026, 5, 1, 9, 0))[0]).to.match(
      /Pour 1 is held for about 12 min: arms tire/,
    );
  });

  it('two walls at once have a pace: both jugs together what the act takes, over its minutes', () => {
    const two = demoPlans()
      .map((plan) => computePlan(plan))
      .flatMap((c) => procedureOf(c).flatMap((act) => paceOf(c, act) ?? []));
    for (const p of two) {
      expect(p.firstG + p.secondG).to.be.closeTo(p.massG, 1e-9);
      expect(p.gramsPerSecond * p.minutes * 60).to.be.closeTo(p.massG, 1e-6);
    }
    expect(two.length).to.be.above(0);
  });
});

describe('the lye as it cools', () => {
  const plan = demo('Copper Weir');
  const { lyeC } = plan.batter.temperatures;

  it('by two readings of Newton’s law it is at its mark when the law says', () => {
    // T = room + (T0 - room) exp(-t / tau); Newton's law of cooling, closed form
    const room = 20;
    const tau = 31;
    const law = (min: number): number => room + 60 * Math.exp(-min / tau);
    const shown = [5, 20].map((min) => ({ min, celsius: law(min) }));
    const cools = lyeCools(plan, { peakC: 90, solutionG: 500 }, shown, 25);
    expect(cools.measured).to.equal(true);
    expect(cools.nowC).to.be.closeTo(law(25), 1e-6);
    expect(25 + (cools.inMin ?? NaN)).to.be.closeTo(tau * Math.log(60 / (lyeC - room)), 1e-6);
  });

  it('falls from its peak until then, and is near once it is', () => {
    const of = { peakC: 85, solutionG: 523 };
    expect(lyeCools(plan, of, [], 0).nowC).to.be.closeTo(85, 1e-9);
    expect(isNear(lyeCools(plan, of, [], 0))).to.equal(false);
    expect(isNear(lyeCools(plan, of, [], 300))).to.equal(true);
    expect(lyeCools(plan, of, [{ min: 10, celsius: lyeC }], 12).inMin).to.equal(0);
  });

  it('temperatures are read as they are written', () => {
    expect(parseTemperature('90 F', 'C')).to.deep.equal({ ok: true, value: (90 - 32) / 1.8 });
    expect(parseTemperature('32,5', 'C')).to.deep.equal({ ok: true, value: 32.5 });
    expect(parseTemperature('warm', 'C').ok).to.equal(false);
  });
});

describe('minutes of a batch', () => {
  const plan = demo('Copper Weir');

  it('are counted from when it was divided, by the running clocks, across pages that come and go', () => {
    const batch = written(plan, [
      [at(0), { does: 'done', act: 'x' }],
      [at(10), { does: 'divided' }],
      [at(14), { does: 'done', act: 'y' }],
    ]);
    const { zero, done } = stateOf(batch);
    const minuteOf = minutesOfEvents(batch, zero);
    expect(minuteOf?.(done.get('y') as When)).to.be.closeTo(4, 1e-9);
    expect(minuteOf?.(done.get('x') as When)).to.equal(0);
    // the page was closed at 20, and another one opened at 31: its wall clock an hour back
    const after: When[] = [
      at(20),
      { utcMs: at(31).utcMs, running: { clock: 'd', ms: 5 } },
      { utcMs: at(35).utcMs - 3_600_000, running: { clock: 'd', ms: 5 + 4 * MIN_MS } },
    ];
    expect(sinceThen(batch, zero as When, after)).to.deep.equal({ ms: 25 * MIN_MS, atLeast: false });
    expect(minutesOfEvents(batch, undefined)).to.equal(undefined);
  });

  it('of several batches the one that is late comes first, one that waits after one that can go', () => {
    const computed = computePlan(plan);
    const acts = toCarryOut(procedureOf(computed));
    const until = (id: string): readonly (readonly [When, Said])[] => [
      ...acts
        .slice(
          0,
          acts.findIndex((a) => a.id === id),
        )
        .flatMap((a): (readonly [When, Said])[] => [
          ...(beginsClock(acts, { zero: undefined }, a.id)
            ? [[at(0), { does: 'divided' as const }] as const]
            : []),
          [at(a.timed?.atMin ?? 0), { does: 'done', act: a.id }] as const,
        ]),
    ];
    const wait = acts.find((a) => a.deed.does === 'wait');
    const last = acts.findLast((a) => a.deed.does === 'pour');
    if (!wait || !last) throw new Error('nothing waits');
    const batch = written(plan, until(wait.id));
    const zeroAt = wait.timed?.atMin ?? 0;
    const soon = nextIn(batch, () => zeroAt + 1);
    const late = nextIn({ ...written(plan, until(last.id)), id: 'late' }, () => 400);
    const fresh = nextIn(written(plan, []), () => 0);
    expect(soon.act?.id).to.equal(wait.id);
    expect(late.verdict?.is).to.equal('late');
    expect(whoseTurn([fresh, soon, late]).map((n) => n.batch.id)[0]).to.equal('late');
    expect(whoseTurn([fresh, soon])[0]).to.equal(soon);
  });
});

describe('the mould while it is filled', () => {
  it('stands with the layers whose steps are done, tilted as it was left, and whole at the end', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const acts = toCarryOut(procedureOf(computed));
      const [mould] = computed.moulds;
      const none = standingAfter(mould, () => false);
      expect(none.layers).to.have.length(0);
      expect(none.tilt.rollDeg).to.equal(0);
      const all = standingAfter(mould, () => true);
      expect(all.layers).to.equal(mould.stack.layers);
      const done = new Set<string>();
      let before = 0;
      for (const act of acts) {
        done.add(act.id);
        const ids = stepsDone(acts, done);
        const stands = standingAfter(mould, (s) => ids.has(s.id));
        expect(stands.layers.length, plan.name).to.be.at.least(before);
        before = stands.layers.length;
      }
      expect(before).to.equal(mould.stack.layers.length);
    }
  });

  it('poured too soon, a layer runs into what lies below it; with all else as it would stand', () => {
    const computed = computePlan(demo('Copper Weir'));
    const [mould] = computed.moulds;
    const pours = computed.plan.steps.filter((s) => s.kind === 'pour');
    const [first, second] = pours;
    if (!first || !second) throw new Error('too few');
    const done = (id: string): boolean =>
      computed.plan.steps.findIndex((s) => s.id === id) <= computed.plan.steps.indexOf(first);
    const soon = pouredTooSoon(mould, (s) => done(s.id), second.id);
    const right = standingAfter(mould, (s) => done(s.id) || s.id === second.id);
    expect(soon.layers.map((l) => l.pour.id)).to.deep.equal(right.layers.map((l) => l.pour.id));
    expect(right.bodies.every((b) => b.kind === 'layer')).to.equal(true);
    expect(soon.bodies.some((b) => b.kind === 'block')).to.equal(true);
    expect(soon.tilt).to.deep.equal(right.tilt);
  });

  it('what is left over is what vessels hold by the book, moulds not among them', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const acts = procedureOf(computed);
      const done = new Map(toCarryOut(acts).map((a) => [a.id, at(0)]));
      const held = heldNow(computed, acts, { done, weighed: new Map() });
      for (const { vessel, massG } of leftOver(toCarryOut(acts), held)) {
        expect(vessel.kind).to.not.match(/mould|layer|supply/);
        expect(massG).to.be.closeTo(held.get(vessel.key) ?? 0, 1e-9);
      }
    }
  });
});
