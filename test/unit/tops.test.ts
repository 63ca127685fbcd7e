import { expect } from 'chai';
import { VESSEL } from '../../src/core/day/vessel.ts';
import fc from 'fast-check';
import { computePlan } from '../../src/core/computed/compute.ts';
import { cutLines } from '../../src/core/cut/cutLines.ts';
import { singleBars } from '../../src/core/cut/singleBars.ts';
import { addStroke } from '../../src/core/edit/pattern.ts';
import { addRow, addTop, setTop, sideBySide } from '../../src/core/edit/tops.ts';
import { sideOfBar } from '../../src/core/face/barFaces.ts';
import { sectionAt, topFace } from '../../src/core/face/loafFaces.ts';
import { heapedVolumes } from '../../src/core/face/heapedVolumes.ts';
import { levelSheet } from '../../src/core/face/levels.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import { pressedIn } from '../../src/core/fill/pressed.ts';
import { topsOf } from '../../src/core/fill/tops.ts';
import { standsAt, volumeOfThing, type Thing } from '../../src/core/flow/heap.ts';
import { hollowMm3 } from '../../src/core/flow/uneven.ts';
import { massOfContents } from '../../src/core/ledger/contents.ts';
import { leftIn } from '../../src/core/ledger/ledger.ts';
import type { Shape } from '../../src/core/mould/schema.ts';
import { bodiesOf } from '../../src/core/pattern/blocks.ts';
import { checkPlan } from '../../src/core/plan/checkPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { TopWay } from '../../src/core/plan/topSchema.ts';
import { boxPlan, rest } from '../support/plans.ts';
import { rareLoaves } from '../support/rarer.ts';
import { seeded } from '../support/random.ts';
import { OTHER_SHAPES } from '../support/shapes.ts';
import { simulatedMl } from '../support/simulated.ts';

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

/** A plan with something on top, told otherwise than it begins as. */
function topped<T extends TopWay['top']>(
  plan: Plan,
  top: T,
  change: Partial<Extract<TopWay, { top: T }>> = {},
): { readonly plan: Plan; readonly id: string } {
  const made = addTop(plan, top);
  const step = made.plan.steps.find((s) => s.id === made.stepId);
  const way = { ...(step?.kind === 'top' ? step.way : {}), ...change } as TopWay;
  return { plan: setTop(made.plan, made.stepId, way), id: made.stepId };
}

const CUT: Plan['cut'] = { strips: 1, thicknessMm: 25, kerfMm: 0.5, trimStartMm: 5, trimEndMm: 5 };

const LOAF: Shape = { kind: 'box', lengthMm: 230, widthMm: 80, heightMm: 75 };

const loaf = (shape: Shape = LOAF, cut: Plan['cut'] = CUT): Plan =>
  boxPlan([rest(), rest()], {
    mould: { name: 'A mould', material: 'wood', shape, linerMm: 0, wallMm: 5, bowMm: 0 },
    fill: { to: { kind: 'headspace', headspaceMm: 10 }, copies: 1, overagePercent: 0, top: [] },
    cut,
  });

const row = (change: object = {}) => ({
  pot: 'q3',
  offMm: 0,
  acrossMm: 20,
  heightMm: 16,
  perBar: 1,
  ...change,
});

/** Rows piped of the second batch's pot. */
function piped(plan: Plan, ...rows: readonly object[]): { readonly plan: Plan; readonly id: string } {
  const ready = addTop(plan, 'piping');
  const pot = ready.plan.second!.pots[0]!.id;
  return {
    plan: setTop(ready.plan, ready.stepId, {
      top: 'piping',
      rows: rows.map((r) => row({ pot, ...r })),
    }),
    id: ready.stepId,
  };
}

