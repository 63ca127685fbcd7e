import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { addPattern, addPull, addStroke, holdBackOfEach } from '../../src/core/edit/pattern.ts';
import { topFace } from '../../src/core/face/loafFaces.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import type { Place } from '../../src/core/ways/ways.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Pour } from '../../src/core/plan/stepSchema.ts';
import type { Shape } from '../../src/core/mould/schema.ts';
import { roundsOf } from '../../src/core/weigh/rounds.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { boxPlan, pour, rest } from '../support/plans.ts';
import { pouredMl, simulatedMl } from '../support/simulated.ts';

const SHAPES: readonly Shape[] = [
  { kind: 'box', lengthMm: 160, widthMm: 90, heightMm: 70 },
  { kind: 'half-round', lengthMm: 180, diameterMm: 120 },
  { kind: 'tube', stands: 'standing', lengthMm: 90, diameterMm: 110 },
];

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

/** A level base, and over it one pour of three pots in a place: half of it of the first. */
function mixed(shape: Shape, place: Place): Plan {
  const pots = ['p1', 'p2', 'p3'].map((id, i) => ({
    id,
    letter: 'ABC'.charAt(i),
    name: id,
    colour: ['#ece4d2', '#5f6c78', '#b5663a'][i]!,
    stage: 1.2,
    colorants: [],
  }));
  const empty = boxPlan([], { mould: { ...boxPlan([]).mould, shape }, pots });
  const plan = addPattern({ ...empty, steps: [pour('s1', 'p2', rest(1))] }, place).plan;
  return {
    ...plan,
    fill: { ...plan.fill, to: { kind: 'headspace', headspaceMm: 6 } },
    steps: plan.steps.map((s) =>
      s.kind === 'pour' && s.pattern
        ? { ...s, amount: rest(3), pot: 'p1', pattern: { ...s.pattern, then: ['p1', 'p2', 'p3'] } }
        : s,
    ),
  };
}

const PLACES: readonly Place[] = [
  { at: 'in-the-pot', spoonTurns: 1 },
  { at: 'in-the-pot', spoonTurns: 3 },
  { at: 'split-jug', wiggleMm: 26 },
];

function expectConserved(plan: Plan, within: number, what: string): void {
  const laid = firstOf(plan);
  const shown = simulatedMl(laid, readyFrom(noneReady()), 46, 100);
  for (const [key, ml] of pouredMl(laid))
    expect(Math.abs((shown.get(key) ?? 0) - ml) / laid.stack.filledMl, `${what}: ${key}`).to.be.below(within);
}

