import { expect } from 'chai';
import fc from 'fast-check';
import { unitWritten } from '../../src/core/units/factors.ts';
import { formatMass, formatNumber, lengthFigure } from '../../src/core/units/format.ts';
import { parseAs, parseQuantity } from '../../src/core/units/parseQuantity.ts';

const g = unitWritten('g')!;
const mm = unitWritten('mm')!;
const inch = unitWritten('in')!;

const value = (text: string, bare = g): number => {
  const read = parseQuantity(text, bare);
  if (!read.ok) throw new Error(read.fault.message);
  return read.value.value;
};

describe('quantities as makers write them', () => {
  const CASES: readonly (readonly [text: string, bare: typeof g, expected: number])[] = [
    ['425', g, 425],
    ['15 oz', g, 425.242846875],
    ['1 lb 4 oz', g, 566.9904625],
    ['1.2kg', g, 1200],
    ['1 506 g', g, 1506],
    ['1\u202f506,5 g', g, 1506.5],
    ['18 mm', mm, 18],
    ['3 1/2"', mm, 88.9],
    ['3½ in', mm, 88.9],
    ['¾', inch, 19.05],
    ['1/4', inch, 6.35],
    ['1\' 2"', mm, 355.6],
    ['2,5 cm', mm, 25],
    ['-4 mm', mm, -4],
    ['3-1/2"', mm, 88.9],
    ['3-½ in', mm, 88.9],
    ['1’2”', mm, 355.6],
    ['1′2″', mm, 355.6],
    ["1'2''", mm, 355.6],
    ['2 ft, 3 1/2 in', mm, 698.5],
    ['3⁄4 in', mm, 19.05],
    ['3 1⁄2 in', mm, 88.9],
    ['100 mm.', mm, 100],
    ['100 millimeters', mm, 100],
    ['5 grammes', g, 5],
    ['+100', g, 100],
    ['1 lb, 4 oz', g, 566.9904625],
    ['1 lb. 4 oz.', g, 566.9904625],
    ['1lb.4oz', g, 566.9904625],
    ['10 in³', g, 163.87064],
  ];
  for (const [text, bare, expected] of CASES)
    it(`reads ${text} as ${expected}`, () => {
      expect(value(text, bare)).to.be.closeTo(expected, 1e-9);
    });

  it('knows a share from a mass', () => {
    expect(parseQuantity('12%', g)).to.deep.equal({ ok: true, value: { dimension: 'share', value: 12 } });
    const refused = parseAs('12 %', g);
    expect(!refused.ok && refused.fault.code).to.equal('wrong-dimension');
  });

  for (const [text, code] of [
    ['', 'empty'],
    ['about 400', 'not-a-quantity'],
    ['4..5', 'not-a-quantity'],
    ['3-1', 'not-a-quantity'],
    ['+-5', 'not-a-quantity'],
    ['5,', 'not-a-quantity'],
    ['5 - 3 mm', 'not-a-quantity'],
    ['1/0', 'not-a-quantity'],
    ['1,500 g', 'ambiguous-comma'],
    ['3 in 4 oz', 'mixed-units'],
    ['5 furlongs', 'not-a-quantity'],
    ['NaN', 'not-a-quantity'],
    ['1e3', 'not-a-quantity'],
  ] as const)
    it(`refuses "${text}" with ${code}`, () => {
      const read = parseQuantity(text, g);
      expect(!read.ok && read.fault.code).to.equal(code);
    });

  it('never throws, whatever is typed, and gives a finite number or a fault', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        const read = parseQuantity(text, g);
        if (read.ok) expect(Number.isFinite(read.value.value)).to.equal(true);
        else expect(read.fault.message).to.have.length.above(0);
      }),
      { seed: 3, numRuns: 3000 },
    );
  });

  it('reads back every figure it shows', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 99999, noNaN: true }), (mass) => {
        expect(value(formatMass(mass, 'g', 0.1))).to.be.closeTo(mass, 0.0501);
        expect(value(`${lengthFigure(mass, 'in')} in`, mm)).to.be.closeTo(mass, 0.13);
      }),
      { seed: 5, numRuns: 500 },
    );
  });

  it('groups thousands and never shows minus nothing', () => {
    expect(formatNumber(1234567.25, 1)).to.equal('1\u202f234\u202f567.3');
    expect(formatNumber(-0.04, 1)).to.equal('0.0');
    expect(formatNumber(-3.2, 1)).to.equal('−3.2');
  });
});
