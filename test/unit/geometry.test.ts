import { expect } from 'chai';
import fc from 'fast-check';
import { clip, slice } from '../../src/core/geometry/clip.ts';
import { fillProfile } from '../../src/core/geometry/fillProfile.ts';
import { frustum } from '../../src/core/geometry/frustum.ts';
import { openProfile } from '../../src/core/geometry/openProfile.ts';
import { arc, lyingPrism, standingPrism } from '../../src/core/geometry/prism.ts';
import { sectionArea } from '../../src/core/geometry/sectionArea.ts';
import { cross, dot, sub, type Vec3 } from '../../src/core/geometry/vec.ts';
import { volumeOf } from '../../src/core/geometry/volume.ts';
import { findRoot } from '../../src/core/numeric/findRoot.ts';
import { seeded } from '../support/random.ts';

const side = fc.double({ min: 20, max: 300, noNaN: true });
const anySolid = fc
  .record({ a: side, b: side, c: side, d: side, h: side })
  .map((s) => frustum({ width: s.a, length: s.b }, { width: s.c, length: s.d }, 0, s.h));
const anyNormal = fc
  .tuple(
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: 0.05, max: 1, noNaN: true }),
  )
  .map(([x, y, z]): Vec3 => {
    const length = Math.hypot(x, y, z);
    return [x / length, y / length, z / length];
  });
/** Round ones of many corners, which are measured otherwise than ones of few. */
const anyRound = fc
  .record({
    sides: fc.integer({ min: 5, max: 120 }),
    radius: fc.double({ min: 20, max: 120, noNaN: true }),
    long: side,
    lying: fc.boolean(),
  })
  .map((r) => {
    const outline = arc(r.radius, 0, 2 * Math.PI, r.sides);
    return r.lying ? lyingPrism(outline, r.long) : standingPrism(outline, r.long);
  });
const part = fc.double({ min: 0.02, max: 0.98, noNaN: true });
const RUNS = { seed: 21, numRuns: 300 };

const area = (points: readonly Vec3[]): number => {
  let sum: Vec3 = [0, 0, 0];
  for (let i = 2; i < points.length; i += 1) {
    const c = cross(sub(points[i - 1]!, points[0]!), sub(points[i]!, points[0]!));
    sum = [sum[0] + c[0], sum[1] + c[1], sum[2] + c[2]];
  }
  return Math.hypot(...sum) / 2;
};

