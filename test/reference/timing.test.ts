import { expect } from 'chai';
import { rateAt } from '../../src/core/clock/speed.ts';
import { stageToCarry } from '../../src/core/setting/carries.ts';
import { yieldStress } from '../../src/core/setting/stage.ts';
import { finish } from '../../src/core/task/task.ts';
import type { Course } from '../../src/core/timing/course.ts';
import { Normals } from '../../src/core/timing/normals.ts';
import { sampling, type Odds } from '../../src/core/timing/odds.ts';
import { Run } from '../../src/core/timing/run.ts';
import { layersOf } from '../support/courses.ts';

const oddsOf = (course: Course, seed = 7, samples = 2000): Odds =>
  finish(sampling(course, new Normals(seed, samples), 'feel'));

const whole = (course: Course): number => oddsOf(course).whole;

/** The pours of a course that was run: how long was waited for each, and how thick its pot was. */
function poursIn(
  course: Course,
): readonly { readonly waits: number; readonly stage: number; readonly at: number }[] {
  const run = new Run(course);
  run.go();
  return course.acts.flatMap((a, i) =>
    a.does === 'pour'
      ? [{ waits: run.waited[i] ?? 0, stage: run.thickest[i] ?? 0, at: run.starts[i] ?? 0 }]
      : [],
  );
}

describe('what carries what, worked by hand', () => {
  it('rho g h = 5.14 tau: 7 mm of batter of 1 g/ml press with 68.7 Pa, which 13.4 Pa bear; that is a stage of 2.04', () => {
    const stage = stageToCarry(7, 1);
    expect(5.14 * yieldStress(stage)).to.be.closeTo(1000 * 9.81 * 0.007, 1e-9);
    expect(stage).to.be.closeTo(Math.log10(68.67 / 5.14 / 0.5) / 0.7, 1e-12);
  });
  for (const [lands, fallMm, stage] of [
    ['a stream from 50 mm', 50, 3.3],
    ['poured low, 20 mm', 20, 2.7],
    ['over a spatula, 7 mm', 7, 2],
    ['spooned, 3 mm', 3, 1.5],
  ] as const)
    it(`${lands} wants a stage of about ${stage} (common practice, no source)`, () => {
      expect(stageToCarry(fallMm, 1)).to.be.closeTo(stage, 0.07);
    });
  it('ten degrees more are twice as fast, and 40 % lye is (4/3)^1.5 = 1.54 times as fast as 30 %', () => {
    expect(rateAt(0.05, 38, 30)).to.equal(0.05);
    expect(rateAt(0.05, 48, 30)).to.be.closeTo(0.1, 1e-12);
    expect(rateAt(0.05, 38, 40) / 0.05).to.be.closeTo(1.5396, 1e-4);
  });
});

