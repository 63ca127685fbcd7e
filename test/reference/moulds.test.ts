import { expect } from 'chai';
import { insideOf } from '../../src/core/mould/inside.ts';
import { mouldGeometry, volumeToHeight } from '../../src/core/mould/geometry.ts';
import type { Mould, Shape } from '../../src/core/mould/schema.ts';
import { stackPours } from '../../src/core/mould/stack.ts';
import { sectionArea } from '../../src/core/geometry/sectionArea.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { manifold, mouldManifold } from '../support/manifold.ts';
import { seeded } from '../support/random.ts';

/** Reference: the npm package manifold-3d 3.2.1 (hull, trimByPlane, slice, volume). */
const RELATIVE = 1e-6;

function randomMould(next: () => number): Mould {
  const between = (low: number, high: number): number => low + next() * (high - low);
  const heightMm = between(40, 140);
  const shape: Shape =
    next() < 0.4
      ? { kind: 'box', lengthMm: between(80, 600), widthMm: between(40, 300), heightMm }
      : {
          kind: 'tapered',
          floorLengthMm: between(80, 600),
          floorWidthMm: between(40, 300),
          rimLengthMm: between(80, 600),
          rimWidthMm: between(40, 300),
          heightMm,
        };
  return { name: 'Random', material: 'wood', shape, linerMm: next() < 0.5 ? 0 : between(0.1, 1.5) };
}

describe('moulds against manifold-3d', () => {
  it('holds the same volume in every starter mould and 300 random boxes and tapers, at any height', async () => {
    const wasm = await manifold();
    const next = seeded(11);
    const moulds = [...STARTER_MOULDS, ...Array.from({ length: 300 }, () => randomMould(next))];
    for (const mould of moulds) {
      const geometry = mouldGeometry(mould);
      const solid = mouldManifold(wasm, insideOf(mould));
      const height = geometry.inside.heightMm * (0.05 + 0.9 * next());
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
        geometry,
        Array.from({ length: count }, () => ({
          tilt: { rollDeg: (next() - 0.5) * 50, pitchDeg: next() < 0.5 ? 0 : (next() - 0.5) * 20 },
          wish: { kind: 'volume' as const, volumeMl: each * (0.6 + 0.8 * next()) },
        })),
        geometry.rimVolumeMl,
      );
      let space = mouldManifold(wasm, geometry.inside);
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
        const faceScale = geometry.inside.rim.width * geometry.inside.heightMm;
        const nearest = Math.min(Math.abs(area - slice.area()), Math.abs(other - slice.area()));
        expect(nearest, `run ${run}`).to.be.below(RELATIVE * faceScale);
        for (const gone of [below, turned, slice, space]) gone.delete();
        space = above;
      }
      space.delete();
    }
  });
});
