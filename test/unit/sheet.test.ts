import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { barCount } from '../../src/core/fill/barGrid.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import type { Divide, Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { told } from '../support/told.ts';
import { additive, fragrance } from '../support/additions.ts';
import { basePlan, boxPlan, demoPlans, rest } from '../support/plans.ts';

const sheet = (file: string) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'src/cli/sheet.ts', file], { encoding: 'utf8' });

const jobOf = (divide: Divide): Plan => ({
  ...basePlan(),
  divide,
  fill: {
    to: { kind: 'headspace', headspaceMm: 5 },
    copies: 1,
    overagePercent: 2,
    top: [{ pot: 'p1', massG: 60 }],
  },
});

describe('the procedure', () => {
  const ORDERS: readonly (readonly [Divide, readonly string[]])[] = [
    [
      { kind: 'after-emulsion' },
      ['safety', 'lay-out', 'lye', 'oils', 'emulsify', 'divide', 'pour', 'top', 'cut'],
    ],
    [
      { kind: 'before-lye', lye: 'together' },
      ['safety', 'lay-out', 'oils', 'divide', 'lye', 'emulsify', 'pour', 'top', 'cut'],
    ],
  ];

  for (const [divide, order] of ORDERS)
    it(`has every chapter in the order of work: ${divide.kind}`, () => {
      const chapters = told(computePlan(jobOf(divide))).map((t) => t.chapter);
      expect([...new Set(chapters)]).to.deep.equal(order);
    });

  it('stands a caution at the lye, at blending and at the cut', () => {
    const tasks = told(computePlan(jobOf({ kind: 'after-emulsion' })));
    expect(tasks.find((t) => t.text.includes('Stir the lye into the water'))!.caution).to.match(
      /never water into lye/,
    );
    for (const chapter of ['safety', 'emulsify', 'cut'])
      expect(
        tasks.some((t) => t.chapter === chapter && t.caution !== undefined),
        chapter,
      ).to.equal(true);
  });

  it('runs up to the whole of what the mould takes', () => {
    const computed = computePlan(jobOf({ kind: 'after-emulsion' }));
    const running = told(computed).flatMap((t) => t.running ?? []);
    expect(running.at(-1)!.inMouldG).to.equal(running.at(-1)!.ofG);
    expect(running.at(-1)!.ofG).to.be.closeTo(computed.stack.filledMl * computed.densityGMl, 1);
  });

  it('lists what is held back, by pot', () => {
    const top = told(computePlan(jobOf({ kind: 'after-emulsion' }))).find((t) => t.chapter === 'top');
    expect(top!.lines.map((l) => l.massG)).to.deep.equal([60]);
  });

  it('never pours lye solution before it is made, in either way of dividing', () => {
    for (const divide of [
      { kind: 'before-lye', lye: 'together' },
      { kind: 'before-lye', lye: 'jug-by-jug' },
      { kind: 'after-emulsion' },
    ] as const) {
      const tasks = told(computePlan(jobOf(divide)));
      const made = tasks.findIndex((t) => t.text.startsWith('Stir the lye into the water'));
      const used = tasks.findIndex((t) => t.lines.some((l) => l.name.startsWith('Lye solution')));
      expect(made, JSON.stringify(divide)).to.be.above(0);
      expect(used, JSON.stringify(divide)).to.be.above(made);
    }
  });

  it('weighs lye solution into each jug just before its first pour when made jug by jug', () => {
    const tasks = told(computePlan(jobOf({ kind: 'before-lye', lye: 'jug-by-jug' })));
    const pours = tasks.filter((t) => t.chapter === 'pour');
    expect(pours.map((t) => t.lines[0]!.name)).to.deep.equal([
      'Lye solution',
      'Batter',
      'Lye solution',
      'Batter',
    ]);
  });

  it('asks for every colorant, additive and fragrance once, whichever way the batch is divided', () => {
    for (const divide of [
      { kind: 'after-emulsion' },
      { kind: 'before-lye', lye: 'together' },
      { kind: 'before-lye', lye: 'jug-by-jug' },
    ] as const) {
      const plan = jobOf(divide);
      const computed = computePlan({
        ...plan,
        batter: {
          ...plan.batter,
          additives: [additive('a', 'cooled-lye'), additive('b', 'oils'), additive('c', 'trace')],
          fragrances: [fragrance(3, { limitPercent: 5, moment: 'colour' })],
        },
        pots: plan.pots.map((p) => ({
          ...p,
          colorants: [{ colorant: `mica-${p.letter}`, doseGPerKg: 5 }],
        })),
        colorants: plan.pots.map((p) => ({ id: `mica-${p.letter}`, name: `Mica ${p.letter}` })),
      });
      const w = computed.weights!;
      const asked = (name: string): number =>
        told(computed)
          .flatMap((t) => t.lines)
          .filter((l) => l.name === name)
          .reduce((sum, l) => sum + l.massG, 0);
      for (const a of w.additives)
        expect(asked(a.name), `${divide.kind} ${a.name}`).to.be.closeTo(a.massG, 1e-6);
      for (const p of w.pots)
        expect(asked(p.colorants[0]!.name), divide.kind).to.be.closeTo(p.colorants[0]!.massG, 1e-6);
      expect(asked('Moor'), divide.kind).to.be.closeTo(w.fragranceG, 1e-6);
    }
  });

  it('is empty while something is refused', () => {
    const plan = boxPlan([{ kind: 'height', heightMm: 90 }]);
    expect(told(computePlan(plan))).to.deep.equal([]);
  });
});

