import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { planedBy, withWay } from '../../src/core/cut/way.ts';
import { planedSolid } from '../../src/core/cut/planed.ts';
import { singleBars } from '../../src/core/cut/singleBars.ts';
import { sideOfBar } from '../../src/core/face/barFaces.ts';
import { volumeOf } from '../../src/core/geometry/volume.ts';
import { mouldGeometry } from '../../src/core/mould/geometry.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { boxPlan, rest } from '../support/plans.ts';
import { printed } from '../support/printed.ts';

/** 100 x 80 x 60 mm, full, four bars of 25 mm. */
const box = (change: Partial<Plan['cut']> = {}): Plan => {
  const plan = boxPlan([rest(), rest()]);
  return { ...plan, cut: { strips: 1, thicknessMm: 25, kerfMm: 0, trimStartMm: 0, trimEndMm: 0, ...change } };
};

const grams = (plan: Plan): readonly number[] => {
  const facts = computePlan(plan);
  return singleBars(facts).map((b) => b.massG);
};

describe('planed bars', () => {
  it('lose what was planed off the faces that lay against the mould: as by hand', () => {
    const density = computePlan(box()).stack.layers[0]!.densityGMl;
    const planed = grams(planedBy(2)(box()));
    // 2 mm off both walls and the floor, and off the end of an end bar
    const inner = (25 * (80 - 4) * (60 - 2) * density) / 1000;
    expect(planed[1]).to.be.closeTo(inner, 1e-6);
    expect(planed[0]).to.be.closeTo((inner * 23) / 25, 1e-6);
    expect(planed[3]).to.be.closeTo(planed[0]!, 1e-6);
    expect(grams(planedBy(0)(planedBy(2)(box())))).to.deep.equal(grams(box()));
  });

  it('in strips and slices only those that lay against a wall, or the floor', () => {
    const strips = grams(planedBy(2)(box({ strips: 2 })));
    const whole = grams(box({ strips: 2 }));
    expect(strips[2]! / whole[2]!).to.be.closeTo((38 * 58) / (40 * 60), 1e-6);
    const sliced = planedBy(2)(withWay({ by: 'floor', longMm: 50 })(box({ thicknessMm: 20 })));
    const bars = singleBars(computePlan(sliced)).filter((b) => b.place.slice);
    const [low, middle] = [bars.find((b) => b.place.slice!.first)!, bars.find((b) => !b.place.slice!.first)!];
    // one end, both walls; and the floor
    expect(low.massG / middle.massG).to.be.closeTo(18 / 20, 1e-6);
  });

  it('are shown so, every face of them, also those of the ends', () => {
    for (const plan of [planedBy(1.5)(box()), planedBy(1.5)(box({ strips: 2 }))]) {
      const facts = computePlan(plan);
      for (const bar of singleBars(facts))
        for (const side of ['near', 'far', 'top'] as const) {
          const face = sideOfBar(facts, bar, side);
          const points = face.face.flatMap((b) => b.outline);
          expect(points.length, side).to.be.above(2);
          if (side !== 'top') expect(Math.min(...points.map((p) => p.z))).to.be.closeTo(1.5, 1e-6);
        }
    }
  });

  it('in every mould: no more than its walls times the depth, and no less where they lean', () => {
    for (const mould of STARTER_MOULDS) {
      const { rooms } = mouldGeometry(mould);
      for (const room of rooms) {
        const whole = volumeOf(room.solid);
        const left = volumeOf(planedSolid(room, 1, room.solid));
        expect(left, mould.name).to.be.below(whole);
        const again = volumeOf(planedSolid(room, 2, room.solid));
        // the second millimetre takes no more than the first
        expect(left - again, mould.name).to.be.at.most(whole - left + 1e-6);
      }
    }
  });

  it('is on the sheet', () => {
    const texts = (plan: Plan): string =>
      printed(plan)
        .procedure.map((a) => a.text)
        .join(' ');
    expect(texts(planedBy(1.5)(box()))).to.include('Plane 1.5 mm off the dull faces');
    expect(texts(box())).not.to.include('Plane');
  });
});
