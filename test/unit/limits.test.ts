import { expect } from 'chai';
import fc from 'fast-check';
import { computePlan } from '../../src/core/computed/compute.ts';
import { singleBars } from '../../src/core/cut/singleBars.ts';
import { lumpsAt, lumpsOf, lumpsOnGrid } from '../../src/core/flow/lumps.ts';
import { scattered } from '../../src/core/flow/scatter.ts';
import { massOnG } from '../../src/core/fill/topMass.ts';
import { MOST_DRAWN } from '../../src/core/fill/tops.ts';
import { bodiesOf } from '../../src/core/pattern/blocks.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Pour } from '../../src/core/plan/stepSchema.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { digestOf } from '../../src/core/task/digest.ts';
import { once } from '../../src/core/task/once.ts';
import { EXTREMES } from '../support/extremes.ts';
import { boxPlan, demo, pour, rest } from '../support/plans.ts';

const withTops = (count: number, rows: number): Plan =>
  boxPlan([rest()], {
    steps: [
      pour('s1', 'p1', rest()),
      ...Array.from({ length: count }, (_, i): Plan['steps'][number] => ({
        id: `t${i}`,
        kind: 'top',
        way: {
          top: 'pieces',
          name: 'bead',
          colour: '#aa3322',
          rows,
          perBar: 24,
          acrossMm: 4,
          heightMm: 3,
          massG: 0.1,
        },
      })),
    ],
  });

/** The rises of the one block there is: how many, and what they bring of each deposit, mm^3. */
function risesIn(plan: Plan): { readonly count: number; readonly byDeposit: readonly number[] } {
  const [block] = bodiesOf(computePlan(plan)).flatMap((b) => (b.kind === 'block' ? [b.block.content] : []));
  if (block?.kind !== 'moved') throw new Error('no block');
  const byDeposit: number[] = [];
  const rises = block.spec.moves.flatMap((m) => (m.does === 'rise' ? [m] : []));
  for (const { deposit, volumeMm3 } of rises) byDeposit[deposit] = (byDeposit[deposit] ?? 0) + volumeMm3;
  return { count: rises.length, byDeposit };
}

const inRounds = (count: number): Plan =>
  boxPlan([], {
    steps: [
      {
        ...pour('s1', 'p1', rest()),
        pattern: {
          place: { at: 'wall', wall: 'left' },
          then: ['p2'],
          rounds: Array.from({ length: count }, (_, i) => 1 + (i % 3)),
        },
      } satisfies Pour,
    ],
  });

describe('plans at their limits', () => {
  for (const name of ['dents', 'dents on a slab', 'piping', 'pieces', 'drops', 'spirals', 'columns'])
    it(`works out, shows and tells ${name}`, () => {
      const plan = EXTREMES[name]!();
      const computed = computePlan(plan);
      expect(bodiesOf(computed)).not.to.be.empty;
      expect(() => procedureOf(computed)).not.to.throw();
      const hollows = computed.stack.layers.flatMap((l) => l.rough?.dents?.hollows ?? []);
      expect(hollows.length).to.be.at.most(20_000);
      const things = computed.tops.flatMap((t) => t.things);
      expect(things.length).to.be.at.most(MOST_DRAWN + 5000);
    });

  it('says of dents that a top has no room for, and presses those before them in', () => {
    const { warnings, stack } = computePlan(EXTREMES['dents']!());
    const crowded = warnings.filter((w) => w.code === 'top-crowded');
    expect(crowded).to.not.be.empty;
    expect(crowded.every((w) => w.level === 'warn')).to.equal(true);
    expect(stack.layers[0]!.rough!.dents!.hollows).to.not.be.empty;
  });

  it('weighs things that are too many to be drawn, and says that they are not', () => {
    const plan = withTops(6, 24);
    const { tops, warnings, weights } = computePlan(plan);
    expect(weights).to.not.equal(undefined);
    const [first] = tops;
    expect(first!.things).to.have.length(first!.count);
    const last = tops.at(-1)!;
    expect(last.things).to.be.empty;
    expect(last.massG).to.equal(first!.massG);
    expect(last.count).to.equal(first!.count);
    const told = warnings.filter((w) => w.code === 'top-crowded').map((w) => w.step);
    expect(told).to.deep.equal(tops.filter((t) => t.things.length === 0).map((t) => t.step.id));
  });

  it('follows a round that is too thin to be seen together with its neighbours, nothing lost', () => {
    const few = risesIn(inRounds(4));
    const many = risesIn(inRounds(60));
    expect(few.count).to.equal(8);
    expect(many.count).to.equal(120);
    const thin = {
      ...inRounds(60),
      fill: { to: { kind: 'height' as const, heightMm: 1 }, copies: 1, overagePercent: 0, top: [] },
    };
    const merged = risesIn(thin);
    // 1 mm in 120 turns is less than 0.02 mm each: at most 25 rounds of two are told apart
    expect(merged.count).to.equal(40);
    const poured = computePlan(thin).stack.layers[0]!.volumeMl * 1000;
    for (const mm3 of merged.byDeposit) expect(mm3).to.be.closeTo(poured / 2, poured * 1e-9);
  });
});

