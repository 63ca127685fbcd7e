import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { addPattern, addStroke } from '../../src/core/edit/pattern.ts';
import { propUp } from '../../src/core/edit/prop.ts';
import { setTilt, setWhileFluid, settleAtEnd } from '../../src/core/edit/tilt.ts';
import { addWire } from '../../src/core/edit/wire.ts';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { beforeSettling } from '../../src/core/fill/layers.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import { levellingOf, type Share } from '../../src/core/flow/settle.ts';
import type { Shape } from '../../src/core/mould/schema.ts';
import { checkPlan } from '../../src/core/plan/checkPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { boxPlan, pour, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';
import { seeded } from '../support/random.ts';
import { OTHER_SHAPES } from '../support/shapes.ts';
import { simulatedMl } from '../support/simulated.ts';

const SLAB: Shape = { kind: 'box', lengthMm: 200, widthMm: 140, heightMm: 60 };

/** Pots in rounds into a corner that something is put under, strokes, and the mould set level. */
function cornerOf(shape: Shape, base = false): Plan {
  const plan = boxPlan([], { mould: { ...boxPlan([]).mould, shape } });
  const steps: Plan['steps'] = base
    ? [
        pour('b1', 'p1', { kind: 'percent', percent: 20 }),
        { id: 'x1', kind: 'wait', until: { kind: 'minutes', minutes: 20 } },
      ]
    : [];
  const filled: Plan = { ...plan, fill: { ...plan.fill, to: { kind: 'headspace', headspaceMm: 14 } }, steps };
  const { plan: poured, stepId } = addPattern(filled, { at: 'corner', corner: 'left-near' });
  const up = propUp(poured, stepId, [{ under: 'left-near', heightMm: 9 }]);
  if (!up.ok) throw new Error(up.fault.message);
  return settleAtEnd(addStroke(up.value, 'fan', 30).plan);
}

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

function expectConserved(laid: LaidMould, within: number, what: string): void {
  const shown = simulatedMl(laid, readyFrom(noneReady()), 46, 110);
  for (const layer of laid.stack.layers)
    for (const part of layer.parts) {
      const ml = layer.volumeMl * part.share;
      expect(
        Math.abs((shown.get(part.key) ?? 0) - ml) / laid.stack.filledMl,
        `${what} ${part.key}`,
      ).to.be.below(within);
    }
}

describe('setting a fluid block level', () => {
  const PLACES = 24;
  const row = PLACES + 1;
  /** a + b u + c v at even places */
  const plane = (a: number, b: number, c: number): Float64Array =>
    Float64Array.from(
      { length: row * row },
      (_, k) => a + (b * (k % row)) / PLACES + (c * Math.floor(k / row)) / PLACES,
    );

  it('is the closed form for a plane: x’ = (a x + b x²/2) / h1, and z’ = z h1 / h0', () => {
    const [a, b] = [40, 18];
    const { toLevel } = levellingOf(plane(a, b, 0), PLACES);
    const h1 = a + b / 2;
    for (let x = 0; x <= 1; x += 0.013) {
      const at: Share = { u: x, v: 0.37, height: 11 };
      toLevel(at);
      expect(at.u).to.be.closeTo((a * x + (b * x * x) / 2) / h1, 1e-12);
      expect(at.height).to.be.closeTo((11 * h1) / (a + b * x), 1e-9);
      expect(at.v).to.be.closeTo(0.37, 1e-12);
    }
  });

  it('keeps areas to 1e-9: what was between two places is between where they come to', () => {
    const random = seeded(2);
    for (let i = 0; i < 60; i += 1) {
      const [a, b, c] = [20 + 30 * random(), 15 * random(), 15 * random()];
      const { toLevel } = levellingOf(plane(a, b, c), PLACES);
      const whole = a + b / 2 + c / 2;
      // along v at its own share: the volume in front of it
      const v = random();
      const far: Share = { u: random(), v, height: 0 };
      toLevel(far);
      expect(far.v * whole).to.be.closeTo(v * (a + b / 2) + (c * v * v) / 2, 1e-9 * whole);
      // across, within the section that v lies in
      const u = random();
      const here = a + c * v;
      const side: Share = { u, v, height: 0 };
      toLevel(side);
      expect(side.u * (here + b / 2)).to.be.closeTo(here * u + (b * u * u) / 2, 1e-9 * whole);
    }
  });

  it('forward and back agree to 1e-9, also where a slope leaves a part of the floor bare', () => {
    const random = seeded(7);
    const slopes = [
      plane(30, 20, -12),
      plane(4, 50, 0),
      Float64Array.from(plane(-8, 40, 10), (d) => Math.max(0, d)),
    ];
    for (const depths of slopes) {
      const { toLevel, toSlope } = levellingOf(depths, PLACES);
      const top: Share = { u: 0.5, v: 0.5, height: 1 };
      toLevel(top);
      for (let i = 0; i < 200; i += 1) {
        const was: Share = { u: random(), v: random(), height: random() * 8 };
        const at = { ...was };
        toSlope(at);
        toLevel(at);
        expect(at.u).to.be.closeTo(was.u, 1e-9);
        expect(at.v).to.be.closeTo(was.v, 1e-9);
        expect(at.height).to.be.closeTo(was.height, 1e-9);
      }
    }
  });
});

