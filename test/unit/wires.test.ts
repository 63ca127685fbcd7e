import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { addPattern, addStroke } from '../../src/core/edit/pattern.ts';
import { addWire, addWirePoint, keepBelow, removeWirePoint, updateWire } from '../../src/core/edit/wire.ts';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { rasterise, type Raster } from '../../src/core/face/raster.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { draggedTo } from '../../src/core/flow/stroke.ts';
import { WIRE_WAYS, wireWay } from '../../src/core/pattern/wirePath.ts';
import { toldOf } from '../../src/core/pattern/wireTold.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Wire } from '../../src/core/plan/stepSchema.ts';
import type { Shape } from '../../src/core/mould/schema.ts';
import { sinkOf, stageToSink } from '../../src/core/setting/spike.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { boxPlan, demoPlans, pour, rest } from '../support/plans.ts';
import { seeded } from '../support/random.ts';
import { OTHER_SHAPES } from '../support/shapes.ts';
import { pouredMl, simulatedMl } from '../support/simulated.ts';

const BOX: Shape = { kind: 'box', lengthMm: 160, widthMm: 90, heightMm: 70 };
const SHAPES: readonly Shape[] = [BOX, ...OTHER_SHAPES];

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

const potsAt = (stage: number): Plan['pots'] =>
  ['p1', 'p2', 'p3'].map((id, i) => ({
    id,
    letter: 'ABC'.charAt(i),
    name: id,
    colour: ['#ece4d2', '#5f6c78', '#b5663a'][i]!,
    stage,
    colorants: [],
  }));

/** Level pours of three pots in a mould of a shape, all fluid; with `base` a set slope lies under them. */
function layered(shape: Shape, parts: readonly number[], base = false, stage = 1.2): Plan {
  const plan = boxPlan([], { mould: { ...boxPlan([]).mould, shape }, pots: potsAt(stage) });
  const under: Plan['steps'] = base
    ? [
        { id: 't1', kind: 'tilt', rollDeg: 7, pitchDeg: 0 },
        pour('b1', 'p1', { kind: 'percent', percent: 25 }),
        { id: 'x1', kind: 'wait', until: { kind: 'minutes', minutes: 20 } },
        { id: 't2', kind: 'tilt', rollDeg: 0, pitchDeg: 0 },
      ]
    : [];
  return {
    ...plan,
    fill: { ...plan.fill, to: { kind: 'headspace', headspaceMm: 6 } },
    steps: [...under, ...parts.map((n, i) => pour(`s${i + 1}`, `p${(i % 3) + 1}`, rest(n)))],
  };
}

const deepOf = (plan: Plan): number => firstOf(plan).fill.heightMm;

/** A base and two pours over it in close lines. */
function pointed(shape: Shape, base = false, stage = 2.2, spacingMm = 14): Plan {
  const place = { at: 'close-lines', runs: 'lengthwise', spacingMm } as const;
  const plan = layered(shape, [2, 1, 1.3], base, stage);
  return {
    ...plan,
    steps: plan.steps.map((s) =>
      s.kind === 'pour' && (s.id === 's2' || s.id === 's3')
        ? { ...s, landing: { how: 'low', fallMm: 20 }, pattern: { place, then: [], rounds: [1] } }
        : s,
    ),
  };
}

/** What is shown of every pour against what was poured, as parts of all there is. */
function expectConserved(plan: Plan, within: number, what: string): void {
  const laid = firstOf(plan);
  const shown = simulatedMl(laid, readyFrom(noneReady()), 46, 100);
  for (const [key, ml] of pouredMl(laid))
    expect(Math.abs((shown.get(key) ?? 0) - ml) / laid.stack.filledMl, `${what}: ${key}`).to.be.below(within);
}

/** The section in the middle, one sample a pixel, at `size` px a side. */
const pictureOf = (plan: Plan, size = 200, mm?: number): Raster => {
  const laid = firstOf(plan);
  const face = sectionAt(laid, mm ?? laid.geometry.most.length / 2);
  return rasterise(face, size, size, readyFrom(noneReady()), 1);
};

const differing = (a: Raster, b: Raster): number =>
  a.band.reduce((n, v, i) => n + (a.pours[v - 1] === b.pours[b.band[i]! - 1] ? 0 : 1), 0) /
  a.band.reduce((n, v) => n + (v > 0 ? 1 : 0), 0);

