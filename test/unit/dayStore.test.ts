import { expect } from 'chai';
import { inOrder } from '../../src/core/batch/book.ts';
import { stateOf } from '../../src/core/batch/state.ts';
import type { When } from '../../src/core/batch/when.ts';
import { addPour } from '../../src/core/edit/pours.ts';
import { batchesOfPlan } from '../../src/store/tables/batches.ts';
import { recordOf } from '../../src/store/tables/plans.ts';
import { readBatches } from '../../src/store/tables/storedBatch.ts';
import { demo } from '../support/plans.ts';
import { emptied, loadSession, until, type Session } from '../support/session.ts';
import { tablesOf } from '../support/tables.ts';

const PLAN = demo('Slate Beds');

let s: Session;

const stored = async () => readBatches(await batchesOfPlan(s.database, PLAN.id)).batches;
const shown = () => {
  const { batch } = s.store.getState().batch;
  if (!batch) throw new Error('no batch is shown');
  return batch;
};

before(async () => {
  s = await loadSession();
});

beforeEach(async () => {
  await s.bookKeeper.flush();
  s.store.dispatch(s.planClosed());
  localStorage.clear();
  await emptied(s);
  await tablesOf(s.database).plans.put(recordOf(PLAN, 'r1'));
});

const opened = async (): Promise<string> => {
  const id = await s.startBatch(PLAN);
  expect((await s.store.dispatch(s.openBatch(id))).kind).to.equal('open');
  return id;
};

describe('a batch in its room', () => {
  it('has the plan as it was when it began, and nothing edits that: not here, not in storage', async () => {
    await opened();
    const before = s.store.getState().plan.present;
    expect(s.store.getState().plan.frozen).to.equal(true);
    s.store.dispatch(s.editPlan((p) => ({ ...p, name: 'Another' })));
    s.store.dispatch(s.undone());
    expect(s.store.getState().plan.present).to.equal(before);
    expect(s.store.getState().plan.past).to.deep.equal([]);
    await tablesOf(s.database).plans.put(recordOf({ ...PLAN, name: 'Changed since' }, 'r2'));
    const { id } = shown();
    s.store.dispatch(s.planClosed());
    await s.store.dispatch(s.openBatch(id));
    expect(s.store.getState().plan.present?.name).to.equal(PLAN.name);
    expect((await tablesOf(s.database).plans.get(PLAN.id))?.plan.name).to.equal('Changed since');
  });

  it('is gone on with while nothing of it is done; after that, and of a changed plan, another begins', async () => {
    const id = await opened();
    expect(await s.startBatch(PLAN)).to.equal(id);
    await s.sayOnDay([{ does: 'done', act: 'water' }]);
    const second = await s.startBatch(PLAN);
    expect(second).to.not.equal(id);
    expect(await s.startBatch({ ...PLAN, notes: 'not what is poured' })).to.be.a('string');
    expect(await s.startBatch(addPour(PLAN, PLAN.pots[0]?.id ?? '').plan)).to.not.equal(second);
    expect((await stored()).length).to.be.at.least(3);
  });

  it('is shown once it is stored, in the order in which it was said, at the moment of the press', async () => {
    await opened();
    const clock = Date.now;
    const times = [1_800_000_000_000, 1_800_000_005_000, 1_800_000_001_000];
    const said = times.map((utcMs, i) => {
      Date.now = () => utcMs;
      return s.sayOnDay([{ does: 'done', act: `act${i}` }]);
    });
    Date.now = clock;
    expect(stateOf(shown()).done.size).to.equal(0);
    await Promise.all(said);
    const [batch] = await stored();
    expect(inOrder(shown()).map((e) => e.at.utcMs)).to.deep.equal(times);
    expect(batch && [...stateOf(batch).done.keys()]).to.deep.equal(['act0', 'act1', 'act2']);
  });

  it('what cannot be written is a fault, and nothing of it is', async () => {
    await opened();
    const fault = await s.sayOnDay([
      { does: 'done', act: 'water' },
      { does: 'temperature', vessel: 'lye', celsius: 4000 },
    ]);
    expect(fault?.message).to.match(/\d/);
    expect(shown().events).to.deep.equal([]);
    expect(await s.sayOnDay([{ does: 'done', act: 'water' }])).to.equal(undefined);
    expect(shown().events).to.have.length(1);
  });

  it('another page’s writing is seen; a batch that is not there, or damaged, is told', async () => {
    const id = await opened();
    const stop = s.store.dispatch(s.followBatch(id));
    await until(async () => (await stored()).length === 1);
    const [batch] = await stored();
    if (!batch) throw new Error('not stored');
    const { putBatch } = await import('../../src/store/tables/batches.ts');
    const { noted } = await import('../../src/core/batch/note.ts');
    const stamp = { id: 'of-another', device: 'another', at: { utcMs: 1_800_000_000_000 } };
    await putBatch(s.database, noted(batch, { does: 'done', act: 'water' }, stamp));
    await until(() => stateOf(shown()).done.has('water'));
    expect(stateOf(shown()).done.has('water')).to.equal(true);
    stop();
    expect((await s.store.dispatch(s.openBatch('nowhere'))).kind).to.equal('missing');
    await s.database.table('batches').update(id, { version: 99 });
    expect((await s.store.dispatch(s.openBatch(id))).kind).to.equal('damaged');
  });
});

describe('the pulse of a batch', () => {
  const at = (clock: string, ms: number): When => ({
    utcMs: 1_800_000_000_000 + ms,
    running: { clock, ms },
  });

  it('keeps of each page the first and the last moment since the last event, in their order', () => {
    for (const ms of [0, 10, 20, 30]) s.beat('b', 'e1', at('a', ms));
    for (const ms of [100, 110]) s.beat('b', 'e1', at('c', ms));
    expect(s.beatsSince('b', 'e1')).to.deep.equal([at('a', 0), at('a', 30), at('c', 100), at('c', 110)]);
    expect(s.beatsSince('b', 'e2')).to.deep.equal([]);
    // the first page again: where it was first it stays
    s.beat('b', 'e1', at('a', 130));
    expect(s.beatsSince('b', 'e1').map((m) => m.running?.ms)).to.deep.equal([0, 100, 110, 130]);
    s.beat('b', 'e2', at('c', 120));
    expect(s.beatsSince('b', 'e2')).to.deep.equal([at('c', 120)]);
    expect(s.beatsSince('another', 'e2')).to.deep.equal([]);
    s.pulseEnded('b');
    expect(s.beatsSince('b', 'e2')).to.deep.equal([]);
  });

  it('what is damaged there counts for nothing', () => {
    localStorage.setItem('drip-line-pulse-b', '{"after":"e1","moments":[{"utcMs":-4}]}');
    expect(s.beatsSince('b', 'e1')).to.deep.equal([]);
    localStorage.setItem('drip-line-pulse-b', '{');
    expect(s.beatsSince('b', 'e1')).to.deep.equal([]);
  });
});
