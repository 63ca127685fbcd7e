import { expect } from 'chai';
import { mixPot } from '../../src/core/edit/colorants.ts';
import type { Batter } from '../../src/core/batter/schema.ts';
import { fragranceInBarPercent } from '../../src/core/batter/fragranceLimit.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { fragrance } from '../support/additions.ts';
import { basePlan, boxPlan, rest } from '../support/plans.ts';

const withBatter = (change: Partial<Batter>): Plan =>
  boxPlan([rest(), rest()], { batter: { ...basePlan().batter, ...change } });
const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);
const find = (plan: Plan, code: string) => {
  const warning = computePlan(plan).warnings.find((w) => w.code === code);
  if (!warning) throw new Error(`no ${code} among ${codes(plan).join(', ')}`);
  return warning;
};
/** Press each remedy of a warning: the warning must be gone. */
const remediesCure = (plan: Plan, code: string): void => {
  const { remedies } = find(plan, code);
  expect(remedies, code).to.have.length.above(0);
  for (const remedy of remedies!) expect(codes(remedy.apply(plan)), remedy.label).to.not.include(code);
};

describe('warnings', () => {
  it('is quiet about a sound plan', () => {
    const painted = boxPlan([rest(), rest()], { mould: basePlan().mould });
    const plan = painted.pots.reduce((p, pot) => mixPot(p, pot.id), painted);
    expect(codes(plan).filter((c) => c !== 'neighbours-close')).to.deep.equal([]);
  });

  it('refuses lye that the oils cannot use, with the superfat it would leave, and gives no weights', () => {
    const plan = withBatter({
      superfatPercent: 0,
      oils: [{ oil: 'olive', percent: 100, svMgG: 250 }],
    });
    expect(find(plan, 'superfat-negative')).to.include({ level: 'refuse', station: 'batter' });
    expect(find(plan, 'superfat-negative').message).to.match(/superfat −\d+/);
    expect(computePlan(plan).weights).to.equal(undefined);
  });

  it('warns when oils at the low end of their ranges would leave lye unspent', () => {
    const plan = withBatter({ superfatPercent: 1 });
    expect(find(plan, 'superfat-thin').message).to.match(/−\d/);
    expect(codes(withBatter({ superfatPercent: 6 }))).to.not.include('superfat-thin');
  });

  it('refuses water that cannot dissolve the lye, also when milk takes its place', () => {
    const dry = withBatter({ water: { school: 'percent-of-oils', value: 10 } });
    expect(find(dry, 'water-too-low').level).to.equal('refuse');
    remediesCure(dry, 'water-too-low');
    const milk = withBatter({
      water: { school: 'water-to-lye', value: 1.6 },
      partLiquids: [{ id: 'l1', name: 'Milk', percentOfWater: 60, waterPercent: 88, moment: 'emulsion' }],
    });
    expect(find(milk, 'water-too-low').level).to.equal('refuse');
  });

  it('warns of strong lye, and of a recipe that is not 100 %, and cures both', () => {
    remediesCure(withBatter({ water: { school: 'lye-concentration', value: 44 } }), 'lye-strong');
    remediesCure(
      withBatter({
        oils: [
          { oil: 'olive', percent: 60 },
          { oil: 'coconut', percent: 30 },
        ],
      }),
      'recipe-not-100',
    );
  });

  it('refuses an oil it knows nothing of, and an empty recipe', () => {
    expect(find(withBatter({ oils: [{ oil: 'dragon', percent: 100 }] }), 'unknown-oil').level).to.equal(
      'refuse',
    );
    expect(find(withBatter({ oils: [] }), 'no-oils').level).to.equal('refuse');
  });

  it('takes an oil described in the plan', () => {
    const custom = { name: 'Moor seed oil', svLow: 180, svHigh: 190, densityGMl: 0.92 };
    const plan = withBatter({ oils: [{ oil: 'own-1', percent: 100, custom }] });
    expect(computePlan(plan).weights!.oils[0]!.name).to.equal('Moor seed oil');
  });

  it('warns of fragrance above its certificate, and the remedy lands just under it', () => {
    const plan = withBatter({ fragrances: [fragrance(6, { limitPercent: 2.5 })] });
    const warning = find(plan, 'fragrance-over-limit');
    expect(warning.message).to.contain('2.5');
    const cured = warning.remedies![0]!.apply(plan);
    expect(codes(cured)).to.not.include('fragrance-over-limit');
    expect(fragranceInBarPercent(computePlan(cured).recipe!, 'f1')).to.be.within(2.45, 2.5);
  });

  it('asks for a certificate limit when there is none', () => {
    const plan = withBatter({ fragrances: [fragrance(3, { moment: 'colour' })] });
    expect(find(plan, 'fragrance-limit-missing').level).to.equal('note');
  });

  it('says how many grams and millimetres the pours fall short or go over, and cures it', () => {
    const short = boxPlan([
      { kind: 'height', heightMm: 20 },
      { kind: 'height', heightMm: 30 },
    ]);
    const { message } = find(short, 'under-filled');
    expect(message).to.contain('10 mm');
    expect(message).to.match(/8[0-9] g short/);
    remediesCure(short, 'under-filled');
    const over = boxPlan(
      [
        { kind: 'height', heightMm: 30 },
        { kind: 'height', heightMm: 20 },
      ],
      {
        fill: { to: { kind: 'height', heightMm: 45 }, copies: 1, overagePercent: 0, top: [] },
      },
    );
    expect(find(over, 'over-filled').message).to.contain('5 mm');
    remediesCure(over, 'over-filled');
  });

  it('refuses pours that do not fit, naming the pour and its pot, and cures it', () => {
    const plan = boxPlan([
      { kind: 'height', heightMm: 40 },
      { kind: 'height', heightMm: 30 },
    ]);
    expect(find(plan, 'overfull').message).to.match(/Pour 2 \(pot B\).*8[01] g/);
    remediesCure(plan, 'overfull');
    const none = boxPlan([{ kind: 'height', heightMm: 60 }, rest()]);
    expect(find(none, 'nothing-left').level).to.equal('refuse');
    remediesCure(none, 'nothing-left');
  });

  it('refuses a fill above the rim with the grams that would run over', () => {
    const plan = boxPlan([rest()], {
      fill: { to: { kind: 'batter', massG: 700 }, copies: 1, overagePercent: 0, top: [] },
    });
    expect(find(plan, 'over-rim').message).to.match(/2[01]\d g/);
    remediesCure(plan, 'over-rim');
  });

  it('refuses a headspace that leaves nothing', () => {
    const plan = boxPlan([rest()], {
      fill: { to: { kind: 'headspace', headspaceMm: 60 }, copies: 1, overagePercent: 0, top: [] },
    });
    expect(codes(plan)).to.include('nothing-to-fill');
  });

  it('warns that a coarse scale is coarse for little lye', () => {
    const units = { ...basePlan().units, scaleStepG: 5 as const };
    expect(codes(boxPlan([rest()], { units }))).to.include('scale-coarse');
  });

  it('notes an unused pot and offers to take it out', () => {
    remediesCure(boxPlan([rest()]), 'pot-unused');
  });
});
