import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { colorantRows, colorantsFromRows } from '../../src/core/exchange/colorantRows.ts';
import {
  readGpl,
  readPalette,
  readPaletteFile,
  writeGpl,
  writePaletteFile,
} from '../../src/core/exchange/palette.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { readCsv, writeCsv } from '../../src/app/colorants/csv.ts';
import { ombrePlan } from '../support/colours.ts';

const palettes = fc.record({
  name: fc.stringMatching(/^[A-Za-z][A-Za-z ]{0,30}[a-z]$/),
  colours: fc.array(
    fc.record({
      name: fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ]{0,20}[a-z]$/),
      colour: fc.nat(0xffffff).map((n) => `#${n.toString(16).padStart(6, '0')}`),
    }),
    { minLength: 1, maxLength: 30 },
  ),
});

const faultOf = (read: { readonly ok: boolean }): { code: string; message: string; at?: string } => {
  if (read.ok) throw new Error('it was taken');
  return (read as unknown as { fault: { code: string; message: string; at?: string } }).fault;
};

describe('palette files', () => {
  it('a palette goes out and comes back, as GIMP palette and as JSON', () => {
    fc.assert(
      fc.property(palettes, (palette) => {
        expect(readGpl(writeGpl(palette))).to.deep.equal({ ok: true, value: palette });
        expect(readPaletteFile(writePaletteFile(palette))).to.deep.equal({ ok: true, value: palette });
        expect(readPalette(writePaletteFile(palette)).ok).to.equal(true);
      }),
    );
  });

  it('reads a palette as GIMP writes it: columns, comments, tabs, names left out (GIMP palette format, from memory)', () => {
    const text =
      'GIMP Palette\r\nName: Moor\r\nColumns: 4\r\n# a comment\r\n 75  58  48\tPeat\r\n148 113 156\r\n';
    expect(readGpl(text)).to.deep.equal({
      ok: true,
      value: {
        name: 'Moor',
        colours: [
          { name: 'Peat', colour: '#4b3a30' },
          { name: '#94719c', colour: '#94719c' },
        ],
      },
    });
  });

  it('refuses what is no palette, naming the line or the field', () => {
    expect(faultOf(readGpl('hello')).at).to.equal('line 1');
    expect(faultOf(readGpl('GIMP Palette\n300 0 0 Too red\n')).at).to.equal('line 2');
    expect(faultOf(readGpl('GIMP Palette\n1 2 Short\n')).at).to.equal('line 2');
    expect(faultOf(readGpl('GIMP Palette\nName: Empty\n')).at).to.equal('colours');
    expect(faultOf(readPalette('{"format":"something"}')).at).to.equal('format');
    const bad = writePaletteFile({ name: 'x', colours: [{ name: 'a', colour: 'red' }] });
    expect(faultOf(readPalette(bad)).at).to.equal('colours.0.colour');
    fc.assert(fc.property(fc.string(), (text) => void readPalette(text)));
  });
});

describe('colorants as CSV', () => {
  it('the library goes out and comes back', () => {
    const read = readCsv(writeCsv(STARTER_COLORANTS));
    expect(read.ok && read.value).to.deep.equal(STARTER_COLORANTS);
    expect(colorantRows(STARTER_COLORANTS)[0]).to.include('dose_g_per_kg');
  });

  it('takes semicolons, another order of columns, and leaves out what may be left out', () => {
    const read = readCsv(
      'colour;name;kind;dose_g_per_kg;base_colour;g_per_tsp;carrier;carrier_ml_per_g;usual_g_per_kg\n#7D4F86;Moor violet;Mica;6;#f0e6d0;2,6;oil;5;9\n',
    );
    if (!read.ok) throw new Error(read.fault.message);
    expect(read.value[0]!.id).to.equal(undefined);
    expect(read.value[0]!.nature.colour).to.equal('#7d4f86');
    expect(read.value[0]!.nature.bleeds).to.equal(false);
    expect(read.value[0]!.nature.gPerTsp).to.equal(2.6);
  });

  it('refuses wrong columns and bad values at their row and column', () => {
    expect(faultOf(readCsv('name,shade\nPeat,brown\n')).message).to.match(/missing: kind, colour.*shade/);
    const rows = colorantRows(STARTER_COLORANTS.slice(0, 2));
    const dose = rows[0]!.indexOf('dose_g_per_kg');
    const bad = (value: string) => colorantsFromRows(rows.map((r, i) => (i === 2 ? r.with(dose, value) : r)));
    expect(faultOf(bad('-3')).at).to.equal('row 3, dose_g_per_kg');
    expect(faultOf(bad('-3')).message).to.contain('-3 g/kg');
    expect(faultOf(bad('9000')).at).to.equal('row 3, dose_g_per_kg');
    expect(faultOf(bad('much')).at).to.equal('row 3, dose_g_per_kg');
    const kind = rows[0]!.indexOf('kind');
    expect(
      faultOf(colorantsFromRows(rows.map((r, i) => (i === 1 ? r.with(kind, 'glitter') : r)))).at,
    ).to.equal('row 2, kind');
    expect(faultOf(colorantsFromRows([rows[0]!, rows[1]!, rows[1]!])).at).to.equal('row 3, id');
    expect(faultOf(readCsv('')).at).to.equal('row 1');
    fc.assert(fc.property(fc.string(), (text) => void readCsv(text)));
  });
});