describe('a propped mould set level while fluid', () => {
  for (const shape of [SLAB, ...OTHER_SHAPES.filter((s) => s.kind !== 'tube')])
    it(`keeps every colour's volume, sloping and level, in ${shape.kind} moulds and over a set layer`, () => {
      for (const base of [false, true]) {
        const plan = cornerOf(shape, base);
        const laid = firstOf(plan);
        expectConserved(laid, 0.006, `level ${base}`);
        const stroke = plan.steps.findIndex((s) => s.kind === 'stroke');
        const sloping: LaidMould = {
          ...laid,
          plan: { ...plan, steps: plan.steps.slice(0, stroke + 1) },
          stack: { ...laid.stack },
        };
        expectConserved(sloping, 0.008, `sloping ${base}`);
      }
    });

  it('lies level, is poured sloping, and says so on the sheet', () => {
    const plan = cornerOf(SLAB);
    const laid = firstOf(plan);
    const [layer] = laid.stack.layers;
    const before = beforeSettling(layer!);
    expect(layer!.up).to.deep.equal([0, 0, 1]);
    expect(before.up[2]).to.be.below(1);
    // as much on either side of the middle: a prop of 9 mm under the near left corner
    expect(before.rightMm - before.leftMm).to.be.above(3);
    expect(before.farMm - before.nearMm).to.be.above(3);
    expect(layer!.offset).to.be.closeTo(
      (before.leftMm + before.rightMm + before.nearMm + before.farMm) / 4,
      0.05,
    );
    const texts = printed(plan)
      .procedure.map((a) => a.text)
      .join(' ');
    expect(texts).to.match(/set the mould level at once, slowly, while all of it is fluid/);
    const [rightMm] = [before.rightMm.toFixed(1)];
    expect(texts).to.include(`${Number(rightMm)} mm on the right wall`);
  });

  it('what sloped shows where it sloped: the picture stands as high as the slope', () => {
    const plan = cornerOf(SLAB);
    const laid = firstOf(plan);
    const [layer] = laid.stack.layers;
    const stroke = plan.steps.findIndex((s) => s.kind === 'stroke');
    const cut = sectionAt(
      { ...laid, plan: { ...plan, steps: plan.steps.slice(0, stroke + 1) }, stack: { ...laid.stack } },
      100,
    );
    const zs = cut.face.flatMap((b) => b.outline.map((p) => p.z));
    expect(Math.max(...zs)).to.be.closeTo(beforeSettling(layer!).rightMm, 0.01);
  });

  it('plain slopes run level too; layers poured after it lie on a level one', () => {
    const slanted = setTilt(boxPlan([rest(), rest(), rest()]), 's1', { rollDeg: 8, pitchDeg: 0 });
    const level = setTilt(slanted, 's3', { rollDeg: 0, pitchDeg: 0 });
    const tilt = level.steps.findLast((s) => s.kind === 'tilt')!;
    const fluid = setWhileFluid(level, tilt.id, true);
    const laid = firstOf(fluid);
    expect(laid.stack.layers.map((l) => Number(l.offset.toFixed(6)))).to.deep.equal([20, 40, 60]);
    expect(laid.stack.layers.map((l) => l.settled !== undefined)).to.deep.equal([true, true, false]);
    expectConserved(laid, 0.006, 'plain');
    // the same without: the slope stays
    expect(firstOf(level).stack.layers[0]!.up[2]).to.be.below(1);
    const codes = (p: Plan): readonly string[] => computePlan(p).warnings.map((w) => w.code);
    const thin: Plan = { ...level, pots: level.pots.map((p) => ({ ...p, stage: 1 })) };
    const [slump] = computePlan(thin).warnings.filter((w) => w.code === 'slumps');
    const cured = slump!.remedies!.find((r) => r.label.startsWith('Set it level while'))!.apply(thin);
    expect(codes(thin)).to.include('slumps');
    expect(codes(cured)).not.to.include('slumps');
  });

  it('a wire through a slope goes where it lies', () => {
    const plan = cornerOf(SLAB);
    const wired = addWire(plan, 'waves', 30, plan.steps.findLast((s) => s.kind === 'stroke')!.id).plan;
    expectConserved(firstOf(wired), 0.009, 'wire');
  });

  it('still spills as it is propped; and is refused where it is turned instead of set level', () => {
    const full = cornerOf(SLAB);
    const brim: Plan = { ...full, fill: { ...full.fill, to: { kind: 'headspace', headspaceMm: 1 } } };
    expect(computePlan(brim).warnings.map((w) => w.code)).to.include('spills');
    const turned: Plan = {
      ...full,
      steps: full.steps.map((s) => (s.kind === 'tilt' && s.fluid ? { ...s, rollDeg: 5 } : s)),
    };
    expect(checkPlan(turned).map((f) => f.code)).to.include('fluid-not-level');
  });
});
