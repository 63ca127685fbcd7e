import { expect } from 'chai';
import fc from 'fast-check';
import type { Batch } from '../../src/core/batch/batchSchema.ts';
import { merged } from '../../src/core/batch/book.ts';
import { elapsed } from '../../src/core/batch/elapsed.ts';
import { begunBatch, noted, type Said } from '../../src/core/batch/note.ts';
import { stateOf } from '../../src/core/batch/state.ts';
import type { When } from '../../src/core/batch/when.ts';
import { demoPlans } from '../support/plans.ts';
import { written } from '../support/written.ts';

const [PLAN] = demoPlans() as [ReturnType<typeof demoPlans>[number]];

const ACTS = ['dissolve-lye', 'emulsify', 'pour:s1', 'pour:s2'];
const anyAct = fc.constantFrom(...ACTS);
const massG = fc.integer({ min: 1, max: 900 });

/** What may be written on the day. */
const anySaid: fc.Arbitrary<Said> = fc.oneof(
  anyAct.map((act): Said => ({ does: 'done', act })),
  anyAct.map((act): Said => ({ does: 'undone', act })),
  fc.record({ act: anyAct, massG }).map((w): Said => ({ does: 'weighed', by: 'typed', ...w })),
  fc
    .record({ act: anyAct, line: fc.constantFrom('a', 'b'), massG })
    .map((w): Said => ({ does: 'weighed', by: 'scale', ...w })),
  fc.constant<Said>({ does: 'divided' }),
  fc
    .record({ what: fc.constantFrom('goggles', 'jugs'), skipped: fc.option(fc.constant('none here')) })
    .map(({ what, skipped }): Said => ({ does: 'ready', what, ...(skipped === null ? {} : { skipped }) })),
  fc.constantFrom('started', 'stopped').map((is): Said => ({ does: 'timer', name: 'look', is })),
  fc.constant<Said>({ does: 'finished', left: [{ vessel: 'pot:p1', massG: 4 }] }),
);

/** Entries of three devices, whose wall clocks go wrong, each of which saw some of the others’ by then. */
const anyCopies = fc
  .array(fc.record({ by: fc.nat(2), said: anySaid, sees: fc.boolean(), utcMs: fc.nat(9_000_000) }), {
    maxLength: 25,
  })
  .map((entries): readonly Batch[] => {
    const base = begunBatch(PLAN, 'batch', { utcMs: 1000 });
    const copies = [base, base, base];
    for (const [i, { by, said, sees, utcMs }] of entries.entries()) {
      if (sees) copies[by] = merged(copies[by]!, copies[(by + 1) % 3]!);
      copies[by] = noted(copies[by]!, said, { id: `e${i}`, device: `d${by}`, at: { utcMs } });
    }
    return copies;
  });

