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

describe('a course against cases worked before (a prototype of the same model: order and bands)', () => {
  it('five pots of 425 g, each scented as it is poured: waits of about 2.3, 1.3, 0.5, 0, 0 min, and the last pours at about 1.9', () => {
    const [, ...pours] = poursIn(layersOf({ scent: 'pour' }));
    const waits = pours.map((p) => p.waits);
    for (const [i, expected] of [2.3, 1.3, 0.5, 0].entries())
      expect(waits[i], `wait ${i + 1}`).to.be.closeTo(expected, 0.25);
    expect(pours.at(-1)?.stage).to.be.closeTo(1.85, 0.15);
    expect(pours.at(-1)?.at).to.be.closeTo(14, 1);
  });
  it('all the scent in at the start instead: the later pots are too thick, 2.5 to 3.5', () => {
    const pours = poursIn(layersOf({ scent: 'batch' }));
    for (const { stage } of pours.slice(2)) expect(stage).to.be.within(2.45, 3.5);
  });
  it('nothing that quickens: one wait of about 15 min, then straight through, the last at about 2.3', () => {
    const [first, second, ...others] = poursIn(layersOf({}));
    expect(first?.waits).to.equal(0);
    expect(second?.waits).to.be.closeTo(15, 1.5);
    for (const { waits } of others) expect(waits).to.equal(0);
    expect(others.at(-1)?.stage).to.be.closeTo(2.3, 0.1);
  });
  it('strong scent with the colour, each pot just before its pour: about 14 min, close to 100 of 100; all at the start: hardly ever', () => {
    const each = oddsOf(layersOf({ scent: 'colour' }));
    expect(each.whole).to.be.at.least(0.97);
    expect(each.total.middle).to.be.within(12, 16);
    expect(whole(layersOf({ scent: 'batch' }))).to.be.at.most(0.06);
    expect(whole(layersOf({ scent: 'batch', colouring: 'all-first' }))).to.be.at.most(0.12);
  });
  it('nothing that quickens, over a spatula: about six of ten; spooned: nearly always, and it takes longer', () => {
    const spatula = oddsOf(layersOf({}));
    const spooned = oddsOf(layersOf({ lands: 'spoon' }));
    expect(spatula.whole).to.be.within(0.5, 0.72);
    expect(spooned.whole).to.be.at.least(0.93);
    expect(spooned.total.middle).to.be.within(16, 23);
  });
  it('eight layers of a slow recipe: as they come about four of ten after one wait of about 40 min; blended on and spooned nearly always', () => {
    const slow = { pots: 8, perMinute: 0.03, start: 0.6 } as const;
    const comes = layersOf(slow);
    expect(whole(comes)).to.be.within(0.25, 0.5);
    expect(poursIn(comes)[1]?.waits).to.be.closeTo(39, 4);
    const blended = oddsOf(layersOf({ ...slow, lands: 'spoon', blendTo: 1.7 }));
    expect(blended.whole).to.be.at.least(0.97);
    expect(blended.total.middle).to.be.within(26, 34);
  });
  it('one that seizes, three layers: all at once hardly ever, one by one always and in some 7 min', () => {
    const seizes = { pots: 3, factor: 10 } as const;
    expect(whole(layersOf({ ...seizes, scent: 'batch' }))).to.be.at.most(0.12);
    const each = oddsOf(layersOf({ ...seizes, scent: 'pour' }));
    expect(each.whole).to.be.at.least(0.99);
    expect(each.total.middle).to.be.within(5, 8);
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
