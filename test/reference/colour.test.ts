import { converter } from 'culori';
import { expect } from 'chai';
import fc from 'fast-check';
import * as spectral from 'spectral.js';
import {
  bodyOfHex,
  hexOfBody,
  ksOfReflectance,
  labOfBody,
  reflectanceOfKs,
  stir,
} from '../../src/core/colour/body.ts';
import { difference } from '../../src/core/colour/difference.ts';
import { seenWith } from '../../src/core/colour/deficiency.ts';
import { hexOfLinear, linearOfHex } from '../../src/core/colour/hex.ts';
import { chromaOf, hueOf, labOfHex } from '../../src/core/colour/lab.ts';
import { linearOf } from '../../src/core/colour/linear.ts';
import { xyzOf } from '../../src/core/colour/observer.ts';
import { pigmentFor, tint } from '../../src/core/colour/pigment.ts';
import { reflectanceOf } from '../../src/core/colour/reflectance.ts';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { OPPOSITE, stirredName, wheelApart, wheelOf } from '../../src/core/colour/painterWheel.ts';
import { bendOf } from '../../src/core/look/shifts.ts';

/**
 * The 34 pairs of G. Sharma, W. Wu & E. N. Dalal, "The CIEDE2000 color-difference formula: implementation
 * notes, supplementary test data, and mathematical observations", Color Research & Application 30, 2005,
 * table 1 (from memory).
 */