describe('convex solids', () => {
  it('cut in two keep their volume, and the two share their cut face', () => {
    fc.assert(
      fc.property(anySolid, anyNormal, part, (solid, normal, t) => {
        const { lowest, highest, total } = fillProfile(solid, normal);
        const { below, above, cut } = clip(solid, { normal, offset: lowest + (highest - lowest) * t });
        expect(volumeOf(below) + volumeOf(above)).to.be.closeTo(total, 1e-9 * total);
        expect(volumeOf(below)).to.be.above(0);
        expect(cut.length).to.be.at.least(3);
        const offset = lowest + (highest - lowest) * t;
        for (const p of cut) expect(Math.abs(dot(normal, p) - offset)).to.be.below(1e-8);
      }),
      RUNS,
    );
  });

  it('sliced give the cut face of a clip, and its area is the profile’s slope', () => {
    fc.assert(
      fc.property(anySolid, anyNormal, part, (solid, normal, t) => {
        const profile = fillProfile(solid, normal);
        const offset = profile.lowest + (profile.highest - profile.lowest) * t;
        const sliced = slice(solid, { normal, offset });
        expect(area(sliced)).to.be.closeTo(area(clip(solid, { normal, offset }).cut), 1e-7);
        expect(area(sliced)).to.be.closeTo(sectionArea(solid, normal, offset), 1e-6 * area(sliced) + 1e-6);
        const h = 1e-4;
        const slope = (profile.volumeBelow(offset + h) - profile.volumeBelow(offset - h)) / (2 * h);
        expect(slope).to.be.closeTo(area(sliced), 1e-3 * area(sliced) + 1);
      }),
      RUNS,
    );
  });

  it('the profile agrees with clipping, and inverts itself', () => {
    fc.assert(
      fc.property(fc.oneof(anySolid, anyRound), anyNormal, part, (solid, normal, t) => {
        const profile = fillProfile(solid, normal);
        const d = profile.levelOf(profile.total * t);
        expect(profile.volumeBelow(d)).to.be.closeTo(profile.total * t, 1e-9 * profile.total);
        expect(volumeOf(clip(solid, { normal, offset: d }).below)).to.be.closeTo(
          profile.total * t,
          1e-9 * profile.total,
        );
        expect(profile.volumeBelow(profile.lowest - 5)).to.equal(0);
        expect(profile.volumeBelow(profile.highest + 5)).to.equal(profile.total);
      }),
      RUNS,
    );
  });

  it('a plane that misses or only touches leaves the solid whole', () => {
    const solid = frustum({ width: 10, length: 10 }, { width: 10, length: 10 }, 0, 10);
    for (const offset of [-1, 0, 10, 11]) {
      const { below, above, cut } = clip(solid, { normal: [0, 0, 1], offset });
      expect(cut).to.deep.equal([]);
      expect(volumeOf(below) + volumeOf(above)).to.equal(1000);
    }
  });

  it('agree with counting random points (an independent, rough check)', () => {
    const solid = frustum({ width: 80, length: 120 }, { width: 120, length: 150 }, 0, 90);
    const normal: Vec3 = [0.3, -0.2, Math.sqrt(1 - 0.13)];
    const profile = fillProfile(solid, normal);
    const next = seeded(5);
    let inside = 0;
    const tries = 200_000;
    for (let i = 0; i < tries; i += 1) {
      const z = 90 * next();
      const x = (next() - 0.5) * 120;
      const y = (next() - 0.5) * 150;
      const w = 80 + (40 * z) / 90;
      const l = 120 + (30 * z) / 90;
      if (Math.abs(x) <= w / 2 && Math.abs(y) <= l / 2 && dot(normal, [x, y, z]) <= 40) inside += 1;
    }
    const counted = (inside / tries) * 120 * 150 * 90;
    expect(profile.volumeBelow(40)).to.be.closeTo(counted, 0.01 * profile.total);
  });

  it('with something standing in them hold what is left, and still invert', () => {
    const solid = frustum({ width: 100, length: 100 }, { width: 100, length: 100 }, 0, 50);
    const blocked = frustum({ width: 20, length: 20 }, { width: 20, length: 20 }, 0, 50);
    const open = openProfile([{ solid, blocked: [blocked] }], [0, 0, 1]);
    expect(open.total).to.be.closeTo(9600 * 50, 1e-6);
    expect(open.levelOf(9600 * 20)).to.be.closeTo(20, 1e-9);
    const two = openProfile(
      [
        { solid, blocked: [] },
        { solid, blocked: [blocked] },
      ],
      [0, 0, 1],
    );
    expect(two.volumeBelow(10)).to.be.closeTo(196_000, 1e-6);
  });

  it('round outlines have the true area: sectors, circles, prisms lying and standing', () => {
    const shoelace = (points: readonly (readonly [number, number])[]): number =>
      points.reduce((s, [x, y], i) => {
        const [u, v] = points[(i + 1) % points.length]!;
        return s + (x * v - u * y) / 2;
      }, 0);
    expect(shoelace(arc(30, 0, 2 * Math.PI, 96))).to.be.closeTo(Math.PI * 900, 1e-9);
    expect(shoelace(arc(30, Math.PI, 2 * Math.PI, 60))).to.be.closeTo((Math.PI * 900) / 2, 1e-9);
    expect(volumeOf(standingPrism(arc(30, 0, 2 * Math.PI, 96), 10))).to.be.closeTo(Math.PI * 9000, 1e-6);
    expect(volumeOf(lyingPrism(arc(30, 0, 2 * Math.PI, 96), 10))).to.be.closeTo(Math.PI * 9000, 1e-6);
  });
});

describe('root finding', () => {
  it('finds the root of rising functions, steep or flat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 9.9, noNaN: true }),
        fc.integer({ min: 1, max: 7 }),
        (root, power) => {
          const f = (x: number): number => x ** power - root ** power;
          expect(findRoot(f, 0, 10, 1e-13 * 10 ** power)).to.be.closeTo(root, 1e-6);
        },
      ),
      { seed: 2, numRuns: 300 },
    );
  });
});
