import { expect } from 'chai';
import fc from 'fast-check';
import { volumeOf } from '../../src/core/geometry/volume.ts';
import { mouldGeometry, volumeToHeight } from '../../src/core/mould/geometry.ts';
import type { Mould } from '../../src/core/mould/schema.ts';
import { stackPours, type WishedPour } from '../../src/core/mould/stack.ts';
import { volumeAtLine } from '../../src/core/fill/lineVolume.ts';

const SEED = 7;
const MM3 = 1000;

const box: Mould = {
  name: 'Box',
  material: 'wood',
  shape: { kind: 'box', lengthMm: 240, widthMm: 80, heightMm: 70 },
  wallMm: 10,
  bowMm: 0,
  linerMm: 0,
};

const anyMould = fc.record({
  floorLengthMm: fc.double({ min: 60, max: 600, noNaN: true }),
  floorWidthMm: fc.double({ min: 30, max: 300, noNaN: true }),
  rimLengthMm: fc.double({ min: 60, max: 600, noNaN: true }),
  rimWidthMm: fc.double({ min: 30, max: 300, noNaN: true }),
  heightMm: fc.double({ min: 30, max: 200, noNaN: true }),
});
const geometryOf = (shape: {
  floorLengthMm: number;
  floorWidthMm: number;
  rimLengthMm: number;
  rimWidthMm: number;
  heightMm: number;
}) =>
  mouldGeometry({
    name: 'Any',
    material: 'silicone',
    shape: { kind: 'tapered', ...shape },
    wallMm: 10,
    bowMm: 0,
    linerMm: 0,
  });

const anyTilt = fc.record({
  rollDeg: fc.double({ min: -45, max: 45, noNaN: true }),
  pitchDeg: fc.double({ min: -30, max: 30, noNaN: true }),
});
const anyPours = fc.array(fc.record({ tilt: anyTilt, part: fc.double({ min: 0.05, max: 1, noNaN: true }) }), {
  minLength: 1,
  maxLength: 10,
});

const level = { rollDeg: 0, pitchDeg: 0 };
const height = (heightMm: number): WishedPour => ({ tilt: level, wish: { kind: 'height', heightMm } });
const rest = (parts = 1): WishedPour => ({ tilt: level, wish: { kind: 'rest', parts } });