describe('the cut', () => {
  const cut = { strips: 1, thicknessMm: 25, kerfMm: 0, trimStartMm: 6, trimEndMm: 6 };

  it('follows bars = floor((length - trims + kerf) / (thickness + kerf))', () => {
    expect(barCount(304.8, { ...cut, thicknessMm: 25.4, trimStartMm: 0, trimEndMm: 0 })).to.equal(12);
    expect(barCount(304.8, { ...cut, thicknessMm: 25.4, trimStartMm: 6.35, trimEndMm: 6.35 })).to.equal(11);
    expect(barCount(103, { ...cut, kerfMm: 1, trimStartMm: 0, trimEndMm: 0 })).to.equal(4);
    expect(barCount(20, cut)).to.equal(0);
  });

  it('accounts for the whole loaf: bars, kerfs, trims and remainder', () => {
    const plan = { ...boxPlan([rest(), rest()]), cut: { ...cut, kerfMm: 0.8, thicknessMm: 21.7 } };
    const c = computePlan(plan).cut;
    const used = c.bars.length * 21.7 + (c.bars.length - 1) * 0.8 + 12 + c.remainderMm;
    expect(used).to.be.closeTo(100, 1e-9);
  });

  it('weighs a bar by its share of the loaf, top included', () => {
    const loaf = boxPlan([rest()]);
    const plan = {
      ...loaf,
      fill: { ...loaf.fill, top: [{ pot: 'p1', massG: 80 }] },
      cut: { ...cut, trimStartMm: 0, trimEndMm: 0 },
    };
    const { cut: c, densityGMl } = computePlan(plan);
    expect(c.bars[0]!.massG).to.be.closeTo(25 * 8 * 6 * densityGMl * 0.1 + 20, 1e-6);
  });

  it('shares a slab’s slices between its strips', () => {
    const plan = { ...boxPlan([rest()]), cut: { ...cut, strips: 3, kerfMm: 1 } };
    const c = computePlan(plan).cut;
    expect(c.count).to.equal(c.bars.length * 3);
    expect(c.stripMm).to.be.closeTo(26, 1e-9);
    expect(c.bars[0]!.volumeMl).to.be.closeTo((25 * 26 * 60) / 1000, 1e-6);
  });
});

describe('the headless sheet', () => {
  it('prints the computed plan as JSON', () => {
    const run = sheet('demo/plans/slate-beds.dripline.json');
    expect(run.status, run.stderr).to.equal(0);
    const out = JSON.parse(run.stdout) as {
      mould: { volume_ml: number };
      batter: { mass_g: number; alkali_g: number; oils: { mass_g: number }[] };
      pots: { mass_g: number }[];
      steps: { kind: string }[];
      warnings: unknown[];
    };
    const slate = computePlan(demoPlans().find((p) => p.name === 'Slate Beds')!);
    expect(out.mould.volume_ml).to.equal(slate.geometry.rimVolumeMl);
    expect(out.batter.alkali_g).to.equal(slate.weights!.lyeG);
    expect(out.pots.reduce((s, p) => s + p.mass_g, 0)).to.equal(out.batter.mass_g);
    expect(out.steps.filter((s) => s.kind === 'pour')).to.have.length(5);
  });

  it('refuses a bad file with exit 2 and one line a fault', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'sheet-')), 'bad.dripline.json');
    const plan = basePlan();
    writeFileSync(
      file,
      writePlanFile({ ...plan, batter: { ...plan.batter, superfatPercent: -4, purityPercent: 3 } }),
    );
    const run = sheet(file);
    expect(run.status).to.equal(2);
    expect(run.stdout).to.equal('');
    expect(run.stderr.trim().split('\n')).to.have.length(2);
    expect(run.stderr).to.match(/batter\.superfatPercent: -4 % is outside/);
    expect(sheet('no-such-file').status).to.equal(2);
  });
});
