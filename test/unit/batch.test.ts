import { Ajv2020 } from 'ajv/dist/2020.js';
import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import type { Batch } from '../../src/core/batch/batchSchema.ts';
import { inOrder, isOver, merged, nextPlace } from '../../src/core/batch/book.ts';
import type { BatchEvent } from '../../src/core/batch/eventSchema.ts';
import { happenedIn } from '../../src/core/batch/happened.ts';
import {
  added,
  asPlanned,
  begunBatch,
  noted,
  poured,
  restoring,
  type Said,
} from '../../src/core/batch/note.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { takeApart } from '../../src/core/edit/ombre.ts';
import { setAmount } from '../../src/core/edit/pours.ts';
import {
  batchFileName,
  readBatchFile,
  readBatchValue,
  writeBatchFile,
} from '../../src/core/exchange/batchFile.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { readShelfFile } from '../../src/core/exchange/shelfFile.ts';
import { poursOfOmbre } from '../../src/core/ombre/runs.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { PLAN_VERSION } from '../../src/core/plan/planVersion.ts';
import { demoPlans } from '../support/plans.ts';
import { printed } from '../support/printed.ts';
import { really, written } from '../support/written.ts';

/** A plan with an ombre, and the ids of its layers. */
function graded(): { readonly plan: Plan; readonly layers: readonly string[] } {
  const plan = demoPlans().find((p) => p.ombres.length > 0)!;
  return { plan, layers: poursOfOmbre(plan, plan.ombres[0]!.id).map((p) => p.id) };
}

const { plan: PLAN, layers: LAYERS } = graded();

/** What may be written of a layer: poured, added, or taken back. */
const anySaid: fc.Arbitrary<Said> = fc
  .record({
    layer: fc.constantFrom(...LAYERS),
    what: fc.constantFrom('poured', 'added', 'not poured', 'not added'),
    massG: fc.integer({ min: 1, max: 900 }),
  })
  .map(({ layer, what, massG }) =>
    what === 'poured' || what === 'not poured'
      ? poured(layer, what === 'poured' ? massG : undefined)
      : added(layer, what === 'added' ? [{ colorant: 'heather', massG: massG / 100 }] : undefined),
  );

describe('the book of a batch', () => {
  it('keeps every entry as it was written, and says what holds after the last', () => {
    fc.assert(
      fc.property(fc.array(anySaid, { maxLength: 25 }), (says) => {
        let batch = written(PLAN);
        // the same, kept by overwriting
        const now = new Map<string, number>();
        for (const [i, said] of says.entries()) {
          const before = batch.events;
          batch = noted(batch, said, { id: `e${i}`, device: 'bench', at: { utcMs: i } });
          expect(batch.events.slice(0, before.length)).to.deep.equal(before);
          if (said.does === 'weighed') now.set(`${said.act} weighed`, said.massG);
          if (said.does === 'added') now.set(`${said.act} added`, said.added[0]!.massG);
          if (said.does === 'as-planned') now.delete(`${said.act} ${said.what}`);
        }
        const happened = happenedIn(batch, PLAN);
        for (const pour of LAYERS) {
          expect(happened.get(pour)?.pouredG).to.equal(now.get(`pour:${pour} weighed`));
          expect(happened.get(pour)?.added?.[0]?.massG).to.equal(now.get(`pour:${pour} added`));
        }
        const read = readBatchValue(batch);
        expect(read.ok || read.fault).to.equal(true);
      }),
      { seed: 5, numRuns: 100 },
    );
  });

  it('taken back, the sheet is the planned one again', () => {
    const happened = really(
      PLAN,
      poured(LAYERS[1]!, 77),
      added(LAYERS[2]!, [{ colorant: PLAN.ombres[0]!.to[0]!.colorant, massG: 0.4 }]),
    );
    expect(printed(PLAN, happened).steps).to.not.deep.equal(printed(PLAN).steps);
    const back = [poured(LAYERS[1]!, 77), ...asPlanned(happened, LAYERS)];
    expect(printed(PLAN, really(PLAN, ...back)).steps).to.deep.equal(printed(PLAN).steps);
    expect(asPlanned(really(PLAN), LAYERS)).to.deep.equal([]);
  });

  it('what was typed and is taken back restores what was written before it, and nothing else', () => {
    const before = written(PLAN, poured(LAYERS[0]!, 50), poured(LAYERS[1]!, 60));
    const typed = [poured(LAYERS[1]!, 61), added(LAYERS[2]!, [])];
    const says = [poured(LAYERS[0]!, 50), poured(LAYERS[1]!, 60), ...typed, ...restoring(before, typed)];
    expect(happenedIn(written(PLAN, ...says), PLAN)).to.deep.equal(happenedIn(before, PLAN));
  });

  it('of a layer that is none any more says nothing, and softens no refusal', () => {
    const batch = written(PLAN, poured(LAYERS[1]!, 77));
    const apart = takeApart(PLAN, PLAN.ombres[0]!.id);
    const happened = happenedIn(batch, apart);
    expect(happened.size).to.equal(0);
    const over = setAmount(apart, LAYERS[0]!, { kind: 'height', heightMm: 500 });
    const fault = computePlan(over, happened).warnings.find((w) => w.code === 'overfull')!;
    expect(fault.level).to.equal('refuse');
  });

  it('a line that was weighed is not all that was poured', () => {
    const line: Said = { does: 'weighed', act: `pour:${LAYERS[0]!}`, line: 'l1', massG: 5, by: 'scale' };
    expect(really(PLAN, line).size).to.equal(0);
  });
});

