import { expect } from 'chai';
import fc from 'fast-check';
import { added, poured } from '../../src/core/batch/note.ts';
import { setEnd } from '../../src/core/edit/ombre.ts';
import { poursOfOmbre } from '../../src/core/ombre/runs.ts';
import { SCALE_STEPS_G, type Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { ombrePlan, potMixed, starter } from '../support/colours.ts';
import { additive, fragrance } from '../support/additions.ts';
import { basePlan, boxPlan, demoPlans, pour, rest } from '../support/plans.ts';
import { really } from '../support/written.ts';
import { printed } from '../support/printed.ts';
import { follow, superfatOf, totalOf } from '../support/recount.ts';

const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);

const AHEAD = { divide: { kind: 'before-lye', lye: 'together' } } as const;
const SCHOOLS = ['one-pot', 'master-blends', 'separate-pots'] as const;

const units = (scaleStepG: Plan['units']['scaleStepG'], fineStepG: Plan['units']['fineStepG'] = 0.1) => ({
  units: { ...basePlan().units, scaleStepG, fineStepG },
});

/** Two clays at the ends of an ombre of master blends, portions made ready before the lye. */
const clays = (rose: number, white: number): Plan => {
  const plan = ombrePlan(5, 'master-blends', { ...AHEAD, ...units(0.1, 0.01) });
  const rosy = setEnd(
    plan,
    'o1',
    'from',
    [{ colorant: 'rose-clay', doseGPerKg: rose }],
    [starter('rose-clay')],
  );
  return setEnd(rosy, 'o1', 'to', [{ colorant: 'kaolin', doseGPerKg: white }], [starter('kaolin')]);
};

describe('the ledger', () => {
  const anyPlan = fc
    .record({
      school: fc.constantFrom(...SCHOOLS, 'none' as const),
      layers: fc.integer({ min: 2, max: 7 }),
      ahead: fc.constantFrom('after-emulsion', 'together', 'jug-by-jug'),
      step: fc.constantFrom(...SCALE_STEPS_G.filter((s) => s <= 2)),
      superfat: fc.double({ min: 0, max: 10, noNaN: true }),
      overage: fc.double({ min: 0, max: 8, noNaN: true }),
      held: fc.integer({ min: 0, max: 60 }),
      colorant: fc.constantFrom('heather', 'rose-clay', 'gorse-dye', 'white-water'),
      dose: fc.double({ min: 0.1, max: 20, noNaN: true }),
      scent: fc.constantFrom('none', 'trace', 'colour', 'pour', 'oils', 'emulsion', 'hot-lye'),
      copies: fc.integer({ min: 1, max: 3 }),
    })
    .map((a): Plan => {
      const change: Partial<Plan> = {
        ...units(a.step, 0.01),
        divide:
          a.ahead === 'after-emulsion'
            ? { kind: a.ahead }
            : { kind: 'before-lye', lye: a.ahead as 'together' },
        mould: basePlan().mould,
        fill: {
          to: { kind: 'headspace', headspaceMm: 6 },
          copies: a.copies,
          overagePercent: a.overage,
          top: [{ pot: 'p1', massG: a.held }],
        },
        batter: {
          ...basePlan().batter,
          superfatPercent: a.superfat,
          ...(a.scent === 'none'
            ? {}
            : {
                fragrances: [fragrance(3, { limitPercent: 8, densityGMl: 0.97, moment: a.scent })],
              }),
        },
      };
      if (a.school === 'none')
        return potMixed(
          boxPlan(
            Array.from({ length: a.layers }, () => rest()),
            change,
          ),
          {
            [a.colorant]: a.dose,
          },
        );
      const graded = ombrePlan(a.layers, a.school, change);
      return setEnd(
        graded,
        'o1',
        'to',
        [{ colorant: a.colorant, doseGPerKg: a.dose }],
        [starter(a.colorant)],
      );
    });

  it('the printed sheet, followed line by line, loses nothing and never draws what is not there', () => {
    let followed = 0;
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const sheet = printed(plan);
        if (sheet.procedure.length === 0) return;
        followed += 1;
        const recount = follow(sheet.procedure, plan);
        expect(recount.lowest).to.be.at.least(-0.01);
        expect(totalOf(recount)).to.be.closeTo(recount.supplied, 1e-6 * recount.supplied);
        // what each pour and the top draw has the superfat that is given for it
        for (const step of sheet.steps) {
          const own = recount.poured.get(`pour:${step.id} ${(step as unknown as { pot: string }).pot}`);
          if (own === undefined) continue;
          expect(own).to.be.closeTo((step as unknown as { superfat_percent: number }).superfat_percent, 0.02);
          expect(own).to.be.at.least(-0.02);
        }
      }),
      { seed: 3, numRuns: 250 },
    );
    expect(followed).to.be.above(200);
  });

  it('every jug balances, holds what its pot needs, and portions made ready ahead keep the superfat that is planned', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const sheet = printed(plan);
        if (sheet.procedure.length === 0) return;
        const { scaleStepG } = plan.units;
        for (const pot of sheet.pots) {
          if (pot.mass_g === 0) continue;
          const { total_g: total, ...parts } = pot.jug;
          expect(Object.values(parts).reduce((a, b) => a + b, 0)).to.be.closeTo(total!, 1e-6);
          const blended = plan.ombres.some((o) => o.school === 'master-blends');
          // enough for its pours; a blend draws two stocks to the step, and its lye follows the oils that
          // came with it
          expect(total!).to.be.within(
            pot.mass_g - (blended ? 1.5 * scaleStepG + 0.004 * pot.mass_g : 0) - 0.2,
            pot.mass_g + 3 * scaleStepG + 0.1,
          );
          if (plan.divide.kind === 'before-lye')
            expect(pot.least_superfat_percent).to.be.at.least(plan.batter.superfatPercent - 1e-6);
        }
        expect(sheet.batter.superfat_percent).to.be.at.least(plan.batter.superfatPercent - 1e-6);
      }),
      { seed: 5, numRuns: 250 },
    );
  });

  it('takes no more from the supply than the batch is to weigh, to a step of the scale for each jug', () => {
    for (const plan of demoPlans()) {
      const sheet = printed(plan);
      const { supplied } = follow(sheet.procedure, plan);
      const apart = sheet.second?.batter.mass_g ?? 0;
      expect(supplied - sheet.batter.mass_g - apart, plan.name).to.be.within(
        -1e-6,
        (sheet.pots.length + 2) * plan.units.scaleStepG,
      );
    }
  });
});

