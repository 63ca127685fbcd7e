import { expect } from 'chai';
import fc from 'fast-check';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { newShelf, readyFrom } from '../../src/core/face/ready.ts';
import { layPlan, type LaidMould } from '../../src/core/fill/layPlan.ts';
import type { Shape } from '../../src/core/mould/schema.ts';
import { roughOn } from '../../src/core/pattern/moves.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Landing } from '../../src/core/plan/stepSchema.ts';
import { blurOn, stageToCarryWithin, stageToStayApart } from '../../src/core/setting/blur.ts';
import { stageToCarry } from '../../src/core/setting/carries.ts';
import { boxPlan, pour, rest } from '../support/plans.ts';
import { OTHER_SHAPES } from '../support/shapes.ts';
import { expectConserved } from '../support/simulated.ts';

const BOX: Shape = { kind: 'box', lengthMm: 160, widthMm: 90, heightMm: 70 };

const COLOURS = ['#ece4d2', '#5f6c78', '#b5663a', '#2f3b52'] as const;

/** Level layers in a mould, each laid on the one before while that is fluid. */
function laidOnFluid(shape: Shape, landing: Landing, stage = 1, count = 4): Plan {
  const pots = Array.from({ length: count }, (_, i) => ({
    id: `p${i + 1}`,
    letter: 'ABCD'.charAt(i),
    name: `p${i + 1}`,
    colour: COLOURS[i] ?? '#888888',
    stage,
    colorants: [],
  }));
  const empty = boxPlan([], { mould: { ...boxPlan([]).mould, shape }, pots });
  return {
    ...empty,
    fill: { ...empty.fill, to: { kind: 'headspace', headspaceMm: 6 } },
    steps: pots.map(({ id }, i) => ({
      ...pour(`s${i + 1}`, id, rest(1)),
      landing,
      ...(i > 0 ? { onFluid: true as const } : {}),
    })),
  };
}

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

const STREAM: Landing = { how: 'stream', fallMm: 50 };

/** How far the border between the second layer and the third strays from its middle, mm, as some sections show it. */
function strays(laid: LaidMould): number {
  const size = 200;
  const ready = readyFrom(newShelf());
  const heights = [0.2, 0.4, 0.6, 0.8].flatMap((part) => {
    const cut = sectionAt(laid, laid.geometry.most.length * part);
    const { band, pours } = rasterise(cut, size, size, ready, 1);
    const scale = Math.min(size / (cut.right - cut.left), size / (cut.head - cut.foot));
    const third = pours.indexOf('s3') + 1;
    return Array.from({ length: size }, (_, x) =>
      Array.from({ length: size }, (_, y) => band[y * size + x]).lastIndexOf(third),
    )
      .filter((row) => row >= 0)
      .map((row) => -row / scale);
  });
  const mean = heights.reduce((a, b) => a + b, 0) / heights.length;
  return Math.max(...heights.map((h) => Math.abs(h - mean)));
}

describe('laid on what is fluid', () => {
  for (const shape of [BOX, ...OTHER_SHAPES])
    it(`keeps the volume of every colour to half a percent, in a ${shape.kind}`, () => {
      for (const landing of [STREAM, { how: 'spatula', fallMm: 7 } as const])
        expectConserved(firstOf(laidOnFluid(shape, landing)), 0.005, landing.how);
    });

  it('has a border that is rough by what the landing leaves, and level where it falls from nowhere', () => {
    const stream = firstOf(laidOnFluid(BOX, STREAM));
    const [, , third] = stream.stack.layers;
    const rough = third ? roughOn(third, stream.stack.layers.slice(0, 2)) : 0;
    expect(rough).to.be.within(2, 6);
    expect(strays(stream)).to.be.within(0.4 * rough, rough + 1);
    expect(strays(firstOf(laidOnFluid(BOX, { how: 'spoon', fallMm: 1 })))).to.be.below(0.6);
  });

  it('is read as it was where it lies on what bears it: nothing is simulated of it', () => {
    const fluid = laidOnFluid(BOX, STREAM);
    const set: Plan = {
      ...fluid,
      steps: fluid.steps.map((s) => {
        if (s.kind !== 'pour') return s;
        const { onFluid: _none, ...plain } = s;
        return plain;
      }),
    };
    const laid = firstOf(set);
    expect(laid.stack.layers.map((l) => roughOn(l, laid.stack.layers.slice(0, l.nth)))).to.deep.equal([
      0, 0, 0, 0,
    ]);
    expect(strays(laid)).to.be.below(0.5);
  });
});

describe('how rough a border is', () => {
  const on = { how: 'stream', fallMm: 60, densityGMl: 1, depthMm: 60 } as const;

  it('a stream from 60 mm on light batter 60 mm deep: some 8 to 10 mm; spooned: about 1 mm (judgements of the trade, no source)', () => {
    expect(blurOn(1, on)).to.be.within(7.5, 10);
    expect(blurOn(1, { ...on, how: 'spoon', fallMm: 3 })).to.be.within(0.4, 1.4);
  });

  it('goes to nothing with the fall, never grows with the stage, and is nothing from where batter carries', () => {
    const falls = fc.double({ min: 0.5, max: 200, noNaN: true });
    const stages = fc.double({ min: 0, max: 5, noNaN: true });
    fc.assert(
      fc.property(falls, stages, stages, (fallMm, a, b) => {
        const [thin, thick] = [Math.min(a, b), Math.max(a, b)];
        const landed = { ...on, fallMm };
        expect(blurOn(thick, landed)).to.be.at.most(blurOn(thin, landed) + 1e-9);
        expect(blurOn(stageToCarry(fallMm, 1) + 1e-6, landed)).to.be.closeTo(0, 1e-4);
        expect(blurOn(thin, { ...on, fallMm: 1e-3 })).to.equal(0);
      }),
      { seed: 3, numRuns: 200 },
    );
  });

  it('what carries within a blur leaves just that blur, or less where it would sink; within none it is what carries', () => {
    expect(stageToCarryWithin(0, on)).to.be.closeTo(stageToCarry(60, 1), 1e-9);
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 120, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.constantFrom(0, 2, 5),
        fc.constantFrom('stream', 'low', 'spatula', 'spoon'),
        (fallMm, depthMm, fineMm, how) => {
          const landed = { how, fallMm, densityGMl: 1.05, depthMm };
          const stage = stageToCarryWithin(fineMm, landed);
          const blur = blurOn(stage, landed);
          expect(blur).to.be.at.most(fineMm + 1e-9);
          // a little thinner and it would be rougher, or it would sink
          const sinks = stageToCarry(fallMm, 1.05) - Math.log10(8.6) / 0.7;
          if (stage > Math.max(0, sinks) + 1e-6) expect(blurOn(stage - 0.02, landed)).to.be.above(fineMm);
          const apart = stageToStayApart(20, landed);
          if (apart > 0) expect(blurOn(apart, landed)).to.be.closeTo(10, 1e-6);
        },
      ),
      { seed: 4, numRuns: 300 },
    );
  });
});