describe('how a batch stands', () => {
  it('is one thing, in whatever order its events arrive, and whatever the walls’ clocks said', () => {
    fc.assert(
      fc.property(anyCopies, fc.infiniteStream(fc.nat()), ([a, b, c], random) => {
        const all = merged(merged(a!, b!), c!);
        const mixed = all.events
          .map((e) => [random.next().value as number, e] as const)
          .toSorted(([one], [other]) => one - other)
          .map(([, e]) => e);
        expect(stateOf({ ...all, events: mixed })).to.deep.equal(stateOf(all));
        expect(stateOf(merged(c!, merged(b!, a!)))).to.deep.equal(stateOf(all));
        expect(stateOf(merged(all, merged(a!, c!)))).to.deep.equal(stateOf(all));
      }),
      { seed: 27, numRuns: 200 },
    );
  });

  it('what one device wrote is as it would be kept by writing over', () => {
    fc.assert(
      fc.property(fc.array(anySaid, { maxLength: 30 }), (says) => {
        const done: string[] = [];
        const whole = new Map<string, number>();
        for (const said of says) {
          if (said.does === 'done' && !done.includes(said.act)) done.push(said.act);
          if (said.does === 'undone' && done.includes(said.act)) done.splice(done.indexOf(said.act), 1);
          if (said.does === 'weighed' && said.line === undefined) whole.set(said.act, said.massG);
        }
        const state = stateOf(written(PLAN, ...says));
        expect([...state.done.keys()]).to.deep.equal(done);
        for (const act of ACTS) expect(state.weighed.get(act)?.whole?.massG).to.equal(whole.get(act));
        // one device does not contradict itself: it corrects
        expect(state.contradicted).to.deep.equal([]);
      }),
      { seed: 28, numRuns: 200 },
    );
  });

  it('minute 0 is the first division, and goes with the act that it came with', () => {
    const divided: readonly Said[] = [{ does: 'done', act: 'emulsify' }, { does: 'divided' }];
    expect(stateOf(written(PLAN, ...divided)).zero?.utcMs).to.equal(60_000);
    expect(stateOf(written(PLAN, ...divided, { does: 'divided' })).zero?.utcMs).to.equal(60_000);
    const other: Said = { does: 'undone', act: 'pour:s1' };
    expect(stateOf(written(PLAN, ...divided, other)).zero?.utcMs).to.equal(60_000);
    const back: Said = { does: 'undone', act: 'emulsify' };
    expect(stateOf(written(PLAN, ...divided, back)).zero).to.equal(undefined);
    expect(stateOf(written(PLAN, ...divided, back, ...divided)).zero?.utcMs).to.equal(240_000);
  });

  it('what is done twice was done the first time, and a timer runs until it is stopped', () => {
    const done: Said = { does: 'done', act: 'emulsify' };
    const started: Said = { does: 'timer', name: 'look', is: 'started' };
    const state = stateOf(written(PLAN, done, done, started, { ...started, name: 'oils' }));
    expect(state.done.get('emulsify')!.utcMs).to.equal(0);
    expect([...state.timers.keys()]).to.deep.equal(['look', 'oils']);
    const stopped = stateOf(written(PLAN, started, { ...started, is: 'stopped' }));
    expect(stopped.timers.size).to.equal(0);
  });

  it('of two weights from two devices the later stands, and the other is shown', () => {
    const base = begunBatch(PLAN, 'batch', { utcMs: 0 });
    const weighs = (batch: Batch, device: string, g: number): Batch =>
      noted(
        batch,
        { does: 'weighed', act: 'pour:s1', massG: g, by: 'typed' },
        {
          id: `${device}${g}`,
          device,
          at: { utcMs: 5 },
        },
      );
    const state = stateOf(merged(weighs(base, 'tablet', 240), weighs(base, 'laptop', 260)));
    expect(state.weighed.get('pour:s1')!.whole).to.deep.equal({ massG: 240, device: 'tablet' });
    expect(state.contradicted).to.deep.equal([{ act: 'pour:s1', massG: 260, device: 'laptop' }]);
  });

  it('keeps count of what a newer version wrote, and makes nothing of it', () => {
    const batch = written(PLAN, { does: 'done', act: 'emulsify' });
    const foreign = { ...batch.events[0]!, id: 'f', seq: 9, counter: 9, does: 'sung-to' } as const;
    const state = stateOf({ ...batch, events: [...batch.events, foreign as never] });
    expect([state.unknown, state.done.size]).to.deep.equal([1, 1]);
  });
});

describe('the time between two moments', () => {
  const on = (clock: string, ms: number, utcMs: number): When => ({ utcMs, running: { clock, ms } });
  const HOUR = 3_600_000;

  it('is the running clock’s, however the wall clock is set meanwhile', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ step: fc.nat(600_000), wall: fc.integer({ min: -HOUR, max: HOUR }) }), {
          minLength: 1,
          maxLength: 12,
        }),
        (steps) => {
          let ms = 0;
          const moments = [on('page', 0, 9e12)];
          for (const { step, wall } of steps) moments.push(on('page', (ms += step), 9e12 + ms + wall));
          expect(elapsed(moments)).to.deep.equal({ ms, atLeast: false });
        },
      ),
      { seed: 29, numRuns: 200 },
    );
  });

  it('over a page that was closed is what both clocks ran, and the wall’s between them', () => {
    const day = [
      on('a', 1000, 5_000_000),
      on('a', 61_000, 5_060_000),
      on('b', 300, 5_200_000),
      on('b', 900, 5_200_600),
    ];
    expect(elapsed(day)).to.deep.equal({ ms: 60_000 + 140_000 + 600, atLeast: false });
    // set back by an hour while it was open: nothing comes of it
    const back = day.map((m, i) => (i === 0 ? m : { ...m, utcMs: m.utcMs - HOUR }));
    expect(elapsed(back)).to.deep.equal(elapsed(day));
  });

  it('is told as the least where the wall clock was set back while the page was closed', () => {
    const day = [on('a', 1000, 5_000_000), on('a', 61_000, 5_060_000), on('b', 300, 5_200_000 - HOUR)];
    expect(elapsed(day)).to.deep.equal({ ms: 60_000, atLeast: true });
    // what comes after it does not make up for it
    const on2 = [...day, on('b', 900, 5_200_600 - HOUR), on('c', 5, 5_300_600 - HOUR)];
    expect(elapsed(on2)).to.deep.equal({ ms: 60_000 + 600 + 100_000, atLeast: true });
  });

  it('of moments without a running clock is the wall’s, across midnight and a change of zone', () => {
    const late: When = { utcMs: Date.UTC(2026, 9, 24, 23, 50), zoneMin: 120 };
    const early: When = { utcMs: Date.UTC(2026, 9, 25, 1, 10), zoneMin: 60 };
    expect(elapsed([late, early])).to.deep.equal({ ms: 80 * 60_000, atLeast: false });
    expect(elapsed([late])).to.deep.equal({ ms: 0, atLeast: false });
  });
});
