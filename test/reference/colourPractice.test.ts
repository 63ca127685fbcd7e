import { expect } from 'chai';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { dispersionPerG } from '../../src/core/colorant/dispersion.ts';
import { bodyOfHex, labOfBody } from '../../src/core/colour/body.ts';
import { chromaOf, type Lab } from '../../src/core/colour/lab.ts';
import { pigmentFor, tint } from '../../src/core/colour/pigment.ts';
import { rampOf } from '../../src/core/colour/ramp.ts';
import { equalDose, halving } from '../../src/core/colour/spacing.ts';
import { differencesOf } from '../../src/core/ombre/strip.ts';
import { G_PER_OUNCE } from '../../src/core/units/factors.ts';
import { CREAM } from '../../src/core/colorant/cream.ts';
import { starter } from '../support/colours.ts';

/*
 * What makers take as rules of thumb (common practice, no source), against the colours and amounts computed.
 */

const base = bodyOfHex(CREAM);

const bodyAt = (id: string, doseGPerKg: number, white = 0) => {
  const { nature } = starter(id);
  const paint = starter('white-oil').nature;
  return tint(base, [
    { pigment: pigmentFor(nature.colour, nature.doseGPerKg, bodyOfHex(nature.base)), doseGPerKg },
    { pigment: pigmentFor(paint.colour, paint.doseGPerKg, bodyOfHex(paint.base)), doseGPerKg: white },
  ]);
};

const labAt = (id: string, dose: number, white = 0): Lab => labOfBody(bodyAt(id, dose, white));

const micas = STARTER_COLORANTS.filter((c) => c.nature.kind === 'mica');

/** Batter is about 1.45 times its oils. */
const BATTER_PER_OIL = 1.45;

describe('colour against common practice', () => {
  it('a solid colour is about a teaspoon of mica per pound of oils: the starters are within a factor of three', () => {
    for (const { name, nature } of micas) {
      const perKg = (nature.gPerTsp / (16 * G_PER_OUNCE)) * (1000 / BATTER_PER_OIL);
      expect(nature.doseGPerKg / perKg, name).to.be.within(0.7, 3);
    }
  });

  it('1 g of mica in a 425 g pot is plainly paler than the full colour', () => {
    for (const { id, name, nature } of micas) {
      if (nature.doseGPerKg < 6) continue;
      const [full] = labAt(id, nature.doseGPerKg);
      const [pale] = labAt(id, 1000 / 425);
      expect(pale - full, name).to.be.above(8);
    }
  });

  it('indigo needs about a quarter of what others need', () => {
    const others = ['madder', 'spirulina', 'rose-clay'].map((id) => starter(id).nature.doseGPerKg);
    const mean = others.reduce((a, b) => a + b, 0) / others.length;
    expect(starter('indigo').nature.doseGPerKg / mean).to.be.within(0.1, 0.35);
  });

  it('a teaspoon of powder goes into about a tablespoon of light oil', () => {
    for (const { name, nature } of STARTER_COLORANTS)
      if (nature.carrier === 'oil' && nature.kind !== 'charcoal')
        expect(nature.gPerTsp * nature.carrierMlPerG, name).to.be.within(10, 20);
    const { nature } = starter('heather');
    expect(2.6 * dispersionPerG(nature)).to.be.closeTo(2.6 + 13 * 0.92, 1e-9);
  });

  it('little purple in cream goes grey on its way; knocked back with white it stays a purple', () => {
    const way = [0.1, 0.2, 0.4, 0.8].map((dose) => chromaOf(labAt('heather', dose)));
    expect(Math.min(...way)).to.be.below(chromaOf(labOfBody(base)) / 1.5);
    const pale = labAt('heather', 0.5);
    let dose = 0.5;
    while (labAt('heather', dose, 8)[0] > pale[0]) dose += 0.05;
    const clean = labAt('heather', dose, 8);
    // further from yellow, at the same lightness
    expect(clean[2]).to.be.below(pale[2] - 2);
  });

  it('neither equal doses nor halves look like equal steps', () => {
    for (const { id, name, nature } of micas) {
      const ramp = rampOf(base, bodyAt(id, nature.doseGPerKg));
      for (const places of [equalDose(7), halving(7)]) {
        const steps = differencesOf(places.map(ramp.labAt));
        expect(Math.max(...steps) / Math.min(...steps), name).to.be.above(1.5);
      }
    }
  });
});