const SHARMA: readonly (readonly [number, number, number, number, number, number, number])[] = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
  [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
  [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
  [50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0],
  [50, -1.1848, -84.8006, 50, 0, -82.7485, 1.0],
  [50, -0.9009, -85.5211, 50, 0, -82.7485, 1.0],
  [50, 0, 0, 50, -1, 2, 2.3669],
  [50, -1, 2, 50, 0, 0, 2.3669],
  [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.001, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195],
  [50, 2.49, -0.001, 50, -2.49, 0.0012, 7.2195],
  [50, -0.001, 2.49, 50, 0.0009, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.001, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.0011, -2.49, 4.7461],
  [50, 2.5, 0, 50, 0, -2.5, 4.3065],
  [50, 2.5, 0, 73, 25, -18, 27.1492],
  [50, 2.5, 0, 61, -5, 29, 22.8977],
  [50, 2.5, 0, 56, -27, -3, 31.903],
  [50, 2.5, 0, 58, 24, 15, 19.4535],
  [50, 2.5, 0, 50, 3.1736, 0.5854, 1.0],
  [50, 2.5, 0, 50, 3.2972, 0, 1.0],
  [50, 2.5, 0, 50, 1.8634, 0.5757, 1.0],
  [50, 2.5, 0, 50, 3.2592, 0.335, 1.0],
  [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
  [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
  [61.2901, 3.7196, -5.3901, 61.4292, 2.248, -4.962, 1.8731],
  [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
  [22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373],
  [36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
  [90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441],
  [90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
  [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
  [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
];

const hexes = fc
  .tuple(fc.integer({ min: 8, max: 250 }), fc.integer({ min: 8, max: 250 }), fc.integer({ min: 8, max: 250 }))
  .map((parts) => `#${parts.map((n) => n.toString(16).padStart(2, '0')).join('')}`);

describe('colour against published values and reference libraries', () => {
  it('CIEDE2000 over the 34 pairs of Sharma, Wu & Dalal 2005', () => {
    for (const [l1, a1, b1, l2, a2, b2, wanted] of SHARMA) {
      expect(difference([l1, a1, b1], [l2, a2, b2])).to.be.closeTo(wanted, 5e-5);
      expect(difference([l2, a2, b2], [l1, a1, b1])).to.be.closeTo(wanted, 5e-5);
    }
  });

  it('the observer and the illuminant give the chromaticity of D65: 0.3127, 0.3290 (CIE 15; IEC 61966-2-1)', () => {
    const [x, y, z] = xyzOf(new Float64Array(36).fill(1));
    expect(y).to.be.closeTo(1, 1e-12);
    expect(x / (x + y + z)).to.be.closeTo(0.3127, 2e-4);
    expect(y / (x + y + z)).to.be.closeTo(0.329, 2e-4);
  });

  it('sRGB and L*a*b* agree with culori', () => {
    const lab65 = converter('lab65');
    const lrgb = converter('lrgb');
    fc.assert(
      fc.property(hexes, (hex) => {
        const [l, a, b] = labOfHex(hex);
        const want = lab65(hex)!;
        expect(l).to.be.closeTo(want.l, 0.01);
        expect(a).to.be.closeTo(want.a, 0.02);
        expect(b).to.be.closeTo(want.b, 0.02);
        expect(linearOfHex(hex)[0]).to.be.closeTo(lrgb(hex)!.r, 1e-9);
        expect(hexOfLinear(linearOfHex(hex))).to.equal(hex);
      }),
    );
  });

  it('K/S of a reflectance is as tabulated, and back (Judd & Wyszecki, Color in Business, Science and Industry, 1975; from memory)', () => {
    for (const [r, ks] of [
      [0.01, 49.005],
      [0.05, 9.025],
      [0.1, 4.05],
      [0.2, 1.6],
      [0.3, 0.8167],
      [0.5, 0.25],
      [0.7, 0.0643],
      [0.9, 0.0056],
    ] as const) {
      expect(ksOfReflectance(r)).to.be.closeTo(ks, 5e-5);
      expect(reflectanceOfKs(ksOfReflectance(r))).to.be.closeTo(r, 1e-12);
    }
    expect(reflectanceOfKs(0)).to.equal(1);
  });

  it('a reconstructed curve has its colour and stays between 0 and 1', () => {
    fc.assert(
      fc.property(hexes, (hex) => {
        const curve = reflectanceOf(hex);
        expect(Math.min(...curve)).to.be.above(0);
        expect(Math.max(...curve)).to.be.below(1);
        expect(difference(labOfHex(hexOfLinear(linearOf(curve))), labOfHex(hex))).to.be.below(0.6);
      }),
      { numRuns: 300 },
    );
  });

  it('a grey has a level curve', () => {
    const curve = reflectanceOf('#808080');
    expect(Math.max(...curve) - Math.min(...curve)).to.be.below(1e-6);
  });

  // spectral.js weighs its parts by their lightness, we by their mass: the kind of hue is compared, not its
  // angle
  it('blue and yellow go green, as in spectral.js', () => {
    for (const [blue, yellow] of [
      ['#2b5fa8', '#f2c81e'],
      ['#3a4f9a', '#efc83a'],
    ] as const) {
      const ours = labOfBody(
        stir([
          { body: bodyOfHex(blue), part: 1 },
          { body: bodyOfHex(yellow), part: 1 },
        ]),
      );
      const theirs = labOfHex(
        spectral
          .mix([new spectral.Color(blue), 1], [new spectral.Color(yellow), 1])
          .toString({ format: 'hex' })
          .toLowerCase(),
      );
      expect(hueOf(ours)).to.be.within(110, 200);
      expect(hueOf(theirs)).to.be.within(110, 200);
    }
  });

  it('the painter’s wheel: red, yellow and blue a third apart, opposites face each other (common practice, no source)', () => {
    const at = (hex: string): number => wheelOf(labOfHex(hex));
    const apart = (a: string, b: string): number => wheelApart(at(a), at(b));
    const [red, orange, yellow, green, blue, purple] = [
      '#c23a2a',
      '#e07a1e',
      '#f2c81e',
      '#2f8f4a',
      '#2b5fa8',
      '#7d3f86',
    ] as const;
    for (const [a, b] of [
      [red, yellow],
      [yellow, blue],
      [blue, red],
    ] as const)
      expect(apart(a, b)).to.be.within(108, 135);
    for (const [a, b] of [
      [red, green],
      [orange, blue],
      [yellow, purple],
    ] as const) {
      expect(apart(a, b)).to.be.above(OPPOSITE);
      expect(stirredName(at(a), at(b))).to.match(/brown/);
    }
    expect(stirredName(at(red), at(yellow))).to.equal('an orange');
    expect(stirredName(at(yellow), at(blue))).to.match(/green$/);
    expect(stirredName(at(blue), at(red))).to.match(/purple$/);
    // the wheel closes: going round by small steps never jumps
    let last = wheelOf([50, 40, 0]);
    for (let d = 1; d <= 360; d += 1) {
      const here = wheelOf([50, 40 * Math.cos((d * Math.PI) / 180), 40 * Math.sin((d * Math.PI) / 180)]);
      expect(wheelApart(last, here)).to.be.below(4);
      last = here;
    }
  });

  it('a second, pale test bar bends the dose response through both bars and leaves the full dose as it was', () => {
    for (const { name, nature } of STARTER_COLORANTS) {
      if (!nature.pale) continue;
      const base = bodyOfHex(nature.base);
      const bend = bendOf(nature)!;
      const pigment = { ...pigmentFor(nature.colour, nature.doseGPerKg, base), bend };
      const at = (doseGPerKg: number): string => hexOfBody(tint(base, [{ pigment, doseGPerKg }]));
      expect(difference(labOfHex(at(nature.doseGPerKg)), labOfHex(nature.colour)), name).to.be.below(1);
      expect(
        difference(labOfHex(at(nature.pale.doseGPerKg)), labOfHex(nature.pale.colour)),
        name,
      ).to.be.below(1.5);
      expect(bend.power, name).to.be.within(1, 1.6);
    }
    // the same colour in proportion is a power of one
    const { pale: _pale, ...plain } = STARTER_COLORANTS.find((c) => c.id === 'heather')!.nature;
    const base = bodyOfHex(plain.base);
    const pigment = pigmentFor(plain.colour, plain.doseGPerKg, base);
    const colour = hexOfBody(tint(base, [{ pigment, doseGPerKg: 1 }]));
    expect(bendOf({ ...plain, pale: { doseGPerKg: 1, colour } })!.power).to.be.closeTo(1, 0.03);
  });

  it('white lightens without greying: more chroma left than by thinning on cream to the same lightness', () => {
    const cream = bodyOfHex('#f0e6d0');
    const purple = pigmentFor('#7d4f86', 8, cream);
    const white = pigmentFor('#f7f2e5', 6, cream);
    const withWhite = labOfBody(
      tint(cream, [
        { pigment: purple, doseGPerKg: 1.5 },
        { pigment: white, doseGPerKg: 10 },
      ]),
    );
    let dose = 1.5;
    while (labOfBody(tint(cream, [{ pigment: purple, doseGPerKg: dose }]))[0] < withWhite[0]) dose -= 0.01;
    const thinned = labOfBody(tint(cream, [{ pigment: purple, doseGPerKg: dose }]));
    expect(withWhite[0]).to.be.closeTo(thinned[0], 0.3);
    expect(difference(withWhite, [withWhite[0], 0, 0])).to.be.above(difference(thinned, [thinned[0], 0, 0]));
    // and white alone moves the purple up in lightness while keeping its hue
    const full = labOfBody(tint(cream, [{ pigment: purple, doseGPerKg: 8 }]));
    expect(withWhite[0]).to.be.above(full[0]);
    expect(Math.abs(hueOf(withWhite) - hueOf(full))).to.be.below(15);
  });

  it('a colorant at its stated dose in its stated base gives its stated colour', () => {
    fc.assert(
      fc.property(hexes, fc.double({ min: 0.1, max: 30, noNaN: true }), (hex, dose) => {
        const base = bodyOfHex('#f0e6d0');
        const pigment = pigmentFor(hex, dose, base);
        const got = hexOfBody(tint(base, [{ pigment, doseGPerKg: dose }]));
        expect(difference(labOfHex(got), labOfHex(hex))).to.be.below(0.7);
        expect(Math.min(...pigment.k)).to.be.at.least(0);
        expect(pigment.s).to.be.at.least(0);
      }),
    );
  });

  it('stirring is the same in any order, and a body with itself is itself', () => {
    fc.assert(
      fc.property(hexes, hexes, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (one, other, part) => {
        const a = { body: bodyOfHex(one), part };
        const b = { body: bodyOfHex(other), part: 1 - part };
        expect(difference(labOfBody(stir([a, b])), labOfBody(stir([b, a])))).to.be.below(1e-9);
        expect(difference(labOfBody(stir([a, a])), labOfBody(a.body))).to.be.below(1e-9);
      }),
    );
  });

  it('red and green come closer for the red-blind and the green-blind, greys stay grey (Machado et al. 2009, by culori)', () => {
    const apart = (see: (hex: string) => string): number =>
      difference(labOfHex(see('#a03a2a')), labOfHex(see('#4f7a2f')));
    const before = apart((hex) => hex);
    expect(apart((hex) => seenWith('deuteranopia', hex))).to.be.below(before / 2);
    expect(apart((hex) => seenWith('protanopia', hex))).to.be.below(before / 2);
    expect(apart((hex) => seenWith('tritanopia', hex))).to.be.above(before / 2);
    for (const d of ['deuteranopia', 'protanopia', 'tritanopia'] as const)
      expect(chromaOf(labOfHex(seenWith(d, '#909090')))).to.be.below(1);
  });
});