describe('colours out of one jug', () => {
  for (const shape of SHAPES)
    it(`show as much of each as there is in the jug, in a ${shape.kind}`, () => {
      for (const place of PLACES) expectConserved(mixed(shape, place), 0.01, JSON.stringify(place));
    });

  it('also when they are pushed aside and drawn through', () => {
    for (const place of PLACES) {
      const walled = addPattern(mixed(SHAPES[0]!, place), { at: 'wall', wall: 'left' }).plan;
      expectConserved(addStroke(walled, 'lines', 40).plan, 0.014, JSON.stringify(place));
    }
  });

  it('are finer with every turn of the spoon, and above four said to be one', () => {
    /** px where two colours meet, seen from above, of all */
    const edges = (spoonTurns: number): number => {
      const face = topFace(firstOf(mixed(SHAPES[0]!, { at: 'in-the-pot', spoonTurns })));
      const { band } = rasterise(face, 160, 160, readyFrom(noneReady()), 1);
      let met = 0;
      for (let i = 1; i < band.length; i += 1)
        if (band[i] !== band[i - 1] && band[i]! * band[i - 1]! > 0) met += 1;
      return met;
    };
    const [one, two, four] = [1, 2, 4].map(edges);
    expect(two).to.be.above(1.15 * one!);
    expect(four).to.be.above(1.15 * two!);
    const codes = (spoonTurns: number): readonly string[] =>
      computePlan(mixed(SHAPES[0]!, { at: 'in-the-pot', spoonTurns })).warnings.map((w) => w.code);
    expect(codes(4)).to.not.include('overmixed');
    const told = computePlan(mixed(SHAPES[0]!, { at: 'in-the-pot', spoonTurns: 6 })).warnings.find(
      (w) => w.code === 'overmixed',
    )!;
    expect(told.message).to.match(/6 turns of the spoon: above about 4 the colours are one/);
    expect(
      computePlan(
        told.remedies![0]!.apply(mixed(SHAPES[0]!, { at: 'in-the-pot', spoonTurns: 6 })),
      ).warnings.map((w) => w.code),
    ).to.not.include('overmixed');
  });

  it('a thin line of another jug lies between the wiggles, as much of it as is said', () => {
    const place: Place = { at: 'split-jug', wiggleMm: 26, accent: { pot: 'p3', percent: 10 } };
    const plan = mixed(SHAPES[0]!, place);
    const thin: Plan = {
      ...plan,
      steps: plan.steps.map((s) =>
        s.kind === 'pour' && s.pattern ? { ...s, pattern: { ...s.pattern, then: ['p2'] } } : s,
      ),
    };
    expectConserved(thin, 0.01, 'with a thin line');
    const layer = firstOf(thin).stack.layers.find((l) => l.pour.pattern)!;
    expect(layer.parts.map((p) => [p.pot.id, p.share])).to.deep.equal([
      ['p1', 0.45],
      ['p2', 0.45],
      ['p3', 0.1],
    ]);
    // across the top the colours come in turn: A, B, the line, A, B, the line
    const { band, pours, width } = rasterise(topFace(firstOf(thin)), 240, 240, readyFrom(noneReady()), 1);
    const row = [...band.slice(120 * width, 121 * width)].flatMap((b) => (b > 0 ? [pours[b - 1]!] : []));
    const order = row
      .filter((k, i) => k !== row[i - 1])
      .map((k) => layer.parts.findIndex((p) => p.key === k));
    for (const [i, part] of order.entries()) if (i > 0) expect(part).to.equal((order[i - 1]! + 1) % 3);
    const sheet = JSON.stringify(sheetJson(computePlan(thin)));
    expect(sheet).to.include('and C out of a jug of its own in a thin line between them');
  });

  it('go into the jug once each, with all of their parts: half of the first, a quarter of each accent', () => {
    const plan = mixed(SHAPES[0]!, PLACES[0]!);
    const step = plan.steps.find((s): s is Pour => s.kind === 'pour' && s.pattern !== undefined)!;
    const layer = firstOf(plan).stack.layers.find((l) => l.pour.id === step.id)!;
    const massOf = new Map(layer.parts.map((p) => [p.pot.id, p.plannedG]));
    const rounds = roundsOf(step, (pot) => massOf.get(pot) ?? 0, 0.1);
    expect(rounds).to.have.length(1);
    expect(rounds[0]!.map((t) => t.pot)).to.deep.equal(['p1', 'p2', 'p3']);
    const [a, b, c] = rounds[0]!.map((t) => t.massG / layer.plannedG);
    expect(a).to.be.closeTo(0.5, 0.001);
    expect(b).to.be.closeTo(0.25, 0.001);
    expect(c).to.be.closeTo(0.25, 0.001);
  });

  it('are told on the sheet: into one jug, how it is stirred or wiggled, and what of each', () => {
    const sheet = (place: Place): string => JSON.stringify(sheetJson(computePlan(mixed(SHAPES[0]!, place))));
    expect(sheet(PLACES[0]!)).to.match(
      /out of one jug: the first of them in it.*stirred with one turn of a spoon and poured level at once/,
    );
    expect(sheet(PLACES[2]!)).to.match(/side by side in it, level in wiggles 26 mm apart/);
  });
});

describe('all but so much of each pot', () => {
  it('is held back of the pots of that pour, of others nothing changes, and a hole is filled from it', () => {
    const base = boxPlan([rest()], {
      mould: { ...boxPlan([]).mould, columns: [{ id: 'c1', form: 'round', acrossMm: 24, xMm: 0, yMm: 0 }] },
    });
    const rounds = addPattern(
      { ...base, fill: { ...base.fill, top: [{ pot: 'p9', massG: 5 }] } },
      { at: 'column' },
    ).plan;
    const step = rounds.steps.find((s): s is Pour => s.kind === 'pour' && s.pattern !== undefined)!;
    const held = holdBackOfEach(rounds, step, 31.24);
    const pots = new Set([step.pot, ...step.pattern!.then]);
    expect(held.fill.top[0]).to.deep.equal({ pot: 'p9', massG: 5 });
    expect(held.fill.top.slice(1)).to.deep.equal([...pots].map((pot) => ({ pot, massG: 31.2 })));
    expect(holdBackOfEach(held, step, 0).fill.top).to.deep.equal([{ pot: 'p9', massG: 5 }]);
    const own = { ...held, fill: { ...held.fill, top: held.fill.top.slice(1) } };
    expect(computePlan(addPull(own)).warnings.map((w) => w.code)).to.not.include('column-hole');
  });
});
