import { expect } from 'chai';
import { mouldGeometry, volumeToHeight } from '../../src/core/mould/geometry.ts';
import type { Mould, Shape } from '../../src/core/mould/schema.ts';
import { stackPours } from '../../src/core/mould/stack.ts';
import { sectionArea } from '../../src/core/geometry/sectionArea.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { manifold, mouldManifold } from '../support/manifold.ts';
import { seeded } from '../support/random.ts';

/** Reference: the npm package manifold-3d 3.2.1 (hull, trimByPlane, slice, volume). */
const RELATIVE = 1e-6;

function randomShape(next: () => number): Shape {
  const between = (low: number, high: number): number => low + next() * (high - low);
  const pick = next();
  const lengthMm = between(80, 600);
  const heightMm = between(40, 140);
  if (pick < 0.25) return { kind: 'box', lengthMm, widthMm: between(40, 300), heightMm };
  if (pick < 0.35) return { kind: 'half-round', lengthMm, diameterMm: between(40, 200) };
  if (pick < 0.45) return { kind: 'tube', stands: 'lying', lengthMm, diameterMm: between(40, 200) };
  if (pick < 0.55) return { kind: 'tube', stands: 'standing', lengthMm, diameterMm: between(40, 200) };
  if (pick < 0.65) return { kind: 'measured', waterG: between(500, 5000), lengthMm, heightMm };
  return {
    kind: 'tapered',
    floorLengthMm: between(80, 600),
    floorWidthMm: between(40, 300),
    rimLengthMm: lengthMm,
    rimWidthMm: between(40, 300),
    heightMm,
  };
}

const randomMould = (next: () => number): Mould => ({
  name: 'Random',
  material: 'wood',
  wallMm: 10,
  bowMm: next() < 0.7 ? 0 : 8 * next(),
  shape: randomShape(next),
  linerMm: next() < 0.5 ? 0 : 0.1 + 1.4 * next(),
});

describe('moulds against manifold-3d', () => {
  it('holds the same volume in every starter mould and 300 random moulds of every shape, at any height', async () => {
    const wasm = await manifold();
    const next = seeded(11);
    const moulds = [...STARTER_MOULDS, ...Array.from({ length: 300 }, () => randomMould(next))];
    for (const mould of moulds) {
      const geometry = mouldGeometry(mould);
      const solid = mouldManifold(wasm, geometry);
      const height = geometry.heightMm * (0.05 + 0.9 * next());
      const part = solid.trimByPlane([0, 0, -1], -height);
      expect(geometry.rimVolumeMl * 1000).to.be.closeTo(solid.volume(), RELATIVE * solid.volume());
      expect(volumeToHeight(geometry, height) * 1000).to.be.closeTo(part.volume(), RELATIVE * solid.volume());
      part.delete();
      solid.delete();
    }
  });

  it('agrees on 500 random moulds poured at changing tilts: every volume and section area', async () => {
    const wasm = await manifold();
    const next = seeded(2026);
    for (let run = 0; run < 500; run += 1) {
      const mould = randomMould(next);
      const geometry = mouldGeometry(mould);
      const count = 2 + Math.floor(next() * 7);
      const each = (geometry.rimVolumeMl * (0.5 + 0.4 * next())) / count;
      const { layers } = stackPours(
        geometry.rooms[0],
        Array.from({ length: count }, () => ({
          tilt: { rollDeg: (next() - 0.5) * 50, pitchDeg: next() < 0.5 ? 0 : (next() - 0.5) * 20 },
          wish: { kind: 'volume' as const, volumeMl: each * (0.6 + 0.8 * next()) },
        })),
        geometry.rimVolumeMl,
      );
      let space = mouldManifold(wasm, geometry);
      for (const layer of layers) {
        const up: [number, number, number] = [...layer.up];
        const below = space.trimByPlane([-up[0], -up[1], -up[2]], -layer.offset);
        const above = space.trimByPlane(up, layer.offset);
        const scale = geometry.rimVolumeMl * 1000;
        expect(layer.volumeMl * 1000, `run ${run}`).to.be.closeTo(below.volume(), RELATIVE * scale);
        // the area of the layer's slice at mid-length, the y axis turned to z for the reference
        const turned = below.rotate([90, 0, 0]);
        const slice = turned.slice(0.01);
        const area = sectionArea(layer.solid, [0, 1, 0], -0.01);
        const other = sectionArea(layer.solid, [0, 1, 0], 0.01);
        const faceScale = geometry.most.width * geometry.heightMm;
        const nearest = Math.min(Math.abs(area - slice.area()), Math.abs(other - slice.area()));
        expect(nearest, `run ${run}`).to.be.below(RELATIVE * faceScale);
        for (const gone of [below, turned, slice, space]) gone.delete();
        space = above;
      }
      space.delete();
    }
  });
});
