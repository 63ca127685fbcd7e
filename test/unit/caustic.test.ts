import { expect } from 'chai';
import fc from 'fast-check';
import { AS_PLANNED, type HappenedByPour } from '../../src/core/batch/happened.ts';
import { added, poured } from '../../src/core/batch/note.ts';
import { setEnd } from '../../src/core/edit/ombre.ts';
import { onMat } from '../../src/core/edit/mat.ts';
import { fromJar } from '../../src/core/edit/supplies.ts';
import { addTop, setTop } from '../../src/core/edit/tops.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Step } from '../../src/core/plan/stepSchema.ts';
import type { TopWay } from '../../src/core/plan/topSchema.ts';
import { ombrePlan, starter } from '../support/colours.ts';
import { fragrance } from '../support/additions.ts';
import { anyDay } from '../support/anyDay.ts';
import { recountDay } from '../support/recountDay.ts';
import { followLines, type Followed, type SheetAct } from '../support/lineByLine.ts';
import { basePlan, boxPlan, pour, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';
import { really } from '../support/written.ts';

/** A box of 250 x 80 x 75 mm; olive, coconut and palm 60/25/15; lye of 99 %; scales of 1 and 0.1 g. */
const LOAF: Partial<Plan> = {
  mould: {
    name: 'Loaf box',
    material: 'wood',
    shape: { kind: 'box', lengthMm: 250, widthMm: 80, heightMm: 75 },
    wallMm: 10,
    bowMm: 0,
    linerMm: 0,
  },
  fill: { to: { kind: 'headspace', headspaceMm: 8 }, copies: 1, overagePercent: 3, top: [] },
  batter: {
    ...basePlan().batter,
    oils: [
      { oil: 'olive', percent: 60 },
      { oil: 'coconut', percent: 25 },
      { oil: 'palm', percent: 15 },
    ],
  },
  units: { ...basePlan().units, scaleStepG: 1, fineStepG: 0.1 },
};

const loaf = (change: Partial<Plan> = {}): Plan => boxPlan([rest(), rest()], { ...LOAF, ...change });

const batter = (plan: Plan, change: Partial<Plan['batter']>): Plan => ({
  ...plan,
  batter: { ...plan.batter, ...change },
});

/** Some g/kg of heather in a pot, dispersed in so much oil. */
function heather(plan: Plan, pot: string, doseGPerKg: number, carrierMlPerG: number): Plan {
  const { id, name, nature } = starter('heather');
  return {
    ...plan,
    colorants: [{ id, name, nature: { ...nature, carrierMlPerG } }],
    pots: plan.pots.map((p) => (p.id === pot ? { ...p, colorants: [{ colorant: id, doseGPerKg }] } : p)),
  };
}

/** Every pot with the colours of the first. */
const coloured = (plan: Plan): Plan => ({
  ...plan,
  pots: plan.pots.map((p) => ({ ...p, colorants: plan.pots[0]!.colorants })),
});

const butter = (pots: string[] | undefined, gPerKgOils: number): Partial<Plan['batter']> => ({
  lateOils: [
    {
      id: 'l1',
      oil: 'shea',
      doses: [{ id: 'd1', gPerKgOils, moment: 'pour', ...(pots ? { pots } : {}) }],
    },
  ],
});

/** What reached its mould, of what it left with: a cup is stirred once more. */
const inMoulds = ({ out }: Followed): Followed['out'] => out.filter((o) => !o.to.startsWith('cup'));

const refusals = (
  plan: Plan,
  happened = AS_PLANNED,
): readonly { readonly code: string; readonly message: string }[] =>
  computePlan(plan, happened).warnings.filter((w) => w.level === 'refuse');

const followed = (plan: Plan, happened?: HappenedByPour): Followed =>
  followLines(printed(plan, happened).procedure, plan);

/** The sheet is there, and nothing on it is lye-heavy unsaid. */
function sound(plan: Plan, happened?: HappenedByPour): Followed {
  expect(refusals(plan, happened)).to.deep.equal([]);
  const found = followed(plan, happened);
  expect(found.faults).to.deep.equal([]);
  expect(found.lines).to.be.above(5);
  return found;
}

describe('no way to caustic batter', () => {
  it('ridges of a mat that leave a jug lye-heavy are refused with their number, and cured in one press', () => {
    const on = onMat(loaf());
    const ridged: Plan = {
      ...on,
      steps: on.steps.map((s): Step => (s.kind === 'ridges' ? { ...s, pot: 'p2' } : s)),
    };
    const plan = heather(batter(ridged, { superfatPercent: 3, ...butter(['p2'], 60) }), 'p1', 12, 6);
    const [refused, ...others] = refusals(plan);
    expect(others).to.deep.equal([]);
    expect(refused!.code).to.equal('pot-lye-heavy');
    expect(refused!.message).to.match(/Pot B .* superfat −1\.\d+ % as weighed, where 3 % is planned/);
    const warning = computePlan(plan).warnings.find((w) => w.code === 'pot-lye-heavy')!;
    sound(warning.remedies![0]!.apply(plan));
  });

  it('spare batter is asked for its superfat as every pour is', () => {
    const given: Plan = {
      ...loaf(),
      steps: [pour('s1', 'p1', { kind: 'mass', massG: 420 }), pour('s2', 'p2', { kind: 'mass', massG: 420 })],
      fill: {
        ...loaf().fill,
        to: { kind: 'batter', massG: 1200 },
        upTo: { kind: 'headspace', headspaceMm: 8 },
      },
    };
    const plan = batter(coloured(heather(given, 'p1', 14, 8)), { superfatPercent: 4 });
    const [refused, ...others] = refusals(plan);
    expect(others).to.deep.equal([]);
    expect(refused!.code).to.equal('spare-lye-heavy');
    expect(refused!.message).to.match(/3\d\d g of spare batter .* superfat −\d\.\d+ % as weighed, where 4 %/);
    const remedy = computePlan(plan).warnings.find((w) => w.code === 'spare-lye-heavy')!.remedies![0]!;
    const found = sound(remedy.apply(plan));
    expect(found.out.some((o) => o.to === 'spare' && (o.superfat ?? -1) >= 0)).to.equal(true);
  });

  it('one oil in two lots has two values: in the recipe, in a pot of its own, and on the sheet', () => {
    const lots = [
      { oil: 'olive', percent: 72, svMgG: 186 },
      { oil: 'coconut', percent: 20 },
      { oil: 'olive', percent: 8, svMgG: 195 },
    ];
    const recipe = batter(loaf(), { oils: lots, superfatPercent: 3.6 });
    const sheet = printed(recipe);
    sound(recipe);
    // by hand: olive 186 and 195, coconut 256.5 mg KOH/g, 39.997 / 56.106 of that in NaOH
    const perOil = (0.72 * 186 + 0.2 * 256.5 + 0.08 * 195) / 1000;
    const need = (sheet.batter.oils_g * perOil * 39.997) / 56.106;
    expect(sheet.batter.superfat_percent).to.be.closeTo(
      100 * (1 - (0.99 * sheet.batter.alkali_g) / need),
      0.1,
    );
    expect(sheet.batter.superfat_percent).to.be.within(3.6, 4.6);
    expect(sheet.batter.oils.map((o) => o.oil)).to.deep.equal(['olive', 'coconut', 'olive']);
    const names = sheet.procedure.find((t) => t.id === 'oils')!.lines.map((l) => l.name);
    expect(names).to.deep.equal(['Olive oil, 186 mg KOH/g', 'Coconut oil', 'Olive oil, 195 mg KOH/g']);

    // a lot is named by its value also where it is the only one: a second batch may take the oil in another
    const [own] = batter(loaf(), { oils: [{ oil: 'olive', percent: 100, svMgG: 192 }] }).batter.oils;
    const one = printed(batter(loaf(), { oils: [own!], ...butter(undefined, 20) }));
    const named = one.procedure.flatMap((t) => t.lines.map((l) => l.name));
    expect(named).to.include.members(['Olive oil, 192 mg KOH/g', 'Shea butter']);

    const fat = (sv: number, percent: number) => ({
      oil: 'fat',
      percent,
      custom: { name: 'Rendered fat', svLow: sv, svHigh: sv, densityGMl: 0.9 },
    });
    const fats = [fat(135, 55), fat(245, 45)];
    sound(batter(loaf(), { oils: fats, superfatPercent: 2 }));
    sound({
      ...loaf({ divide: { kind: 'before-lye', lye: 'together' } }),
      pots: loaf().pots.map((p) => (p.id === 'p1' ? { ...p, own: { oils: fats } } : p)),
    });
  });

  for (const school of ['one-pot', 'separate-pots', 'master-blends'] as const)
    it(`portions before the lye, ${school}: what is entered later changes nothing of what was mixed`, () => {
      const graded = ombrePlan(4, school, { ...LOAF, divide: { kind: 'before-lye', lye: 'together' } });
      const { id, name, nature } = starter('heather');
      const deep = setEnd(
        graded,
        'o1',
        'from',
        [{ colorant: 'heather', doseGPerKg: 6 }],
        [{ id, name, nature: { ...nature, carrierMlPerG: 8 } }],
      );
      const plan = batter(setEnd(deep, 'o1', 'to', [{ colorant: 'heather', doseGPerKg: 12 }]), {
        superfatPercent: 2,
      });
      sound(plan);
      const lye = (happened = AS_PLANNED): object[] =>
        computePlan(plan, happened)
          .batch!.ledger.transfers.filter((t) => t.act === 'lye' || t.act.startsWith('combine:'))
          .map(({ act, massG }) => ({ act, massG }));
      const first = plan.steps.find((s) => s.kind === 'pour')!.id;
      const entered = really(plan, added(first, [{ colorant: 'heather', massG: 0 }]));
      // the batch is still weighed, also while what it makes is refused
      const before = lye();
      const { warnings } = computePlan(plan, entered);
      const heavy = warnings.find((w) => w.code === 'pot-lye-heavy');
      if (school === 'master-blends') sound(plan, entered);
      else {
        expect(heavy!.level).to.equal('refuse');
        expect(heavy!.message).to.match(
          /superfat −\d.*What was mixed stays as it was mixed: at least \d+ g of olive oil/,
        );
        expect(printed(plan, entered).procedure).to.deep.equal([]);
        // what was entered can be entered otherwise all the same
        expect(computePlan(plan, entered).entered[0]!.layers).to.have.length(4);
      }
      // an entry that takes it all back to what was planned leaves the very same lye
      const more = really(plan, added(first, [{ colorant: 'heather', massG: 40 }]));
      expect(lye(more)).to.deep.equal(before);
      sound(plan, more);
    });

  it('the oil that would use up the lye of such a jug is told to the gram (by hand)', () => {
    const graded = ombrePlan(2, 'one-pot', { ...LOAF, divide: { kind: 'before-lye', lye: 'together' } });
    const from = setEnd(graded, 'o1', 'from', [{ colorant: 'heather', doseGPerKg: 12 }]);
    const plan = batter(setEnd(from, 'o1', 'to', [{ colorant: 'heather', doseGPerKg: 16 }]), {
      superfatPercent: 1,
    });
    sound(plan);
    const first = plan.steps.find((s) => s.kind === 'pour')!.id;
    const { message } = refusals(plan, really(plan, added(first, [{ colorant: 'heather', massG: 0 }])))[0]!;
    const told = Number(/at least (\d+) g of olive oil/.exec(message)![1]);
    const { pots, batter: made, procedure } = printed(plan);
    const { superfat_percent: lean } = (
      procedure.find((t) => t.id.startsWith('combine:')) as unknown as SheetAct
    ).lye_heavy![0]!;
    const lines = procedure.flatMap((t) => t.lines);
    const solution = lines.filter((l) => l.to === 'lye').reduce((s, l) => s + l.mass_g, 0);
    const jug = pots.find((p) => p.mass_g > 0)!.jug;
    // pure NaOH in the jug, and what its oils can use by the superfat that is said: the rest is for olive,
    // 190 mg KOH/g
    const naoh = (jug['lye_solution_g']! / solution) * made.alkali_g * 0.99;
    const beyond = naoh - naoh / (1 - lean / 100);
    expect(told).to.equal(Math.ceil(beyond / ((0.19 * 39.997) / 56.106)));
  });

  it('what is entered is in the jug, once, also where no colour was planned; the rest is as it was', () => {
    const graded = setEnd(ombrePlan(3, 'separate-pots', LOAF), 'o1', 'from', []);
    const plain = graded.steps.find((s) => s.kind === 'pour')!;
    for (const massG of [0, 4, 9]) {
      const entered = really(graded, added(plain.id, [{ colorant: 'heather', massG }]));
      const pot = printed(graded, entered).pots.find((p) => p.id === plain.pot)!;
      expect(pot.jug['colorants_g'], `${massG} g`).to.be.closeTo(massG, 0.06);
      sound(graded, entered);
    }
  });

  it('stocks of oils are drawn before the lye: what is poured otherwise draws none of them again, of batter it does', () => {
    for (const kind of ['before-lye', 'after-emulsion'] as const) {
      const plan = ombrePlan(4, 'master-blends', {
        ...LOAF,
        divide: kind === 'before-lye' ? { kind, lye: 'together' } : { kind },
      });
      const [first] = plan.steps.filter((s) => s.kind === 'pour');
      const draws = (happened?: HappenedByPour): object[] =>
        (printed(plan, happened).procedure as unknown as SheetAct[]).flatMap((t) =>
          t.lines.filter((l) => l.from.startsWith('stock:')).map((l) => [l.to, l.mass_g]),
        );
      const entered = really(plan, poured(first!.id, 500));
      if (kind === 'before-lye') expect(draws(entered)).to.deep.equal(draws());
      else {
        const { draws: now } = computePlan(plan, entered).weights!.ombres[0] as unknown as {
          draws: { pot: { id: string }; lastG: number; firstG: number }[];
        };
        const wanted = now.flatMap(({ pot, lastG, firstG }) =>
          [lastG, firstG].filter((g) => g > 0).map((g) => [`pot:${pot.id}`, g]),
        );
        expect(draws(entered)).to.have.deep.members(wanted);
        expect(draws(entered)).to.not.deep.equal(draws());
      }
      sound(plan, entered);
    }
  });

  it('what rounding leaves of a given batch is no spare batter, and refuses nothing', () => {
    const poured = {
      ...loaf(),
      steps: [pour('s1', 'p1', { kind: 'mass', massG: 420 }), pour('s2', 'p2', { kind: 'mass', massG: 420 })],
    };
    const lean = batter(coloured(heather(poured, 'p1', 14, 8)), { superfatPercent: 4 });
    const massG = printed(lean).batter.mass_g + 2;
    const plan: Plan = {
      ...lean,
      fill: { ...lean.fill, to: { kind: 'batter', massG }, upTo: { kind: 'headspace', headspaceMm: 8 } },
    };
    expect(computePlan(plan).batch!.spareG).to.be.within(0.5, 5);
    expect(sound(plan).out.some((o) => o.to === 'spare')).to.equal(false);
  });

  it('where a step of lye less keeps the leanest pot from having too much, it is taken off', () => {
    let less = 0;
    for (let superfatPercent = 0.9; superfatPercent < 2.35; superfatPercent += 0.1) {
      const plan = batter(heather({ ...loaf(), units: { ...loaf().units, scaleStepG: 2 } }, 'p1', 8, 5), {
        superfatPercent: Number(superfatPercent.toFixed(2)),
      });
      const { batter: made } = printed(plan);
      // by hand: olive 190, coconut 256.5, palm 199.5 mg KOH/g; lye of 99 %, down to a step of 2 g
      const perOil = ((0.6 * 190 + 0.25 * 256.5 + 0.15 * 199.5) / 1000) * (39.997 / 56.106);
      const exact = (made.oils_g * perOil * (1 - superfatPercent / 100)) / 0.99;
      if (made.alkali_g < Math.floor(exact / 2) * 2 - 1) less += 1;
      sound(plan);
    }
    expect(less).to.be.above(10);
  });

  it('what a ready jar is shaken up in has the value of that oil, or of the least that it could be', () => {
    const plan = batter(heather(loaf(), 'p1', 14, 5), {
      oils: [{ oil: 'coconut', percent: 100 }],
      superfatPercent: 2,
    });
    const jar = (oil: string | undefined): Plan =>
      fromJar({ ...plan, divide: { kind: 'before-lye', lye: 'together' } }, 'heather', {
        kind: 'jar',
        id: 'j1',
        name: 'Heather, ready',
        colorant: 'heather',
        carrier: 'oil',
        ...(oil === undefined ? {} : { oil }),
        carrierPerPowder: 14,
        leftG: 500,
      });
    const names = (p: Plan): string[] =>
      (printed(p).procedure as unknown as SheetAct[])
        .flatMap((t) => t.lines.flatMap((l) => l.parts ?? []))
        .map((x) => x.name);
    for (const oil of ['sunflower', 'coconut', 'castor', undefined]) {
      const found = sound(jar(oil));
      const said = printed(jar(oil)).pots;
      for (const o of found.out) {
        const pot = said.find((p) => o.from === `pot:${p.id}`)!;
        expect(o.superfat, oil).to.be.closeTo(pot.superfat_percent, 0.02);
        expect(o.superfat, oil).to.be.at.least(2 - 0.02);
        // the jug without that colour is no fatter for it
        if (o.from === 'pot:p2') expect(o.superfat, oil).to.be.below(3.2);
      }
    }
    expect(names(jar('sunflower'))).to.include('Sunflower oil in the jar "Heather, ready"');
    expect(names(jar(undefined))).to.include('Oil in the jar "Heather, ready"');
  });

  it('of the oils as much less is weighed as is in ready jars, and the rest is set aside for what is dispersed on the day', () => {
    const { nature } = starter('peat');
    const jarred = fromJar(heather(loaf(), 'p1', 14, 5), 'heather', {
      kind: 'jar',
      id: 'j1',
      name: 'Heather, ready',
      colorant: 'heather',
      carrier: 'oil',
      oil: 'sunflower',
      carrierPerPowder: 8,
      leftG: 500,
    });
    // little of the recipe is liquid: what is set aside and what is in the jar come out of two oils
    const plan = batter(
      {
        ...jarred,
        colorants: [
          ...jarred.colorants,
          { id: 'peat', name: 'Peat oxide', nature: { ...nature, carrierMlPerG: 8 } },
        ],
        pots: jarred.pots.map((p) =>
          p.id === 'p2' ? { ...p, colorants: [{ colorant: 'peat', doseGPerKg: 9 }] } : p,
        ),
      },
      {
        oils: [
          { oil: 'olive', percent: 4 },
          { oil: 'coconut', percent: 96 },
        ],
        superfatPercent: 6,
      },
    );
    const acts = printed(plan).procedure;
    const line = (act: string, to: string): number =>
      acts.find((t) => t.id === act)!.lines.reduce((s, l) => s + (l.to === to ? l.mass_g : 0), 0);
    const peat = acts.find((t) => t.id === 'disperse:peat')!.lines.find((l) => l.from === 'supply')!.mass_g;
    // 8 ml of oil of 0.92 g/ml to each gram
    expect(line('carrier-oil', 'carrier-oil')).to.be.closeTo(peat * 8 * 0.92, 0.3);
    expect(printed(plan).batter.superfat_percent).to.be.within(6, 7);
    sound(plan);
  });

  it('what is lye-heavy until a late oil comes is said at that act, with what cures it', () => {
    const cured = coloured(heather(batter(loaf(), { superfatPercent: 1 }), 'p1', 10, 8));
    const found = sound(cured);
    expect(found.said).to.be.above(1);
    const { procedure, warnings } = printed(cured);
    const emulsify = procedure.find((t) => t.id === 'emulsify') as unknown as SheetAct & { caution: string };
    expect(emulsify.lye_heavy![0]!.vessel).to.equal('oils');
    expect(emulsify.lye_heavy![0]!.until).to.have.members(['pot-colour:p1', 'pot-colour:p2']);
    expect(emulsify.caution).to.match(
      /More lye than the oils can use, superfat −\d\.\d+ %, until the dispersed colours are in pot A and pot B: leave nothing out/,
    );
    expect(warnings.map((w) => w.code)).to.include('lye-heavy-until');
    const late = batter(heather(loaf(), 'p1', 10, 8), { superfatPercent: 1, ...butter(['p2'], 200) });
    const said = computePlan(late).warnings.find((w) => w.code === 'lye-heavy-until')!;
    expect(said.message).to.match(/until the dispersed colours and shea butter are in pot A and pot B/);
    sound(late);
  });

  it('nobody is warned where nothing is lye-heavy', () => {
    const found = sound(loaf());
    expect(found.said).to.equal(0);
    expect(computePlan(loaf()).warnings.map((w) => w.code)).to.not.include('lye-heavy-until');
  });
});

describe('days of every kind', () => {
  it('are followed line by line: nothing below nothing unsaid, nothing lost, no jug short, no dose doubled', () => {
    const counts = { followed: 0, said: 0, refused: 0 };
    for (const day of fc.sample(anyDay, { numRuns: 100, seed: 22 })) {
      const { faults, refused, said } = recountDay(day);
      expect(faults).to.deep.equal([]);
      counts.followed += refused.length > 0 ? 0 : 1;
      counts.refused += refused.some((c) => c.endsWith('lye-heavy')) ? 1 : 0;
      counts.said += said > 0 ? 1 : 0;
    }
    expect(counts.followed).to.be.above(45);
    expect(counts.refused).to.be.above(5);
    expect(counts.said).to.be.above(1);
  });
});

describe('doses just before the pour', () => {
  const scented = (plan: Plan, percent: number): Plan =>
    batter(plan, { fragrances: [fragrance(percent, { moment: 'pour', limitPercent: 2.5 })] });

  it('of a pour in rounds stand once for each pot, with that pot’s lines', () => {
    const base = loaf();
    const plan = scented(
      {
        ...base,
        steps: base.steps.map((s): Step =>
          s.id === 's1' && s.kind === 'pour'
            ? { ...s, pattern: { place: { at: 'wall', wall: 'left' }, then: ['p2'], rounds: [1, 1] } }
            : s,
        ),
      },
      3,
    );
    const { procedure, batter: made } = printed(plan) as ReturnType<typeof printed> & {
      batter: { fragrance_g: number };
    };
    const lines = procedure
      .flatMap((t) => t.lines.map((l) => ({ ...l, task: t.id })))
      .filter((l) => l.name === 'Moor');
    expect(lines.map((l) => l.task)).to.deep.equal(['stir:s1', 'stir:s1:p2', 'stir:s2']);
    expect(lines.reduce((s, l) => s + l.mass_g, 0)).to.be.closeTo(made.fragrance_g, 1e-6);
    for (const { from, perOil } of inMoulds(sound(plan)))
      expect(perOil.get('Moor') ?? 0, from).to.be.closeTo(0.03, 0.0015);
  });

  it('of a jug that fills the hollows of a mat are shared by what leaves it, nothing is doubled', () => {
    const on = onMat(loaf());
    const ridged: Plan = {
      ...on,
      steps: on.steps.map((s): Step => (s.kind === 'ridges' ? { ...s, pot: 'p2' } : s)),
    };
    const fine = { ...ridged, units: { ...ridged.units, fineStepG: 0.01 as const } };
    const out = inMoulds(sound(scented(fine, 2.3)));
    expect(out.some((o) => o.act.startsWith('on-top:'))).to.equal(true);
    for (const { act, perOil } of out) expect(perOil.get('Moor') ?? 0, act).to.be.closeTo(0.023, 0.001);
  });

  it('reach what fills a column’s hole before the last pour, and the last pour gets its own alone', () => {
    const base = loaf();
    const column = { id: 'c1', form: 'round', acrossMm: 30, xMm: 0, yMm: 0 } as const;
    const plan = scented(
      {
        ...base,
        units: { ...base.units, fineStepG: 0.01 },
        mould: { ...base.mould, columns: [column] },
        fill: {
          ...base.fill,
          top: [
            { pot: 'p1', massG: 10 },
            { pot: 'p2', massG: 60 },
          ],
        },
        steps: [
          pour('s1', 'p1', { kind: 'mass', massG: 500 }),
          { id: 'u1', kind: 'pull' },
          pour('s2', 'p2', { kind: 'mass', massG: 400 }),
        ],
      },
      2,
    );
    const out = inMoulds(sound(plan));
    // a cylinder of 30 mm as high as 500 g stand: 25 mm, some 17.7 ml; what one pot has not, the next one
    // gives
    const hole = out.filter((o) => o.act === 'u1');
    expect(hole.map((o) => o.from.split(':')[1])).to.deep.equal(['p1', 'p2']);
    expect(hole.reduce((s, o) => s + o.massG, 0)).to.be.within(16.5, 19.5);
    for (const { act, perOil } of out) expect(perOil.get('Moor') ?? 0, act).to.be.closeTo(0.02, 0.001);
  });
});

describe('what leaves a jug before a later dose goes in', () => {
  const late = (plan: Plan): Plan =>
    batter(plan, {
      lateOils: [
        {
          id: 'l1',
          oil: 'shea',
          doses: [{ id: 'd1', gPerKgOils: 250, moment: 'pour', pots: ['p2'], fromPour: 's2' }],
        },
      ],
      fragrances: [fragrance(3, { moment: 'pour', limitPercent: 4 })],
    });
  const fine = { ...basePlan().units, fineStepG: 0.01 as const };
  const column = { id: 'c1', form: 'round', acrossMm: 40, xMm: 0, yMm: 0 } as const;
  const on = onMat(loaf({ units: fine }));
  const cases: readonly (readonly [string, string, Plan])[] = [
    [
      'the hollows of a mat',
      'on-top:',
      { ...on, steps: on.steps.map((s): Step => (s.kind === 'ridges' ? { ...s, pot: 'p2' } : s)) },
    ],
    [
      'a column’s hole',
      'u1',
      {
        ...loaf({ units: fine }),
        mould: { ...loaf().mould, columns: [column] },
        fill: { ...loaf().fill, top: [{ pot: 'p2', massG: 60 }] },
        steps: [
          pour('s1', 'p1', { kind: 'mass', massG: 600 }),
          { id: 'u1', kind: 'pull' },
          pour('s2', 'p2', { kind: 'mass', massG: 400 }),
        ],
      },
    ],
  ];
  for (const [what, act, plan] of cases)
    it(`has none of it: ${what}`, () => {
      const out = inMoulds(sound(late(plan))).filter((o) => o.act.startsWith(act));
      expect(out).to.have.length.above(0);
      for (const { perOil } of out) {
        expect(perOil.get('Shea butter') ?? 0).to.equal(0);
        expect(perOil.get('Moor') ?? 0).to.be.closeTo(0.03, 0.0006);
      }
    });
});

describe('amounts that are hardly there', () => {
  it('piping that comes to less than the scale shows is refused in words, not by a crash', () => {
    const { plan, stepId } = addTop(loaf(), 'piping');
    const { way } = plan.steps.find((s) => s.kind === 'top')!;
    const rows = (way as Extract<TopWay, { top: 'piping' }>).rows;
    const tiny = setTop(plan, stepId, {
      ...(way as Extract<TopWay, { top: 'piping' }>),
      rows: rows.map((r) => ({ ...r, acrossMm: 3, heightMm: 2, perBar: 1 })),
    });
    const refused = refusals(tiny);
    expect(refused.map((w) => w.code)).to.include('piping-too-small');
    expect(refused[0]!.message).to.match(/All that is piped of pot C is 0\.\d+ g, less than the 1 g/);
    expect(printed(tiny).procedure).to.deep.equal([]);
  });

  it('spare batter has the oils, lye and water of batter, not water in place of late doses', () => {
    const plan: Plan = batter(
      {
        ...loaf(),
        steps: [
          pour('s1', 'p1', { kind: 'mass', massG: 150 }),
          pour('s2', 'p2', { kind: 'mass', massG: 150 }),
        ],
        fill: {
          ...loaf().fill,
          to: { kind: 'batter', massG: 1200 },
          upTo: { kind: 'headspace', headspaceMm: 8 },
        },
      },
      {
        ...butter(undefined, 50),
        fragrances: [fragrance(3, { moment: 'pour', limitPercent: 4 })],
        superfatPercent: 5,
      },
    );
    const sheet = printed(plan) as ReturnType<typeof printed> & {
      batter: { water_g: number; spare_g: number };
    };
    expect(sheet.batter.spare_g).to.be.above(800);
    const { alkali_g: lye, water_g: water } = sheet.batter;
    expect(lye / (lye + water)).to.be.closeTo(0.3, 0.004);
    sound(plan);
  });
});
