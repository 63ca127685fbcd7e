import { expect } from 'chai';
import fc from 'fast-check';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { planTimetable, type Timetable } from '../../src/core/clock/timetable.ts';
import type { Offered } from '../../src/core/clock/offered.ts';
import { layOnFluid, setClock } from '../../src/core/edit/clock.ts';
import { hasJugsDrawnOften, jugEach } from '../../src/core/edit/jugEach.ts';
import { settled } from '../../src/core/edit/settled.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { finish } from '../../src/core/task/task.ts';
import { asTimed } from '../../src/core/clock/asTimed.ts';
import { courseOf } from '../../src/core/clock/courseOf.ts';
import { fluids } from '../../src/core/clock/jugLevers.ts';
import { addPattern } from '../../src/core/edit/pattern.ts';
import { CLOCK_TASKS, noWorseThan } from '../../src/workers/clockTasks.ts';
import { fragrance } from '../support/additions.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import type { Shape } from '../../src/core/mould/schema.ts';
import { roughOn } from '../../src/core/pattern/moves.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Landing } from '../../src/core/setting/landing.ts';
import { blurOn, stageToCarryWithin, stageToStayApart } from '../../src/core/setting/blur.ts';
import { stageToCarry } from '../../src/core/setting/carries.ts';
import { boxPlan, demo, pour, rest } from '../support/plans.ts';
import { OTHER_SHAPES } from '../support/shapes.ts';
import { expectConserved } from '../support/simulated.ts';

const BOX: Shape = { kind: 'box', lengthMm: 160, widthMm: 90, heightMm: 70 };

const COLOURS = ['#ece4d2', '#5f6c78', '#b5663a', '#2f3b52'] as const;

/** Level layers in a mould, each laid on the one before while that is fluid. */
function laidOnFluid(shape: Shape, landing: Landing, stage = 1, count = 4): Plan {
  const pots = Array.from({ length: count }, (_, i) => ({
    id: `p${i + 1}`,
    letter: 'ABCDEF'.charAt(i),
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

/**
 * How far the border between the second layer and the third strays from its middle, mm, as some sections show
 * it.
 */
function strays(laid: LaidMould): number {
  const size = 200;
  const ready = readyFrom(noneReady());
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

  it('what is thinner than an eighth or so of what lands on it would bear lets it sink, however little lies below: over a spatula below 0.7 (common practice, no source)', () => {
    const spatula = { how: 'spatula', fallMm: 7, densityGMl: 1, depthMm: 5 } as const;
    expect(stageToCarryWithin(2, spatula)).to.be.closeTo(0.7, 0.03);
    expect(stageToCarryWithin(2, { ...spatula, how: 'stream', fallMm: 50 })).to.be.closeTo(1.93, 0.05);
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
          const apart = stageToStayApart(6, landed);
          if (apart > 0) expect(blurOn(apart, landed)).to.be.closeTo(3, 1e-6);
        },
      ),
      { seed: 4, numRuns: 300 },
    );
  });
});

describe('a plan with layers laid on while fluid', () => {
  const timed = (plan: Plan): Timetable => planTimetable(plan, layPlan(plan))!;
  const codes = (plan: Plan): readonly string[] => computePlan(plan).warnings.map((w) => w.code);

  it('says so on its sheet with its blur, and in the JSON; nothing is waited for', () => {
    const plan = laidOnFluid(BOX, STREAM);
    const computed = computePlan(plan);
    const sheet = sheetJson(computed, 40) as {
      readonly procedure: readonly { readonly id: string; readonly text: string }[];
      readonly steps: readonly {
        readonly id: string;
        readonly border_blur_mm?: number;
        readonly carried_from_min: unknown;
      }[];
    };
    const third = sheet.procedure.find((a) => a.id === 'pour:s3');
    expect(third?.text).to.match(
      /At once, while what is below is fluid: their border is rough by ≈ [\d.]+ mm either way/,
    );
    const step = sheet.steps.find((s) => s.id === 's3');
    expect(step?.border_blur_mm).to.be.above(0.5);
    expect(step?.carried_from_min).to.equal(null);
    for (const a of timed(plan).acts) expect(a.waitMin).to.be.below(1e-6);
  });

  it('is warned of where two layers run together, and one press keeps them apart', () => {
    const deep = laidOnFluid(BOX, { how: 'stream', fallMm: 200 }, 0.2, 6);
    const warning = computePlan(deep).warnings.find((w) => w.code === 'runs-together');
    expect(warning?.message).to.match(/they run together/);
    expect(warning?.remedies).to.have.length(2);
    for (const remedy of warning?.remedies ?? []) {
      const cured = remedy.apply(deep);
      expect(
        computePlan(cured).warnings.filter((w) => w.code === 'runs-together' && w.step === warning?.step),
      ).to.deep.equal([]);
    }
    expect(codes(laidOnFluid(BOX, { how: 'spatula', fallMm: 7 }))).to.not.include('runs-together');
  });

  it('a wire asks the layers that it reaches, not a first one that is thick on purpose', () => {
    const plan = laidOnFluid(BOX, { how: 'spatula', fallMm: 7 });
    const thick: Plan = { ...plan, pots: plan.pots.map((p) => (p.id === 'p1' ? { ...p, blendTo: 3 } : p)) };
    const through = (lowestMm: number): readonly string[] => {
      const wire: Plan['steps'][number] = {
        id: 'w1',
        kind: 'wire',
        lies: 'lengthwise',
        girthMm: 5,
        points: [
          { acrossMm: -30, heightMm: 70 },
          { acrossMm: 0, heightMm: lowestMm },
          { acrossMm: 30, heightMm: 70 },
        ],
      };
      return timed({ ...thick, steps: [...thick.steps, wire] }).acts.at(-1)!.troubles;
    };
    expect(through(20)).to.deep.equal([]);
    expect(through(4)).to.deep.equal(['setAlready']);
  });

  it('where it waits, its border is no rougher than the maker takes, nor than half the thinner layer', () => {
    const thin = boxPlan([rest(), { kind: 'height', heightMm: 3 }, rest()]);
    const streamed: Plan = {
      ...thin,
      steps: thin.steps.map((s) => (s.kind === 'pour' ? { ...s, landing: STREAM } : s)),
    };
    for (const blurMm of [0, 2, 5] as const) {
      const blurs = timed(setClock(streamed, { blurMm })).acts.flatMap((a) => a.blurMm ?? []);
      expect(blurs).to.have.length(2);
      for (const b of blurs) expect(b).to.be.at.most(Math.min(blurMm, 1.5) + 1e-6);
    }
  });

  it('keeps its own answer in its file', () => {
    const plan = laidOnFluid(BOX, STREAM);
    const read = readPlanFile(writePlanFile(setClock(plan, { blurMm: 5 })));
    expect(read.ok && read.plan.steps).to.deep.equal(plan.steps);
    expect(read.ok && read.plan.clock.blurMm).to.equal(5);
  });
});

