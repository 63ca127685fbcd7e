import { expect } from 'chai';
import fc from 'fast-check';
import { recipeLines } from '../../src/core/batter/assessed.ts';
import { originOfName } from '../../src/core/batter/origins.ts';
import { clearance, cutsOf, halvesAt, isOnGrid, onGrid } from '../../src/core/cut/cutter.ts';
import { addAddition } from '../../src/core/edit/additions.ts';
import { fromJar, intoJug, takeFragrance, withCutter } from '../../src/core/edit/supplies.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { readSuppliesFile, writeSuppliesFile } from '../../src/core/exchange/suppliesFile.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { knownSpeed } from '../../src/core/supplies/behaviour.ts';
import type { CutterStock, FragranceStock, JarStock, JugStock } from '../../src/core/supplies/schema.ts';
import { ombrePlan } from '../support/colours.ts';
import { basePlan, boxPlan, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';

const ON = '2026-02-03T10:00:00.000Z';

const moor = (change: Partial<FragranceStock> = {}): FragranceStock => ({
  kind: 'fragrance',
  id: 'f-moor',
  name: 'Moor',
  densityGMl: 0.98,
  observed: [],
  ...change,
});

const JAR: JarStock = {
  kind: 'jar',
  id: 'j1',
  name: 'Heather 1:3',
  colorant: 'heather',
  carrier: 'oil',
  carrierPerPowder: 3,
  leftG: 60,
};

const JUG: JugStock = { kind: 'jug', id: 'g1', name: 'Half litre', capacityMl: 500, tareG: 142, count: 1 };

const CUTTER: CutterStock = {
  kind: 'cutter',
  id: 'c1',
  name: 'Wires',
  pitchMm: 12.5,
  kerfMm: 0.5,
  longestMm: 150,
};

const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);
const find = (plan: Plan, code: string) => computePlan(plan).warnings.find((w) => w.code === code)!;
const text = (plan: Plan, id: string): string => printed(plan).procedure.find((t) => t.id === id)!.text;

describe('fragrances by lot', () => {
  it('what was seen comes before what the supplier says, and the quickest of it counts', () => {
    const claims = moor({ claimed: { speed: 'none', tan: 'none' } });
    expect(knownSpeed(moor())).to.equal(undefined);
    expect(knownSpeed(claims)).to.equal('none');
    const seen = moor({
      ...claims,
      observed: (['slows', 'quickens', 'none'] as const).map((speed) => ({
        on: ON,
        recipe: 'Slate',
        speed,
        tan: 'a little',
      })),
    });
    expect(knownSpeed(seen)).to.equal('quickens');
  });

  it('two lots of one name stay apart in a plan, and a quick one is held back until each pour', () => {
    const quick = moor({ version: 'lot 2', claimed: { speed: 'seizes', tan: 'none' } });
    const plan = takeFragrance(takeFragrance(boxPlan([rest(), rest()]), moor({ version: 'lot 1' })), quick);
    expect(readPlanValue(plan).ok).to.equal(true);
    expect(plan.batter.fragrances.map((f) => [f.id, f.version, f.speed])).to.deep.equal([
      ['f1', 'lot 1', undefined],
      ['f2', 'lot 2', 'seizes'],
    ]);
    const warning = find(plan, 'fragrance-quick');
    expect(warning.message).to.match(/"Moor" seizes the batter.*2 pots/);
    const cured = warning.remedies![0]!.apply(plan);
    expect(codes(cured)).to.not.include('fragrance-quick');
    expect(cured.batter.fragrances[0]!.doses[0]!.moment).to.equal('trace');
    expect(cured.batter.fragrances[1]!.doses[0]!.moment).to.equal('pour');
  });
});

