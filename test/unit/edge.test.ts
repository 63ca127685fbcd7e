import { expect } from 'chai';
import fc from 'fast-check';
import { parse as parsePapa } from 'papaparse';
import * as v from 'valibot';
import { readCsv, writeCsv } from '../../src/app/colorants/csv.ts';
import { readText } from '../../src/app/parts/readText.ts';
import { newColorant, STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { wallMarksSvg } from '../../src/core/exchange/wallMarks.ts';
import { writePlanFile } from '../../src/core/exchange/writePlan.ts';
import { differences } from '../../src/core/plan/differences.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { cleanLine, cleanText } from '../../src/core/validate/cleanText.ts';
import { moment, name } from '../../src/core/validate/fields.ts';
import { StorageTrouble, troubleOf } from '../../src/store/keeping/trouble.ts';
import { basePlan, demoPlans } from '../support/plans.ts';

const file = (change: object): string =>
  JSON.stringify({ ...(JSON.parse(writePlanFile(basePlan())) as object), ...change });

describe('moments', () => {
  const taken = (text: unknown): string | undefined => {
    const read = v.safeParse(moment, text);
    return read.success ? read.output : undefined;
  };

  it('are RFC 3339, and are the same moment in universal time', () => {
    // examples of RFC 3339 (Klyne, Newman, Date and Time on the Internet: Timestamps, 2002), section 5.8
    expect(taken('1985-04-12T23:20:50.52Z')).to.equal('1985-04-12T23:20:50.520Z');
    expect(taken('1996-12-19T16:39:57-08:00')).to.equal('1996-12-20T00:39:57.000Z');
    expect(taken('1937-01-01T12:00:27.87+00:20')).to.equal('1937-01-01T11:40:27.870Z');
  });

  it('that no reader can place are refused: a short offset, a day its month has not', () => {
    for (const bad of [
      '2026-01-01T00:00:00+02',
      '2026-02-31T00:00:00.000Z',
      '2026-02-29T00:00:00.000Z',
      '2026-13-01T00:00:00.000Z',
      '2026-01-01T25:00:00.000Z',
      '2026-01-01 00:00:00Z',
      '2026-01-01',
      '+012026-01-01T00:00:00.000Z',
      '',
      5,
    ])
      expect(taken(bad), String(bad)).to.equal(undefined);
    expect(taken('2024-02-29T00:00:00.000Z')).to.equal('2024-02-29T00:00:00.000Z');
  });

  it('are always ones that can be shown', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), fc.date({ noInvalidDate: false }), (text, date) => {
        for (const written of [text, Number.isNaN(date.getTime()) ? 'x' : date.toISOString()]) {
          const read = taken(written);
          if (read !== undefined)
            expect(new Intl.DateTimeFormat('en-GB').format(new Date(read))).to.not.equal('');
        }
      }),
      { seed: 3 },
    );
  });
});

describe('text of a maker’s', () => {
  it('keeps every script, and loses what spoils the line it is put into', () => {
    for (const kept of ['Söap №5', 'мыло', '石鹸', 'صابون', 'नमक', '🧼 bar', 'a\u0301'])
      expect(cleanText(kept)).to.equal(kept);
    expect(cleanText('lone \uD800 half \uDC00')).to.equal('lone \uFFFD half \uFFFD');
    expect(cleanText('bell\u0007 nul\u0000 esc\u001b[31m')).to.equal('bell nul esc[31m');
    expect(cleanText('turned \u202Egrab\u202C')).to.equal('turned grab');
    expect(cleanLine('two\r\nlines\tand a tab')).to.equal('two lines and a tab');
    expect(cleanText('two\nlines')).to.equal('two\nlines');
  });

  it('is well formed and can stand in XML, whatever was typed', () => {
    const anything = fc
      .array(fc.integer({ min: 0, max: 0xffff }))
      .map((codes) => String.fromCharCode(...codes));
    fc.assert(
      fc.property(anything, (typed) => {
        const clean = cleanText(typed);
        expect(() => encodeURIComponent(clean)).to.not.throw();
        // XML 1.0 (Bray and others, 2008), production 2, Char
        expect(clean).to.match(/^[\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]*$/u);
        expect(cleanText(clean)).to.equal(clean);
      }),
      { seed: 4 },
    );
  });

  it('is cleaned as it is read, and a name that is nothing else is refused', () => {
    expect(v.parse(name(20), '  Slate\u202E Beds\u0000 ')).to.equal('Slate Beds');
    expect(v.safeParse(name(20), '\u200E\u0000').success).to.equal(false);
    const read = readPlanFile(file({ name: 'Weir \uD800', notes: 'a\u0000b\nc' }));
    expect(read.ok && [read.plan.name, read.plan.notes]).to.deep.equal(['Weir \uFFFD', 'ab\nc']);
  });

  it('cannot spoil the drawing of the wall marks', () => {
    const read = readPlanFile(file({ name: '<b>&"\u0008 \uD800' }));
    const svg = wallMarksSvg(computePlan(basePlan()), read.ok ? read.plan.name : '');
    expect(svg).to.include('&lt;b&gt;&amp;');
    expect(svg).to.not.include('\u0008');
    expect(svg).to.not.include('\uD800');
  });
});