describe('a loaf poured late', () => {
  it('has lumps where a level pour has grown too thick, not where it is a pattern', () => {
    const level = laidOnFluid(BOX, { how: 'low', fallMm: 20 });
    const late = (plan: Plan): readonly (number | undefined)[] =>
      asTimed(plan, layPlan(plan), 60).steps.flatMap((s) => (s.kind === 'pour' ? [s.roughMm] : []));
    expect(late(level).every((mm) => (mm ?? 0) > 0)).to.equal(true);
    const walled = addPattern({ ...level, steps: [] }, { at: 'wall', wall: 'left' }).plan;
    expect(late(walled)).to.deep.equal([undefined]);
  });
});

describe('ways of a plan', () => {
  const finished = (plan: Plan): Offered => finish(CLOCK_TASKS.ways(plan))!;

  it('are none that another part warns of and the plan is not', () => {
    for (const name of ['Scree Slump', 'Peat Furrows']) {
      const plan = demo(name);
      const known = new Set(computePlan(plan).warnings.map((w) => w.code));
      for (const way of finished(plan).best)
        for (const w of computePlan(way.plan).warnings)
          if (w.level !== 'note') expect(known.has(w.code), `${name}: ${w.code}`).to.equal(true);
    }
  });

  it('that warn of anything new are not taken, those that warn of less are', () => {
    const plan = laidOnFluid(BOX, { how: 'spatula', fallMm: 7 }, 1, 6);
    const together = laidOnFluid(BOX, { how: 'stream', fallMm: 200 }, 0.2, 6);
    expect(noWorseThan(plan)(plan)).to.equal(true);
    expect(noWorseThan(plan)(together)).to.equal(false);
    expect(noWorseThan(together)(plan)).to.equal(true);
  });

  it('lay layers on while fluid where they are waited for, and not where borders would be rougher than anybody takes', () => {
    const offered = (landing: Landing): readonly string[] => {
      const fluid = laidOnFluid(BOX, landing);
      const pours = fluid.steps.map((s) => s.id);
      const plan = setClock(layOnFluid(fluid, pours, false), { blurMm: 0 });
      const laid = layPlan(plan);
      return fluids(plan, laid, courseOf(plan, laid)!).map((o) => o.label);
    };
    expect(offered({ how: 'low', fallMm: 20 })).to.have.length(1);
    expect(offered({ how: 'low', fallMm: 20 })[0]).to.match(
      /^Lay pours? 2.* on while what is below is fluid$/,
    );
    expect(offered({ how: 'stream', fallMm: 300 })).to.deep.equal([]);
  });

  it('divide into a jug for each pour, and what goes into a pot goes into its likes', () => {
    const plan = boxPlan([rest(), rest(), rest()]);
    const scented: Plan = {
      ...plan,
      batter: {
        ...plan.batter,
        fragrances: [
          { ...fragrance(2), doses: [{ id: 'd1', gPerKgOils: 20, moment: 'colour', pots: ['p1'] }] },
        ],
      },
    };
    expect(hasJugsDrawnOften(scented)).to.equal(true);
    const each = jugEach(scented);
    expect(hasJugsDrawnOften(each)).to.equal(false);
    const [dose] = each.batter.fragrances[0]!.doses;
    const third = each.steps[2];
    expect(third?.kind === 'pour' && dose!.pots).to.include(third?.kind === 'pour' ? third.pot : '');
    expect(readPlanValue(settled(each)).ok).to.equal(true);
    const [before, after] = [scented, each].map((p) => computePlan(p).weights!);
    expect(after!.batterG).to.be.closeTo(before!.batterG, 3);
  });
});