describe('stock jars', () => {
  const plan = ombrePlan(3, 'separate-pots', {
    units: { ...basePlan().units, scaleStepG: 0.1, fineStepG: 0.01 },
  });

  it('are weighed out as they are, and their oil is no oil of the cup (by hand)', () => {
    const ready = fromJar(plan, 'heather', JAR);
    expect(readPlanValue(ready).ok).to.equal(true);
    const sheet = printed(ready);
    const [line] = sheet.procedure.find((t) => t.id === 'disperse:heather')!.lines;
    const powder = ready.colorants[0]!;
    expect(powder.jar).to.equal('Heather 1:3');
    // three grams of oil to each of powder
    const colorant = sheet.pots.reduce((s, p) => s + p.jug['colorants_g']!, 0);
    const carrier = sheet.pots.reduce((s, p) => s + p.jug['carrier_g']!, 0);
    expect(carrier / colorant).to.be.closeTo(3, 0.02);
    expect(line!.mass_g).to.be.closeTo(colorant + carrier, 0.05);
    expect(text(ready, 'disperse:heather')).to.match(/Shake up the jar "Heather 1:3"/);
    expect(sheet.procedure.some((t) => t.id === 'carrier-oil')).to.equal(false);
    expect(printed(plan).procedure.some((t) => t.id === 'carrier-oil')).to.equal(true);
    // the lye counts it: in the oil that the recipe's is taken from, each pot has the superfat that it has
    // with the same dispersed on the day
    const today = fromJar(ready, 'heather', undefined);
    expect(today.colorants[0]).to.not.have.property('jar');
    const before = printed(today).pots.map((p) => p.superfat_percent);
    const inOlive = printed(fromJar(plan, 'heather', { ...JAR, oil: 'olive' }));
    inOlive.pots.forEach((p, i) => expect(p.superfat_percent).to.be.closeTo(before[i]!, 1e-9));
    // and of an oil that nobody named no more is counted than a light oil can use
    sheet.pots.forEach((p, i) => expect(p.superfat_percent).to.be.at.most(before[i]!));
  });

  it('a colorant sifted in dry takes no carrier, and the sheet says that it may speckle', () => {
    const dry: Plan = {
      ...plan,
      colorants: plan.colorants.map((c) => ({ ...c, nature: { ...c.nature!, carrier: 'none' as const } })),
    };
    const sheet = printed(dry);
    expect(sheet.pots.every((p) => p.jug['carrier_g'] === 0)).to.equal(true);
    expect(text(dry, 'disperse:heather')).to.match(/sifted in dry: it may speckle/);
  });
});

describe('jugs', () => {
  it('say whether a pot fits, and what the scale reads when so much is left (by hand)', () => {
    // 480 ml in two pours of one pot
    const plan: Plan = {
      ...boxPlan([rest(1), rest(3)]),
      steps: boxPlan([rest(1), rest(3)]).steps.map((s) => ({ ...s, pot: 'p1' }) as typeof s),
    };
    const jugged = intoJug(plan, 'p1', JUG);
    expect(readPlanValue(jugged).ok).to.equal(true);
    const { weights } = computePlan(jugged);
    const [first, second] = weights!.pots[0]!.pours;
    expect(text(jugged, 'pour:s1')).to.contain(
      `Half litre then reads ${second!.massG + 142} g: ${second!.massG} g left in it.`,
    );
    expect(text(jugged, 'pour:s2')).to.contain('Half litre then reads 142 g: 0 g left in it.');
    expect(first!.massG + second!.massG).to.equal(weights!.pots[0]!.batterG);
    // 480 ml of 500: there is no room to stir; 400 ml: it does not fit
    expect(codes(jugged)).to.include('jug-full');
    const small = find(intoJug(plan, 'p1', { ...JUG, capacityMl: 400 }), 'jug-too-small');
    expect(Number(/: ([\d.]+) g too much/.exec(small.message)![1])).to.be.closeTo(
      80 * weights!.pots[0]!.densityGMl!,
      1.5,
    );
    expect(codes(intoJug(plan, 'p1', { ...JUG, capacityMl: 700 }))).to.not.include('jug-full');
  });
});

describe('cutters', () => {
  const loaf = (lengthMm: number, cut: Partial<Plan['cut']> = {}): Plan => ({
    ...basePlan(),
    mould: {
      ...boxPlan([]).mould,
      shape: { kind: 'box', lengthMm, widthMm: 80, heightMm: 60 },
    },
    cut: { strips: 1, thicknessMm: 24.5, kerfMm: 0.5, trimStartMm: 0, trimEndMm: 0, ...cut },
  });

  it('bars on the grid: slots times pitch, less what the cut takes (by hand)', () => {
    expect(isOnGrid(loaf(200).cut, 12.5)).to.equal(true);
    expect(onGrid({ ...loaf(200).cut, thicknessMm: 27 }, 12.5)).to.deep.equal([24.5, 37]);
    const off = withCutter(loaf(200, { thicknessMm: 27 }), CUTTER);
    const warning = find(off, 'off-grid');
    expect(warning.remedies!.map((r) => r.label)).to.deep.equal(['Bars of 24.5 mm', 'Bars of 37 mm']);
    expect(codes(warning.remedies![0]!.apply(off))).to.not.include('off-grid');
  });

  it('a loaf too long is cut first where a cut comes anyway, in as few pieces as will do', () => {
    const plan = withCutter(loaf(300), CUTTER);
    const { cut } = computePlan(plan);
    // cuts at 24.75, 49.75, ...: the one nearest the middle that leaves both under 150 mm
    const [at, ...others] = halvesAt(cut, plan.cut, 160)!;
    expect(others).to.deep.equal([]);
    expect(at).to.be.closeTo(149.75, 1e-9);
    expect(find(plan, 'longer-than-cutter').message).to.match(/cut it first at/);
    fc.assert(
      fc.property(
        fc.integer({ min: 120, max: 900 }),
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 15, max: 50 }),
        (length, longest, thicknessMm) => {
          const p = loaf(length, { thicknessMm });
          const bars = computePlan(p).cut;
          const places = halvesAt(bars, p.cut, longest);
          if (!places) return;
          const ends = [0, ...places, bars.loafMm];
          ends.slice(1).forEach((e, i) => expect(e - ends[i]!).to.be.at.most(longest + 1e-6));
          const all = cutsOf(bars, p.cut);
          for (const place of places) expect(all).to.include(place);
        },
      ),
      { seed: 4, numRuns: 60 },
    );
  });

  it('keeps the cuts clear of what lies on top by shifting the loaf', () => {
    const plan = loaf(210, { onTop: { atMm: [24.5, 74.5, 124.5], longMm: 12 } });
    const warning = find(plan, 'cut-through-top');
    expect(warning.message).to.match(/goes through a piece on top, (5|6)/);
    const cured = warning.remedies![0]!.apply(plan);
    expect(codes(cured)).to.not.include('cut-through-top');
    const after = computePlan(cured).cut;
    expect(after.count).to.equal(computePlan(plan).cut.count);
    expect(clearance(cutsOf(after, cured.cut), cured.cut.onTop!)).to.be.above(2);
  });
});

