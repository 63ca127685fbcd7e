import { expect } from 'chai';
import fc from 'fast-check';
import { restUntil, stiffening, stiffeningLess } from '../../src/core/setting/rest.ts';
import { yieldStress } from '../../src/core/setting/stage.ts';
import { finish } from '../../src/core/task/task.ts';
import {
  advance,
  batter,
  beginAt,
  bearsAs,
  bearsFrom,
  lagOf,
  reaches,
  stageAt,
} from '../../src/core/timing/batter.ts';
import type { Course, CourseAct } from '../../src/core/timing/course.ts';
import {
  BACK_AFTER_MIN,
  HANDS_SD,
  JUDGED_SD,
  JUG_SD,
  LANDS_SD,
  LOOSENED,
  SOFT,
  START_SD,
} from '../../src/core/timing/estimates.ts';
import { Normals } from '../../src/core/timing/normals.ts';
import { sampling } from '../../src/core/timing/odds.ts';
import { Run } from '../../src/core/timing/run.ts';
import { FAILS } from '../../src/core/timing/turns.ts';
import { layersOf, type LayersOf } from '../support/courses.ts';
import { seeded } from '../support/random.ts';

const rates = fc.double({ min: 0.005, max: 0.5, noNaN: true });
const doubles = fc.double({ min: 0.5, max: 8, noNaN: true });

