import { expect } from 'chai';
import fc from 'fast-check';
import type { Outcome, Progress, Task } from '../../src/core/task/task.ts';
import { cardFacts, type CardFacts } from '../../src/core/computed/cardFacts.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { finish } from '../../src/core/task/task.ts';
import { FACTS_TASKS } from '../../src/workers/factsTasks.ts';
import { createClient } from '../../src/workers/jobs/client.ts';
import type { Answer } from '../../src/workers/jobs/protocol.ts';
import { createRunner } from '../../src/workers/jobs/runner.ts';
import { inThisThread } from '../../src/workers/jobs/twin.ts';
import { demoPlans } from '../support/plans.ts';

/** Counts to `n`, a step at a time. */
function* count(n: number): Task<number, number> {
  for (let i = 1; i <= n; i += 1) yield { done: i / n, partial: i };
  if (n === 13) throw new RangeError('thirteen is no number here');
  return n;
}

const TASKS = { count };

/** A runner whose turns and clock are in the test's hands: each step of a task takes `stepMs`. */
function bench(stepMs = 3) {
  const said: Answer[] = [];
  const turns: (() => void)[] = [];
  let ms = 0;
  const run = createRunner(
    {
      count: function* (n: number): Task<number, number> {
        const task = count(n);
        for (;;) {
          ms += stepMs;
          const step = task.next();
          if (step.done) return step.value;
          yield step.value;
        }
      },
    },
    (answer) => said.push(answer),
    { now: () => ms, later: (turn) => turns.push(turn) },
  );
  const ends = (): (readonly [number, Outcome<unknown>])[] =>
    said.flatMap((a) => (a.say === 'end' ? [[a.job, a.outcome] as const] : []));
  return {
    said,
    run,
    ends,
    turn: (): void => turns.shift()?.(),
    toTheEnd: (): void => {
      for (let i = 0; turns.length > 0 && i < 10_000; i += 1) turns.shift()?.();
    },
  };
}

const start = (job: number, input: number, key?: string) =>
  ({ say: 'start', job, task: 'count', input, ...(key === undefined ? {} : { key }) }) as const;

describe('work in slices', () => {
  it('says how far it is, then what it came to', () => {
    const b = bench();
    b.run(start(1, 3));
    b.toTheEnd();
    expect(b.said.map((a) => (a.say === 'progress' ? a.progress.partial : a.outcome))).to.deep.equal([
      1,
      2,
      3,
      { kind: 'done', value: 3 },
    ]);
  });

  it('how far it is, is told once a slice: not every step is worth a message', () => {
    const said: Answer[] = [];
    const turns: (() => void)[] = [];
    let ms = 0;
    const far = function* (n: number): Task<never, number> {
      for (let i = 0; i < n; i += 1) {
        ms += 1;
        yield { done: i / n };
      }
      return n;
    };
    const run = createRunner({ far }, (answer) => said.push(answer), {
      now: () => ms,
      later: (turn) => turns.push(turn),
    });
    run({ say: 'start', job: 1, task: 'far', input: 80 });
    while (turns.length > 0) turns.shift()?.();
    expect(said.filter((a) => a.say === 'progress')).to.have.length(10);
    expect(said.at(-1)).to.deep.equal({ say: 'end', job: 1, outcome: { kind: 'done', value: 80 } });
  });

  it('a slice is about 8 ms, and jobs take turns', () => {
    const b = bench(3);
    b.run(start(1, 100));
    b.run(start(2, 2));
    b.turn();
    // three steps of 3 ms are more than 8 ms
    expect(b.said).to.have.length(3);
    b.turn();
    expect(b.ends()).to.deep.equal([[2, { kind: 'done', value: 2 }]]);
  });

  it('can be stopped, and a newer one of its key takes its place', () => {
    const b = bench();
    b.run(start(1, 100, 'card'));
    b.run(start(2, 100));
    b.turn();
    b.run(start(3, 2, 'card'));
    b.run({ say: 'stop', job: 2 });
    b.run({ say: 'stop', job: 99 });
    b.toTheEnd();
    expect(b.ends()).to.deep.equal([
      [1, { kind: 'cancelled', why: 'superseded' }],
      [2, { kind: 'cancelled', why: 'stopped' }],
      [3, { kind: 'done', value: 2 }],
    ]);
  });

  it('what throws has failed, alone', () => {
    const b = bench();
    b.run(start(1, 13));
    b.run({ ...start(2, 1), task: 'fly' });
    b.run(start(3, 1));
    b.toTheEnd();
    expect(new Map(b.ends())).to.deep.equal(
      new Map<number, Outcome<unknown>>([
        [1, { kind: 'failed', message: 'thirteen is no number here' }],
        [2, { kind: 'failed', message: 'there is no task "fly"' }],
        [3, { kind: 'done', value: 1 }],
      ]),
    );
  });

  it('every job ends once, and nothing is said of it after', () => {
    const action = fc.oneof(
      fc.record({
        do: fc.constant('start' as const),
        n: fc.nat(15),
        key: fc.option(fc.constantFrom('a', 'b')),
      }),
      fc.record({ do: fc.constant('stop' as const), job: fc.nat(12) }),
      fc.record({ do: fc.constant('turn' as const) }),
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 40 }), (actions) => {
        const b = bench();
        let jobs = 0;
        for (const a of actions) {
          if (a.do === 'turn') b.turn();
          else if (a.do === 'stop') b.run({ say: 'stop', job: a.job });
          else b.run(start((jobs += 1), a.n, a.key ?? undefined));
        }
        b.toTheEnd();
        expect(
          b
            .ends()
            .map(([job]) => job)
            .toSorted((x, y) => x - y),
        ).to.deep.equal(Array.from({ length: jobs }, (_, i) => i + 1));
        const ended = new Set<number>();
        for (const a of b.said) {
          expect(ended.has(a.job)).to.equal(false);
          if (a.say === 'end') ended.add(a.job);
        }
      }),
      { seed: 8, numRuns: 200 },
    );
  });
});

