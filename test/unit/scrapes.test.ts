import { expect } from 'chai';
import { VESSEL } from '../../src/core/day/vessel.ts';
import { computePlan, type Computed } from '../../src/core/computed/compute.ts';
import { addPattern } from '../../src/core/edit/pattern.ts';
import { removeStep, setRough } from '../../src/core/edit/pours.ts';
import {
  addEdgePoint,
  addScrape,
  moveEdgePoint,
  removeEdgePoint,
  sculptedLayers,
  setEdgeShape,
  setRelief,
  updateScrape,
} from '../../src/core/edit/scrape.ts';
import { nineOf, settingsOf } from '../../src/core/edit/vary.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import { rasterise } from '../../src/core/face/raster.ts';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { layPlan } from '../../src/core/fill/layPlan.ts';
import type { LaidMould } from '../../src/core/fill/laid.ts';
import type { Scraping } from '../../src/core/fill/scraped.ts';
import { freshOf, type JugTurn } from '../../src/core/fill/scrapings.ts';
import { partAt } from '../../src/core/flow/edge.ts';
import { heightAt } from '../../src/core/flow/ground.ts';
import { massOfContents } from '../../src/core/ledger/contents.ts';
import { leftIn } from '../../src/core/ledger/ledger.ts';
import type { Shape } from '../../src/core/mould/schema.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { REPEATED_EDGES } from '../../src/core/flow/edge.ts';
import { type RepeatedEdge, type ScraperEdge } from '../../src/core/plan/scrapeSchema.ts';
import type { Scrape } from '../../src/core/plan/stepSchema.ts';
import { stageToKeepRidges } from '../../src/core/setting/ridge.ts';
import { boxPlan, pour, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';
import { seeded } from '../support/random.ts';
import { follow, totalOf } from '../support/recount.ts';
import { OTHER_SHAPES } from '../support/shapes.ts';
import { simulatedMl } from '../support/simulated.ts';

const BOX: Shape = { kind: 'box', lengthMm: 160, widthMm: 90, heightMm: 80 };
/** Those that a scraper can be pulled through. */
const SHAPES: readonly Shape[] = [BOX, ...OTHER_SHAPES.filter((s) => s.kind !== 'tube')];

const scrapeOf = (id: string, change: Partial<Scrape> = {}): Scrape => ({
  id,
  kind: 'scrape',
  pulled: 'lengthwise',
  edge: { kind: 'repeated', shape: 'waves', pitchMm: 30, shiftMm: 0 },
  reliefMm: 10,
  depthMm: 10,
  to: 'spare',
  ...change,
});

const POTS: Plan['pots'] = ['p1', 'p2', 'p3'].map((id, i) => ({
  id,
  letter: 'ABC'.charAt(i),
  name: id,
  colour: ['#ece4d2', '#5f6c78', '#b5663a'][i]!,
  stage: 3,
  colorants: [],
}));

/** Level layers of three pots in turn, in a mould of a shape; steps put after each. */
function layered(
  shape: Shape,
  parts: readonly number[],
  after: Readonly<Record<string, Plan['steps']>> = {},
): Plan {
  const plan = boxPlan([], { mould: { ...boxPlan([]).mould, shape }, pots: POTS });
  return {
    ...plan,
    fill: { ...plan.fill, to: { kind: 'headspace', headspaceMm: 8 } },
    steps: parts.flatMap((n, i) => [
      pour(`s${i + 1}`, `p${(i % 3) + 1}`, rest(n)),
      ...(after[`s${i + 1}`] ?? []),
    ]),
  };
}

const firstOf = (plan: Plan): LaidMould => layPlan(plan).moulds[0];

const scrapingIn = (plan: Plan, id = 's1'): Scraping => {
  const found = firstOf(plan).stack.layers.find((l) => l.pour.id === id)?.scraping;
  if (!found) throw new Error(`${id} is not scraped`);
  return found;
};

/** What is shown of every pour against what stays of it, as parts of all there is. */
function expectConserved(plan: Plan, within: number, what: string): void {
  const laid = firstOf(plan);
  const shown = simulatedMl(laid, readyFrom(noneReady()), 46, 110);
  for (const { pour: of, volumeMl, parts } of laid.stack.layers) {
    const ml = parts.reduce((s, p) => s + (shown.get(p.key) ?? 0), 0);
    expect(Math.abs(ml - volumeMl) / laid.stack.filledMl, `${what}: ${of.id}`).to.be.below(within);
  }
}

describe('scraped layers: what is scraped off', () => {
  const width = 90;
  /**
   * mean height of an edge, as a part of its relief, worked out by hand: areas of a cosine, a triangle, a
   * half circle
   */
  const MEANS: Readonly<Record<RepeatedEdge, number>> = {
    waves: 1 / 2,
    teeth: 1 / 2,
    grooves: 1 - Math.PI / 4,
    ridges: Math.PI / 4,
    notches: 1 / 2,
  };

  for (const shape of REPEATED_EDGES)
    it(`a box’s layer scraped to ${shape}: as by hand`, () => {
      // three whole pitches in 90 mm
      const plan = layered(BOX, [2, 3], {
        s1: [scrapeOf('r1', { edge: { kind: 'repeated', shape, pitchMm: 30, shiftMm: 0 } })],
      });
      const { volumeMl, pouredMm, lowestMm, highestMm } = scrapingIn(plan);
      const off = (1 - MEANS[shape]) * 10;
      expect(volumeMl).to.be.closeTo((off * width * 160) / 1000, 0.003 * volumeMl);
      const [layer] = firstOf(plan).stack.layers;
      // what stays is what the pour says, so it is poured as much higher as is scraped off
      expect(pouredMm - layer!.offset).to.be.closeTo(off, 0.02);
      expect(highestMm - lowestMm).to.be.closeTo(10, 0.05);
    });

  it('flat tops stay where the tips go less deep than the edge is high, and everything is cut where they go deeper', () => {
    const plan = (depthMm: number): Plan =>
      layered(BOX, [2, 3], {
        s1: [
          scrapeOf('r1', { depthMm, edge: { kind: 'repeated', shape: 'teeth', pitchMm: 30, shiftMm: 0 } }),
        ],
      });
    // teeth 10 mm high let down 6 mm: a triangle 6 deep, 0.6 of the pitch wide
    const shallow = scrapingIn(plan(6));
    expect(shallow.volumeMl).to.be.closeTo((0.5 * 6 * 0.6 * width * 160) / 1000, 0.1);
    expect(shallow.highestMm).to.be.closeTo(shallow.pouredMm, 1e-9);
    const deep = scrapingIn(plan(14));
    expect(deep.volumeMl).to.be.closeTo(((4 + 5) * width * 160) / 1000, 0.1);
    expect(deep.pouredMm - deep.highestMm).to.be.closeTo(4, 0.05);
  });

  for (const shape of SHAPES)
    it(`in ${shape.kind} moulds: poured less scraped is what stays, counted column by column`, () => {
      const random = seeded(3);
      for (let i = 0; i < 4; i += 1) {
        const relief = 3 + 7 * random();
        const plan = layered(shape, [3, 3], {
          s1: [
            scrapeOf('r1', {
              reliefMm: relief,
              depthMm: relief * (0.6 + random()),
              edge: {
                kind: 'repeated',
                shape: REPEATED_EDGES[i % REPEATED_EDGES.length]!,
                pitchMm: 12 + 20 * random(),
                shiftMm: 10 * random(),
              },
            }),
          ],
        });
        const laid = firstOf(plan);
        const { ground, pouredMm } = scrapingIn(plan);
        // the room in small columns, by the outline of its middle: length where a column's place is inside
        const { section, side } = laid.geometry.rooms[0].outline;
        const reach = (outline: typeof section, z: number): readonly [number, number] => {
          const hs = outline.flatMap((p, k) => {
            const q = outline[(k + 1) % outline.length]!;
            return p.z > z === q.z > z ? [] : [p.h + ((q.h - p.h) * (z - p.z)) / (q.z - p.z)];
          });
          return [Math.min(...hs), Math.max(...hs)];
        };
        let under = 0;
        const step = 0.2;
        for (let z = step / 2; z < pouredMm; z += step) {
          const [left, right] = reach(section, z);
          const [near, far] = reach(side, z);
          let open = 0;
          for (let x = left + step / 2; x < right; x += step) if (heightAt(ground, x) > z) open += step;
          under += open * (far - near) * step;
        }
        const [layer] = laid.stack.layers;
        expect(under / 1000 / layer!.volumeMl, `${shape.kind} ${i}`).to.be.closeTo(1, 0.004);
      }
    });

  it('an edge drawn by hand is straight between its points, and goes on level beyond them', () => {
    const edge: ScraperEdge = {
      kind: 'drawn',
      points: [
        { acrossMm: -20, part: 0.2 },
        { acrossMm: 0, part: 1 },
        { acrossMm: 10, part: 0 },
      ],
    };
    expect(partAt(edge, -100)).to.equal(0.2);
    expect(partAt(edge, -10)).to.be.closeTo(0.6, 1e-12);
    expect(partAt(edge, 5)).to.be.closeTo(0.5, 1e-12);
    expect(partAt(edge, 100)).to.equal(0);
  });
});

describe('scraped layers: what is seen', () => {
  it('colours keep their volumes: random profiles one over another, in every mould that has ends', () => {
    const random = seeded(11);
    for (const shape of SHAPES)
      for (let i = 0; i < 3; i += 1) {
        const edge = (): ScraperEdge => ({
          kind: 'repeated',
          shape: REPEATED_EDGES[Math.floor(random() * REPEATED_EDGES.length)]!,
          pitchMm: 14 + 24 * random(),
          shiftMm: 20 * random() - 10,
        });
        const relief = 3 + 5 * random();
        const one = edge();
        const plan = layered(shape, [3, 1, 2, 2, 2], {
          s1: [scrapeOf('r1', { edge: one, reliefMm: relief, depthMm: relief })],
          // the second keeps to the first one's shape, the fourth has its own
          s2: [scrapeOf('r2', { edge: one, reliefMm: relief, depthMm: relief })],
          s4: [scrapeOf('r3', { edge: edge(), reliefMm: 4, depthMm: 3 + 2 * random() })],
        });
        expectConserved(plan, 0.004, `${shape.kind} ${i}`);
      }
  });

  it('so they do from side to side, in grooves that the next pour does not fill, and beside a divider', () => {
    expectConserved(
      layered(BOX, [3, 2, 2], { s1: [scrapeOf('r1', { pulled: 'crosswise' })] }),
      0.004,
      'crosswise',
    );
    // 4 mm of the second in grooves 10 mm deep: ridges of the first stand into the third
    const inlaid = layered(BOX, [5, 0.6, 4], { s1: [scrapeOf('r1')] });
    const { highestMm } = scrapingIn(inlaid);
    expect(firstOf(inlaid).stack.layers[1]!.offset).to.be.below(highestMm);
    expectConserved(inlaid, 0.004, 'inlaid');
    const parted = layered(BOX, [3, 2, 2], {
      s1: [scrapeOf('r1', { edge: { kind: 'repeated', shape: 'teeth', pitchMm: 12, shiftMm: 0 } })],
    });
    expectConserved(
      {
        ...parted,
        mould: { ...parted.mould, divider: { runs: 'lengthwise', atMm: [40], thicknessMm: 3 } },
        steps: [...parted.steps, { ...pour('q1', 'p1', rest(4)), compartment: 1 }],
      },
      0.004,
      'divided',
    );
  });

  it('and where something is pushed about over a profile, or under it by itself', () => {
    const level = layered(BOX, [3, 2, 2], { s1: [scrapeOf('r1', { reliefMm: 8, depthMm: 8 })] });
    const walled = addPattern(level, { at: 'wall', wall: 'left' }).plan;
    expectConserved(
      {
        ...walled,
        steps: walled.steps.map((s) =>
          s.kind === 'pour' ? { ...s, pattern: s.pattern && { ...s.pattern, rounds: [1, 1] } } : s,
        ),
      },
      0.006,
      'wall over waves',
    );
    const inThePot: Plan = {
      ...level,
      steps: level.steps.map((s) =>
        s.id === 's1' && s.kind === 'pour'
          ? { ...s, pattern: { place: { at: 'in-the-pot', spoonTurns: 1.5 }, then: ['p2'], rounds: [1] } }
          : s,
      ),
    };
    expect(computePlan(inThePot).warnings.filter((w) => w.level === 'refuse')).to.deep.equal([]);
    expectConserved(inThePot, 0.006, 'in the pot under waves');
  });

  it('a profile that is the same on both sides is seen the same on both sides', () => {
    const plan = layered(BOX, [3, 1, 2], {
      s1: [scrapeOf('r1')],
      s2: [
        scrapeOf('r2', {
          edge: { kind: 'repeated', shape: 'ridges', pitchMm: 22, shiftMm: 0 },
          reliefMm: 5,
          depthMm: 5,
        }),
      ],
    });
    const { band, width, height, samples } = rasterise(
      sectionAt(firstOf(plan), 50),
      180,
      144,
      readyFrom(noneReady()),
    );
    const row = width * samples;
    let apart = 0;
    for (let y = 0; y < height * samples; y += 1)
      for (let x = 0; x < row; x += 1) if (band[y * row + x] !== band[y * row + row - 1 - x]) apart += 1;
    expect(apart / band.length).to.be.below(0.004);
  });

  it('before it is scraped all of the layer is there; after it, its ridges stand free', () => {
    const plan = layered(BOX, [3, 2], { s1: [scrapeOf('r1')] });
    const laid = firstOf(plan);
    const { volumeMl } = scrapingIn(plan);
    const [layer] = laid.stack.layers;
    const upTo = (id: string): LaidMould => ({
      ...laid,
      plan: { ...plan, steps: plan.steps.slice(0, plan.steps.findIndex((s) => s.id === id) + 1) },
      stack: { ...laid.stack, layers: [layer!] },
    });
    const ready = readyFrom(noneReady());
    const ml = (of: LaidMould): number => simulatedMl(of, ready, 46, 110).get('s1') ?? 0;
    expect(ml(upTo('s1'))).to.be.closeTo(layer!.volumeMl + volumeMl, 0.004 * layer!.volumeMl);
    expect(ml(upTo('r1'))).to.be.closeTo(layer!.volumeMl, 0.004 * layer!.volumeMl);
  });
});

/** Four pours of pots A, B, A, B: the first scraped. */
function toAndFro(to: Scrape['to'], change: Partial<Plan> = {}): Plan {
  const plan = layered(BOX, [1, 1, 1, 1]);
  return {
    ...plan,
    pots: POTS.slice(0, 2).map((p, i) => ({
      ...p,
      colorants: i === 0 ? [{ colorant: 'dark', doseGPerKg: 12 }] : [{ colorant: 'pale', doseGPerKg: 3 }],
    })),
    colorants: [
      { id: 'dark', name: 'Dark' },
      { id: 'pale', name: 'Pale' },
    ],
    fill: { ...plan.fill, overagePercent: 0 },
    steps: [
      pour('s1', 'p1', rest()),
      scrapeOf('r1', { to }),
      pour('s2', 'p2', rest()),
      pour('s3', 'p1', rest()),
      pour('s4', 'p2', rest()),
    ],
    ...change,
  };
}

const potG = (computed: Computed, id: string): number =>
  computed.weights!.pots.find((p) => p.pot.id === id)!.batterG;

describe('layers left rough', () => {
  const rough = (plan: Plan, id: string, roughMm: number): Plan => setRough(plan, id, roughMm);

  it('keep their volumes, in every mould, one over another, over a profile and under a pour down a wall', () => {
    for (const shape of [...SHAPES, ...OTHER_SHAPES.filter((s) => s.kind === 'tube')]) {
      const plan = rough(rough(layered(shape, [3, 2, 2, 3]), 's1', 9), 's2', 6);
      expectConserved(plan, 0.006, shape.kind);
    }
    const over = rough(
      layered(BOX, [3, 2, 3], { s1: [scrapeOf('r1', { reliefMm: 6, depthMm: 6 })] }),
      's2',
      5,
    );
    expectConserved(over, 0.006, 'over a profile');
    const walled = addPattern(rough(layered(BOX, [3, 2]), 's1', 8), { at: 'wall', wall: 'left' }).plan;
    expectConserved(walled, 0.008, 'under a wall pour');
  });

  it('go as far up as down about the height that their volume gives, and differ from each other', () => {
    const laid = firstOf(rough(rough(layered(BOX, [3, 3, 3]), 's1', 8), 's2', 8));
    const [one, two] = laid.stack.layers.map((l) => l.rough);
    expect(one!.highestMm - one!.lowestMm).to.be.closeTo(8, 1e-6);
    const middle = laid.stack.layers[0]!.offset;
    expect(one!.highestMm - middle).to.be.within(2, 6);
    expect(one!.lumps).not.to.deep.equal(two!.lumps);
    // the same each time
    expect(firstOf(rough(layered(BOX, [3, 3, 3]), 's1', 8)).stack.layers[0]!.rough!.lumps).to.deep.equal(
      one!.lumps,
    );
  });

  it('are refused where they go through what lies below, slope, or lie in fluid batter; warned of where they would run level', () => {
    const codes = (plan: Plan): readonly string[] => computePlan(plan).warnings.map((w) => w.code);
    const thin = rough(layered(BOX, [6, 0.5, 3]), 's2', 14);
    const [warning] = computePlan(thin).warnings.filter((w) => w.code === 'rough-crosses');
    expect(warning!.message).to.match(/go [\d.]+ mm into what lies below/);
    expect(codes(warning!.remedies!.at(-1)!.apply(thin))).not.to.include('rough-crosses');
    const level = layered(BOX, [3, 3]);
    const slanted: Plan = {
      ...level,
      steps: [{ id: 't1', kind: 'tilt', rollDeg: 8, pitchDeg: 0 }, ...level.steps],
    };
    expect(codes(rough(slanted, 's1', 6))).to.include('rough-not-kept');
    const fluid = addPattern(layered(BOX, [3, 3]), { at: 'wall', wall: 'left' });
    const last = fluid.plan.steps.findLast((s) => s.kind === 'pour')!.id;
    expect(codes(rough(fluid.plan, last, 6))).to.include('rough-not-kept');
    const soft: Plan = { ...level, pots: POTS.map((p) => ({ ...p, stage: 1 })) };
    const [run] = computePlan(rough(soft, 's1', 6)).warnings.filter((w) => w.code === 'rough-soft');
    expect(codes(run!.remedies![0]!.apply(rough(soft, 's1', 6)))).not.to.include('rough-soft');
    expect(setRough(rough(level, 's1', 6), 's1', 0).steps).to.deep.equal(level.steps);
  });

  it('say so on the sheet', () => {
    const texts = printed(rough(layered(BOX, [3, 3]), 's1', 6)).procedure.map((a) => a.text);
    expect(texts.join(' ')).to.include('left rough: 6 mm from hollow to peak');
  });
});

describe('scraped layers: where the scrapings go', () => {
  const plain = computePlan({
    ...toAndFro('spare'),
    steps: toAndFro('spare').steps.filter((s) => s.kind !== 'scrape'),
  });

  it('into a spare mould: so much more is made', () => {
    const computed = computePlan(toAndFro('spare'));
    const offG = Math.round(scrapingIn(toAndFro('spare')).volumeMl * computed.stack.layers[0]!.densityGMl);
    expect(potG(computed, 'p1') - potG(plain, 'p1')).to.be.closeTo(offG, 1.01);
    expect(potG(computed, 'p2')).to.equal(potG(plain, 'p2'));
    expect(massOfContents(leftIn(computed.weights!.ledger, VESSEL.spareMould))).to.be.closeTo(offG, 1e-6);
  });

  it('back into their jug: nothing more is made, and nothing is left', () => {
    const computed = computePlan(toAndFro('pot'));
    expect(potG(computed, 'p1')).to.be.closeTo(potG(plain, 'p1'), 1.01);
    expect(massOfContents(leftIn(computed.weights!.ledger, VESSEL.pot('p1')))).to.be.below(1.01);
  });

  it('into the next jug: one pot more by as much as the other is less, and its shade moves by what is in it', () => {
    const plan = toAndFro('next');
    const computed = computePlan(plan);
    const offG = potG(computed, 'p1') - potG(plain, 'p1');
    expect(potG(plain, 'p2') - potG(computed, 'p2')).to.be.closeTo(offG, 1.01);
    // by hand: what jug B holds then is its own batter and the scrapings
    const part = offG / (potG(computed, 'p2') + offG);
    const mix = computed.graded.get('s2')!;
    const dose = (id: string): number => mix.find((m) => m.colorant === id)!.doseGPerKg;
    expect(dose('dark')).to.be.closeTo(12 * part, 0.05);
    expect(dose('pale')).to.be.closeTo(3 * (1 - part), 0.02);
    expect(computed.graded.get('s4')).to.deep.equal(mix);
    expect(computed.graded.has('s3')).to.equal(false);
  });

  it('a jug that is poured empty before it gets scrapings back is made in full', () => {
    const turns: readonly JugTurn[] = [
      { does: 'out', pot: 'p1', key: 'a', massG: 300 },
      { does: 'in', pot: 'p1', of: 'p1', massG: 80 },
      { does: 'out', pot: 'p1', key: 'b', massG: 50 },
      { does: 'out', pot: 'p1', key: 'c', massG: 100 },
    ];
    expect([...freshOf(turns)]).to.deep.equal([
      ['a', 300],
      ['b', 0],
      ['c', 70],
    ]);
  });

  it('a batch of given size stays of that size', () => {
    for (const to of ['spare', 'pot', 'next'] as const) {
      const plan = toAndFro(to);
      const given: Plan = {
        ...plan,
        fill: { ...plan.fill, to: { kind: 'batter', massG: 900 }, overagePercent: 4 },
      };
      const { weights } = computePlan(given);
      expect(weights!.batterG, to).to.equal(900);
      expect(weights!.spareG, to).to.be.within(0, 8);
    }
  });

  for (const divide of [
    { kind: 'after-emulsion' },
    { kind: 'before-lye', lye: 'together' },
    { kind: 'before-lye', lye: 'jug-by-jug' },
  ] as const)
    it(`followed line by line, nothing is lost and no jug is short (${JSON.stringify(divide)})`, () => {
      for (const to of ['spare', 'pot', 'next'] as const) {
        const plan = toAndFro(to, { divide });
        const sheet = printed(plan);
        const recount = follow(sheet.procedure, plan);
        expect(recount.lowest, to).to.be.at.least(-0.01);
        expect(totalOf(recount)).to.be.closeTo(recount.supplied, 1e-6 * recount.supplied);
        const scraped = sheet.procedure.find((a) => a.id === 'scrape:r1')!;
        expect(scraped.text, to).to.match(
          to === 'spare' ? /into a spare mould/ : to === 'pot' ? /back into jug A/ : /jug B/,
        );
        if (to === 'next')
          expect(scraped.text).to.match(
            divide.kind === 'before-lye' && divide.lye === 'jug-by-jug' ? /before its lye/ : /stir/,
          );
      }
    });

  it('two moulds alike give twice as many', () => {
    const plan = toAndFro('next');
    const twice = computePlan({ ...plan, fill: { ...plan.fill, copies: 2 } });
    const act = twice.weights!.ledger.transfers.filter((t) => t.act === 'scrape:r1' && t.to.key === 'pot:p2');
    const once = computePlan(plan).weights!.ledger.transfers.filter(
      (t) => t.act === 'scrape:r1' && t.to.key === 'pot:p2',
    );
    expect(act[0]!.massG).to.equal(2 * once[0]!.massG);
  });
});

describe('scraped layers: what is said', () => {
  const codes = (plan: Plan): readonly string[] =>
    computePlan(plan)
      .warnings.filter((w) => w.code.startsWith('scrap'))
      .map((w) => w.code);
  const waited = (stage: number): Plan['steps'][number] => ({
    id: 'w1',
    kind: 'wait',
    until: { kind: 'stage', stage },
  });
  const scraped = (change: Partial<Scrape> = {}, shape: Shape = BOX): Plan =>
    layered(shape, [3, 3], { s1: [waited(4), scrapeOf('r1', change)] });

  it('nothing, where all is well', () => expect(codes(scraped())).to.deep.equal([]));

  it('a profile that crosses what lies below, with how far, and a press that cures it', () => {
    const plan = layered(BOX, [4, 1, 3], { s2: [waited(4), scrapeOf('r1', { depthMm: 30, reliefMm: 30 })] });
    const [warning] = computePlan(plan).warnings.filter((w) => w.code === 'scrape-crosses');
    expect(warning!.level).to.equal('refuse');
    expect(warning!.message).to.match(/\d+(\.\d+)? mm into what lies below/);
    expect(codes(warning!.remedies![0]!.apply(plan))).not.to.include('scrape-crosses');
    // into the floor, and into the profile below
    expect(codes(scraped({ depthMm: 90, reliefMm: 60 }))).to.include('scrape-crosses');
    const across = layered(BOX, [4, 1, 3], {
      s1: [waited(4), scrapeOf('r1')],
      s2: [scrapeOf('r2', { edge: { kind: 'repeated', shape: 'waves', pitchMm: 30, shiftMm: 15 } })],
    });
    expect(codes(across)).to.include('scrape-crosses');
  });

  it('a layer that is not there, scraped twice, slanted, at a column, in a mould without ends, of several pots', () => {
    expect(codes({ ...scraped(), steps: [scrapeOf('r1'), ...layered(BOX, [1]).steps] })).to.include(
      'scrape-nothing',
    );
    const twice = layered(BOX, [3, 3], { s1: [waited(4), scrapeOf('r1'), scrapeOf('r2')] });
    expect(codes(twice)).to.include('scrape-twice');
    expect(codes(removeStep(twice, 'r2'))).to.deep.equal([]);
    const slanted = scraped();
    expect(
      codes({ ...slanted, steps: [{ id: 't1', kind: 'tilt', rollDeg: 9, pitchDeg: 0 }, ...slanted.steps] }),
    ).to.include('scrape-slanted');
    const column = scraped();
    expect(
      codes({
        ...column,
        mould: { ...column.mould, columns: [{ id: 'c1', form: 'round', acrossMm: 20, xMm: 0, yMm: 0 }] },
      }),
    ).to.include('scrape-at-column');
    for (const stands of ['standing', 'lying'] as const)
      expect(codes(scraped({}, { kind: 'tube', stands, lengthMm: 90, diameterMm: 100 })), stands).to.include(
        'scrape-round-mould',
      );
    const pushed = addPattern(layered(BOX, [3, 3]), { at: 'wall', wall: 'left' }, 's1');
    expect(
      codes({
        ...pushed.plan,
        steps: pushed.plan.steps.flatMap((s) => (s.id === pushed.stepId ? [s, scrapeOf('r1')] : [s])),
      }),
    ).to.include('scrape-pushed');
  });

  it('batter that would slump, over the rim, ridges that stand out, a slope that does not cover them', () => {
    const soft = layered(BOX, [3, 3], { s1: [waited(1), scrapeOf('r1')] });
    const thin = { ...soft, pots: POTS.map((p) => ({ ...p, stage: 1 })) };
    const [slump] = computePlan(thin).warnings.filter((w) => w.code === 'scrape-soft');
    expect(codes(slump!.remedies![0]!.apply(thin))).not.to.include('scrape-soft');
    const full = layered(BOX, [9, 1], { s1: [waited(4), scrapeOf('r1', { depthMm: 40 })] });
    expect(codes(full)).to.include('scrape-over-rim');
    const bare = layered(BOX, [3], { s1: [waited(4), scrapeOf('r1', { depthMm: 10 })] });
    expect(codes(bare)).to.include('scrape-stands-out');
    const slope = layered(BOX, [5, 2], {
      s1: [waited(4), scrapeOf('r1'), { id: 't1', kind: 'tilt', rollDeg: 25, pitchDeg: 0 }],
    });
    expect(codes(slope)).to.include('scrape-slant-over');
  });

  it('scrapings that have no jug to go into, or more than it takes', () => {
    expect(
      codes(layered(BOX, [3], { s1: [waited(4), scrapeOf('r1', { to: 'next', depthMm: 10 })] })),
    ).to.include('scrape-no-jug');
    expect(codes(scraped({ to: 'pot' }))).to.include('scrapings-left');
    const little = layered(BOX, [9, 0.3, 2], {
      s1: [waited(4), scrapeOf('r1', { to: 'next', depthMm: 14 })],
    });
    expect(codes(little)).to.include('scrapings-left');
  });

  it('ridges want so much by the height of an upright bank: 4 tau / (rho g), half as much again', () => {
    // 12 mm of 1.03 g/ml: 1.5 x 1030 x 9.81 x 0.012 / 4 = 45.5 Pa; 0.5 x 10^(0.7 s) = 45.5 at s = 2.80
    expect(stageToKeepRidges(12, 1.03)).to.be.closeTo(2.8, 0.01);
  });
});

describe('scraped layers: edits', () => {
  it('a new scraping waits until it holds, goes as deep as its layer allows, and is let stand', () => {
    const plan = layered(BOX, [2, 3]);
    const { plan: made } = addScrape(plan, firstOf(plan).stack.layers[0]!);
    expect(made.steps.map((s) => s.kind)).to.deep.equal(['pour', 'wait', 'scrape', 'wait', 'pour']);
    expect(computePlan(made).warnings.filter((w) => w.code.startsWith('scrap'))).to.deep.equal([]);
  });

  it('an edge drawn by hand begins as the one before; its points stay in their order', () => {
    const plan = layered(BOX, [3, 3], { s1: [scrapeOf('r1')] });
    const drawn = setEdgeShape(plan, 'r1', 'drawn');
    const pointsOf = (p: Plan): readonly { acrossMm: number; part: number }[] => {
      const scrape = p.steps.find((s) => s.kind === 'scrape');
      return scrape?.kind === 'scrape' && scrape.edge.kind === 'drawn' ? scrape.edge.points : [];
    };
    const points = pointsOf(drawn);
    const waves: ScraperEdge = { kind: 'repeated', shape: 'waves', pitchMm: 30, shiftMm: 0 };
    for (const p of points) expect(p.part).to.be.closeTo(partAt(waves, p.acrossMm), 0.01);
    const moved = pointsOf(moveEdgePoint(drawn, 'r1', 2, { acrossMm: 999, part: 7 }));
    expect(moved[2]!.acrossMm).to.be.below(moved[3]!.acrossMm);
    expect(moved[2]!.part).to.equal(1);
    expect(pointsOf(addEdgePoint(drawn, 'r1', 0))).to.have.length(points.length + 1);
    expect(pointsOf(removeEdgePoint(drawn, 'r1', 0))).to.have.length(points.length - 1);
    const back = setEdgeShape(drawn, 'r1', 'teeth').steps.find((s) => s.kind === 'scrape');
    expect(back?.kind === 'scrape' && back.edge.kind).to.equal('repeated');
  });

  it('a layer that is taken out takes its scraping with it: the one below is not scraped instead', () => {
    const plan = layered(BOX, [2, 2, 3], { s2: [scrapeOf('r1')] });
    const kinds = (p: Plan): readonly string[] => p.steps.map((s) => s.kind);
    expect(kinds(removeStep(plan, 's2'))).to.deep.equal(['pour', 'pour']);
    expect(kinds(removeStep(plan, 's3'))).to.deep.equal(['pour', 'pour', 'scrape']);
  });

  it('nine round it: how deep by how far apart, the present one in the middle, each a plan that is taken', () => {
    const plan = setRough(layered(BOX, [3, 3, 3], { s1: [scrapeOf('r1')] }), 's2', 6);
    const settings = settingsOf(plan);
    expect(settings.map((s) => s.id)).to.deep.equal(['r1 relief', 'r1 pitch', 's2 rough']);
    const nine = nineOf(settings[0]!, settings[1]!);
    expect(nine[4]!.apply(plan)).to.equal(plan);
    const reliefs = nine.map((v) => scrapingIn(v.apply(plan)).highestMm - scrapingIn(v.apply(plan)).lowestMm);
    expect(reliefs[0]).to.be.below(reliefs[1]!);
    expect(reliefs[2]).to.be.above(reliefs[1]!);
  });

  it('a profile that just touches the surface goes on doing so when it is made deeper', () => {
    const of = (p: Plan): Scrape => p.steps.find((s): s is Scrape => s.kind === 'scrape')!;
    const plan = layered(BOX, [3, 3], { s1: [scrapeOf('r1')] });
    expect(of(setRelief(plan, 'r1', 14)).depthMm).to.equal(14);
    expect(of(setRelief(updateScrape(plan, 'r1', { depthMm: 6 }), 'r1', 14)).depthMm).to.equal(6);
  });

  it('every layer but the last of a sculpted beginning is scraped, and nothing is refused', () => {
    const made = sculptedLayers(layered(BOX, [1, 1, 1, 1]));
    expect(made.steps.filter((s) => s.kind === 'scrape')).to.have.length(3);
    expect(
      computePlan(made).warnings.filter((w) => w.level !== 'note' && w.code.startsWith('scrap')),
    ).to.deep.equal([]);
  });

  it('is in the plan’s file, and an edge that turns back is refused at its point', () => {
    const plan = setEdgeShape(layered(BOX, [3, 3], { s1: [scrapeOf('r1')] }), 'r1', 'drawn');
    const written = writePlanFile(plan);
    const read = readPlanFile(written);
    expect(read.ok && read.plan.steps).to.deep.equal(plan.steps);
    const turned: Plan = {
      ...plan,
      steps: plan.steps.map((s) =>
        s.kind === 'scrape' && s.edge.kind === 'drawn'
          ? { ...s, edge: { ...s.edge, points: s.edge.points.toReversed() } }
          : s,
      ),
    };
    const refused = readPlanFile(writePlanFile(turned));
    expect(refused.ok ? '' : refused.faults[0].at).to.equal('steps.1.edge.points.1.acrossMm');
  });
});