describe('batter that lies still', () => {
  it('has twice the yield stress after a while, three times after twice as long (Roussel 2006: a straight line)', () => {
    for (const [after, times] of [
      [2, 2],
      [4, 3],
      [18, 10],
    ] as const)
      expect(yieldStress(1 + stiffening(after, 2)) / yieldStress(1)).to.be.closeTo(times, 1e-9);
  });

  it('bears as a stage from the minute that a stepped integration finds', () => {
    fc.assert(
      fc.property(rates, doubles, fc.double({ min: 0.05, max: 2.5, noNaN: true }), (rate, tc, short) => {
        const until = restUntil(short, rate, tc);
        // d stage/dt = rate + 1 / (0.7 ln 10 (tc + t)), by the midpoint rule
        const steps = 4000;
        const dt = until / steps;
        let stage = 0;
        for (let i = 0; i < steps; i += 1)
          stage += dt * (rate + 1 / (0.7 * Math.LN10 * (tc + (i + 0.5) * dt)));
        expect(stage).to.be.closeTo(short, 1e-4);
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  it('carries a spoon’s 3 mm after not quite two minutes and a spatula’s 7 mm after about four, from light and 0.08 a minute', () => {
    expect(restUntil(0.5, 0.08, 2)).to.be.within(1.4, 2);
    expect(restUntil(1, 0.08, 2)).to.be.within(3.6, 4.6);
  });

  it('tells of how soon it doubles by just so much as its stage would change', () => {
    for (const rest of [0.5, 2, 9])
      for (const tc of [1, 2, 4]) {
        const e = 1e-5;
        const slope = (stiffening(rest, tc * Math.exp(e)) - stiffening(rest, tc)) / e;
        expect(stiffeningLess(rest, tc)).to.be.closeTo(-slope, 1e-4);
      }
  });
});

describe('batter as it thickens', () => {
  /** Any batter, laid to rest at some time. */
  const any = fc
    .record({
      start: fc.double({ min: 0, max: 2, noNaN: true }),
      rate: rates,
      tc: doubles,
      rested: fc.double({ min: 0, max: 6, noNaN: true }),
      loosened: fc.option(fc.double({ min: 0, max: 6, noNaN: true })),
    })
    .map(({ start, rate, tc, rested, loosened }) => {
      const b = batter();
      beginAt(b, start, 0);
      b.perMinute = rate;
      if (loosened !== null && loosened <= rested) {
        advance(b, loosened);
        b.loosened = loosened;
      }
      b.rested = rested;
      return { b, tc };
    });

  it('flows and bears as a stage from the minute that is told, not sooner', () => {
    fc.assert(
      fc.property(any, fc.double({ min: 0.1, max: 4, noNaN: true }), ({ b, tc }, stage) => {
        const flows = reaches(b, stage);
        if (flows > b.since) {
          expect(stageAt(b, flows)).to.be.closeTo(stage, 1e-6);
          expect(stageAt(b, flows - 1e-3)).to.be.at.most(stage);
        }
        const bears = bearsFrom(b, stage, tc);
        if (bears > b.rested) {
          expect(bearsAs(b, bears, tc)).to.be.closeTo(stage, 1e-6);
          expect(bearsAs(b, bears - 1e-3, tc)).to.be.at.most(stage);
        }
        expect(bears).to.be.at.most(Math.max(flows, b.since) + 1e-9);
      }),
      { seed: 12, numRuns: 500 },
    );
  });

  it('stays near emulsion for some five minutes where it is slow, for less where it is quick, and not from light on', () => {
    const seen = (start: number, rate: number): number => {
      const b = batter();
      beginAt(b, start, 0);
      b.perMinute = rate;
      return reaches(b, start + 0.01);
    };
    expect(seen(0, 0.045)).to.be.within(4, 6);
    expect(seen(0, 0.15)).to.be.within(1, 2.5);
    expect(seen(1, 0.045)).to.be.closeTo(0.01 / 0.045, 1e-9);
    expect(lagOf(1.5)).to.equal(0);
  });
});

describe('a course that rests', () => {
  const anyLayers = fc.record({
    pots: fc.integer({ min: 2, max: 6 }),
    perMinute: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
    start: fc.double({ min: 0, max: 2, noNaN: true }),
    scent: fc.constantFrom('none', 'batch', 'colour', 'pour'),
    lands: fc.constantFrom('stream', 'low', 'spatula', 'spoon'),
    blendTo: fc.constantFrom(undefined, 1.7),
  }) as fc.Arbitrary<LayersOf>;

  it('is as it was to the digit where it never stiffens, and never later where it does', () => {
    fc.assert(
      fc.property(anyLayers, (layers) => {
        const of = (rests?: number): Run => {
          const run = new Run(layersOf({ ...layers, ...(rests === undefined ? {} : { rests }) }));
          run.go();
          return run;
        };
        const plain = of();
        const never = of(Infinity);
        for (const list of ['starts', 'ends', 'thickest', 'below', 'carriedFrom'] as const)
          expect([...never[list]]).to.deep.equal([...plain[list]]);
        const rested = of(2);
        for (const [i, start] of rested.starts.entries())
          expect(start).to.be.at.most((plain.starts[i] ?? 0) + 1e-9);
      }),
      { seed: 13, numRuns: 200 },
    );
  });

  it('flows again once it is moved, and rests anew; what is not moved goes on resting', () => {
    const wire: CourseAct = { key: 'wire', does: 'wire', minutes: 1, pots: [], at: 20, moves: [0] };
    const course = layersOf({ pots: 2, rests: 2 });
    const run = new Run({ ...course, acts: [...course.acts, wire] });
    run.go();
    const laid = run.ends[1] ?? 0;
    expect(run.layerBears(0, 21)).to.be.closeTo(run.layerFlows(0, 21), 1e-9);
    expect(run.layerBears(0, 23) - run.layerFlows(0, 23)).to.be.closeTo(stiffening(2, 2), 1e-9);
    expect(laid).to.be.below(20);
    expect(run.layerBears(1, 23) - run.layerFlows(1, 23)).to.be.closeTo(
      stiffening(23 - (run.ends[3] ?? 0), 2),
      1e-9,
    );
  });
});

/**
 * One time of pouring layers, minute by minute in small steps, told anew without anything of the product's
 * own clock.
 */
function poured(
  course: Course,
  {
    perMinute,
    start,
    minutes,
    colourMin,
    adds,
  }: {
    readonly perMinute: number;
    readonly start: number;
    readonly minutes: number;
    readonly colourMin: number;
    readonly adds: number;
  },
  normal: () => number,
): boolean {
  const dt = 0.01;
  const rate = perMinute * Math.exp(0.25 * normal());
  const tc = (course.rest?.tcMin ?? Infinity) * Math.exp(0.5 * normal());
  const begun = start + START_SD * normal();
  const pace = Math.exp(HANDS_SD * normal());
  const layers: { stage: number; rate: number; laid: number; rests: number }[] = [];
  const bears = (l: (typeof layers)[number], t: number): number =>
    l.stage + l.rate * (t - l.laid) + (t > l.rests ? Math.log10(1 + (t - l.rests) / tc) / 0.7 : 0);
  let t = 0;
  for (const act of course.acts) {
    if (act.does === 'colour') {
      t += colourMin * pace;
      continue;
    }
    const below = layers.at(-1);
    const judged = JUDGED_SD * normal();
    const lands = LANDS_SD * normal();
    const soft = SOFT * Math.min(1, Math.max(0, 0.5 + 0.25 * normal()));
    if (below && act.carried?.stage !== undefined)
      while (bears(below, t) < act.carried.stage + judged) t += dt;
    if (below && bears(below, t) + lands < (act.carried?.breaks ?? 0)) return false;
    const own = rate * Math.exp(JUG_SD * normal());
    const stage = begun + own * t + adds;
    if (stage > (act.window?.most ?? 5) + soft) return false;
    layers.push({ stage, rate: own, laid: t, rests: t + minutes * pace });
    t += minutes * pace;
  }
  return true;
}

describe('odds', () => {
  it('are those of an own Monte Carlo in small steps, to within what chance leaves', () => {
    for (const layers of [
      { pots: 5, perMinute: 0.12, lands: 'spatula', minutes: 1.2 },
      { pots: 4, perMinute: 0.1, lands: 'low', minutes: 0.8 },
    ] as const) {
      const course = layersOf({ ...layers, rests: 2 });
      const odds = finish(sampling(course, new Normals(31, 20_000), 'feel')).whole;
      const random = seeded(7);
      const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
      const times = 6000;
      const by = { perMinute: layers.perMinute, start: 1, minutes: layers.minutes, colourMin: 1, adds: 0.1 };
      let held = 0;
      for (let k = 0; k < times; k += 1) if (poured(course, by, normal)) held += 1;
      const error = Math.sqrt((odds * (1 - odds)) / times);
      expect(odds, JSON.stringify(layers)).to.be.within(0.3, 0.99);
      expect(held / times).to.be.closeTo(odds, 4 * error + 0.005);
    }
  });

  it('of fat that may set are as much less as that is likely, and nothing is carried then', () => {
    const course = layersOf({ pots: 2, rests: 2 });
    const whole = (c: Course): number => finish(sampling(c, new Normals(5, 8000), 'feel')).whole;
    expect(whole({ ...course, falseTrace: 0.5 }) / whole(course)).to.be.closeTo(0.5, 0.03);
  });

  it('grow less and less likely beyond a window’s end, over half a stage', () => {
    const at = (most: number): number => {
      const course = layersOf({ pots: 1, most });
      const sure = { ...course, doubts: course.doubts.map((d) => ({ ...d, sd: 0 })) };
      return finish(sampling(sure, new Normals(6, 4000), 'feel')).whole;
    };
    // it is poured at 1.15, begun to within some 0.3 of a stage
    const all = [1.8, 1.15, 1, 0.9, 0.65, 0].map(at);
    expect(all).to.deep.equal(all.toSorted((a, b) => b - a));
    expect(all[0]).to.be.above(0.98);
    expect(all[3]).to.be.within(0.4, 0.6);
    expect(all[5]).to.be.below(0.02);
  });
});

describe('a wire', () => {
  it('asks each layer that it passes at its own minute: too thick, too thin, and not those that it does not reach', () => {
    const course = layersOf({ pots: 3, perMinute: 0.1 });
    const asked = (layers: readonly number[], at: number): number => {
      const wire: CourseAct = {
        key: 'w',
        does: 'wire',
        minutes: 1,
        pots: [],
        at,
        fluid: { layers, least: 1, most: 2.3 },
      };
      const run = new Run({ ...course, acts: [...course.acts, wire] });
      run.go();
      return run.fails.at(-1) ?? 0;
    };
    const late = 30;
    expect(asked([0, 1, 2], late)).to.equal(FAILS.setAlready);
    expect(asked([], late)).to.equal(0);
    const thin = layersOf({ pots: 1, start: 0.1, perMinute: 0.01 });
    const wire: CourseAct = {
      key: 'w',
      does: 'wire',
      minutes: 1,
      pots: [],
      at: 5,
      fluid: { layers: [0], least: 1, most: 2.3 },
    };
    const run = new Run({ ...thin, acts: [...thin.acts, wire] });
    run.go();
    expect(run.fails.at(-1)).to.equal(FAILS.tooThin);
  });
});

describe('a batter whose temperature is in doubt', () => {
  it('thickens by as much faster as that is out, and by as much as its jug is', () => {
    const plain = layersOf({ pots: 1 });
    const course: Course = { ...plain, pots: plain.pots.map((p) => ({ ...p, warmth: 2 })) };
    const stage = (doubts: readonly number[], jugs: readonly number[]): number => {
      const run = new Run(course);
      run.go({ doubts, jugs });
      return (run.thickest[1] ?? NaN) - 1.1;
    };
    const usual = stage([0, 0, 0], [0]);
    expect(stage([0, 0, Math.log(2)], [0])).to.be.closeTo(2 * usual, 1e-9);
    expect(stage([0, 0, 0], [Math.log(3)])).to.be.closeTo(3 * usual, 1e-9);
  });
});

describe('batter stirred loose', () => {
  it('is thinner by the same while it lags, and is back in the same time', () => {
    const b = batter();
    beginAt(b, 0.5, 0);
    b.perMinute = 0.05;
    b.loosened = 0;
    expect(stageAt(b, 0)).to.be.closeTo(0.5 - LOOSENED, 1e-12);
    expect(stageAt(b, BACK_AFTER_MIN)).to.be.closeTo(0.5, 1e-12);
  });
});