describe('promises', () => {
  const promised = (plan: Plan, ...promises: NonNullable<Plan['batter']['promises']>): Plan => ({
    ...plan,
    batter: { ...plan.batter, promises },
  });
  const withOil = (oil: string): Plan => {
    const plan = basePlan();
    return { ...plan, batter: { ...plan.batter, oils: [{ oil, percent: 100 }] } };
  };

  it('are held against every oil, additive and liquid', () => {
    for (const [plan, promise, word] of [
      [withOil('lard'), 'vegan', 'lard'],
      [withOil('palm-kernel'), 'palm-free', 'palm kernel'],
      [
        addAddition(basePlan(), 'additives', {
          name: 'Silk, shredded',
          densityGMl: 1.3,
          doses: [{ id: 'd1', gPerKgOils: 1, moment: 'hot-lye' }],
        }),
        'vegan',
        'Silk',
      ],
    ] as const) {
      expect(codes(plan)).to.not.include('promise-broken');
      const broken = find(promised(plan, promise), 'promise-broken');
      expect(broken.message).to.contain(promise);
      expect(broken.message).to.contain(word);
      expect(codes(broken.remedies![0]!.apply(promised(plan, promise)))).to.not.include('promise-broken');
    }
    const milk: Plan = {
      ...basePlan(),
      batter: {
        ...basePlan().batter,
        partLiquids: [{ id: 'm', name: 'Goat milk', percentOfWater: 30, waterPercent: 88, moment: 'oils' }],
      },
    };
    expect(
      computePlan(promised(milk, 'vegan', 'milk-free')).warnings.filter((w) => w.code === 'promise-broken'),
    ).to.have.length(2);
    expect(codes(promised(basePlan(), 'vegan', 'palm-free', 'milk-free'))).to.not.include('promise-broken');
  });

  it('a milk of a plant is none, and a name that says nothing is asked about', () => {
    expect(originOfName('Coconut milk')).to.deep.include({ animal: false, milk: false });
    expect(originOfName('Buttermilk')).to.deep.include({ animal: true, milk: true });
    expect(originOfName('Honey')).to.deep.include({ animal: true, milk: false });
    expect(originOfName('Grandmother’s powder')).to.equal(undefined);
    const odd = addAddition(basePlan(), 'additives', {
      name: 'Grandmother’s powder',
      densityGMl: 1,
      doses: [{ id: 'd1', gPerKgOils: 1, moment: 'oils' }],
    });
    expect(find(promised(odd, 'vegan'), 'promise-unsure').message).to.contain('Grandmother’s powder');
  });

  it('a recipe that was assessed says what differs once it is changed', () => {
    const plan = basePlan();
    const assessed: Plan = {
      ...plan,
      batter: { ...plan.batter, assessed: { on: ON, lines: [...recipeLines(plan.batter)] } },
    };
    expect(codes(assessed)).to.not.include('assessed-otherwise');
    expect(
      codes({ ...assessed, pots: assessed.pots.map((p) => ({ ...p, name: `${p.name} 2` })) }),
    ).to.not.include('assessed-otherwise');
    const other: Plan = { ...assessed, batter: { ...assessed.batter, superfatPercent: 7 } };
    expect(find(other, 'assessed-otherwise').message).to.match(
      /3 February 2026\. Assessed: superfat: 5 %\. Now: superfat: 7 %\./,
    );
  });
});

describe('a file of supplies', () => {
  it('comes back as it was written, and a bad one names its field', () => {
    const things = [moor({ version: 'lot 1' }), JAR, JUG, CUTTER];
    const read = readSuppliesFile(writeSuppliesFile(things));
    expect(read.ok && read.value).to.deep.equal(things);
    const bad = readSuppliesFile(writeSuppliesFile([{ ...JUG, capacityMl: 5 }]));
    expect(!bad.ok && bad.fault.at).to.equal('things.0.capacityMl');
    expect(!bad.ok && bad.fault.message).to.contain('5 ml');
  });
});
