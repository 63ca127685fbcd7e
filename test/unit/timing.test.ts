import { expect } from 'chai';
import fc from 'fast-check';
import { finish } from '../../src/core/task/task.ts';
import type { Course, CourseAct } from '../../src/core/timing/course.ts';
import { BACK_AFTER_MIN, BLEND_MIN, LOOSENED, SOFT } from '../../src/core/timing/estimates.ts';
import { Normals } from '../../src/core/timing/normals.ts';
import { sampling } from '../../src/core/timing/odds.ts';
import { Run } from '../../src/core/timing/run.ts';
import { FAILS, type Turns } from '../../src/core/timing/turns.ts';
import { layersOf, type LayersOf } from '../support/courses.ts';

const anyLayers = fc.record({
  pots: fc.integer({ min: 1, max: 7 }),
  perMinute: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
  start: fc.double({ min: 0, max: 2, noNaN: true }),
  factor: fc.double({ min: 0.5, max: 10, noNaN: true }),
  scent: fc.constantFrom('none', 'batch', 'colour', 'pour'),
  colouring: fc.constantFrom('each', 'all-first'),
  lands: fc.constantFrom('stream', 'low', 'spatula', 'spoon'),
  blendTo: fc.constantFrom(undefined, 1.2, 1.9),
}) as fc.Arbitrary<LayersOf>;

const anyTurns: fc.Arbitrary<Turns> = fc.record({
  doubts: fc.array(fc.double({ min: -0.6, max: 0.6, noNaN: true }), { minLength: 2, maxLength: 2 }),
  pace: fc.double({ min: 0.5, max: 2, noNaN: true }),
});

const withAct = (course: Course, i: number, change: Partial<CourseAct>): Course => ({
  ...course,
  acts: course.acts.map((a, k) => (k === i ? { ...a, ...change } : a)),
});

describe('one pair of hands', () => {
  it('never does two things at once, whatever the batter does and whatever is kept by the clock', () => {
    fc.assert(
      fc.property(
        anyLayers,
        anyTurns,
        fc.array(fc.double({ min: 0, max: 30, noNaN: true }), { maxLength: 20 }),
        (layers, turns, kept) => {
          const course = layersOf(layers);
          const run = new Run(course);
          for (const more of [{}, { kept: course.acts.map((_, i) => kept[i] ?? 0) }]) {
            run.go({ ...turns, ...more });
            let free = 0;
            for (let i = 0; i < course.acts.length; i += 1) {
              expect(run.prepared[i]).to.be.at.least(free - 1e-9);
              expect(run.starts[i]).to.be.at.least((run.prepared[i] ?? 0) - 1e-9);
              expect(run.ends[i]).to.be.at.least(run.starts[i] ?? 0);
              expect(run.waited[i]).to.be.at.least(-1e-9);
              free = run.ends[i] ?? 0;
            }
          }
        },
      ),
      { seed: 5, numRuns: 300 },
    );
  });
});

describe('the earliest of everything', () => {
  /** Waits before every pour on a grid: the soonest end at which each layer carries the next. */
  function soonest(course: Course, stepMin: number): number {
    const run = new Run(course);
    run.go();
    const latest = Math.max(...run.starts) + 3 * stepMin;
    const pours = course.acts.flatMap((a, i) => (a.does === 'pour' ? [i] : []));
    let best = Infinity;
    const kept = new Float64Array(course.acts.length);
    const place = (k: number, from: number): void => {
      const i = pours[k];
      if (i === undefined) {
        run.go({ kept });
        const carried = course.acts.every(
          (a, j) => !a.carried || (run.below[j] ?? 0) >= (a.carried.stage ?? 0) - 1e-9,
        );
        if (carried) best = Math.min(best, run.ends.at(-1) ?? Infinity);
        return;
      }
      for (let at = from; at <= latest; at += stepMin) {
        kept[i] = at;
        place(k + 1, at);
      }
    };
    place(0, 0);
    return best;
  }
  for (const layers of [
    { pots: 3, scent: 'pour' },
    { pots: 3, scent: 'batch' },
    { pots: 3, perMinute: 0.2, lands: 'spoon' },
  ] as const)
    it(`is best: no choice of waits on a fine grid ends sooner and is carried (${JSON.stringify(layers)})`, () => {
      const course = layersOf(layers);
      const run = new Run(course);
      run.go();
      const stepMin = 0.25;
      const grid = soonest(course, stepMin);
      expect(run.ends.at(-1)).to.be.at.most(grid + 1e-9);
      // the grid comes within a step for each of its pours
      expect(grid).to.be.at.most((run.ends.at(-1) ?? 0) + 3 * stepMin);
    });
});

