import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { singleBars } from '../../src/core/cut/singleBars.ts';
import { lainOnSide, usualLength, withWay } from '../../src/core/cut/way.ts';
import { sideOfBar, sidesOf } from '../../src/core/face/barFaces.ts';
import { contrastsOf, cutWays } from '../../src/core/face/cutWays.ts';
import { noneReady } from '../../src/core/face/ready.ts';
import { coloursOf, depositColours } from '../../src/core/ombre/coloursOf.ts';
import { plannedState } from '../../src/core/look/state.ts';
import { totalHeldBack } from '../../src/core/plan/pours.ts';
import type { CutWay, Plan } from '../../src/core/plan/planSchema.ts';
import { sheetJson } from '../../src/core/sheet/sheetJson.ts';
import { finish } from '../../src/core/task/task.ts';
import { boxPlan, demoPlans, rest } from '../support/plans.ts';

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const BY = ['floor', 'lengthwise'] as const;

/**
 * A box of 100 x 100 mm inside, filled to some height, cut without loss: blocks of 50 mm, each in `slices`.
 */
function exact(by: CutWay['by'], slices: number, change: Partial<Plan> = {}): Plan {
  const plan = boxPlan([rest(), rest(2), rest()], change);
  const { fill, geometry } = computePlan(plan);
  const size = by === 'floor' ? fill.heightMm : geometry.floor.width;
  return {
    ...plan,
    cut: {
      strips: 1,
      thicknessMm: size / slices,
      kerfMm: 0,
      trimStartMm: 0,
      trimEndMm: 0,
      way: { by, longMm: geometry.floor.length / 2 },
    },
  };
}

describe('blocks that are sliced', () => {
  for (const by of BY)
    it(`${by}: slices times blocks, and they weigh all that is in the mould`, () => {
      for (const top of [0, 90])
        for (const column of [undefined, { form: 'round', acrossMm: 24, xMm: 8, yMm: -6 } as const]) {
          const base = boxPlan([]);
          const plan = exact(by, 4, {
            fill: { ...base.fill, top: top > 0 ? [{ pot: 'p1', massG: top }] : [] },
            mould: { ...base.mould, ...(column ? { column } : {}) },
          });
          const { cut, stack } = computePlan(plan);
          expect(cut.count).to.equal(8);
          expect(cut.sliced).to.include({ blocks: 2, slices: 4, across: 0 });
          const there = sum(stack.layers.map((l) => l.volumeMl * l.densityGMl)) + totalHeldBack(plan);
          expect(sum(cut.bars.map((b) => b.massG)), `${top} ${column?.form}`).to.be.closeTo(there, 1e-6);
          const bars = singleBars(computePlan(plan));
          expect(sum(bars.map((b) => b.massG))).to.be.closeTo(there, 1e-6);
        }
    });

  it('as many as the height and the length hold, by hand; what is left of the length is cut across', () => {
    // a loaf of 249 x 91 mm, 70.5 high: trims 6 + 6; two blocks of 80 with 0.5 kerf leave 76 mm: three bars
    // of 25
    const slate = demoPlans().find((p) => p.name === 'Slate Beds')!;
    const plan = withWay({ by: 'floor', longMm: 80 })({
      ...slate,
      cut: { strips: 1, thicknessMm: 22, kerfMm: 0.5, trimStartMm: 6, trimEndMm: 6 },
    });
    const { cut, fill } = computePlan(plan);
    expect(Math.floor((fill.heightMm + 0.5) / 22.5)).to.equal(3);
    expect(cut.sliced).to.include({ blocks: 2, slices: 3, across: 3 });
    expect(cut.count).to.equal(2 * 3 + 3);
    expect(cut.sliced!.offcutMm).to.be.closeTo(fill.heightMm - 3 * 22 - 2 * 0.5, 1e-9);
    expect(cut.remainderMm).to.be.closeTo(249 - 12 - 2 * 80.5 - 3 * 22 - 2 * 0.5, 1e-6);
    const along = computePlan(withWay({ by: 'lengthwise', longMm: 80 })(plan));
    expect(along.cut.sliced).to.include({ blocks: 2, slices: 4 });
    expect(along.cut.count).to.equal(2 * 4 + 3);
  });

  it('show the level layer that they were cut from, and along the loaf all layers', () => {
    const plan = exact('floor', 4);
    const computed = computePlan(plan);
    const bars = singleBars(computed);
    expect(bars.map((b) => sidesOf(b).length)).to.deep.equal(Array.from({ length: 8 }, () => 2));
    const heights = computed.stack.layers.map((l) => l.offset);
    for (const bar of bars) {
      const at = bar.place.slice!.toMm - 0.01;
      const layer = computed.stack.layers[heights.findIndex((h) => at <= h)]!;
      const { face, left, right, foot, head } = sideOfBar(computed, bar, 'far');
      expect(face.map((b) => b.pourId)).to.deep.equal([layer.pour.id]);
      expect([right - left, head - foot].map((v) => Math.round(v))).to.deep.equal([
        Math.round(computed.geometry.floor.width),
        Math.round(computed.geometry.floor.length / 2),
      ]);
    }
    const along = computePlan(exact('lengthwise', 4));
    for (const bar of singleBars(along)) {
      expect(sidesOf(bar)).to.deep.equal(['near', 'far', 'top']);
      expect(sideOfBar(along, bar, 'near').face).to.have.length(3);
    }
  });

  it('name what lay against the floor, under the top, at a wall and at an end', () => {
    const floor = singleBars(computePlan(exact('floor', 3)));
    expect(floor.map((b) => b.beside.join(', '))).to.deep.equal([
      'near end, foot',
      'near end',
      'near end, top',
      'far end, foot',
      'far end',
      'far end, top',
    ]);
    const along = singleBars(computePlan(exact('lengthwise', 3)));
    expect(along[0]!.beside).to.deep.equal(['near end', 'left wall']);
    expect(along.at(-1)!.beside).to.deep.equal(['far end', 'right wall']);
  });

  it('say what is left over, and that no block fits, with a remedy that cures it', () => {
    const slate = demoPlans().find((p) => p.name === 'Slate Beds')!;
    const floor = withWay({ by: 'floor', longMm: 80 })(slate);
    const note = computePlan({ ...floor, cut: { ...floor.cut, thicknessMm: 30 } }).warnings.find(
      (w) => w.code === 'cut-remainder',
    )!;
    expect(note.message).to.match(/10 mm of the height is left over beside 2 slices of 30 mm/);
    const cured = note.remedies![0]!.apply(floor);
    expect(computePlan(cured).warnings.map((w) => w.code)).to.not.include('cut-remainder');
    const long = computePlan(withWay({ by: 'floor', longMm: 400 })(slate));
    const none = long.warnings.find((w) => w.code === 'no-bars')!;
    expect(none.message).to.match(/A loaf of 249 mm gives no block of 400 mm/);
    expect(computePlan(none.remedies![0]!.apply(slate)).cut.sliced).to.equal(undefined);
    const thick = computePlan({ ...floor, cut: { ...floor.cut, thicknessMm: 90 } });
    expect(thick.warnings.find((w) => w.code === 'no-bars')!.message).to.match(
      /height gives no slice of 90 mm/,
    );
  });

  it('are told on the sheet, and so is a loaf laid on its side', () => {
    const slate = demoPlans().find((p) => p.name === 'Slate Beds')!;
    const of = (plan: Plan): string => JSON.stringify(sheetJson(computePlan(plan)));
    expect(of(withWay({ by: 'floor', longMm: 80 })(slate))).to.match(
      /Cut across into 2 blocks of 80 mm, and slice each parallel to the floor into 2 of 25 mm; cut what is left of the length across, 3 bars: 7 bars/,
    );
    expect(of(lainOnSide(true)(slate))).to.include('Lay the loaf on its side, so that nothing drags');
    expect(of(lainOnSide(false)(slate))).to.not.include('on its side');
  });
});