/** ml of each deposit of what lies on top, as its pictures show it. */
function heapedMl(laid: LaidMould): ReadonlyMap<string, number> {
  const ml = new Map<string, number>();
  for (const body of bodiesOf(laid))
    if (body.kind === 'block' && body.block.content.kind === 'heaped')
      for (const [key, some] of heapedVolumes(body.block, body.block.content))
        ml.set(key, (ml.get(key) ?? 0) + some);
  return ml;
}

const ofTop = (laid: LaidMould, key: string): number =>
  topsOf(laid)
    .flatMap((t) => t.parts)
    .reduce((s, p) => s + (p.key === key ? p.volumeMl : 0), 0);

const codes = (plan: Plan): readonly string[] => computePlan(plan).warnings.map((w) => w.code);

/** The plan after the first remedy of a warning. */
function remedied(plan: Plan, code: string, nth = 0): Plan {
  const warning = computePlan(plan).warnings.find((w) => w.code === code);
  expect(warning, code).to.not.equal(undefined);
  return warning!.remedies![nth]!.apply(plan);
}

describe('forms of what lies on a loaf', () => {
  const at = { x: 3, y: -2, deposit: 0, mm: 12 };
  const things: readonly Exclude<Thing, { form: 'ridge' | 'grains' | 'relief' }>[] = [
    { ...at, form: 'dome', halfX: 10, halfY: 10 },
    { ...at, form: 'ball', halfX: 8, halfY: 8 },
    { ...at, form: 'rod', halfX: 4, halfY: 4, sinkMm: 6 },
    { ...at, form: 'rope', halfX: 7, halfY: 60, waves: 9 },
  ];

  it('hold what their formula says, added up place by place', () => {
    for (const thing of things) {
      const n = 700;
      const [dx, dy] = [(2 * thing.halfX) / n, (2 * thing.halfY) / n];
      let sum = 0;
      for (let i = 0; i < n; i += 1)
        for (let j = 0; j < n; j += 1)
          sum += standsAt(
            thing,
            thing.x - thing.halfX + (i + 0.5) * dx,
            thing.y - thing.halfY + (j + 0.5) * dy,
          );
      expect((sum * dx * dy) / volumeOfThing(thing), thing.form).to.be.closeTo(1, 0.003);
    }
  });

  it('agree with solids whose volumes are known', () => {
    // Archimedes: a half ball is two thirds of its cylinder ("On the Sphere and Cylinder"), a segment of a
    // parabola two thirds of its box ("Quadrature of the Parabola"), a paraboloid half of its cylinder ("On
    // Conoids and Spheroids"); a star of six flutes has the area of a circle of 1 / 1.3 of the square of its
    // outermost radius. From memory.
    const cylinder = (r: number): number => Math.PI * r * r * 12;
    expect(volumeOfThing(things[0]!)).to.be.closeTo(cylinder(10) / 2 / 1.3, 1e-6);
    expect(volumeOfThing(things[1]!)).to.be.closeTo((cylinder(8) * 2) / 3, 1e-6);
    expect(volumeOfThing(things[2]!)).to.be.closeTo(cylinder(4), 1e-6);
    expect(volumeOfThing(things[3]!)).to.be.closeTo((14 * 12 * 120 * 2) / 3, 1e-6);
  });
});

describe('a dent of a spoon', () => {
  it('is a paraboloid of revolution: half the cylinder about it (handbook formula, from memory)', () => {
    expect(hollowMm3({ x: 3, y: 4, halfX: 10, halfY: 10, deepMm: 6 })).to.be.closeTo(942.4778, 1e-4);
  });
});

describe('dents on a loaf in two parts', () => {
  it('are pressed into each part where it is, so many on each of its own bars', () => {
    const plan = new Map(rareLoaves).get('parted-dents')!();
    const way = plan.steps.find((s) => s.kind === 'top')!.way as Extract<TopWay, { top: 'dents' }>;
    const [{ geometry, cut, fill }] = computePlan(plan).moulds;
    const wall = plan.mould.divider!.atMm[0]! - geometry.most.width / 2;
    for (const room of [0, 1]) {
      const dents = pressedIn(plan, geometry, fill.heightMm, room);
      expect(dents.length, `part ${room + 1}`).to.equal((cut.bars.length / 2) * way.rows * way.perBar);
      for (const { x } of dents) expect(x > wall, `part ${room + 1}`).to.equal(room === 1);
    }
  });
});