describe('no pot is lye-heavy', () => {
  it('clays of master blends divided before the lye: every jug has the superfat that was planned', () => {
    for (const [rose, white] of [
      [15, 20],
      [30, 30],
    ] as const) {
      const plan = { ...clays(rose, white), batter: { ...basePlan().batter, superfatPercent: 5.6 } };
      const sheet = printed(plan);
      const { vessels } = follow(
        sheet.procedure.filter((t) => t.chapter !== 'pour' && t.chapter !== 'top'),
        plan,
      );
      for (const pot of sheet.pots) {
        expect(pot.superfat_percent).to.be.within(5.6, 6.6);
        // recounted from the lines that went into the jug
        expect(superfatOf(vessels.get(`pot:${pot.id}`)!, plan)).to.be.closeTo(pot.superfat_percent, 0.02);
      }
    }
  });

  it('pots of 24 g keep their superfat on a 1, 2 and 5 g scale, and a coarse one is said with a finer', () => {
    const small = (step: 1 | 2 | 5): Plan =>
      boxPlan([{ kind: 'mass', massG: 24 }, rest()], { ...AHEAD, ...units(step) });
    for (const step of [1, 2, 5] as const) {
      const [pot] = printed(small(step)).pots;
      expect(pot!.superfat_percent, `${step} g`).to.be.at.least(5);
    }
    const warning = computePlan(small(5)).warnings.find((w) => w.code === 'pot-superfat-high');
    expect(warning!.message).to.match(/Pot A.* holds only .* 5 g scale .*superfat \d+/);
    expect(codes(warning!.remedies![0]!.apply(small(5)))).to.not.include('pot-superfat-high');
  });

  it('a pot too small for any lye at all is refused', () => {
    const plan = boxPlan([{ kind: 'mass', massG: 12 }, rest()], { ...AHEAD, ...units(5) });
    const refused = computePlan(plan).warnings.find((w) => w.code === 'pot-without-lye')!;
    expect(refused.level).to.equal('refuse');
    expect(printed(plan).procedure).to.deep.equal([]);
  });

  /** One pot plain, the other deep in oil-borne colour, from one batch. */
  const uneven = (superfatPercent: number): Plan => {
    const plan = potMixed(boxPlan([rest(3), rest(1)], units(0.1, 0.01)), { heather: 10 });
    return { ...plan, batter: { ...plan.batter, superfatPercent } };
  };

  it('a pot below half of what was planned is warned of, one below nothing refused, and each remedy cures it', () => {
    expect(codes(uneven(9))).to.not.include('pot-superfat-low');
    const low = computePlan(uneven(6)).warnings.find((w) => w.code === 'pot-superfat-low')!;
    expect(low.message).to.match(
      /Pot B .* superfat [\d.]+ % as weighed, where 6 % is planned, less than half/,
    );
    const heavy = computePlan(uneven(2)).warnings.find((w) => w.code === 'pot-lye-heavy')!;
    expect(heavy.level).to.equal('refuse');
    expect(printed(uneven(2)).procedure).to.deep.equal([]);
    for (const remedy of heavy.remedies!) {
      const cured = codes(remedy.apply(uneven(2)));
      expect(cured, remedy.label).to.not.include('pot-lye-heavy');
      expect(cured, remedy.label).to.not.include('pot-superfat-low');
    }
  });

  it('one step of the scale does not make a pot lye-heavy: the lye gives way by it', () => {
    const plan = potMixed(boxPlan([rest(3), rest(1)], units(2, 0.01)), { heather: 10 });
    const lean = { ...plan, batter: { ...plan.batter, superfatPercent: 2 } };
    expect(codes(lean)).to.not.include('pot-lye-heavy');
    for (const pot of printed(lean).pots)
      if (pot.mass_g > 0) expect(pot.least_superfat_percent).to.be.at.least(0);
  });

  it('superfat 0 is not refused by rounding, on any scale', () => {
    for (const step of [2, 1, 0.5, 0.1] as const)
      for (const divide of [AHEAD.divide, { kind: 'after-emulsion' } as const]) {
        const plan = boxPlan([rest(), rest(), rest(2)], { divide, ...units(step) });
        const zero = { ...plan, batter: { ...plan.batter, superfatPercent: 0 } };
        const computed = computePlan(zero);
        expect(computed.warnings.filter((w) => w.level === 'refuse')).to.deep.equal([]);
        expect(computed.weights!.superfatPercent).to.be.at.least(-1e-9);
      }
  });
});

