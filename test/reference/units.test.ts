import { expect } from 'chai';
import { unit } from 'mathjs';
import { UNITS, unitWritten } from '../../src/core/units/factors.ts';

/** Reference: the npm package mathjs 15. Names differ where a maker would not write its word. */
const IN_MATHJS: Readonly<Record<string, string>> = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  in: 'inch',
  ft: 'foot',
  g: 'g',
  kg: 'kg',
  oz: 'oz',
  lb: 'lbm',
  ml: 'ml',
  l: 'l',
  in3: 'in^3',
  tbsp: 'tablespoon',
  tsp: 'teaspoon',
  cup: 'cup',
};
const BASE = { length: 'mm', mass: 'g', volume: 'ml', share: '%' } as const;
/** mathjs takes the metric teaspoon (5 ml, tablespoon 15 ml); ours are the US ones, 1.5 % smaller. */
const KITCHEN = 2e-2;

describe('units against mathjs', () => {
  for (const u of UNITS)
    if (u.dimension !== 'share')
      it(`1 ${u.unit} is ${u.factor} ${BASE[u.dimension]}`, () => {
        const name = IN_MATHJS[u.unit];
        expect(name, `no reference unit for ${u.unit}`).to.be.a('string');
        const reference = unit(1, name).toNumber(BASE[u.dimension]);
        const slack = ['tbsp', 'tsp', 'cup'].includes(u.unit) ? KITCHEN : 1e-9;
        expect(u.factor).to.be.closeTo(reference, slack * reference);
      });

  it('knows every written form of a unit', () => {
    for (const u of UNITS)
      for (const w of u.written) expect(unitWritten(w.toUpperCase())?.unit).to.equal(u.unit);
  });
});