describe('files that would cost time', () => {
  const timed = (text: string) => {
    const begun = performance.now();
    const read = readPlanFile(text);
    return { ms: performance.now() - begun, read };
  };

  it('are refused by their length before what is in them is looked at', () => {
    const plain = timed(writePlanFile(basePlan())).ms;
    for (const [what, change] of [
      ['pots', { pots: Array.from({ length: 600_000 }, () => ({})) }],
      ['steps', { steps: Array.from({ length: 300_000 }, () => 0) }],
      ['colorants', { colorants: Array.from({ length: 200_000 }, () => []) }],
    ] as const) {
      const { ms, read } = timed(file(change));
      expect(read.ok, what).to.equal(false);
      expect(!read.ok && read.faults[0].message, what).to.match(/^at most \d+ /);
      // seconds before; now little more than it takes to split the text
      expect(ms, what).to.be.below(1500 + 100 * plain);
    }
  });

  it('may nest as deep as they like', () => {
    for (const deep of [5000, 900_000]) {
      const nest = '['.repeat(deep) + ']'.repeat(deep);
      for (const text of [nest, file({ notes: 'HERE' }).replace('"HERE"', nest)]) {
        const { read } = timed(text);
        expect(!read.ok && read.faults[0].message.length).to.be.within(5, 200);
      }
    }
  });
});