describe('windows', () => {
  it('open when what is below carries, and close when a pot is as thick as its technique takes', () => {
    fc.assert(
      fc.property(anyLayers, (layers) => {
        const course = layersOf(layers);
        const run = new Run(course);
        run.go();
        for (const [i, act] of course.acts.entries()) {
          const until = run.pourableUntil[i] ?? Infinity;
          const from = run.carriedFrom[i] ?? -Infinity;
          const free = i > 0 ? (run.ends[i - 1] ?? 0) : 0;
          if (act.window && Number.isFinite(until) && until > free && act.prepares === undefined) {
            const late = new Run(withAct(course, i, { at: until }));
            late.go();
            expect(late.thickest[i]).to.be.closeTo(act.window.most, 1e-6);
          }
          if (act.carried && from > free && act.prepares === undefined) {
            const just = new Run(withAct(course, i, { at: from }));
            just.go();
            expect(just.below[i]).to.be.closeTo(act.carried.stage ?? NaN, 1e-6);
            const early = new Run(withAct(course, i, { at: from - 1 }));
            early.go();
            expect(early.below[i]).to.be.below(act.carried.stage ?? NaN);
          }
        }
      }),
      { seed: 6, numRuns: 200 },
    );
  });
  it('too early breaks through, a little early only dents; too late is too thick', () => {
    const course = layersOf({ pots: 2, perMinute: 0.1 });
    const second = course.acts.findIndex((a) => a.key === 'pour 1');
    const run = new Run(course);
    run.go();
    const from = run.carriedFrom[second] ?? 0;
    const failsAt = (at: number): number => {
      const other = new Run(withAct(course, second, { at }));
      other.go();
      return other.fails[second] ?? 0;
    };
    const dents = from - (0.9 * SOFT) / 0.1;
    expect(failsAt(dents)).to.equal(0);
    expect(failsAt(dents - 1.5) & FAILS.breaks).to.equal(FAILS.breaks);
    // beyond its end a window is doubtful; half a stage on it fails
    const until = run.pourableUntil[second] ?? 0;
    expect(failsAt(until + (0.9 * SOFT) / 0.1)).to.equal(0);
    expect(failsAt(until + (1.1 * SOFT) / 0.1) & FAILS.tooThick).to.equal(FAILS.tooThick);
  });
});

describe('what is done to a pot', () => {
  const one = (prepares: NonNullable<CourseAct['prepares']>[number], at: number): Run => {
    const course = layersOf({ pots: 1 });
    const run = new Run(withAct(course, 1, { at, prepares: [prepares] }));
    run.go();
    return run;
  };
  it('stirred loose it is half a stage thinner, and has it back within two minutes', () => {
    const plain = one({ pot: 0, minutes: 0, adds: 0, quickens: [] }, 10);
    const loose = one({ pot: 0, minutes: 0, adds: 0, quickens: [], loosens: true }, 10);
    expect((plain.thickest[1] ?? 0) - (loose.thickest[1] ?? 0)).to.be.closeTo(LOOSENED, 1e-9);
    expect(loose.layerFlows(0, 10 + BACK_AFTER_MIN)).to.be.closeTo(
      plain.layerFlows(0, 10 + BACK_AFTER_MIN),
      1e-9,
    );
    const back = loose.layerFlowsFrom(0, 1.5);
    expect(loose.layerFlows(0, back)).to.be.closeTo(1.5, 1e-9);
  });
  it('blended on it is as thick as wanted at once, however far that is, and thickens 1.15 times as fast', () => {
    const run = one({ pot: 0, minutes: 0, adds: 0, quickens: [], blendTo: 2 }, 5);
    expect(run.thickest[1]).to.be.closeTo(2, 1e-9);
    expect((run.starts[1] ?? 0) - (run.prepared[1] ?? 0)).to.be.closeTo(BLEND_MIN, 1e-9);
    expect(run.layerFlows(0, 15) - run.layerFlows(0, 14)).to.be.closeTo(0.05 * 1.15, 1e-9);
    // what is as thick by itself is not touched
    const thick = one({ pot: 0, minutes: 0, adds: 0, quickens: [], blendTo: 1.2 }, 5);
    expect((thick.starts[1] ?? 0) - (thick.prepared[1] ?? 0)).to.be.closeTo(0, 1e-9);
  });
  it('made only then it is fresh: no wait has thickened it', () => {
    const run = one({ pot: 0, minutes: 3, adds: 0, quickens: [], makes: true }, 40);
    expect(run.thickest[1]).to.be.closeTo(1, 1e-9);
    expect(run.prepared[1]).to.be.closeTo(37, 1e-9);
  });
});

describe('odds of a course', () => {
  it('of a pot of which only where it begins is in doubt are all or nothing, far from its window’s ends', () => {
    const sure = {
      ...layersOf({ pots: 1 }),
      doubts: [
        { name: 'recipe', sd: 0 },
        { name: 'fragrance', sd: 0 },
      ],
    };
    const whole = (course: Course): number => finish(sampling(course, new Normals(1, 200), 'feel')).whole;
    expect(whole(sure)).to.equal(1);
    expect(whole(withAct(sure, 1, { window: { least: 0, most: 0 } }))).to.equal(0);
  });
  it('are never better for the whole than for its worst part', () => {
    fc.assert(
      fc.property(anyLayers, fc.constantFrom('feel', 'clock'), (layers, keeping) => {
        const odds = finish(sampling(layersOf(layers), new Normals(2, 200), keeping));
        const parts = [...odds.acts, ...odds.pots, ...odds.carried];
        expect(odds.whole).to.be.at.most(Math.min(...parts) + 1e-12);
        expect(odds.total.early).to.be.at.most(odds.total.late);
      }),
      { seed: 8, numRuns: 60 },
    );
  });
  it('kept by the clock, a rate that is out breaks layers that feel would have waited for', () => {
    const slow = layersOf({ pots: 3, lands: 'stream' });
    const by = (keeping: 'feel' | 'clock'): number =>
      Math.min(...finish(sampling(slow, new Normals(4, 2000), keeping)).carried);
    expect(by('clock')).to.be.below(by('feel'));
    // no pour lands quite as softly as the one before: one in twenty breaks where it just carries
    expect(by('feel')).to.be.above(0.9);
  });
});
