import { expect } from 'chai';
import { createClient } from '../../src/workers/jobs/client.ts';
import type { Answer, Ask, OpenPort } from '../../src/workers/jobs/protocol.ts';

/** A worker that is in the middle of one long step: it hears nothing. Each one opened is noted. */
function deaf() {
  const opened: { asks: Ask[]; closed: boolean; say: (answer: Answer) => void }[] = [];
  const open: OpenPort = (heard) => {
    const worker = { asks: [] as Ask[], closed: false, say: heard };
    opened.push(worker);
    return {
      post: (ask) => {
        worker.asks.push(ask);
      },
      close: () => {
        worker.closed = true;
      },
    };
  };
  return { open, opened };
}

const started = (asks: readonly Ask[]): number[] => asks.flatMap((a) => (a.say === 'start' ? [a.job] : []));

const within = async <T>(ms: number, promise: Promise<T>): Promise<T | 'late'> =>
  Promise.race([promise, new Promise<'late'>((done) => setTimeout(done, ms, 'late'))]);

type Tasks = Record<'long' | 'other', (input: number) => Generator<never, number, void>>;

describe('work that nobody wants any more', () => {
  it('ends within a second though its worker hears nothing; what else was asked is asked of another', async () => {
    const { open, opened } = deaf();
    const client = createClient<Tasks>(open);
    const long = client.ask('long', 1);
    const other = client.ask('other', 2);
    // it is there: it has begun with the first one
    opened[0]!.say({ say: 'progress', job: 1, progress: { done: 0 } });
    long.stop();
    expect(await within(1000, long.outcome)).to.deep.equal({ kind: 'cancelled', why: 'stopped' });
    expect(opened[0]!.closed).to.equal(true);
    expect(started(opened[1]!.asks)).to.deep.equal([2]);
    opened[1]!.say({ say: 'end', job: 2, outcome: { kind: 'done', value: 7 } });
    expect(await within(100, other.outcome)).to.deep.equal({ kind: 'done', value: 7 });
  });

  it('that answers in time keeps its worker, and one that is only being loaded is waited for', async () => {
    const { open, opened } = deaf();
    const client = createClient<Tasks>(open);
    const first = client.ask('long', 1);
    first.stop();
    expect(await within(1200, first.outcome)).to.equal('late');
    opened[0]!.say({ say: 'end', job: 1, outcome: { kind: 'cancelled', why: 'stopped' } });
    const second = client.ask('long', 2, { key: 'k' });
    const third = client.ask('long', 3, { key: 'k' });
    opened[0]!.say({ say: 'end', job: 2, outcome: { kind: 'cancelled', why: 'superseded' } });
    opened[0]!.say({ say: 'end', job: 3, outcome: { kind: 'done', value: 3 } });
    expect((await second.outcome).kind).to.equal('cancelled');
    expect((await third.outcome).kind).to.equal('done');
    expect(opened).to.have.length(1);
    expect(opened[0]!.closed).to.equal(false);
  });
});
