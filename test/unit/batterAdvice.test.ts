import { expect } from 'chai';
import fc from 'fast-check';
import { blendTemperature } from '../../src/core/batter/blendTemperature.ts';
import { OIL_LIBRARY, RANGES_NOTE } from '../../src/core/batter/oilLibrary.ts';
import { setTilt } from '../../src/core/edit/tilt.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { stagePhrase } from '../../src/core/setting/stage.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { told } from '../support/told.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { formatApart, lyeFigure } from '../../src/core/units/format.ts';
import { parseFigure } from '../../src/core/units/parseQuantity.ts';
import { follow } from '../support/recount.ts';
import { fragrance } from '../support/additions.ts';
import { basePlan, boxPlan, rest } from '../support/plans.ts';

const milk = (frozen?: boolean): Plan => {
  const plan = boxPlan([rest(), rest()]);
  return {
    ...plan,
    batter: {
      ...plan.batter,
      partLiquids: [
        {
          id: 'm',
          name: 'Goat milk',
          percentOfWater: 100,
          waterPercent: 87,
          moment: frozen ? 'frozen' : 'emulsion',
        },
      ],
    },
  };
};

const find = (plan: Plan, code: string) => computePlan(plan).warnings.find((w) => w.code === code);

describe('lye and its water', () => {
  it('in ounces lye is never shown as more than it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200000 }), fc.constantFrom(1, 0.1), (n, step) => {
        const massG = n * step;
        const shown = Number(lyeFigure(massG, 'oz', step).replaceAll(/\s/g, ''));
        expect(shown * 28.349523125).to.be.at.most(massG + 1e-6);
        expect(shown * 28.349523125).to.be.above(massG - 28.35 * (step >= 1 ? 0.01 : 0.001) - 1e-6);
      }),
    );
    expect(lyeFigure(143, 'oz', 1)).to.equal('5.04');
    expect(lyeFigure(143, 'g', 1)).to.equal('143');
  });

  it('nothing but milk as its water is refused while it goes in late, and allowed frozen, slowly, on ice', () => {
    const refused = find(milk(), 'water-too-low')!;
    expect(refused.level).to.equal('refuse');
    expect(refused.message).to.match(/Only 0.00 of water to 1 of lye, the goat milk going in later/);
    const frozen = refused.remedies![0]!.apply(milk());
    const computed = computePlan(frozen);
    expect(computed.warnings.filter((w) => w.level === 'refuse')).to.deep.equal([]);
    expect(find(frozen, 'lye-into-frozen')!.message).to.match(/ice.*ammonia/);
    const lye = told(computed).filter((t) => t.chapter === 'lye');
    expect(lye[0]!.text).to.match(/frozen goat milk/);
    expect(lye[0]!.lines[0]!.massG).to.be.closeTo(computed.weights!.partLiquids[0]!.massG, 1e-9);
    expect(lye.some((t) => /bowl of ice/.test(t.text) && /foams over/.test(t.caution ?? ''))).to.equal(true);
    expect(lye.every((t) => !/heats to about/.test(t.text))).to.equal(true);
    // ice is laid out for it, and for no milk that goes in late
    const ice = (plan: Plan) =>
      told(computePlan(plan)).some((x) => x.chapter === 'lay-out' && /bowl of ice/.test(x.text));
    const { batter } = milk();
    const late = {
      ...milk(),
      batter: { ...batter, partLiquids: [{ ...batter.partLiquids[0]!, percentOfWater: 40 }] },
    };
    expect(computePlan(late).weights!.partLiquids[0]!.massG).to.be.above(1);
    expect([ice(frozen), ice(late)]).to.deep.equal([true, false]);
    expect(computed.weights!.waterG).to.equal(0);
    const sheet = sheetJson(computed) as { procedure: Parameters<typeof follow>[0] };
    expect(follow(sheet.procedure, frozen).lowest).to.be.at.least(-1e-6);
  });

  it('frozen milk in portions goes in with the solution, and each jug keeps its superfat', () => {
    const plan = { ...milk(true), divide: { kind: 'before-lye', lye: 'together' } as const };
    const { weights } = computePlan(plan);
    for (const p of weights!.pots) expect(p.superfatPercent!).to.be.within(5, 8);
    // all the milk is in the solution that the jugs draw
    const drawn = weights!.pots.reduce((s, p) => s + p.portion.solutionG, 0);
    expect(weights!.solutionG).to.be.closeTo(drawn, 1.01);
  });

  it('oils and lye meet where their heats balance: sum(m c T) / sum(m c)', () => {
    const oils = { oilsG: 1000, solutionG: 500 };
    // 1000 x 2 x 40 + 500 x 3.6 x 30 over 1000 x 2 + 500 x 3.6
    expect(blendTemperature(oils, { oilsC: 40, lyeC: 30 })).to.be.closeTo(134000 / 3800, 1e-9);
    expect(blendTemperature(oils, { oilsC: 32, lyeC: 32 })).to.be.closeTo(32, 1e-9);
    // more heat in the solution than in the oils: (200 x 40 + 360 x 30) / 560
    expect(blendTemperature({ oilsG: 100, solutionG: 100 }, { oilsC: 40, lyeC: 30 })).to.be.closeTo(
      18800 / 560,
      1e-9,
    );
    // of a thousandth as much too
    expect(blendTemperature({ oilsG: 1e-3, solutionG: 5e-4 }, { oilsC: 40, lyeC: 30 })).to.be.closeTo(
      134 / 3.8,
      1e-9,
    );
    const json = sheetJson(computePlan(boxPlan([rest()]))) as { batter: { blend_temperature_c: number } };
    expect(json.batter.blend_temperature_c).to.be.closeTo(32, 1e-9);
    const emulsify = told(computePlan(boxPlan([rest()]))).find((t) => t.id === 'emulsify')!;
    expect(emulsify.text).to.match(/meet at about 32 °C/);
  });

  it('a mould too small for the batch hides no weight of the recipe, only the pouring', () => {
    const plan = boxPlan([rest()], {
      fill: { to: { kind: 'oils', massG: 2000 }, copies: 1, overagePercent: 0, top: [] },
    });
    const computed = computePlan(plan);
    expect(find(plan, 'over-rim')!.level).to.equal('refuse');
    expect(computed.weights).to.equal(undefined);
    expect(computed.batch!.oilsG).to.be.closeTo(2000, 2);
    // 2000 g of these oils want so much lye, whatever the mould: recipe x (1 - superfat) / purity
    const { recipe } = computed;
    expect(computed.batch!.lyeG).to.be.within(2000 * recipe!.lye - 1.5, 2000 * recipe!.lye + 0.2);
    const json = sheetJson(computed) as {
      batter: { alkali_g: number };
      pots?: unknown;
      procedure: unknown[];
    };
    expect(json.batter.alkali_g).to.equal(computed.batch!.lyeG);
    expect(json.procedure).to.deep.equal([]);
    // but lye that is refused is refused
    const heavy = {
      ...plan,
      batter: { ...plan.batter, water: { school: 'water-to-lye', value: 1 } as const },
    };
    const tooDry = {
      ...heavy,
      batter: {
        ...heavy.batter,
        partLiquids: [
          { id: 'm', name: 'Milk', percentOfWater: 60, waterPercent: 88, moment: 'emulsion' as const },
        ],
      },
    };
    expect(computePlan(tooDry).batch).to.equal(undefined);
  });
});