/** Entries of up to three devices, each of which has seen some of what the others wrote by then. */
const anyCopies: fc.Arbitrary<{ readonly all: Batch; readonly copies: readonly Batch[] }> = fc
  .array(fc.record({ by: fc.nat(2), said: anySaid, sees: fc.boolean() }), { maxLength: 20 })
  .map((entries) => {
    const base = begunBatch(PLAN, 'batch', { utcMs: 1000 });
    const copies: Batch[] = [base, base, base];
    for (const [i, { by, said, sees }] of entries.entries()) {
      if (sees) copies[by] = merged(copies[by]!, copies[(by + 1) % 3]!);
      // clocks go wrong
      const at = { utcMs: (i * 7919) % 5000 };
      copies[by] = noted(copies[by]!, said, { id: `e${i}`, device: `d${by}`, at });
    }
    return { copies, all: copies.reduce(merged) };
  });

describe('copies of one batch', () => {
  it('put together are one, in any order and any number of times, with every event once', () => {
    fc.assert(
      fc.property(anyCopies, ({ copies: [a, b, c], all }) => {
        expect(merged(merged(c!, a!), b!)).to.deep.equal(all);
        expect(merged(a!, merged(b!, c!))).to.deep.equal(all);
        expect(merged(all, b!)).to.equal(all);
        expect(merged(all, all)).to.equal(all);
        const ids = [a!, b!, c!].flatMap((x) => x.events.map((e) => e.id));
        expect(all.events.map((e) => e.id)).to.have.members([...new Set(ids)]);
        expect(happenedIn(merged(b!, merged(c!, a!)), PLAN)).to.deep.equal(happenedIn(all, PLAN));
      }),
      { seed: 8, numRuns: 150 },
    );
  });

  it('what a device had seen when it wrote comes before what it wrote, whatever its clock said', () => {
    fc.assert(
      fc.property(anyCopies, ({ copies }) => {
        for (const copy of copies) {
          const order = inOrder(copy).map((e) => e.id);
          const own = noted(copy, poured(LAYERS[0]!, 1), { id: 'last', device: 'd9', at: { utcMs: 0 } });
          expect(inOrder(own).map((e) => e.id)).to.deep.equal([...order, 'last']);
          const { seq } = nextPlace(copy, 'd1');
          expect(copy.events.filter((e) => e.device === 'd1').every((e) => e.seq < seq)).to.equal(true);
        }
      }),
      { seed: 9, numRuns: 60 },
    );
  });

  it('that began differently are the one that began first', () => {
    const [early, late] = [1000, 2000].map((utcMs) =>
      begunBatch({ ...PLAN, name: `at ${utcMs}` }, 'b', { utcMs }),
    );
    expect(merged(early!, late!).name).to.equal('at 1000');
    expect(merged(late!, early!).name).to.equal('at 1000');
  });
});