describe('what is put on top', () => {
  it('is shown as much as is weighed, in any mould, whatever lies over what', () => {
    const random = seeded(11);
    for (const shape of [LOAF, ...OTHER_SHAPES]) {
      let { plan } = topped(loaf(shape), 'mound', {
        wideMm: 30 + random() * 60,
        offMm: (random() - 0.5) * 30,
        heightMm: 5 + random() * 15,
        runs: random() < 0.5 ? 'lengthwise' : 'crosswise',
      });
      ({ plan } = topped(plan, 'pieces', { acrossMm: 10, rows: 2 }));
      ({ plan } = piped(plan, { offMm: -8, acrossMm: 18 }, { offMm: 9, acrossMm: 12, perBar: 2 }));
      const laid = firstOf(plan);
      const shown = heapedMl(laid);
      for (const [key, ml] of shown)
        expect(ml / ofTop(laid, key), `${shape.kind} ${key}`).to.be.closeTo(1, 0.005);
      expect(shown.size).to.equal(3);
    }
  });

  it('lies on slanted and dented soap as it does on level soap', () => {
    const level = piped(loaf(), { offMm: 5 }).plan;
    const slanted: Plan = {
      ...level,
      steps: [{ id: 'z1', kind: 'tilt', rollDeg: 6, pitchDeg: 0 }, ...level.steps],
    };
    const [pot] = level.second!.pots;
    const key = `pot ${pot!.id}`;
    const dented = topped(level, 'dents', { depthMm: 5 }).plan;
    for (const plan of [level, slanted, dented]) {
      const laid = firstOf(plan);
      expect(heapedMl(laid).get(key)! / ofTop(laid, key)).to.be.closeTo(1, 0.005);
      expect(ofTop(laid, key)).to.be.closeTo(ofTop(firstOf(level), key), 1e-9);
    }
  });

  it('a dent takes nothing off: what it pushes aside stands beside it', () => {
    const { plan } = topped(loaf(), 'dents', { rows: 3, acrossMm: 18, depthMm: 7 });
    const laid = firstOf(plan);
    const shown = simulatedMl(laid, readyFrom(noneReady()), 61, 260);
    for (const layer of laid.stack.layers)
      expect(shown.get(layer.pour.id)! / layer.volumeMl).to.be.closeTo(1, 0.006);
    // in the middle of a dent and between dents
    const [bar] = singleBars({ ...laid, cut: computePlan(plan).cut });
    const { highestMm, lowestMm } = laid.stack.layers.at(-1)!.rough!;
    expect(highestMm - lowestMm).to.be.closeTo(7, 0.4);
    expect(bar!.massG).to.be.closeTo(
      singleBars({ ...firstOf(loaf()), cut: computePlan(loaf()).cut })[0]!.massG,
      1e-6,
    );
  });

  it('is repeated on every bar, clear of every cut', () => {
    const cuts: readonly Plan['cut'][] = [
      CUT,
      { ...CUT, strips: 2 },
      { ...CUT, way: { by: 'floor', longMm: 80 } },
      { ...CUT, way: { by: 'lengthwise', longMm: 80 } },
    ];
    for (const cut of cuts) {
      const strip = cut.strips === 2 || cut.way?.by === 'lengthwise';
      const { plan } = piped(loaf(LOAF, cut), {
        acrossMm: strip ? 9 : 12,
        perBar: 2,
        offMm: strip ? 3 : 20,
      });
      const computed = computePlan(plan);
      expect(codes(plan)).to.not.include('top-over-cut');
      const [top] = topsOf(computed.moulds[0]);
      const things = top!.parts[0]!.things;
      for (const { from, to } of cutLines(computed))
        for (const { x, y, halfX } of things) {
          const along = from[0] === to[0] ? Math.abs(x - from[0]) : Math.abs(y - from[1]);
          const within =
            from[0] === to[0]
              ? y > Math.min(from[1], to[1]) && y < Math.max(from[1], to[1])
              : x > Math.min(from[0], to[0]) && x < Math.max(from[0], to[0]);
          if (within) expect(along, `${JSON.stringify(cut)} ${x} ${y}`).to.be.at.least(halfX - 1e-9);
        }
      const bars = cut.way ? undefined : computed.cut.count;
      if (bars !== undefined) expect(things).to.have.length(2 * bars);
    }
  });

  it('the same weight of it is on every bar, and all of it on the bars and what is cut off', () => {
    const { plan } = piped(loaf(), { offMm: -12 }, { offMm: 15, acrossMm: 10, perBar: undefined });
    const { cut, tops } = computePlan(plan);
    const [dollops, rope] = tops;
    const each = dollops!.massG / cut.count + (rope!.massG * CUT.thicknessMm) / 230;
    for (const bar of cut.bars) expect(bar.onTopG).to.be.closeTo(each, 1e-9);
    const plain = computePlan(loaf()).cut.bars[0]!;
    expect(cut.bars[0]!.massG - plain.massG).to.be.closeTo(each, 1e-6);
  });

  it('of slices parallel to the floor only the uppermost has any', () => {
    const { plan } = piped(loaf(LOAF, { ...CUT, thicknessMm: 21.2, way: { by: 'floor', longMm: 80 } }), {});
    const { cut } = computePlan(plan);
    for (const { slice, onTopG } of cut.bars)
      if (slice) expect(onTopG > 0, JSON.stringify(slice)).to.equal(slice.last);
    expect(cut.bars.some((b) => b.slice?.last)).to.equal(true);
    expect(codes(plan)).to.not.include('top-in-offcut');
    const thinner: Plan = { ...plan, cut: { ...plan.cut, thicknessMm: 20 } };
    expect(codes(thinner)).to.include('top-in-offcut');
    expect(computePlan(thinner).cut.bars.every((b) => !b.slice || b.onTopG === 0)).to.equal(true);
    expect(codes(remedied(thinner, 'top-in-offcut'))).to.not.include('top-in-offcut');
  });

  it('a mound to one side is the mirror image of one to the other', () => {
    const shot = (offMm: number) =>
      rasterise(
        sectionAt(firstOf(topped(loaf(), 'mound', { offMm, wideMm: 40 }).plan), 100),
        120,
        120,
        readyFrom(noneReady()),
        1,
      );
    const [left, right] = [shot(-12), shot(12)];
    for (let y = 0; y < 120; y += 1)
      for (let x = 0; x < 120; x += 1)
        if ((left.band[y * 120 + x] ?? 0) > 0 !== (right.band[y * 120 + 119 - x] ?? 0) > 0)
          expect.fail(`at ${x} ${y}`);
  });

  it('what stands behind a cut is seen in a bar, from both sides', () => {
    const { plan } = piped(loaf(), { offMm: 14 });
    const computed = computePlan(plan);
    const [bar] = singleBars(computed);
    const laid = computed.moulds[0];
    const widthOf = (side: 'near' | 'far'): readonly number[] => {
      const { band, pours } = rasterise(sideOfBar(laid, bar!, side), 200, 200, readyFrom(noneReady()), 1);
      return [...band].flatMap((b, i) => (b > 0 && pours[b - 1]!.startsWith('pot q') ? [i % 200] : []));
    };
    const near = widthOf('near');
    const far = widthOf('far');
    expect(near.length).to.be.above(200);
    // 14 mm right of the middle seen from the near cut, left of it from the far one
    const mean = (xs: readonly number[]): number => xs.reduce((a, b) => a + b, 0) / xs.length;
    expect(mean(near)).to.be.above(105);
    expect(mean(near) + mean(far)).to.be.closeTo(199, 3);
  });

  it('turning, it is seen in level cuts on one sheet, each cut what lies at its height', () => {
    const laid = firstOf(piped(loaf(), { offMm: 10, acrossMm: 20, heightMm: 18 }).plan);
    const [sheet] = bodiesOf(laid).flatMap((b) => levelSheet(b) ?? []);
    const { face, levels, longMm } = sheet!;
    expect(levels.map((l) => l.z)).to.deep.equal(levels.map((l) => l.z).toSorted((a, b) => a - b));
    const height = Math.round(longMm * 3);
    const width = Math.round((face.right - face.left) * 3);
    const { band } = rasterise(face, width, height, readyFrom(noneReady()), 1);
    // of a paraboloid of eight dollops: its area at each height, by hand
    for (const { leftMm, z } of levels) {
      const [from, to] = [Math.round(leftMm * 3), Math.round((leftMm + sheet!.wideMm) * 3)];
      let px = 0;
      for (let y = 0; y < height; y += 1)
        for (let x = from; x < to; x += 1) px += (band[y * width + x] ?? 0) > 0 ? 1 : 0;
      const u = Math.max(0, 1 - (z - 65) / 18);
      const bars = computePlan(piped(loaf(), {}).plan).cut.count;
      expect(px / 9, `${z}`).to.be.closeTo((bars * Math.PI * 100 * u) / 1.3, 0.05 * bars * 242);
    }
  });

  it('the top is seen in the light that falls on it, the same deposits at every step', () => {
    const { plan } = piped(loaf(), { offMm: 0 });
    const { band, pours } = rasterise(topFace(firstOf(plan)), 200, 400, readyFrom(noneReady()), 1);
    const seen = new Set([...band].flatMap((b) => (b > 0 ? [pours[b - 1]!] : [])));
    const pot = plan.second!.pots[0]!.id;
    const lights = [...seen].filter((k) => k.startsWith(`pot ${pot}`));
    expect(lights.length).to.be.at.least(3);
    expect([...seen].some((k) => k === plan.steps.filter((s) => s.kind === 'pour').at(-1)!.id)).to.equal(
      true,
    );
  });
});