describe('pours stacked in a mould', () => {
  it('fills a box by length x width x height', () => {
    const geometry = mouldGeometry(box);
    const { layers } = stackPours(geometry.rooms[0], [height(20), height(12.5)], 0);
    expect(layers[0]!.volumeMl).to.be.closeTo((240 * 80 * 20) / MM3, 1e-9);
    expect(layers[1]!.volumeMl).to.be.closeTo((240 * 80 * 12.5) / MM3, 1e-9);
    expect(layers[1]!.offset).to.be.closeTo(32.5, 1e-9);
  });

  it('fills a tapered mould by the frustum (prismoid) formula', () => {
    const geometry = geometryOf({
      floorLengthMm: 200,
      floorWidthMm: 60,
      rimLengthMm: 220,
      rimWidthMm: 90,
      heightMm: 70,
    });
    const middle = 210 * 75;
    const prismoid = (70 / 6) * (200 * 60 + 4 * middle + 220 * 90);
    expect(geometry.rimVolumeMl * MM3).to.be.closeTo(prismoid, 1e-6);
  });

  it('tilted, a wedge that just reaches the far wall holds half the prism (closed form)', () => {
    const geometry = mouldGeometry(box);
    const angle = 20;
    const tan = Math.tan((angle * Math.PI) / 180);
    const wedge = (0.5 * 80 * 80 * tan * 240) / MM3;
    const { layers } = stackPours(
      geometry.rooms[0],
      [{ tilt: { rollDeg: angle, pitchDeg: 0 }, wish: { kind: 'volume', volumeMl: wedge } }],
      0,
    );
    // the surface meets the floor exactly at the right wall, where x = +40
    expect(layers[0]!.offset).to.be.closeTo(40 * Math.sin((angle * Math.PI) / 180), 1e-9);
  });

  it('keeps the volume of every pour, and the layers add up to the fill (1e-9)', () => {
    fc.assert(
      fc.property(anyMould, anyPours, (shape, pours) => {
        const geometry = geometryOf(shape);
        const sum = pours.reduce((s, p) => s + p.part, 0);
        const fill = geometry.rimVolumeMl * 0.97;
        const wished = pours.map((p): WishedPour => ({
          tilt: p.tilt,
          wish: { kind: 'volume', volumeMl: (fill * p.part) / sum },
        }));
        const { layers, filledMl } = stackPours(geometry.rooms[0], wished, fill);
        expect(Math.abs(filledMl - fill)).to.be.at.most(1e-9 * fill);
        for (const [i, layer] of layers.entries()) {
          const wanted = (fill * pours[i]!.part) / sum;
          expect(layer.volumeMl).to.be.at.least(0);
          expect(Math.abs(volumeOf(layer.solid) / MM3 - wanted)).to.be.at.most(1e-8 * fill);
        }
      }),
      { seed: SEED, numRuns: 200 },
    );
  });

  it('goes from mass to line and back without loss (1e-9)', () => {
    fc.assert(
      fc.property(anyMould, anyPours, (shape, pours) => {
        const geometry = geometryOf(shape);
        const sum = pours.reduce((s, p) => s + p.part, 0);
        const fill = geometry.rimVolumeMl * 0.9;
        const { layers } = stackPours(
          geometry.rooms[0],
          pours.map((p) => ({ tilt: p.tilt, wish: { kind: 'volume', volumeMl: (fill * p.part) / sum } })),
          fill,
        );
        for (const [i, layer] of layers.entries()) {
          const back = volumeAtLine(layers, i, layer.offset);
          expect(Math.abs(back - layer.volumeMl)).to.be.at.most(1e-9 * geometry.rimVolumeMl);
        }
      }),
      { seed: SEED, numRuns: 150 },
    );
  });

  it('holds more the higher its line is', () => {
    fc.assert(
      fc.property(anyMould, anyTilt, fc.double({ min: 0.05, max: 0.9, noNaN: true }), (shape, tilt, part) => {
        const geometry = geometryOf(shape);
        const { layers } = stackPours(
          geometry.rooms[0],
          [{ tilt, wish: { kind: 'volume', volumeMl: geometry.rimVolumeMl * part } }],
          0,
        );
        const line = layers[0]!.offset;
        expect(volumeAtLine(layers, 0, line + 0.5)).to.be.above(volumeAtLine(layers, 0, line));
      }),
      { seed: SEED, numRuns: 200 },
    );
  });

  it('shares what is left by parts, whatever stands between', () => {
    const geometry = mouldGeometry(box);
    const fill = volumeToHeight(geometry, 60);
    const { layers } = stackPours(geometry.rooms[0], [rest(1), height(10), rest(3)], fill);
    expect(layers.map((l) => Number(l.riseMm.toFixed(6)))).to.deep.equal([12.5, 10, 37.5]);
  });

  it('meets the fill when a height lies above a rest pour in a tapered mould', () => {
    const geometry = geometryOf({
      floorLengthMm: 150,
      floorWidthMm: 40,
      rimLengthMm: 260,
      rimWidthMm: 120,
      heightMm: 80,
    });
    const fill = volumeToHeight(geometry, 70);
    const { layers, filledMl } = stackPours(
      geometry.rooms[0],
      [rest(2), height(15), rest(1), height(5)],
      fill,
    );
    expect(filledMl).to.be.closeTo(fill, fill * 1e-9);
    expect(layers[1]!.riseMm).to.be.closeTo(15, 1e-9);
    expect(layers.at(-1)!.offset).to.be.closeTo(70, 1e-6);
  });

  it('says which pour does not fit and by how much, and keeps the others', () => {
    const geometry = mouldGeometry(box);
    const { fault, layers } = stackPours(geometry.rooms[0], [height(50), height(30)], 0);
    expect(fault).to.include({ kind: 'overfull', pour: 1 });
    expect(fault!.shortfallMl).to.be.closeTo((240 * 80 * 10) / MM3, 1e-6);
    expect(layers[0]!.riseMm).to.be.closeTo(50, 1e-9);
  });

  it('says when nothing is left for a rest pour', () => {
    const geometry = mouldGeometry(box);
    const fill = volumeToHeight(geometry, 40);
    const { fault } = stackPours(geometry.rooms[0], [height(45), rest()], fill);
    expect(fault).to.include({ kind: 'nothing-left', pour: 1 });
    expect(fault!.shortfallMl).to.be.closeTo((240 * 80 * 5) / MM3, 1e-6);
  });
});