describe('what is weighed out is what is in the jug', () => {
  it('fragrance in each pot is part of the pot: the batch is less by it, and the last pot is not short', () => {
    const plan = boxPlan([rest(), rest(), rest()], {
      batter: {
        ...basePlan().batter,
        fragrances: [fragrance(3, { limitPercent: 8, densityGMl: 0.97, moment: 'colour' })],
      },
    });
    const sheet = printed(plan);
    const recount = follow(sheet.procedure, plan);
    expect(recount.lowest).to.be.at.least(-1e-6);
    const batch = sheet.procedure.flatMap((t) => t.lines).filter((l) => l.to === 'oils');
    const drawn = sheet.procedure.flatMap((t) => t.lines).filter((l) => l.from === 'oils');
    const mass = (list: typeof batch): number => list.reduce((s, l) => s + l.mass_g, 0);
    expect(mass(batch) - mass(drawn)).to.be.within(0, 1.1);
    const scent = sheet.procedure.flatMap((t) => t.lines).filter((l) => l.name === 'Moor');
    expect(mass(drawn) + mass(scent)).to.be.closeTo(sheet.batter.mass_g, 3);
  });

  it('clay and its water are part of the pot: planned mass, more water, a denser batter', () => {
    const plan = potMixed(boxPlan([rest(), rest()], units(0.1, 0.01)), { 'rose-clay': 30 });
    const computed = computePlan(plan);
    const [clay, plain] = printed(plan).pots;
    expect(clay!.jug['total_g']!).to.be.closeTo(clay!.mass_g, 0.11);
    // 3 ml of water to the gram, 30 g/kg
    expect(clay!.jug['carrier_g']!).to.be.closeTo(clay!.mass_g * 0.09, 0.1);
    expect(clay!.jug['colorants_g']!).to.be.closeTo(clay!.mass_g * 0.03, 0.05);
    expect(clay!.water_percent_of_oils).to.be.above(plain!.water_percent_of_oils + 10);
    const [low, high] = computed.stack.layers;
    expect(low!.volumeMl).to.be.closeTo(high!.volumeMl, 1e-6);
    expect(low!.pouredG).to.be.above(high!.pouredG);
    expect(codes(plan)).to.include('pot-wet');
  });

  it('carrier oil is taken out of the recipe’s oils once, at the weighing, and weighed apart', () => {
    const plan = potMixed(boxPlan([rest(), rest()], units(0.1, 0.01)), { heather: 8 });
    const plain = printed(boxPlan([rest(), rest()], units(0.1, 0.01)));
    const sheet = printed(plan);
    const lines = sheet.procedure.flatMap((t) => t.lines);
    const aside = lines.filter((l) => l.to === 'carrier-oil').reduce((s, l) => s + l.mass_g, 0);
    const used = lines.filter((l) => l.from === 'carrier-oil').reduce((s, l) => s + l.mass_g, 0);
    expect(aside).to.be.closeTo(used, 0.02);
    expect(aside).to.be.above(5);
    const inPot = lines.filter((l) => l.from === 'supply' && l.to === 'oils');
    const names = new Set(['Olive oil', 'Coconut oil', 'Shea butter', 'Sunflower oil, high oleic']);
    const oils = inPot.filter((l) => names.has(l.name)).reduce((s, l) => s + l.mass_g, 0);
    expect(oils + aside).to.be.closeTo(sheet.batter.oils_g, 1e-6);
    // the recipe has no more oil than without colour: powder alone takes its place
    expect(sheet.batter.oils_g).to.be.within(plain.batter.oils_g * 0.985, plain.batter.oils_g * 1.005);
    expect(sheet.procedure.some((t) => /take that oil out/i.test(t.text))).to.equal(false);
  });

  it('poured 310 g and not 260: sheet, drops, section and marks follow', () => {
    const plan = ombrePlan(4);
    const [, second, third] = poursOfOmbre(plan, 'o1');
    const before = computePlan(plan);
    const was = before.stack.layers[1]!;
    const more = Math.round(was.pouredG) + 30;
    const changed = really(plan, poured(second!.id, more));
    const now = computePlan(plan, changed);
    expect(now.stack.layers[1]!.pouredG).to.equal(more);
    expect(now.stack.layers[1]!.volumeMl).to.be.closeTo((was.volumeMl * more) / was.pouredG, 0.8);
    expect(now.stack.layers[1]!.leftMm).to.be.above(was.leftMm + 1);
    expect(now.stack.layers[2]!.pouredG).to.be.below(before.stack.layers[2]!.pouredG);
    const sheet = printed(plan, changed);
    expect(sheet.steps.find((s) => s.id === second!.id)!.mass_g).to.equal(more);
    const task = sheet.procedure.find((t) => t.id === `pour:${third!.id}`)!;
    expect(task.lines[0]!.mass_g).to.equal(now.stack.layers[2]!.pouredG);
    // the batch was made as planned: its oils and lye do not change
    expect(sheet.batter.alkali_g).to.equal(printed(plan).batter.alkali_g);
    expect(sheet.batter.oils_g).to.equal(printed(plan).batter.oils_g);
  });

  it('more colorant added than planned is in the jug, and changes no lye', () => {
    const plan = ombrePlan(5, 'one-pot', units(0.1, 0.01));
    const pours = poursOfOmbre(plan, 'o1');
    const changed = really(plan, added(pours[2]!.id, [{ colorant: 'heather', massG: 4 }]));
    expect(printed(plan, changed).batter.alkali_g).to.equal(printed(plan).batter.alkali_g);
    const lines = printed(plan, changed)
      .procedure.flatMap((t) => t.lines)
      .filter((l) => l.from === 'jar:heather');
    expect(lines.some((l) => Math.abs(l.mass_g - 4 * (1 + 5 * 0.92)) < 0.02)).to.equal(true);
  });
});

