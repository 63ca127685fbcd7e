import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { planFileName, writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { SCHEMAS } from '../../scripts/schemaText.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { basePlan, demoPlans } from '../support/plans.ts';

const [first] = demoPlans();
const WRITTEN = writePlanFile(first!);
const text = (): string => WRITTEN;
const parsed = (): Record<string, unknown> => JSON.parse(WRITTEN) as Record<string, unknown>;

const faultsOf = (value: unknown): readonly { at?: string; message: string; code: string }[] => {
  const read = readPlanFile(typeof value === 'string' ? value : JSON.stringify(value));
  return read.ok ? [] : read.faults;
};

/** Every path to a value inside a JSON value. */
function paths(value: unknown, at: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value !== 'object' || value === null) return [at];
  return [
    at,
    ...Object.entries(value).flatMap(([k, v]) => paths(v, [...at, Array.isArray(value) ? Number(k) : k])),
  ];
}

function put(
  root: unknown,
  path: readonly (string | number)[],
  change: (holder: never, key: never) => void,
): void {
  let holder = root as Record<string, unknown>;
  for (const key of path.slice(0, -1)) holder = holder[key] as Record<string, unknown>;
  change(holder as never, path.at(-1) as never);
}

const HOSTILE: readonly unknown[] = [
  null,
  '',
  'x'.repeat(5000),
  -1,
  0,
  1e308,
  -1e308,
  0.1 + 0.2,
  [],
  {},
  [[]],
  true,
  '<script>alert(1)</script>',
  { __proto__: null, constructor: 1 },
  '__proto__',
  '2026-13-99',
  '\u0000',
  { kind: 'pour' },
];

describe('plan files', () => {
  it('come back as they were written', () => {
    for (const plan of [...demoPlans(), basePlan()]) {
      const read = readPlanFile(writePlanFile(plan));
      expect(read.ok && read.plan, plan.name).to.deep.equal(plan);
      expect(planFileName(plan)).to.match(/^[a-z0-9-]+\.dripline\.json$/);
    }
  });

  it('fit the published JSON Schema (checked by ajv)', () => {
    const schema = JSON.parse(readFileSync('docs/plan.schema.json', 'utf8')) as object;
    const check = new Ajv2020({ strict: false, validateFormats: false }).compile(schema);
    for (const plan of demoPlans())
      expect(check(JSON.parse(writePlanFile(plan))), JSON.stringify(check.errors)).to.equal(true);
    expect(check({ ...parsed(), pots: [] })).to.equal(false);
  });

  it('has published schemas that are those it is read with', () => {
    for (const [name, text] of Object.entries(SCHEMAS))
      expect(readFileSync(`docs/${name}`, 'utf8') === text, `docs/${name}: npm run docs:schema`).to.equal(
        true,
      );
  });

  it('names the field and the value of what is wrong', () => {
    const cases: readonly (readonly [string, unknown, string, RegExp])[] = [
      [
        'mould.linerMm',
        { ...parsed(), mould: { ...(parsed()['mould'] as object), linerMm: 99 } },
        'mould.linerMm',
        /99 mm/,
      ],
      [
        'superfat',
        { ...parsed(), batter: { ...(parsed()['batter'] as object), superfatPercent: -3 } },
        'batter.superfatPercent',
        /-3 % is outside 0/,
      ],
      ['unknown key', { ...parsed(), evil: 1 }, 'evil', /not a field here/],
      ['format', { ...parsed(), format: 'other' }, 'format', /"drip-line\/plan"/],
      ['version', { ...parsed(), version: 9 }, 'version', /version 9/],
      ['no version', { ...parsed(), version: 'one' }, 'version', /"one"/],
      ['not json', '{"format":', 'file', /JSON/],
      ['an array', '[1,2]', 'file', /object/],
      [
        'unknown pot',
        { ...parsed(), fill: { ...(parsed()['fill'] as object), top: [{ pot: 'nobody', massG: 5 }] } },
        'fill.top.0.pot',
        /nobody/,
      ],
    ];
    for (const [what, value, at, message] of cases) {
      const [fault] = faultsOf(value);
      expect(fault?.at, what).to.equal(at);
      expect(fault?.message, what).to.match(message);
    }
  });

  it('refuses a liner that closes the mould', () => {
    const mould = {
      name: 'Thin',
      material: 'wood',
      shape: { kind: 'box', lengthMm: 100, widthMm: 15, heightMm: 30 },
      wallMm: 10,
      bowMm: 0,
      linerMm: 6,
    };
    expect(faultsOf({ ...parsed(), mould })[0]).to.include({ code: 'mould-closed', at: 'mould.linerMm' });
  });

  it('10 000 hostile or damaged files never crash, and every refusal names a field', () => {
    const places = paths(parsed()).filter((p) => p.length > 0);
    const damage = fc.oneof(
      fc.record({
        how: fc.constant('put' as const),
        at: fc.constantFrom(...places),
        value: fc.constantFrom(...HOSTILE),
      }),
      fc.record({ how: fc.constant('drop' as const), at: fc.constantFrom(...places) }),
      fc.record({ how: fc.constant('number' as const), at: fc.constantFrom(...places), value: fc.double() }),
      fc.record({ how: fc.constant('cut' as const), to: fc.nat(text().length) }),
      fc.record({ how: fc.constant('any' as const), value: fc.json() }),
      fc.record({
        how: fc.constant('flip' as const),
        at: fc.nat(text().length - 1),
        with: fc.string({ minLength: 1, maxLength: 3 }),
      }),
    );
    let refused = 0;
    let taken = 0;
    fc.assert(
      fc.property(damage, (d) => {
        let file = text();
        if (d.how === 'cut') file = file.slice(0, d.to);
        else if (d.how === 'any') file = d.value;
        else if (d.how === 'flip') file = file.slice(0, d.at) + d.with + file.slice(d.at + 1);
        else {
          const value = parsed();
          put(value, d.at, (holder: Record<string | number, unknown>, key: string | number) => {
            if (d.how === 'drop') {
              if (Array.isArray(holder)) holder.splice(Number(key), 1);
              else Reflect.deleteProperty(holder, key);
            } else holder[key] = d.value;
          });
          file = JSON.stringify(value);
        }
        const read = readPlanFile(file);
        if (read.ok) {
          taken += 1;
          // whatever is taken is a whole plan: it computes, and nothing in it is not a number
          const computed = computePlan(read.plan);
          expect(Number.isFinite(computed.geometry.rimVolumeMl)).to.equal(true);
        } else {
          refused += 1;
          for (const fault of read.faults) {
            expect(fault.at, fault.message).to.be.a('string').with.length.above(0);
            expect(fault.message).to.have.length.above(0);
          }
        }
      }),
      { seed: 99, numRuns: 10_000 },
    );
    expect(refused).to.be.above(5000);
    expect(taken).to.be.above(50);
  });

  it('refuses a file too large to be a plan without reading it', () => {
    expect(faultsOf(' '.repeat(2_000_001))[0]?.code).to.equal('too-large');
  });
});