describe('words and figures that agree', () => {
  it('two different percentages never read alike', () => {
    expect(formatApart(2.4, 2.4004)).to.deep.equal(['2.4 %', '2.4004 %']);
    const plan = boxPlan([rest()]);
    const scented = (percentOfOils: number, limitPercent: number): Plan => ({
      ...plan,
      batter: {
        ...plan.batter,
        fragrances: [fragrance(percentOfOils, { limitPercent })],
      },
    });
    const json = find(scented(3, 1), 'fragrance-over-limit')!;
    const inBar = Number(/≈ ([\d.]+) %/.exec(json.message)![1]);
    const tight = find(scented(3, inBar - 0.0001), 'fragrance-over-limit')!;
    const [, is, allowed] = /≈ ([\d.]+) % .*allows ([\d.]+) %/.exec(tight.message)!;
    expect(is).to.not.equal(allowed);
  });

  it('a wait is for the stage that its button names', () => {
    const plan = setTilt(setTilt(boxPlan([rest(2), rest(2)]), 's1', { rollDeg: 11, pitchDeg: 0 }), 's2', {
      rollDeg: -11,
      pitchDeg: 0,
    });
    const warning = find(plan, 'slumps')!;
    const label = warning.remedies![0]!.label;
    const wait = warning.remedies![0]!.apply(plan).steps.find((s) => s.kind === 'wait')!;
    if (wait.until.kind !== 'stage') throw new Error();
    expect(label).to.equal(`Wait until ${stagePhrase(wait.until.stage)} before turning`);
    expect(stagePhrase(2.5)).to.equal('between medium and thick');
    expect(stagePhrase(2.04)).to.equal('medium');
    expect(stagePhrase(2.95)).to.equal('thick');
  });

  it('an angle field answers about angles, a plain one about figures', () => {
    const wrong = parseFigure('15 mm', '°');
    expect(wrong.ok ? '' : wrong.fault.message).to.equal(
      '"15 mm" is a length; an angle in degrees is wanted here',
    );
    for (const text of ['15', '15°', '15 °', '15 deg', ' 15 degrees'])
      expect(parseFigure(text, '°')).to.deep.equal({ ok: true, value: 15 });
    expect(parseFigure('12 %', 'g/kg').ok).to.equal(false);
    expect(parseFigure('2.5 g/kg', 'g/kg')).to.deep.equal({ ok: true, value: 2.5 });
    expect(parseFigure('9', '')).to.deep.equal({ ok: true, value: 9 });
  });

  it('the data sheets that are asked for are those of what is there', () => {
    const sheets = (plan: Plan): string => told(computePlan(plan)).find((t) => t.id === 'data-sheets')!.text;
    expect(sheets(boxPlan([rest()]))).to.not.match(/fragrance/);
    const plan = boxPlan([rest()]);
    const scented = {
      ...plan,
      batter: {
        ...plan.batter,
        fragrances: [fragrance(3, { limitPercent: 8 })],
      },
    };
    expect(sheets(scented)).to.match(/fragrance/);
  });

  it('where a figure comes from is said once, not at every oil', () => {
    expect(RANGES_NOTE).to.match(/from memory/);
    for (const oil of OIL_LIBRARY) expect(oil.origin).to.not.match(/memory/);
  });

  it('no task of a sheet shares its name with another, and it keeps it when the rest changes', () => {
    const plan = basePlan();
    const ids = told(computePlan(plan)).map((t) => t.id);
    expect(new Set(ids).size).to.equal(ids.length);
    const wetter = { ...plan, batter: { ...plan.batter, superfatPercent: 8 } };
    expect(told(computePlan(wetter)).map((t) => t.id)).to.deep.equal(ids);
  });
});