/** One event of every kind that is known, as another device may have written it. */
const EVERY_KIND: readonly object[] = [
  { does: 'ready', what: 'goggles' },
  { does: 'ready', what: 'thermometer', skipped: 'broken' },
  { does: 'begun', act: 'emulsify' },
  { does: 'done', act: 'emulsify' },
  { does: 'undone', act: 'emulsify' },
  { does: 'weighed', act: 'weigh-oils', line: 'olive', massG: 481.5, by: 'scale', steady: true },
  { does: 'added', act: 'pour:s1', added: [{ colorant: 'heather', massG: 1.25 }] },
  { does: 'as-planned', act: 'pour:s1', what: 'added' },
  { does: 'left', vessel: 'pot:p1', massG: 12 },
  { does: 'temperature', vessel: 'lye', celsius: 38.5 },
  { does: 'stage', of: { is: 'jug', pot: 'p1' }, stage: 1.5 },
  { does: 'stage', of: { is: 'layer', act: 'pour:s1' }, stage: 3 },
  { does: 'divided' },
  { does: 'timer', name: 'gel', is: 'started' },
  { does: 'amended', planVersion: PLAN_VERSION, plan: PLAN },
  { does: 'trouble', what: 'broke-through', where: 'left wall' },
  { does: 'note', text: 'Smells of almonds.' },
  { does: 'photo', photo: 'ph1' },
  { does: 'after', what: 'unmoulded' },
  { does: 'after', what: 'weighed', bars: 9, massG: 812, note: 'one is chipped' },
  { does: 'verdict', faults: ['soda ash'], change: 'cover it' },
  { does: 'learned', what: 'stages a minute', from: 0.05, to: 0.07, taken: true },
  { does: 'finished', left: [{ vessel: 'pot:p1', massG: 9 }] },
  { does: 'thrown-away', reason: 'separated' },
];

const event = (said: object, i: number): object => ({
  id: `e${i}`,
  device: 'tablet',
  seq: i + 1,
  counter: i + 1,
  at: { utcMs: 1_800_000_000_000 + i, zoneMin: 60, running: { clock: 'c1', ms: 5.5 * i } },
  ...said,
});

const withEvents = (events: readonly object[]): Batch => ({
  ...begunBatch(PLAN, 'batch', { utcMs: 1_800_000_000_000, zoneMin: -330 }),
  events: events as readonly BatchEvent[] as BatchEvent[],
});