describe('the order of choices (common practice, no source): whatever the figures, these are better than those', () => {
  const usual = { perMinute: 0.08, rests: 2, most: 2.8 } as const;
  it('scent all at the start is far worse than pot by pot, with its colour or as it is poured', () => {
    const start = whole(layersOf({ ...usual, scent: 'batch' }));
    for (const scent of ['colour', 'pour'] as const)
      expect(whole(layersOf({ ...usual, scent }))).to.be.above(start + 0.6);
    expect(whole(layersOf({ ...usual, scent: 'batch', colouring: 'all-first' }))).to.be.below(0.3);
  });
  it('one that seizes is hopeless at once and fine one by one, in some 7 min', () => {
    const seizes = { ...usual, pots: 3, factor: 10 } as const;
    expect(whole(layersOf({ ...seizes, scent: 'batch' }))).to.be.below(0.1);
    const each = oddsOf(layersOf({ ...seizes, scent: 'pour' }));
    expect(each.whole).to.be.above(0.9);
    expect(each.total.middle).to.be.within(5, 8);
  });
  it('eight layers of a slow recipe are surest blended on and spooned; a stream waits longest and fails most', () => {
    const slow = { ...usual, pots: 8, perMinute: 0.045, start: 0.6 } as const;
    const comes = whole(layersOf(slow));
    const spooned = whole(layersOf({ ...slow, lands: 'spoon', most: 4.2 }));
    const blended = whole(layersOf({ ...slow, lands: 'spoon', most: 4.2, blendTo: 1.7 }));
    expect(blended).to.be.at.least(spooned - 0.02);
    expect(spooned).to.be.above(comes);
    const waits = (lands: 'stream' | 'low' | 'spatula' | 'spoon'): number =>
      poursIn(layersOf({ ...usual, lands })).reduce((s, p) => s + p.waits, 0);
    const all = (['spoon', 'spatula', 'low', 'stream'] as const).map(waits);
    expect(all).to.deep.equal(all.toSorted((x, y) => x - y));
    expect(whole(layersOf({ ...usual, lands: 'stream', most: 2.4 }))).to.be.below(comes);
  });
  it('at rest nothing is waited for as long as where batter bears only as it flows', () => {
    const waits = (rests: number | undefined): number =>
      poursIn(layersOf({ perMinute: 0.08, ...(rests === undefined ? {} : { rests }) })).reduce(
        (s, p) => s + p.waits,
        0,
      );
    expect(waits(2)).to.be.below(0.6 * waits(undefined));
    expect(waits(1)).to.be.below(waits(2));
  });
});

describe('numbers drawn at random', () => {
  it('are normal: mean 0, variance 1, and as many below -1, 0, 1 and 2 as tables of the normal distribution say', () => {
    const n = 40_000;
    const column = new Normals(11, n).column('x');
    const mean = column.reduce((s, z) => s + z, 0) / n;
    const variance = column.reduce((s, z) => s + z * z, 0) / n - mean * mean;
    expect(mean).to.be.closeTo(0, 4 / Math.sqrt(n));
    expect(variance).to.be.closeTo(1, 4 * Math.sqrt(2 / n));
    for (const [z, below] of [
      [-1, 0.1587],
      [0, 0.5],
      [1, 0.8413],
      [2, 0.9772],
    ] as const)
      expect(column.filter((x) => x < z).length / n).to.be.closeTo(below, 4 * Math.sqrt(0.25 / n));
  });
  it('are the same for the same seed and name, and hang together with no other', () => {
    const a = new Normals(3, 5000);
    expect([...a.column('x')]).to.deep.equal([...new Normals(3, 5000).column('x')]);
    const other = a.column('y');
    const together = a.column('x').reduce((s, z, i) => s + z * (other[i] ?? 0), 0) / 5000;
    expect(together).to.be.closeTo(0, 4 / Math.sqrt(5000));
  });
});

describe('odds', () => {
  it('are the same for the same seed', () => {
    expect(oddsOf(layersOf({}), 5)).to.deep.equal(oddsOf(layersOf({}), 5));
    expect(oddsOf(layersOf({}), 6).whole).to.not.equal(oddsOf(layersOf({}), 5).whole);
  });
  it('come closer as 1 / sqrt(n): sixteen times as many samples spread a quarter as far', () => {
    const spread = (samples: number): number => {
      const all = Array.from({ length: 60 }, (_, seed) => oddsOf(layersOf({}), 100 + seed, samples).whole);
      const mean = all.reduce((s, x) => s + x, 0) / all.length;
      return Math.sqrt(all.reduce((s, x) => s + (x - mean) ** 2, 0) / all.length);
    };
    // the spread of a spread of 60 is about 9 %: within four of those
    expect(spread(100) / spread(1600)).to.be.within(4 * 0.6, 4 * 1.6);
    expect(spread(400)).to.be.closeTo(Math.sqrt((0.6 * 0.4) / 400), 0.4 * Math.sqrt((0.6 * 0.4) / 400));
  });
});