describe('the way that shows the design best', () => {
  const contrasts = (plan: Plan): ReadonlyMap<string, number> => {
    const computed = computePlan(plan);
    const ways = finish(cutWays(computed));
    const colours = depositColours(coloursOf(computed.plan, plannedState(computed.plan, 'cured')));
    const shown = finish(contrastsOf(noneReady(), { faces: ways.map((w) => w.faces), colours }));
    return new Map(ways.map((w, i) => [w.way?.by ?? 'across', shown[i]!]));
  };

  it('is not a slice parallel to the floor for level layers: it shows one colour', () => {
    const slate = contrasts(demoPlans().find((p) => p.name === 'Slate Beds')!);
    expect(slate.get('floor')).to.equal(0);
    expect(slate.get('across')).to.be.above(1);
  });

  it('is parallel to the floor for a column pour with strokes, and not for points drawn from end to end', () => {
    const basalt = contrasts(demoPlans().find((p) => p.name === 'Basalt Columns')!);
    expect(basalt.get('floor')).to.be.above(basalt.get('lengthwise')!);
    const larch = contrasts(demoPlans().find((p) => p.name === 'Larch Spires')!);
    expect(larch.get('across')).to.be.above(larch.get('lengthwise')!);
  });

  it('offers bars of a usual length, without much left over', () => {
    const cut = { strips: 1, thicknessMm: 25, kerfMm: 0.5, trimStartMm: 6, trimEndMm: 6 };
    expect(usualLength(249, cut)).to.be.closeTo((249 - 12 - 1) / 3, 0.5);
    expect(usualLength(60, { ...cut, trimStartMm: 0, trimEndMm: 0 })).to.be.closeTo(60, 0.5);
  });
});