describe('the worker’s twin in this thread', () => {
  it('answers as a worker does, with progress and an end', async () => {
    const client = createClient<typeof TASKS>(inThisThread(TASKS));
    const seen: Progress<number>[] = [];
    const job = client.ask('count', 4, { onProgress: (p) => seen.push(p) });
    expect(await job.outcome).to.deep.equal({ kind: 'done', value: 4 });
    expect(seen.map((p) => p.partial)).to.deep.equal([1, 2, 3, 4]);
    const stopped = client.ask('count', 1_000_000);
    stopped.stop();
    expect(await stopped.outcome).to.deep.equal({ kind: 'cancelled', why: 'stopped' });
  });

  it('one that stops answering fails what is under way; the next job goes to a new one', async () => {
    let opened = 0;
    const client = createClient<typeof TASKS>((heard, broke) => {
      opened += 1;
      return opened === 1
        ? { post: () => undefined, close: () => undefined }
        : inThisThread(TASKS)(heard, broke);
    });
    const lost = client.ask('count', 2);
    client.giveUp('it did not answer');
    expect(await lost.outcome).to.deep.equal({ kind: 'failed', message: 'it did not answer' });
    expect(await client.ask('count', 2).outcome).to.deep.equal({ kind: 'done', value: 2 });
  });
});

describe('what a card says', () => {
  it('comes bars first, then what the whole computation says, the same by whichever way', async () => {
    const client = createClient<typeof FACTS_TASKS>(inThisThread(FACTS_TASKS));
    for (const plan of demoPlans()) {
      const coarse: CardFacts[] = [];
      const outcome = await client.ask('card-facts', plan, {
        onProgress: ({ partial }) => {
          if (partial) coarse.push(partial);
        },
      }).outcome;
      const computed = computePlan(plan);
      if (outcome.kind !== 'done') throw new Error(outcome.kind);
      expect(outcome.value).to.deep.equal(finish(cardFacts(plan)));
      expect(outcome.value.batterG).to.equal(computed.batch?.batterG);
      expect(coarse).to.have.length(1);
      expect(coarse[0]!.bars).to.equal(outcome.value.bars);
      expect(outcome.value.trouble !== undefined).to.equal(computed.warnings.some((w) => w.level !== 'note'));
    }
  });
});