describe('one rounding everywhere', () => {
  it('equal pours and equal amounts held back are equal on the scale', () => {
    const plan = boxPlan([rest(), rest(), rest(), rest()], {
      fill: {
        to: { kind: 'headspace', headspaceMm: 3 },
        copies: 1,
        overagePercent: 3,
        top: [
          { pot: 'p1', massG: 107.5 },
          { pot: 'p2', massG: 107.5 },
        ],
      },
    });
    const { weights, stack } = computePlan(plan);
    expect(new Set(weights!.pots.flatMap((p) => p.pours.map((q) => q.into[0]!.eachG))).size).to.equal(1);
    expect(new Set(weights!.pots.map((p) => p.heldBackG)).size).to.equal(1);
    // the section and the drops show what the scale shows
    for (const p of weights!.pots)
      for (const q of p.pours)
        expect(stack.layers.find((l) => l.pour.id === q.stepId)!.pouredG).to.equal(q.into[0]!.eachG);
  });

  it('a given batch stays what it is: 9,000 g in 9 moulds are 9,000 g', () => {
    for (const pours of [1, 2, 3, 7])
      for (const scaleStepG of [5, 1] as const) {
        const plan = boxPlan(
          Array.from({ length: pours }, () => rest()),
          {
            ...units(scaleStepG),
            mould: { ...basePlan().mould },
            fill: { to: { kind: 'batter', massG: 9000 }, copies: 9, overagePercent: 0, top: [] },
          },
        );
        expect(printed(plan).batter.mass_g, `${pours} pours, ${scaleStepG} g`).to.equal(9000);
        expect(codes(plan)).to.not.include('batter-spare');
      }
  });

  it('no number in the JSON carries binary dust', () => {
    const dusty: number[] = [];
    const look = (value: unknown): void => {
      if (typeof value === 'number' && String(value).replace(/^-?0?\.?0*|[.e-]/g, '').length > 13)
        dusty.push(value);
      if (typeof value === 'object' && value !== null) Object.values(value).forEach(look);
    };
    for (const plan of demoPlans()) look(sheetJson(computePlan(plan)));
    expect(dusty).to.deep.equal([]);
  });

  it('an amount of colorant that leaves no batter is refused', () => {
    const plan = potMixed(boxPlan([rest(), rest()]), { 'rose-clay': 180 });
    expect(computePlan(plan).warnings.find((w) => w.code === 'mostly-colorant')!.level).to.equal('refuse');
  });

  it('an additive dose is asked for at the same rate in every jug, whatever its colour', () => {
    const plan = potMixed(boxPlan([rest(), rest()], { ...AHEAD, ...units(0.1, 0.01) }), { 'rose-clay': 30 });
    const salted = {
      ...plan,
      batter: {
        ...plan.batter,
        additives: [{ ...additive('salt', 'oils', 20), densityGMl: 2.16 }],
      },
    };
    for (const pot of printed(salted).pots)
      expect(pot.jug['additives_g']! / pot.jug['oils_g']!).to.be.closeTo(0.02, 0.0005);
  });

  it('a pour of an ombre’s pot that is not of the ombre is in the books too', () => {
    const plan = ombrePlan(4);
    const mixed: Plan = {
      ...plan,
      steps: [...plan.steps, pour('extra', poursOfOmbre(plan, 'o1')[0]!.pot, { kind: 'mass', massG: 40 })],
      fill: { ...plan.fill, to: { kind: 'headspace', headspaceMm: 0 } },
    };
    const sheet = printed(mixed);
    const recount = follow(sheet.procedure, mixed);
    expect(recount.lowest).to.be.at.least(-1e-6);
    expect(sheet.procedure.find((t) => t.id === 'pour:extra')!.lines[0]!.mass_g).to.equal(40);
  });
});