describe('a table of colorants', () => {
  const own = (called: string, id = 'own-1') => ({ ...newColorant(id, 'x', 'mica'), name: called });

  it('has no cell that a spreadsheet would run, and is read back the same', () => {
    const names = ['=1+2', '+cmd', '-2 dark', '@sum', "'=quoted", "'quoted", "''@twice", 'plain', "it's"];
    const all = names.map((called, i) => own(called, `own-${i}`));
    const text = writeCsv(all);
    for (const row of parsePapa<string[]>(text).data)
      for (const cell of row) expect(cell).to.not.match(/^[=+\-@\t\r]/);
    const read = readCsv(text);
    expect(read.ok && read.value.map((c) => c.name)).to.deep.equal(names);
    expect(read.ok && read.value).to.deep.equal(all);
  });

  it('is read back the same whatever the colorants are called', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ minLength: 1, maxLength: 50 }), { minLength: 1, maxLength: 8 }),
        (typed) => {
          const all = typed.map((t, i) => own(cleanLine(t).trim() || 'x', `own-${i}`));
          const read = readCsv(writeCsv(all));
          expect(read.ok && read.value).to.deep.equal(all);
        },
      ),
      { seed: 6 },
    );
  });

  it('gives every row without an id an id of its own, whatever its name', () => {
    const [head, ...rows] = writeCsv([own('石鹸', 'a'), own('мыло', 'b')])
      .trimEnd()
      .split('\r\n');
    const read = readCsv([head!, ...rows.map((r) => r.replace(/,[ab]$/, ','))].join('\r\n'));
    expect(read.ok && read.value.map((c) => [c.name, c.id])).to.deep.equal([
      ['石鹸', undefined],
      ['мыло', undefined],
    ]);
  });

  it('may have semicolons and decimal commas, as many spreadsheets write it', () => {
    const text = writeCsv(STARTER_COLORANTS);
    const rows = parsePapa<string[]>(text.trimEnd()).data;
    const semicolons = rows
      .map((row) =>
        row
          .map((c) => (/^\d+\.\d+$/.test(c) ? c.replace('.', ',') : /[;"]/.test(c) ? `"${c}"` : c))
          .join(';'),
      )
      .join('\r\n');
    expect(semicolons).to.match(/;\d+,\d+;/);
    const [plain, other] = [readCsv(text), readCsv(semicolons)];
    expect(other).to.deep.equal(plain);
    // between commas a comma is no decimal one
    const quoted = writeCsv([own('x')]).replace(',3,', ',"1,500",');
    if (quoted.includes('"1,500"')) expect(readCsv(quoted).ok).to.equal(false);
  });
});

describe('two versions of a plan', () => {
  const [plan] = demoPlans();

  it('that are the same differ nowhere, however they came about', () => {
    expect(
      differences(
        plan!,
        JSON.parse(JSON.stringify({ ...plan, changed: 'other', id: 'other' })) as typeof plan & object,
      ),
    ).to.deep.equal([]);
  });

  it('differ where one was changed, in words and with both figures', () => {
    const other = { ...plan!, name: 'Other', batter: { ...plan!.batter, superfatPercent: 7.5 } };
    expect(differences(other, plan!)).to.deep.include.members([
      { where: 'Name', mine: 'Other', theirs: plan!.name },
      { where: 'Batter, superfat', mine: '7.5 %', theirs: `${plan!.batter.superfatPercent} %` },
    ]);
  });

  it('name the pot, the oil or the pour, and say what only one has', () => {
    const [firstPot, ...pots] = plan!.pots;
    const other = { ...plan!, pots: [{ ...firstPot!, stage: 4 }, ...pots.slice(0, -1)] };
    const found = differences(other, plan!);
    expect(found.map((d) => d.where)).to.include(`Pot ${firstPot!.letter}, stage`);
    expect(found).to.deep.include({
      where: `Pot ${pots.at(-1)!.letter}`,
      mine: undefined,
      theirs: pots.at(-1)!.name,
    });
  });

  it('say when only the order differs', () => {
    const swapped = { ...plan!, steps: [plan!.steps[1]!, plan!.steps[0]!, ...plan!.steps.slice(2)] };
    expect(differences(swapped, plan!)).to.deep.equal([
      { where: 'Steps', mine: 'in this order', theirs: 'in another order' },
    ]);
  });

  it('never cost a fault, whatever of two plans is compared', () => {
    const plans = demoPlans();
    for (const a of plans)
      for (const b of plans)
        for (const d of differences(a, b)) {
          expect(d.where).to.not.equal('');
          expect(d.mine).to.not.equal(d.theirs);
        }
  });
});

describe('what storage throws', () => {
  it('is told as what a maker can do something about', () => {
    const named = (called: string, message = '') => Object.assign(new Error(message), { name: called });
    expect(troubleOf(named('QuotaExceededError'))).to.equal('full');
    expect(troubleOf(Object.assign(named('AbortError'), { inner: named('QuotaExceededError') }))).to.equal(
      'full',
    );
    expect(troubleOf(named('SecurityError'))).to.equal('denied');
    expect(
      troubleOf(named('OpenFailedError', 'InvalidStateError a mutation operation was attempted')),
    ).to.equal('denied');
    expect(troubleOf(named('VersionError'))).to.equal('newer');
    expect(troubleOf(new StorageTrouble('blocked'))).to.equal('blocked');
    for (const odd of [named('UnknownError'), 'text', undefined, null, 5])
      expect(troubleOf(odd)).to.equal('failing');
  });
});

describe('a chosen file', () => {
  it('that cannot be read says so, and one far too large is not read at all', async () => {
    const gone = { size: 10, text: () => Promise.reject(new DOMException('gone', 'NotFoundError')) };
    const read = await readText(gone as unknown as File);
    expect(!read.ok && read.fault.message).to.match(/could not read it/);
    const huge = { size: 9_000_000, text: () => Promise.reject(new Error('it was read')) };
    const refused = await readText(huge as unknown as File);
    expect(!refused.ok && refused.fault.code).to.equal('too-large');
    expect(await readText(new File(['{}'], 'a.json'))).to.deep.equal({ ok: true, value: '{}' });
  });
});