describe('what plans at their limits are worked out with', () => {
  it('heaps on a grid stand as they do place by place', () => {
    const lumps = lumpsOf(41);
    const [xs, ys] = [
      [-30, -7.5, 0, 12],
      [3, 90.25, -41],
    ];
    const grid = lumpsOnGrid(lumps, xs, ys);
    for (const [j, y] of ys.entries())
      for (const [i, x] of xs.entries())
        expect(grid[j * xs.length + i]).to.be.closeTo(lumpsAt(lumps, x, y), 1e-12);
  });

  it('finds the things at a place in the order they were put there, the large ones among them', () => {
    const thing = fc.record({
      x: fc.integer({ min: -200, max: 200 }),
      y: fc.integer({ min: -200, max: 200 }),
      halfX: fc.constantFrom(2, 9, 40, 2000),
      halfY: fc.constantFrom(2, 9, 40),
    });
    fc.assert(
      fc.property(fc.array(thing, { maxLength: 30 }), fc.integer({ min: -200, max: 200 }), (things, x) => {
        const covers = (t: (typeof things)[number]): boolean =>
          Math.abs(x - t.x) <= t.halfX && Math.abs(x / 2 - t.y) <= t.halfY;
        const found = scattered(things)(x, x / 2).filter(covers);
        expect(found).to.deep.equal(things.filter(covers));
      }),
      { numRuns: 200 },
    );
  });

  it('shares what lies on top among rectangles that part it, whatever their order', () => {
    const { tops } = computePlan(withTops(1, 5));
    const parts = tops;
    const [whole] = parts.map((t) => t.massG);
    const cuts = [-1e6, -20, -3.5, 0, 17, 1e6];
    const sum = cuts
      .slice(1)
      .reduce((s, y1, i) => s + massOnG(parts, { x0: -1e6, x1: 1e6, y0: cuts[i]!, y1 }, 0), 0);
    expect(sum).to.be.closeTo(whole!, 1e-9);
  });

  it('bars weigh what was poured less the trims, asked for in any order', () => {
    const computed = computePlan(demo('Copper Weir'));
    const { cut } = computed;
    const backwards = [...cut.bars].reverse().map((b) => b.massG);
    expect(backwards.reverse()).to.deep.equal(computePlan({ ...computed.plan }).cut.bars.map((b) => b.massG));
    const single = singleBars(computed);
    expect(single.reduce((s, b) => s + b.massG, 0)).to.be.closeTo(
      cut.bars.reduce((s, b) => s + b.massG * b.strips, 0),
      1e-6,
    );
  });

  it('makes once what is asked for twice', () => {
    let made = 0;
    const ask = once(() => (made += 1));
    expect([ask(), ask(), made]).to.deep.equal([1, 1, 1]);
  });

  it('names texts apart that differ in one letter, anywhere', () => {
    const text = 'rise 0.25 '.repeat(400);
    const names = new Set([digestOf(text), digestOf('')]);
    for (let i = 0; i < text.length; i += 7) names.add(digestOf(`${text.slice(0, i)}~${text.slice(i + 1)}`));
    expect(names.size).to.equal(2 + Math.ceil(text.length / 7));
    expect(digestOf(text)).to.equal(digestOf(text));
  });
});
