import { expect } from 'chai';
import fc from 'fast-check';
import { CORNERS, tiltOfCorner, type CornerProp } from '../../src/core/mould/cornerProp.ts';
import { tiltOfProps, waysOfPropping } from '../../src/core/mould/propped.ts';
import { upOf } from '../../src/core/mould/tilt.ts';
import { propUp } from '../../src/core/edit/prop.ts';
import { openProfile } from '../../src/core/geometry/openProfile.ts';
import { mouldGeometry } from '../../src/core/mould/geometry.ts';
import { standsOn } from '../../src/core/mould/props.ts';
import { spillOffset } from '../../src/core/mould/spill.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { manifold, mouldManifold } from '../support/manifold.ts';
import { boxPlan, rest } from '../support/plans.ts';
import { seeded } from '../support/random.ts';

const FOOT = { widthMm: 100, lengthMm: 250 };

const rod = (change: Partial<CornerProp> = {}): CornerProp => ({
  corner: 'right-far',
  heightMm: 15,
  alongEndMm: 60,
  alongEdgeMm: 60,
  ...change,
});

const of = (prop: CornerProp, foot = FOOT) => {
  const tilt = tiltOfCorner(foot, prop);
  if (!tilt.ok) throw new Error(tilt.fault.message);
  return tilt.value;
};