describe('batter that is heaped on top', () => {
  it('is made with its pot, and is all in the mould at the end', () => {
    const { plan, id } = topped(loaf(), 'mound', { wideMm: 60, heightMm: 14 });
    const computed = computePlan(plan);
    const before = computePlan(loaf());
    const [mound] = computed.tops;
    // two thirds of 60 x 14 mm all along 230 mm
    expect(mound!.volumeMl).to.be.closeTo((60 * 14 * 230 * 2) / 3000, 1e-6);
    const of = (c: typeof computed, pot: string): number =>
      c.weights!.pots.find((p) => p.pot.id === pot)!.batterG;
    const pot = mound!.pot!;
    expect(of(computed, pot) - of(before, pot)).to.be.closeTo(mound!.massG, 0.6);
    const { ledger } = computed.weights!;
    const moved = ledger.transfers.filter((t) => t.act === `on-top:${id}`);
    expect(moved.map((t) => [t.from.key, t.to.key])).to.deep.equal([[`pot:${pot}`, 'mould']]);
    expect(massOfContents(leftIn(ledger, VESSEL.pot(pot)))).to.be.below(1);
  });

  it('comes off a batch of given size: the batch stays what it is', () => {
    const given: Plan = { ...loaf(), fill: { ...loaf().fill, to: { kind: 'batter', massG: 1000 } } };
    const { plan } = topped(given, 'mound', {});
    const [before, after] = [computePlan(given), computePlan(plan)];
    expect(after.weights!.batterG).to.be.closeTo(before.weights!.batterG, 3);
    expect(before.stack.filledMl - after.stack.filledMl).to.be.closeTo(after.tops[0]!.volumeMl, 0.5);
  });

  it('of a pot that nothing is poured of has its lye put to it first', () => {
    const base: Plan = { ...loaf(), divide: { kind: 'before-lye', lye: 'jug-by-jug' } };
    const pots: Plan['pots'] = [
      ...base.pots,
      { id: 'p9', letter: 'Z', name: 'Only on top', colour: '#77854f', stage: 3, colorants: [] },
    ];
    const { plan } = topped({ ...base, pots }, 'mound', { pot: 'p9' });
    const { weights } = computePlan(plan);
    const acts = weights!.ledger.transfers.map((t) => t.act);
    expect(acts.indexOf('combine:p9')).to.be.above(-1);
    const only = weights!.pots.find((p) => p.pot.id === 'p9')!;
    expect(only.superfatPercent).to.be.within(4.9, 8);
  });
});