describe('plan files of version 1', () => {
  const text = readFileSync('test/fixtures/copper-weir.v1.dripline.json', 'utf8');

  it('are read: every colorant once, the same doses, the colours given by hand kept', () => {
    const read = readPlanFile(text);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { plan } = read;
    expect(plan.colorants.map((c) => c.name)).to.deep.equal([
      'Titanium dioxide, oil',
      'Weir copper mica',
      'Pool green mica',
    ]);
    expect(plan.pots.map((p) => p.colour)).to.include('#c97f4f');
    const old = JSON.parse(text) as { pots: { colorants: { doseGPerKg: number }[] }[] };
    plan.pots.forEach((p, i) =>
      expect(p.colorants.map((c) => c.doseGPerKg)).to.deep.equal(
        old.pots[i]!.colorants.map((c) => c.doseGPerKg),
      ),
    );
    expect(computePlan(plan).weights).to.not.equal(undefined);
    expect(readPlanFile(writePlanFile(plan))).to.deep.equal({ ok: true, plan });
  });

  it('keep two lines of one name in a pot apart', () => {
    const old = JSON.parse(text) as { pots: { colorants: object[] }[] };
    old.pots[0]!.colorants = [
      { id: 'a', name: 'Grey', doseGPerKg: 1 },
      { id: 'b', name: 'Grey', doseGPerKg: 2 },
    ];
    const read = readPlanFile(JSON.stringify(old));
    if (!read.ok) throw new Error(read.faults[0].message);
    expect(read.plan.pots[0]!.colorants.map((c) => c.doseGPerKg)).to.deep.equal([1, 2]);
  });

  it('name the field when something in them is at fault', () => {
    const read = readPlanFile(text.replace('"doseGPerKg": 7', '"doseGPerKg": -7'));
    expect(!read.ok && read.faults[0].at).to.equal('pots.3.colorants.0.doseGPerKg');
  });
});

describe('an ombre in a plan file', () => {
  const plan = ombrePlan(4);
  const broken = (change: (p: typeof plan) => object): string | undefined => {
    const read = readPlanFile(JSON.stringify({ format: 'drip-line/plan', version: 2, ...change(plan) }));
    return read.ok ? undefined : read.faults[0].at;
  };

  it('goes out and comes back', () => {
    expect(readPlanFile(writePlanFile(plan))).to.deep.equal({ ok: true, plan });
  });

  it('is refused with its field: no such colorant, no such ombre, a dose below none, a curve that falls', () => {
    const [o] = plan.ombres;
    expect(broken((p) => ({ ...p, colorants: [] }))).to.equal('ombres.0.to.0.colorant');
    expect(broken((p) => ({ ...p, ombres: [] }))).to.equal('steps.0.ombre.id');
    expect(
      broken((p) => ({ ...p, ombres: [{ ...o, to: [{ colorant: 'heather', doseGPerKg: -1 }] }] })),
    ).to.equal('ombres.0.to.0.doseGPerKg');
    expect(
      broken((p) => ({ ...p, ombres: [{ ...o, spacing: { kind: 'curve', heights: [0.5, 0.2, 0.9] } }] })),
    ).to.equal('ombres.0.spacing.heights');
    expect(broken((p) => ({ ...p, pots: p.pots.map((q) => ({ ...q, jugOf: q.id })) }))).to.equal(
      'pots.0.jugOf',
    );
  });
});
