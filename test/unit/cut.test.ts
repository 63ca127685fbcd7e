import type { Column } from '../../src/core/mould/schema.ts';
import { expect } from 'chai';
import { cutBars } from '../../src/core/cut/bars.ts';
import { barsText } from '../../src/core/cut/barsText.ts';
import { takeMould } from '../../src/core/edit/mould.ts';
import { totalHeldBack } from '../../src/core/plan/pours.ts';
import type { Mould } from '../../src/core/mould/schema.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { LOAF_CUT } from '../../src/core/plan/newPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { told } from '../support/told.ts';
import { wallStrips } from '../../src/core/exchange/wallMarks.ts';
import { setTilt } from '../../src/core/edit/tilt.ts';
import { basePlan, boxPlan, pour, rest } from '../support/plans.ts';

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

/** Cut into slices with nothing trimmed, no kerf and nothing left over. */
const whole = (plan: Plan, slices: number, lengthMm: number, strips = 1): Plan => ({
  ...plan,
  cut: { strips, thicknessMm: lengthMm / slices, kerfMm: 0, trimStartMm: 0, trimEndMm: 0 },
});

/** g poured and held back for one mould, unrounded. */
const inOneMould = (plan: Plan): number => {
  const { stack } = computePlan(plan);
  return sum(stack.layers.map((l) => l.volumeMl * l.densityGMl)) + totalHeldBack(plan) / plan.fill.copies;
};

describe('bars weigh what is in the mould', () => {
  const held = (plan: Plan, massG: number, copies = 1): Plan => ({
    ...plan,
    fill: { ...plan.fill, copies, top: [{ pot: 'p1', massG }] },
  });

  it('with what is held back for four moulds shared between them', () => {
    const plan = whole(held(boxPlan([rest(), rest()]), 400, 4), 4, 100);
    const { cut } = computePlan(plan);
    expect(sum(cut.bars.map((b) => b.massG))).to.be.closeTo(inOneMould(plan), 1e-6);
    const one = whole(held(boxPlan([rest(), rest()]), 100), 4, 100);
    expect(cut.bars[1]!.massG).to.be.closeTo(computePlan(one).cut.bars[1]!.massG, 1e-6);
  });

  it('with a column’s hole counted once, whether what is held back fills it or not', () => {
    const columns: Column[] = [{ id: 'c1', form: 'round', acrossMm: 30, xMm: 0, yMm: 0 }];
    for (const massG of [0, 20, 44, 150]) {
      const box = boxPlan([rest(), rest()]);
      const plan = whole(held({ ...box, mould: { ...box.mould, columns } }, massG), 5, 100);
      expect(sum(computePlan(plan).cut.bars.map((b) => b.massG)), `${massG} g`).to.be.closeTo(
        inOneMould(plan),
        1e-6,
      );
    }
  });

  it('in strips: as many times the strips', () => {
    const plan = whole(held(boxPlan([rest(), rest()]), 60), 4, 100, 3);
    expect(3 * sum(computePlan(plan).cut.bars.map((b) => b.massG))).to.be.closeTo(inOneMould(plan), 1e-6);
  });
});