describe('a batch file', () => {
  it('reads back as it was written, with every kind of event, and is what the published schema says', () => {
    const batch = withEvents(EVERY_KIND.map(event));
    const text = writeBatchFile(batch);
    expect(readBatchFile(text)).to.deep.equal({ ok: true, value: batch });
    const validate = new Ajv2020({ strict: false }).compile(
      JSON.parse(readFileSync('docs/batch.schema.json', 'utf8')) as object,
    );
    expect(validate(JSON.parse(text)) || validate.errors).to.equal(true);
    expect(batchFileName(batch)).to.match(/-2027-01-15\.dripline-batch\.json$/);
  });

  it('keeps an event of a newer kind as it is, and makes nothing of it', () => {
    const newer = event({ does: 'sang', song: { verses: 3 } }, 0);
    const batch = withEvents([
      newer,
      event({ does: 'weighed', act: `pour:${LAYERS[0]!}`, massG: 80, by: 'typed' }, 1),
    ]);
    const read = readBatchFile(writeBatchFile(batch));
    expect(read.ok && read.value.events[0]).to.deep.equal(newer);
    expect(happenedIn(batch, PLAN).get(LAYERS[0]!)).to.deep.equal({ pouredG: 80 });
    expect(isOver(batch)).to.equal(false);
    expect(isOver(withEvents([event({ does: 'thrown-away', reason: 'seized' }, 0)]))).to.equal(true);
  });

  it('brings older plans in it up to date', () => {
    const { planVersion: _now, ...rest } = withEvents([]);
    const { clock: _clock, ...sixth } = PLAN;
    const amended = event({ does: 'amended', planVersion: 6, plan: sixth }, 0);
    const read = readBatchValue({ ...rest, planVersion: 6, plan: sixth, events: [amended] });
    if (!read.ok) throw new Error(read.fault.message);
    expect(read.value.planVersion).to.equal(PLAN_VERSION);
    expect(read.value.plan.clock).to.deep.equal({ colouring: 'all-first' });
    expect(read.value.events[0]).to.deep.include({ planVersion: PLAN_VERSION });
  });

  it('names what is at fault in it', () => {
    const at = (batch: object): unknown => {
      const read = readBatchFile(JSON.stringify({ format: 'drip-line/batch', version: 1, ...batch }));
      return read.ok ? 'read' : read.fault.at;
    };
    const good = withEvents([]);
    expect(at(good)).to.equal('read');
    expect(
      at({ ...good, events: [event({ does: 'weighed', act: 'pour:s1', massG: -1, by: 'typed' }, 0)] }),
    ).to.equal('events.0.massG');
    expect(at({ ...good, events: [event({ does: 'temperature', vessel: 'a b', celsius: 20 }, 0)] })).to.equal(
      'events.0.vessel',
    );
    expect(at({ ...good, started: { utcMs: -1 } })).to.equal('started.utcMs');
    const nowhere = PLAN.steps.map((s) => (s.kind === 'pour' ? { ...s, pot: 'nowhere' } : s));
    expect(at({ ...good, plan: { ...PLAN, steps: nowhere } })).to.match(/^plan\.steps\.\d+\.pot$/);
    expect(
      at({
        ...good,
        events: [event({ does: 'amended', planVersion: PLAN_VERSION, plan: { ...PLAN, steps: nowhere } }, 0)],
      }),
    ).to.match(/^events\.0\.plan\.steps/);
    expect(at({ version: 3 })).to.equal('version');
  });

  it('that is cut in half, foreign, or hostile is refused with a word, and never throws', () => {
    const text = writeBatchFile(withEvents(EVERY_KIND.map(event)));
    for (let cut = 0; cut < text.length - 2; cut += 97) {
      const read = readBatchFile(text.slice(0, cut));
      expect(read.ok, `cut at ${cut}`).to.equal(false);
    }
    const deep = `{"format":"drip-line/batch","version":1,"events":${'['.repeat(5000)}${']'.repeat(5000)}}`;
    const hostile = [
      deep,
      '{"format":"drip-line/batch","version":1,"__proto__":{"id":"x"}}',
      text.replace('"does": "done"', '"does": ["done"]'),
      text.replace(/"seq": \d+/, '"seq": 1e999'),
      text.replace(/"utcMs": \d+/, '"utcMs": "soon"'),
      '[]',
      'null',
      '\u0000',
    ];
    for (const bad of hostile) {
      const read = readBatchFile(bad);
      expect(read.ok, bad.slice(0, 80)).to.equal(false);
      expect(read.ok || read.fault.message).to.match(/\w/);
    }
    expect(({} as { readonly id?: string }).id).to.equal(undefined);
  });

  it('is told from a plan file by what it says it is', () => {
    const batch = withEvents([]);
    expect(readShelfFile(writeBatchFile(batch))).to.deep.equal({ ok: true, batch });
    const newer = readShelfFile('{"format":"drip-line/batch","version":9}');
    expect(newer.ok || newer.faults[0].code).to.equal('newer-version');
    const none = readShelfFile('{"format":"drip-line/mould"}');
    expect(none.ok || none.faults[0].message).to.match(/"drip-line\/plan" is wanted/);
  });
});

