import { expect } from 'chai';
import { MF } from 'mf-parser';
import { MOLAR_MASS_KOH, MOLAR_MASS_NAOH } from '../../src/core/batter/molarMass.ts';
import { libraryOil, OIL_LIBRARY } from '../../src/core/batter/oilLibrary.ts';
import { midSv } from '../../src/core/batter/oil.ts';
import { lyePerOil, naohPerOil } from '../../src/core/batter/lye.ts';
import { peakLyeTemperature } from '../../src/core/batter/lyeHeat.ts';
import { solutionDensity } from '../../src/core/batter/solutionDensity.ts';
import { waterPerOil, waterSchools } from '../../src/core/batter/water.ts';

describe('chemistry against published values', () => {
  it('has the molar masses of sodium and potassium hydroxide (reference: npm package mf-parser)', () => {
    expect(MOLAR_MASS_NAOH).to.be.closeTo(new MF('NaOH').getInfo().mass, 0.002);
    expect(MOLAR_MASS_KOH).to.be.closeTo(new MF('KOH').getInfo().mass, 0.002);
  });

  /** Codex Alimentarius CXS 210, 33 and 211, saponification value in mg KOH/g. Recalled, not re-read. */
  const CODEX: Readonly<Record<string, readonly [number, number]>> = {
    olive: [184, 196],
    coconut: [248, 265],
    palm: [190, 209],
    'palm-kernel': [230, 254],
    babassu: [245, 256],
    soya: [189, 195],
    sunflower: [188, 194],
    'sunflower-high-oleic': [182, 194],
    rapeseed: [182, 193],
    'rice-bran': [180, 199],
    safflower: [186, 198],
    sesame: [186, 195],
    grapeseed: [188, 194],
    cottonseed: [189, 198],
    maize: [187, 195],
    lard: [192, 203],
    tallow: [190, 202],
  };

  for (const [id, [low, high]] of Object.entries(CODEX))
    it(`uses the middle of the Codex range for ${id} (recalled)`, () => {
      const oil = libraryOil(id);
      expect(oil, id).to.not.equal(undefined);
      expect(midSv(oil!)).to.equal((low + high) / 2);
      expect(oil!.origin).to.contain('Codex');
    });

  it('has at least 24 oils, each with an ordered range, an origin and a believable density', () => {
    expect(OIL_LIBRARY.length).to.be.at.least(24);
    expect(new Set(OIL_LIBRARY.map((o) => o.id)).size).to.equal(OIL_LIBRARY.length);
    for (const o of OIL_LIBRARY) {
      expect(o.svLow, o.id).to.be.below(o.svHigh);
      expect(o.origin, o.id).to.have.length.above(5);
      expect(o.densityGMl, o.id).to.be.within(0.89, 0.97);
    }
  });

  it('needs the lye that its definition gives: 1 mol NaOH for each mol KOH', () => {
    const olive = libraryOil('olive')!;
    const need = naohPerOil([{ line: 'olive', oil: olive, share: 1, svMgG: 190 }]);
    // 190 mg KOH/g over 56.106 g/mol, as NaOH at 39.997 g/mol; worked by hand
    expect(need).to.be.closeTo(0.135447, 1e-6);
    expect(lyePerOil(need, 5, 99)).to.be.closeTo((0.135447 * 0.95) / 0.99, 1e-6);
  });

  it('says all three water schools of one solution: 11.2 of water with 4.8 of lye is 30 % (common practice)', () => {
    const schools = waterSchools(11.2, 4.8);
    expect(schools.lyeConcentrationPercent).to.be.closeTo(30, 1e-9);
    expect(schools.waterToLye).to.be.closeTo(2.3333, 1e-4);
    expect(waterPerOil({ school: 'lye-concentration', value: 30 }, 4.8)).to.be.closeTo(11.2, 1e-9);
    expect(waterPerOil({ school: 'water-to-lye', value: 11.2 / 4.8 }, 4.8)).to.be.closeTo(11.2, 1e-9);
  });

  it('gives the handbook density of lye and rises between its rows (Perry, from memory)', () => {
    expect(solutionDensity(20)).to.be.closeTo(1.2191, 1e-9);
    expect(solutionDensity(30)).to.be.within(1.326, 1.33);
    expect(solutionDensity(50)).to.be.closeTo(1.5253, 1e-9);
    for (let p = 0.5; p <= 50; p += 0.5)
      expect(solutionDensity(p), `${p} %`).to.be.above(solutionDensity(p - 0.5));
  });

  it('heats 210 g of lye in 454 g of water from 20 °C to about 86 °C (common practice, no source)', () => {
    expect(peakLyeTemperature(210, 454, 20)).to.be.within(80, 92);
  });
});