describe('a rod under a corner', () => {
  it('15 mm at 60 mm from the corner of a 100 x 250 mm foot, worked by hand: alpha = beta = 15 / 290', () => {
    const tilt = of(rod());
    const rise = 15 / (100 + 250 - 60);
    const up = upOf(tilt);
    expect(up[0]).to.be.closeTo(rise, 1e-12);
    expect(up[1]).to.be.closeTo(rise, 1e-12);
    expect(up[2]).to.be.closeTo(Math.sqrt(1 - 2 * rise ** 2), 1e-12);
    // 2.965 and 2.969 degrees
    expect(tilt.pitchDeg).to.be.closeTo(2.9649, 5e-4);
    expect(tilt.rollDeg).to.be.closeTo(2.969, 5e-4);
  });

  it('lifts the floor by its height where it touches, and leaves the opposite corner on the bench', () => {
    fc.assert(
      fc.property(
        fc.record({
          corner: fc.constantFrom(...CORNERS),
          heightMm: fc.double({ min: 2, max: 40, noNaN: true }),
          alongEndMm: fc.double({ min: 10, max: 95, noNaN: true }),
          alongEdgeMm: fc.double({ min: 10, max: 240, noNaN: true }),
        }),
        (prop) => {
          const up = upOf(of(prop));
          // corners of the foot from its middle; the floor's height there over the bench is up . x less the
          // lowest corner's
          const x = prop.corner.startsWith('right') ? 50 : -50;
          const y = prop.corner.endsWith('far') ? 125 : -125;
          const height = (px: number, py: number): number => up[0] * px + up[1] * py;
          const bench = height(-x, -y);
          const onEnd = height(x - Math.sign(x) * prop.alongEndMm, y) - bench;
          const onEdge = height(x, y - Math.sign(y) * prop.alongEdgeMm) - bench;
          expect(onEnd).to.be.closeTo(prop.heightMm, 1e-9);
          expect(onEdge).to.be.closeTo(prop.heightMm, 1e-9);
          for (const px of [-50, 50])
            for (const py of [-125, 125]) expect(height(px, py)).to.be.at.least(bench - 1e-9);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('is refused where the mould would rock, where it lies beside it, and where it is higher than the mould is wide', () => {
    const refused = (prop: CornerProp): string => {
      const tilt = tiltOfCorner(FOOT, prop);
      return tilt.ok ? 'taken' : tilt.fault.code;
    };
    expect(refused(rod({ alongEndMm: 0, alongEdgeMm: 0 }))).to.equal('prop-rocks');
    expect(refused(rod({ alongEndMm: 120 }))).to.equal('prop-outside');
    expect(refused(rod({ heightMm: 100 }))).to.equal('prop-too-high');
    expect(refused(rod({ heightMm: 15 }))).to.equal('taken');
  });
});

describe('things put under a mould', () => {
  it('under an edge B sin r is the height; things under one place stand on one another', () => {
    const tilt = tiltOfProps(FOOT, [
      { under: 'right-edge', heightMm: 15 },
      { under: 'right-edge', heightMm: 8 },
    ]);
    expect(tilt.ok && Math.sin((tilt.value.rollDeg * Math.PI) / 180) * 100).to.be.closeTo(23, 1e-9);
    const both = tiltOfProps(FOOT, [
      { under: 'left-edge', heightMm: 15 },
      { under: 'far-end', heightMm: 8 },
    ]);
    expect(both.ok && both.value.rollDeg).to.be.below(0);
    expect(both.ok && both.value.pitchDeg).to.be.above(0);
    const mixed = tiltOfProps(FOOT, [
      { under: 'right-far', heightMm: 15 },
      { under: 'far-end', heightMm: 8 },
    ]);
    expect(!mixed.ok && mixed.fault.code).to.equal('prop-mixed');
  });

  it('the other way round: what there is that makes about the tilt, the nearest first', () => {
    const things = [
      { name: 'spoon', heightMm: 15 },
      { name: 'lid', heightMm: 8 },
      { name: 'ice tray', heightMm: 25 },
    ];
    // 23 mm under 100 mm: spoon and lid together
    const [first] = waysOfPropping(FOOT, { rollDeg: 13.3, pitchDeg: 0 }, things);
    expect(first!.props.map((p) => p.name)).to.have.members(['spoon', 'lid']);
    expect(first!.offDeg).to.be.below(0.05);
    const [single] = waysOfPropping(FOOT, { rollDeg: -8.5, pitchDeg: 0 }, things);
    expect(single!.props).to.deep.equal([{ name: 'spoon', heightMm: 15, under: 'left-edge' }]);
    const [corner] = waysOfPropping(FOOT, { rollDeg: 3, pitchDeg: -3 }, things);
    expect(corner!.props).to.deep.equal([{ name: 'spoon', heightMm: 15, under: 'right-near' }]);
    expect(waysOfPropping(FOOT, { rollDeg: 5, pitchDeg: 0 }, [])).to.deep.equal([]);
  });
});

describe('a mould on a corner prop against manifold-3d 3.2.1', () => {
  it('holds as much below the level that just spills: by the plane of the rod, cut in the reference', async () => {
    const wasm = await manifold();
    const next = seeded(31);
    let cut = 0;
    for (let run = 0; run < 60; run += 1) {
      const mould = STARTER_MOULDS[run % STARTER_MOULDS.length]!;
      const geometry = mouldGeometry(mould);
      const prop = {
        under: CORNERS[run % CORNERS.length]!,
        heightMm: 3 + 12 * next(),
        fromCornerMm: 10 + 20 * next(),
      };
      const foot = standsOn(mould, geometry);
      const tilt = tiltOfProps(foot, [prop]);
      if (!tilt.ok) continue;
      const up = upOf(tilt.value);
      const [room] = geometry.rooms;
      const offset = spillOffset(room, up);
      const [x, y, z] = up;
      const solid = mouldManifold(wasm, geometry);
      const below = solid.trimByPlane([-x, -y, -z], 0 - offset);
      const ours = openProfile([room], up).volumeBelow(offset);
      expect(ours, `${mould.name}, ${prop.under}`).to.be.closeTo(below.volume(), 1e-6 * solid.volume());
      for (const gone of [solid, below]) gone.delete();
      cut += 1;
    }
    expect(cut).to.be.above(40);
  });
});

describe('a corner prop that spills', () => {
  const propped = (heightMm: number): Plan => {
    const done = propUp(
      boxPlan([rest()], {
        fill: { to: { kind: 'headspace', headspaceMm: 2 }, copies: 1, overagePercent: 0, top: [] },
      }),
      's1',
      [{ under: 'right-far', heightMm, fromCornerMm: 20 }],
    );
    if (!done.ok) throw new Error(done.fault.message);
    return done.value;
  };

  it('is refused with how much would run over, and one press cures it', () => {
    const spill = computePlan(propped(12)).warnings.find((w) => w.code === 'spills')!;
    expect(spill.level).to.equal('refuse');
    expect(spill.message).to.match(/\d+ g/);
    // cured by one press
    const cured = spill.remedies![0]!.apply(propped(12));
    expect(computePlan(cured).warnings.map((w) => w.code)).to.not.include('spills');
  });

  it('a rod that is higher than the mould is wide is refused with both figures', () => {
    const high = propUp(boxPlan([rest()]), 's1', [{ under: 'right-far', heightMm: 300, fromCornerMm: 20 }]);
    expect(!high.ok && high.fault.message).to.match(/300/);
  });
});