describe('a plan of version 7 in which a batch was written', () => {
  const FILES = ['heather-poured.v7', 'beck-poured.v7'];
  const fixture = (name: string): string => readFileSync(`test/fixtures/${name}.dripline.json`, 'utf8');
  const found = (text: string): { readonly plan: Plan; readonly batch: Batch } => {
    const read = readPlanFile(text);
    if (!read.ok || !read.batch) throw new Error('no batch');
    return { plan: read.plan, batch: read.batch };
  };

  for (const name of FILES)
    it(`${name} weighs the same as it did, to the line`, () => {
      const { plan, batch } = found(fixture(name));
      const lines = printed(plan, happenedIn(batch, plan)).procedure.flatMap((t) =>
        t.lines.map((l) => `${l.name}: ${l.mass_g}${l.times ? ` x ${l.times}` : ''} g, ${l.from} to ${l.to}`),
      );
      expect(lines).to.deep.equal(readFileSync(`test/fixtures/${name}.lines.txt`, 'utf8').trim().split('\n'));
    });

  it('is a plan, and a batch of the plan as it was found, with every entry', () => {
    const { plan, batch } = found(fixture(FILES[0]!));
    expect(plan).to.not.have.property('batch');
    expect(batch.plan).to.deep.equal(plan);
    expect(batch.planAsFound).to.equal(true);
    expect(batch.events.map((e) => e.does)).to.deep.equal(['weighed', 'as-planned', 'weighed', 'added']);
    expect(batch.events.map((e) => new Date(e.at.utcMs).getUTCHours())).to.deep.equal([10, 11, 12, 13]);
    expect(readBatchFile(writeBatchFile(batch))).to.deep.equal({ ok: true, value: batch });
  });

  it('read twice is one batch; a copy with more in it adds what is more', () => {
    const file = JSON.parse(fixture(FILES[0]!)) as { batch: { events: object[] }; id: string };
    const { batch } = found(fixture(FILES[0]!));
    expect(merged(batch, found(fixture(FILES[0]!)).batch)).to.equal(batch);
    const { events } = file.batch;
    const shorter = found(
      JSON.stringify({ ...file, batch: { ...file.batch, events: events.slice(0, 2) } }),
    ).batch;
    expect(shorter.id).to.equal(batch.id);
    expect(merged(shorter, batch)).to.deep.equal(batch);
    // of another plan the same entries are others
    const other = found(JSON.stringify({ ...file, id: 'another' })).batch;
    expect(other.id).to.not.equal(batch.id);
    expect(other.events.map((e) => e.id)).to.not.include.members(batch.events.map((e) => e.id));
  });

  it('with something at fault in its book is refused, at the place', () => {
    const file = JSON.parse(fixture(FILES[0]!)) as { batch: { started: string; events: object[] } };
    const at = (change: object): unknown => {
      const read = readPlanFile(JSON.stringify({ ...file, batch: { ...file.batch, ...change } }));
      return read.ok ? 'read' : read.faults[0].at;
    };
    const [first, ...others] = file.batch.events;
    expect(at({})).to.equal('read');
    expect(at({ events: [{ ...first, massG: 'much' }, ...others] })).to.equal('batch.events.0.massG');
    expect(at({ events: [{ ...first, at: 'then' }] })).to.equal('batch.events.0.at.utcMs');
    expect(at({ events: [{ ...first, more: 1 }] })).to.equal('batch.events.0.more');
    expect(at({ started: 'then' })).to.equal('batch.started.utcMs');
    for (const events of ['none', [null], [{ ...first, does: 'spilt' }]])
      expect(at({ events })).to.equal('batch');
  });

  it('a plan of this version has none', () => {
    const file = { ...(JSON.parse(fixture(FILES[0]!)) as object), version: PLAN_VERSION };
    const read = readPlanFile(JSON.stringify(file));
    expect(read.ok || read.faults[0].at).to.equal('batch');
  });
});
