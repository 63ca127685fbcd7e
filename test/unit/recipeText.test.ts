import { expect } from 'chai';
import fc from 'fast-check';
import { checkRecipe, lateOilFor, rightLye } from '../../src/core/batter/checkRecipe.ts';
import { midSv } from '../../src/core/batter/oil.ts';
import { libraryOil, OIL_LIBRARY } from '../../src/core/batter/oilLibrary.ts';
import { oilNamed } from '../../src/core/batter/oilNames.ts';
import { readRecipeText, sharesOf } from '../../src/core/batter/recipeText.ts';

const OZ = 28.349523125;
const oil = (id: string) => libraryOil(id)!;

describe('a written recipe', () => {
  it('is read line by line: weights, percents, lye, water, superfat, the amount before or after', () => {
    const read = readRecipeText(
      'Winter loaf\n8.3 oz coconut oil\nPalm oil: 1 lb 2 oz\n- 3 1/2 oz shea butter\n½ oz castor oil\nolive oil 450 g\nLye 7.4 oz\nwater 16 oz\nsuperfat 5 %',
    );
    expect(read.faults).to.deep.equal([]);
    expect(read.oils.map((o) => [o.oil?.id, o.amount])).to.deep.equal(
      [
        ['coconut', 8.3 * OZ],
        ['palm', 18 * OZ],
        ['shea', 3.5 * OZ],
        ['castor', 0.5 * OZ],
        ['olive', 450],
      ].map(([id, massG]) => [id, { kind: 'mass', massG }]),
    );
    expect(read.lyeG).to.be.closeTo(7.4 * OZ, 1e-9);
    expect(read.waterG).to.be.closeTo(16 * OZ, 1e-9);
    expect(read.superfatPercent).to.equal(5);
  });

  it('takes weights and percents together: percents are of all oils', () => {
    const read = readRecipeText('8.3 oz coconut oil / 15 % shea / 25 % palm');
    const shares = sharesOf(read.oils);
    if ('fault' in shares) throw new Error(shares.fault);
    expect(shares.shares.map((s) => Math.round(s * 1e9) / 1e9)).to.deep.equal([0.6, 0.15, 0.25]);
    expect(shares.totalG).to.be.closeTo((8.3 * OZ) / 0.6, 1e-9);
    const over = sharesOf(readRecipeText('60 % olive; 45 % palm; 10 g castor').oils);
    expect('fault' in over && over.fault).to.match(/105 %/);
  });

  it('plain figures are percents, but not beside weights', () => {
    expect(readRecipeText('coconut 25\nolive 75').oils.map((o) => o.amount)).to.deep.equal([
      { kind: 'percent', percent: 25 },
      { kind: 'percent', percent: 75 },
    ]);
    expect(readRecipeText('coconut 25\nolive 75 g').faults[0]).to.include({ code: 'no-unit', line: 1 });
  });

  it('names the line and the word that cannot be read, and reads the rest', () => {
    const read = readRecipeText(
      '30 % olive oil\na pinch of salt\n1,250 g palm oil\n3 cups coconut oil\nlye 12 %',
    );
    expect(read.oils.map((o) => o.oil?.id)).to.deep.equal(['olive']);
    expect(read.faults.map((f) => [f.line, f.code])).to.deep.equal([
      [2, 'no-amount'],
      [3, 'not-read'],
      [4, 'not-read'],
      [5, 'not-mass'],
    ]);
    expect(read.faults[0]!.message).to.contain('a pinch of salt');
    expect(read.faults[1]!.message).to.contain('"1,250 g" is no weight');
    expect(read.faults[2]!.message).to.contain('"3 cups" is no weight');
  });

  it('knows oils by their usual names, and asks about those it does not know', () => {
    for (const [written, id] of [
      ['Extra virgin olive oil', 'olive'],
      ['olive pomace', 'olive'],
      ['canola', 'rapeseed'],
      ['soybean oil', 'soya'],
      ['high oleic sunflower oil', 'sunflower-high-oleic'],
      ['Sunflower', 'sunflower'],
      ['palm kernel oil', 'palm-kernel'],
      ['Palm', 'palm'],
      ['raw shea butter', 'shea'],
      ['kokum butter', 'kokum'],
      ['sweet almond oil', 'almond'],
      ['corn oil', 'maize'],
    ] as const)
      expect(oilNamed(written)?.id, written).to.equal(id);
    for (const written of ['dragon oil', 'oil', 'moor seed butter'])
      expect(oilNamed(written)).to.equal(undefined);
    const [read] = readRecipeText('20 % moor seed butter').oils;
    expect(read).to.include({ name: 'moor seed butter', oil: undefined });
  });

  it('every oil of the library is known by its name, and no two by one', () => {
    for (const o of OIL_LIBRARY) expect(oilNamed(o.name)?.id, o.name).to.equal(o.id);
  });

  it('is the same after it is written down and read again', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            oil: fc.constantFrom(...OIL_LIBRARY),
            g: fc.double({ min: 0.1, max: 5000, noNaN: true }).map((g) => Math.round(g * 10) / 10),
          }),
          { minLength: 1, maxLength: 12, selector: (o) => o.oil.id },
        ),
        fc.constantFrom('g', 'kg', 'oz', 'lb', '%'),
        fc.boolean(),
        fc.constantFrom('\n', '; ', ' / ', '\r\n'),
        (oils, unit, before, between) => {
          const text = oils
            .map((o) => (before ? `${o.g} ${unit} ${o.oil.name}` : `${o.oil.name} ${o.g} ${unit}`))
            .join(between);
          const read = readRecipeText(text);
          expect(read.faults).to.deep.equal([]);
          expect(read.oils.map((o) => o.oil?.id)).to.deep.equal(oils.map((o) => o.oil.id));
          const shares = sharesOf(read.oils);
          if ('fault' in shares) throw new Error(shares.fault);
          const total = oils.reduce((s, o) => s + o.g, 0);
          shares.shares.forEach((s, i) => expect(s).to.be.closeTo(oils[i]!.g / total, 1e-9));
        },
      ),
      { numRuns: 400 },
    );
  });

  it('anything at all is read without a fall, each fault with its line', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (text) => {
        const read = readRecipeText(text);
        const lines = text.split(/\r?\n/).length;
        for (const f of read.faults) expect(f.line).to.be.within(1, lines);
        for (const o of read.oils)
          expect(o.amount.kind === 'mass' ? o.amount.massG : o.amount.percent).to.be.at.least(0);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('checking a written recipe', () => {
  /**
   * A blend of coconut, palm, castor, olive and soya, 50.5 oz, made so that 7.4 oz of lye is 1.4 % too much.
   */
  const blend = () => {
    const rest = [
      ['palm', 0.3],
      ['castor', 0.06],
      ['soya', 0.14],
    ] as const;
    const wanted = (7.4 / 1.014 / 50.5 / 39.997) * 56.106 * 1000;
    const fixed = rest.reduce((s, [id, part]) => s + part * midSv(oil(id)), 0);
    const left = 1 - rest.reduce((s, [, part]) => s + part, 0);
    const [c, o] = [midSv(oil('coconut')), midSv(oil('olive'))];
    const coconut = (wanted - fixed - left * o) / (c - o);
    return [...rest, ['coconut', coconut] as const, ['olive', left - coconut] as const].map(([id, part]) => ({
      oil: oil(id),
      massG: part * 50.5 * OZ,
    }));
  };

  it('50.5 oz with 7.4 oz of lye is lye-heavy by 1.4 %; about 0.8 and 3.7 oz of olive oil bring it to 0 and 5 % (worked example, common practice)', () => {
    const recipe = { oils: blend(), lyeG: 7.4 * OZ, waterG: 16 * OZ, purityPercent: 100 };
    const check = checkRecipe(recipe);
    expect(check.superfat.middle).to.be.closeTo(-1.4, 1e-9);
    expect(check.superfat.low).to.be.below(check.superfat.middle);
    expect(check.superfat.high).to.be.above(check.superfat.middle);
    expect(check.tooMuchG / OZ).to.be.closeTo(7.4 - 7.4 / 1.014, 1e-9);
    expect(lateOilFor(recipe, oil('olive'), 0) / OZ).to.be.closeTo(0.8, 0.06);
    expect(lateOilFor(recipe, oil('olive'), 5) / OZ).to.be.closeTo(3.7, 0.1);
    expect(check.water!.waterToLye).to.be.closeTo(16 / 7.4, 1e-9);
    expect(check.water!.percentOfOils).to.be.closeTo((16 / 50.5) * 100, 1e-9);
    expect(check.water!.lyeConcentrationPercent).to.be.closeTo((7.4 / 23.4) * 100, 1e-9);
  });

  it('the right lye leaves the superfat that is wanted, and late oil up to a superfat leaves just that', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            oil: fc.constantFrom(...OIL_LIBRARY),
            massG: fc.double({ min: 10, max: 2000, noNaN: true }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        fc.double({ min: 0, max: 25, noNaN: true }),
        fc.double({ min: 85, max: 100, noNaN: true }),
        fc.constantFrom(...OIL_LIBRARY),
        (oils, superfat, purityPercent, late) => {
          const lyeG = rightLye({ oils, purityPercent }, superfat);
          expect(checkRecipe({ oils, lyeG, waterG: undefined, purityPercent }).superfat.middle).to.be.closeTo(
            superfat,
            1e-9,
          );
          const heavy = { oils, lyeG: lyeG * 1.3, waterG: undefined, purityPercent };
          const massG = lateOilFor(heavy, late, superfat);
          const with_ = checkRecipe({ ...heavy, oils: [...oils, { oil: late, massG }] });
          expect(with_.superfat.middle).to.be.at.least(superfat - 1e-9);
          if (massG > 0) expect(with_.superfat.middle).to.be.closeTo(superfat, 1e-9);
        },
      ),
      { numRuns: 300 },
    );
  });
});