describe('a wire through the section', () => {
  for (const shape of SHAPES.slice(0, 3))
    it(`keeps every colour’s volume in a ${shape.kind}, whatever its way, over a set slope too`, () => {
      for (const way of WIRE_WAYS)
        for (const base of [false, true]) {
          const plan = layered(shape, [2, 1, 1, 1.5], base);
          // half of a percent of all that is in the mould, and the sampling of fine threads
          expectConserved(addWire(plan, way, deepOf(plan)).plan, 0.007, `${way} ${base}`);
        }
    });

  it('and together with pours in rounds, a stick and points', () => {
    const random = seeded(20261127);
    for (let n = 0; n < 6; n += 1) {
      const shape = SHAPES[n % 3]!;
      let plan = random() < 0.5 ? pointed(shape) : layered(shape, [1, 1, 1]);
      if (random() < 0.6) plan = addPattern(plan, { at: 'wall', wall: 'left' }).plan;
      plan = addWire(plan, WIRE_WAYS[n % 3]!, deepOf(plan)).plan;
      if (random() < 0.5) plan = addStroke(plan, 'lines', 30).plan;
      expectConserved(plan, 0.011, `design ${n}`);
    }
  });

  it('carries batter as the stream function of its flow does, followed step by step from the same places', () => {
    const plan = addWire(layered(BOX, [1, 1, 1]), 'waves', deepOf(layered(BOX, [1, 1, 1]))).plan;
    const wire = plan.steps.find((s): s is Wire => s.kind === 'wire')!;
    const laid = firstOf(plan);
    const deep = laid.fill.heightMm;
    const half = laid.geometry.most.width / 2;
    const way = wireWay(wire.points, 2.7).filter(([, z]) => z <= deep);
    const box = { x0: -half, x1: half, y0: 0, y1: deep };
    const heights = laid.stack.layers.map((l) => l.offset);
    const picture = pictureOf(plan, 160);
    const face = sectionAt(laid, laid.geometry.most.length / 2);
    const scale = Math.min(160 / (face.right - face.left), 160 / (face.head - face.foot));
    let [same, all] = [0, 0];
    for (let row = 3; row < 160; row += 7)
      for (let col = 3; col < 160; col += 7) {
        const n = picture.band[row * 160 + col]!;
        if (n === 0) continue;
        const h = (face.left + face.right) / 2 + (col + 0.5 - 80) / scale;
        const z = (face.foot + face.head) / 2 - (row + 0.5 - 80) / scale;
        const [, was] = draggedTo([way], 3 * wire.girthMm, box, [h, z], -1);
        all += 1;
        if (picture.pours[n - 1] === laid.stack.layers[heights.findIndex((o) => was <= o + 1e-9)]?.pour.id)
          same += 1;
      }
    // but for places right at an edge
    expect(all).to.be.above(300);
    expect(same / all).to.be.above(0.96);
  });

  it('hardly moves batter when it is bare, and leaves the ends alone where it does not reach', () => {
    const plan = layered(BOX, [1, 1, 1, 1]);
    const { plan: wired, stepId } = addWire(plan, 'waves', deepOf(plan));
    const plain = pictureOf(plan);
    const [sleeved, bare] = [6, 1.5].map((girthMm) =>
      differing(pictureOf(updateWire(wired, stepId, { girthMm })), plain),
    );
    expect(sleeved).to.be.above(0.2);
    expect(bare).to.be.below(0.06);
    const short = updateWire(wired, stepId, { longMm: 100 });
    expect(differing(pictureOf(short, 200, 80), plain)).to.be.above(0.2);
    expect(differing(pictureOf(short, 200, 20), plain)).to.equal(0);
  });

  it('goes in and out where its way says: lowest, highest and lifts are read off it', () => {
    const points = [
      [-40, 70],
      [-40, 8],
      [-20, 50],
      [0, 8],
      [20, 40],
      [40, 8],
      [40, 70],
    ].map(([acrossMm, heightMm]) => ({ acrossMm: acrossMm!, heightMm: heightMm! }));
    const told = toldOf({ points }, 60)!;
    expect(told.lifts).to.equal(2);
    expect(told.highestMm).to.be.closeTo(50, 1);
    expect(told.lowestMm).to.be.closeTo(8, 1.5);
    expect(told.inAtMm).to.be.closeTo(-40, 1);
    expect(told.outAtMm).to.be.closeTo(40, 1);
    expect(toldOf({ points: points.map((p) => ({ ...p, heightMm: 65 })) }, 60)).to.equal(undefined);
  });

  it('points are added half way and taken out down to two; a plan of 121 is refused', () => {
    const { plan, stepId } = addWire(layered(BOX, [1, 1]), 'floor', 60);
    const pointsOf = (p: Plan): number => p.steps.find((s): s is Wire => s.kind === 'wire')!.points.length;
    const count = pointsOf(plan);
    expect(pointsOf(addWirePoint(plan, stepId, 2))).to.equal(count + 1);
    let fewer = plan;
    for (let i = 0; i < count + 3; i += 1) fewer = removeWirePoint(fewer, stepId, 0);
    expect(pointsOf(fewer)).to.equal(2);
    const many = updateWire(plan, stepId, {
      points: Array.from({ length: 121 }, () => ({ acrossMm: 0, heightMm: 5 })),
    });
    expect(JSON.stringify(readPlanFile(writePlanFile(many)))).to.include('at most 120 points');
  });

  it('is warned of with its number: through the top, too long, into a wall, off it, in what has set, bare, missing', () => {
    const plan = layered(BOX, [1, 1, 1]);
    const deep = deepOf(plan);
    const { plan: wired, stepId } = addWire(plan, 'waves', deep);
    const said = (change: Partial<Wire>, on = wired): ReadonlyMap<string, string> =>
      new Map(computePlan(updateWire(on, stepId, change)).warnings.map((w) => [w.code, w.message]));
    expect([...said({}).keys()].filter((c) => c.startsWith('wire'))).to.deep.equal([]);
    expect(said({ longMm: 200 }).get('wire-no-room')).to.match(/200 mm long.*1\d\d mm/);
    expect(said({ longMm: 90 }).get('wire-short')).to.match(/leaves 3\d.* mm at either end/);
    expect(said({ girthMm: 1.5 }).get('wire-bare')).to.match(/1\.5 mm thick/);
    const { points } = wired.steps.find((s): s is Wire => s.kind === 'wire')!;
    const high = { points: points.map((p, i) => (i === 5 ? { ...p, heightMm: deep + 3 } : p)) };
    expect(said(high).get('wire-through-top')).to.match(/comes up to 6\d/);
    const cured = keepBelow(updateWire(wired, stepId, high), stepId, Math.floor(deep - 5));
    expect(computePlan(cured).warnings.map((w) => w.code)).to.not.include('wire-through-top');
    const astray = { points: points.map((p, i) => (i === 3 ? { ...p, acrossMm: 60 } : p)) };
    expect(said(astray).get('wire-outside')).to.match(/right of the middle/);
    const middle = { points: points.map((p) => ({ ...p, acrossMm: p.acrossMm * 0.3 })) };
    expect(said(middle).get('wire-off-wall')).to.match(/from the nearest wall/);
    const above = { points: points.map((p) => ({ ...p, heightMm: deep + 4 })) };
    expect(said(above).get('wire-misses')).to.match(/moves nothing/);
    const waited: Plan = {
      ...wired,
      steps: wired.steps.flatMap((s) =>
        s.id === 's2'
          ? [{ id: 'x1', kind: 'wait', until: { kind: 'minutes', minutes: 30 } } as const, s]
          : [s],
      ),
    };
    expect(said({}, waited).get('wire-in-set')).to.match(/below 2\d.* mm has set/);
    const round = computePlan(addWire(layered(SHAPES[3]!, [1, 1]), 'floor', 60).plan).warnings;
    expect(round.find((w) => w.code === 'wire-no-room')?.level).to.equal('refuse');
  });

  it('is on the sheet with its girth, where it goes in and out, and never towards you', () => {
    const plan = demoPlans().find((p) => p.name === 'Ripple Sill')!;
    const sheet = JSON.stringify(sheetJson(computePlan(plan)));
    expect(sheet).to.match(
      /With a wire 6 mm thick and 245 mm long, held from end to end: down 38 mm left of the middle/,
    );
    expect(sheet).to.match(/lifted twice on the way to 5\d/);
    expect(sheet).to.include('not towards you');
  });
});