describe('what is cut out of a mould', () => {
  const tube: Mould = {
    name: 'Tube',
    material: 'plastic',
    wallMm: 3,
    bowMm: 0,
    linerMm: 0,
    shape: { kind: 'tube', stands: 'standing', lengthMm: 250, diameterMm: 76.2 },
  };

  it('a tube that stands is cut into discs up its height: 250 mm in 24 mm discs are 10', () => {
    const plan: Plan = {
      ...boxPlan([rest(), rest()], { mould: tube }),
      cut: { strips: 1, thicknessMm: 24, kerfMm: 0, trimStartMm: 3, trimEndMm: 3 },
    };
    const { cut, densityGMl } = computePlan(plan);
    expect(cut.count).to.equal(10);
    // a disc's volume: pi r^2 h
    expect(cut.bars[3]!.volumeMl).to.be.closeTo((Math.PI * 38.1 ** 2 * 24) / 1000, 1e-3);
    expect(cut.bars[3]!.massG).to.be.closeTo(((Math.PI * 38.1 ** 2 * 24) / 1000) * densityGMl, 1e-3);
    const sheet = told(computePlan(plan)).at(-1)!.text;
    expect(sheet).to.match(/Cut 10 discs of 24 mm; 3 mm trimmed at the foot and 3 mm at the top/);
    expect(sheet).to.not.match(/near end/);
  });

  it('a tube that lies is cut along it', () => {
    const lying: Mould = {
      ...tube,
      shape: { kind: 'tube', stands: 'lying', lengthMm: 250, diameterMm: 76.2 },
    };
    const plan = { ...boxPlan([rest()], { mould: lying }), cut: LOAF_CUT };
    expect(computePlan(plan).cut.count).to.equal(10);
  });

  const divided = (runs: 'lengthwise' | 'crosswise', atMm: number[]): Plan => {
    const box = boxPlan([]);
    const mould = { ...box.mould, divider: { runs, atMm, thicknessMm: 2 } };
    const rooms = atMm.length + 1;
    return {
      ...box,
      mould,
      steps: Array.from({ length: rooms }, (_, i) => ({ ...pour(`s${i}`, 'p1', rest()), compartment: i })),
    };
  };

  it('halves of a lengthwise divider are bars of their own', () => {
    const plan = whole(divided('lengthwise', [40]), 4, 100);
    const { cut } = computePlan(plan);
    expect(cut.pieces).to.have.length(2);
    expect(cut.count).to.equal(8);
    expect(cut.stripMm).to.be.closeTo(39, 1e-9);
    expect(sum(cut.bars.map((b) => b.massG))).to.be.closeTo(inOneMould(plan), 1e-6);
  });

  it('no cut goes through a crosswise divider: each piece is cut by itself', () => {
    const plan: Plan = {
      ...divided('crosswise', [41]),
      cut: { strips: 1, thicknessMm: 15, kerfMm: 0, trimStartMm: 2, trimEndMm: 2 },
    };
    const { cut } = computePlan(plan);
    // 40 mm and 58 mm less 4 mm of trims: 2 and 3 bars of 15 mm
    expect(cut.pieces.map((p) => p.lengthMm)).to.deep.equal([40, 58]);
    expect(cut.count).to.equal(5);
    for (const bar of cut.bars) {
      expect(bar.startMm).to.be.at.least(2);
      expect(bar.endMm).to.be.at.most(bar.piece.lengthMm - 2 + 1e-9);
    }
    expect(told(computePlan(plan)).at(-1)!.text).to.match(/each of the 2 pieces by itself/);
  });

  it('a slab for 27 bars gives 27, and a loaf after it is a loaf again', () => {
    const slab = STARTER_MOULDS.find((m) => m.name === 'Slab for 27 bars')!;
    const plan = takeMould(basePlan(), slab);
    const { cut } = computePlan(plan);
    expect(cut.count).to.equal(27);
    expect(plan.cut.strips).to.equal(3);
    expect(takeMould(plan, STARTER_MOULDS[0]!).cut).to.deep.equal(LOAF_CUT);
    const own = { ...basePlan(), cut: { ...LOAF_CUT, thicknessMm: 30 } };
    expect(takeMould(own, STARTER_MOULDS[1]!).cut.thicknessMm).to.equal(30);
  });

  it('says bars of one mould and in all, the same in the head, the sheet and its last step', () => {
    const plan = whole({ ...boxPlan([rest()]), fill: { ...boxPlan([]).fill, copies: 2 } }, 4, 100);
    const computed = computePlan(plan);
    expect(barsText(computed.moulds)).to.equal('4 bars a mould, 8 in all');
    const tasks = told(computed);
    expect(tasks.at(-1)!.text).to.match(/Cut 4 bars of 25 mm from each mould, 8 in all from 2 moulds/);
    const [running] = tasks.find((t) => t.running)!.running!;
    expect(running).to.deep.include({ moulds: 2 });
    expect(running!.inMouldG).to.be.closeTo(computed.stack.filledMl * computed.densityGMl, 1);
  });

  it('is what is computed from laid pours alone, without weights', () => {
    const plan = whole(boxPlan([rest()]), 4, 100);
    expect(cutBars(computePlan(plan), plan).count).to.equal(4);
  });
});

describe('a pour that ends short of a wall', () => {
  const plan = setTilt(boxPlan([{ kind: 'mass', massG: 40 }, rest()]), 's1', { rollDeg: 25, pitchDeg: 0 });

  it('is not marked there, and the strip and the sheet say that it does not reach', () => {
    const computed = computePlan(plan);
    const strips = wallStrips(computed);
    const right = strips.find((s) => s.wall === 'right')!;
    expect(right.missed).to.deep.equal(['1 A']);
    expect(right.marks.map((m) => m.nth)).to.deep.equal([2]);
    expect(strips.find((s) => s.wall === 'left')!.missed).to.deep.equal([]);
    const levelled = computePlan(setTilt(plan, 's2', { rollDeg: 0, pitchDeg: 0 }));
    const { text } = told(levelled).find((a) => a.id === 'pour:s1')!;
    expect(text).to.match(
      / to [\d.]+ mm on the left wall; it ends [\d.]+ mm short of the right wall\. The batter should be /,
    );
  });
});