describe('what is said of a top', () => {
  const at = (plan: Plan, code: string) => computePlan(plan).warnings.find((w) => w.code === code);

  it('that lies on the cuts, and each remedy takes it off them', () => {
    const { plan } = piped(loaf(), { acrossMm: 14, perBar: 3 });
    expect(at(plan, 'top-over-cut')!.message).to.include('3 dollops of row 1 of 14 mm take 42 mm');
    expect(at(plan, 'top-over-cut')!.message).to.include('25 mm');
    for (const nth of [0, 1])
      expect(codes(remedied(plan, 'top-over-cut', nth))).to.not.include('top-over-cut');
    const pieces = topped(loaf(), 'pieces', { rows: 4, acrossMm: 26 }).plan;
    const fixed = remedied(remedied(pieces, 'top-over-cut'), 'top-over-cut');
    expect(codes(fixed)).to.not.include('top-over-cut');
  });

  it('that hangs over, is buried, goes too deep or lies on nothing', () => {
    const over = piped(loaf(), { offMm: 38 }).plan;
    expect(at(over, 'top-over-edge')!.message).to.include('8 mm over the edge');
    expect(codes(remedied(over, 'top-over-edge'))).to.not.include('top-over-edge');
    const { plan, id } = topped(loaf(), 'salt');
    const top = plan.steps.find((s) => s.id === id)!;
    const buried: Plan = { ...plan, steps: [top, ...plan.steps.filter((s) => s !== top)] };
    expect(at(buried, 'top-buried')!.level).to.equal('refuse');
    expect(computePlan(buried).weights).to.equal(undefined);
    expect(codes(remedied(buried, 'top-buried'))).to.not.include('top-buried');
    const nothing: Plan = { ...plan, steps: [top] };
    expect(codes(nothing)).to.include('top-on-nothing');
    const straws = topped(loaf(), 'straws', { deepMm: 70 }).plan;
    expect(at(straws, 'straws-deep')!.message).to.include('70 mm deep, and the soap is 65 mm deep');
    expect(codes(remedied(straws, 'straws-deep'))).to.not.include('straws-deep');
  });

  it('dents that go through the last layer, and into a slope', () => {
    const thin: Plan = {
      ...loaf(),
      steps: loaf().steps.map((s, i) =>
        s.kind === 'pour' && i === 1 ? { ...s, amount: { kind: 'height' as const, heightMm: 4 } } : s,
      ),
    };
    const { plan } = topped(thin, 'dents', { depthMm: 9 });
    expect(at(plan, 'dents-through')!.level).to.equal('warn');
    expect(codes(remedied(plan, 'dents-through'))).to.not.include('dents-through');
    const tilted: Plan = {
      ...plan,
      steps: [{ id: 'z1', kind: 'tilt', rollDeg: 5, pitchDeg: 0 }, ...plan.steps],
    };
    expect(codes(tilted)).to.include('dents-slanted');
  });

  it('batter too thin to pipe or to heap on, salt that drags or is too much', () => {
    const { plan } = piped(loaf(), {});
    const thin: Plan = {
      ...plan,
      second: { ...plan.second!, pots: plan.second!.pots.map((p) => ({ ...p, stage: 1 })) },
    };
    expect(codes(thin)).to.include('piping-thin');
    const thicker = remedied(thin, 'piping-thin');
    expect(thicker.second!.pots[0]!.stage).to.equal(3.7);
    const tall = piped(loaf(), { acrossMm: 12, heightMm: 40 }).plan;
    expect(at(tall, 'piping-tall')!.message).to.include('40 mm high on a foot of 12 mm');
    expect(codes(remedied(tall, 'piping-tall'))).to.not.include('piping-tall');
    const mound = topped(loaf(), 'mound').plan;
    expect(codes(mound)).to.include('mound-soft');
    expect(codes(remedied(mound, 'mound-soft'))).to.not.include('mound-soft');
    const salt = topped(loaf(), 'salt', { massG: 200 }).plan;
    expect(codes(salt)).to.include.members(['salt-much', 'salt-drags']);
    expect(codes(remedied(salt, 'salt-drags'))).to.not.include('salt-drags');
    expect(codes(remedied(salt, 'salt-much'))).to.not.include('salt-much');
  });

  it('a stick meant for the top that goes below 6 mm', () => {
    const shallow = addStroke(loaf(), 'spiral', 6, { forTop: true }).plan;
    expect(codes(shallow)).to.not.include('stroke-below-top');
    const deep = addStroke(loaf(), 'spiral', 15, { forTop: true }).plan;
    expect(at(deep, 'stroke-below-top')!.message).to.include('15 mm deep: below 6 mm');
    expect(codes(remedied(deep, 'stroke-below-top'))).to.not.include('stroke-below-top');
  });

  it('a row more lies where there is room on the bar, and over the others where there is none', () => {
    const begun = piped(loaf(), { acrossMm: 20 });
    const { id } = begun;
    let { plan } = begun;
    for (let i = 0; i < 3; i += 1) plan = addRow(plan, id);
    const step = plan.steps.find((s) => s.id === id)!;
    const rows = step.kind === 'top' && step.way.top === 'piping' ? step.way.rows : [];
    expect(rows.map((r) => r.offMm)).to.deep.equal([0, -30, 30, 0]);
    expect(codes(plan)).to.not.include('top-over-edge');
  });

  it('rows side by side lie over none of each other', () => {
    const { plan, id } = piped(
      loaf(),
      { acrossMm: 10 },
      { acrossMm: 16 },
      { acrossMm: 8, perBar: undefined },
    );
    const step = sideBySide(plan, id).steps.find((s) => s.id === id)!;
    const rows = step.kind === 'top' && step.way.top === 'piping' ? step.way.rows : [];
    fc.assert(
      fc.property(fc.constantFrom(0, 1), (i) => {
        const [a, b] = [rows[i]!, rows[i + 1]!];
        return Math.abs(b.offMm - a.offMm - (a.acrossMm + b.acrossMm) / 2) < 0.11;
      }),
    );
  });

  it('a row of a pot that is not there, a mound of one, and a letter that both batches have are refused', () => {
    const { plan, id } = piped(loaf(), {});
    const codesOf = (p: Plan): readonly string[] => checkPlan(p).map((f) => f.code);
    expect(codesOf(plan)).to.deep.equal([]);
    expect(codesOf(setTop(plan, id, { top: 'piping', rows: [row({ pot: 'nobody' })] }))).to.deep.equal([
      'unknown-pot',
    ]);
    expect(
      codesOf(topped(plan, 'mound', { pot: plan.second!.pots[0]!.id }).plan),
      'of the second batch',
    ).to.deep.equal(['unknown-pot']);
    const same: Plan = {
      ...plan,
      second: { ...plan.second!, pots: [{ ...plan.second!.pots[0]!, letter: plan.pots[0]!.letter }] },
    };
    expect(codesOf(same)).to.deep.equal(['repeated-letter']);
  });
});