describe('pointed layers', () => {
  for (const shape of SHAPES)
    it(`keep every colour’s volume in a ${shape.kind}, however deep they sink`, () => {
      for (const stage of [1, 2.2, 3])
        for (const base of shape.kind === 'box' ? [false, true] : [false])
          expectConserved(pointed(shape, base, stage), 0.006, `${stage} ${base}`);
    });

  it('are as deep as a line sinks, a line’s spacing apart, and rise between by what they push aside', () => {
    const plan = pointed(BOX, false, 2.4);
    // the second pour alone over the first
    const one: Plan = { ...plan, steps: plan.steps.slice(0, 2) };
    const laid = firstOf(one);
    const [lower, upper] = laid.stack.layers;
    const sink = sinkOf(2.4, 20, upper!.densityGMl);
    const face = sectionAt(laid, 80);
    const size = 600;
    const { band, pours } = rasterise(face, size, size, readyFrom(noneReady()), 1);
    const scale = Math.min(size / (face.right - face.left), size / (face.head - face.foot));
    const top = pours.indexOf(lower!.pour.id) + 1;
    /** height of the lower layer's top at each px across */
    const heights = Array.from({ length: size }, (_, col) => {
      let n = 0;
      for (let row = 0; row < size; row += 1) if (band[row * size + col] === top) n += 1;
      return n / scale;
    }).filter((h) => h > 0);
    expect(Math.min(...heights)).to.be.closeTo(lower!.offset - sink, 0.5);
    // spikes (1 - d/7)^2 deep of seven millimetres either side, by hand: their mean is 2 x 7 / 3 of a spacing
    const lines = Math.round(laid.geometry.most.width / 14);
    const spacing = laid.geometry.most.width / lines;
    const mean = (2 * Math.min(7, spacing / 2)) / 3 / spacing;
    expect(Math.max(...heights)).to.be.closeTo(lower!.offset + (sink * mean) / (1 - mean), 0.5);
    const dips = heights.filter(
      (h, i) => h < (heights[i - 6] ?? 99) && h <= (heights[i + 6] ?? 99) && h < lower!.offset - sink + 1.2,
    );
    expect(dips.length).to.be.above(lines - 1);
  });

  it('are alike on both sides', () => {
    const { band, width, pours } = pictureOf(pointed(BOX), 201);
    let [same, all] = [0, 0];
    for (let row = 0; row < width; row += 1)
      for (let col = 0; col < width / 2; col += 1) {
        const [a, b] = [band[row * width + col]!, band[row * width + width - 1 - col]!];
        if (a === 0 && b === 0) continue;
        all += 1;
        if (pours[a - 1] === pours[b - 1]) same += 1;
      }
    expect(same / all).to.be.above(0.985);
  });

  it('sink deeper from higher and when thinner; too thin they are warned of with the depth, and cured', () => {
    expect(sinkOf(2, 40, 1.03)).to.be.closeTo(2 * sinkOf(2, 20, 1.03), 1e-9);
    expect(sinkOf(1.5, 20, 1.03)).to.be.above(sinkOf(2, 20, 1.03));
    expect(sinkOf(stageToSink(15, 25, 1.03), 25, 1.03)).to.be.closeTo(15, 1e-9);
    // by hand: 5 mm x 1 030 kg/m3 x 9.81 x 0.02 m / (5.14 x 0.5 Pa x 10^1.4)
    expect(sinkOf(2, 20, 1.03)).to.be.closeTo(15.65, 0.05);
    const thin = computePlan(pointed(BOX, false, 1)).warnings.find((w) => w.code === 'lines-wash');
    expect(thin?.message).to.match(/sink 7\d mm \(estimated\).*wash together/);
    let cured = pointed(BOX, false, 1);
    for (let i = 0; i < 3; i += 1) {
      const w = computePlan(cured).warnings.find((v) => v.code === 'lines-wash');
      if (w) cured = w.remedies![0]!.apply(cured);
    }
    expect(computePlan(cured).warnings.map((w) => w.code)).to.not.include('lines-wash');
  });
});

describe('a fan out of a corner', () => {
  it('is told by the strokes that fall into the mould', () => {
    const tarn = demoPlans().find((p) => p.name === 'Tarn Corner')!;
    const sheet = JSON.stringify(sheetJson(computePlan(tarn)));
    const told = Number(/(\d+) strokes from where they meet outward/.exec(sheet)?.[1]);
    expect(told).to.be.within(8, 14);
  });
});
