import { expect } from 'chai';
import { inOrder } from '../../src/core/batch/book.ts';
import { noted, poured } from '../../src/core/batch/note.ts';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { poursOfOmbre } from '../../src/core/ombre/runs.ts';
import { PLAN_VERSION } from '../../src/core/plan/planVersion.ts';
import { readFileSync } from 'node:fs';
import { batchesOfPlan, putBatch, type StoredBatch } from '../../src/store/tables/batches.ts';
import { recordOf } from '../../src/store/tables/plans.ts';
import { BookKeeper } from '../../src/store/keeping/bookKeeper.ts';
import { goingOn, readStoredBatch } from '../../src/store/tables/storedBatch.ts';
import { ombrePlan } from '../support/colours.ts';
import { emptied, loadSession, until, type Session } from '../support/session.ts';
import { tablesOf } from '../support/tables.ts';
import { written } from '../support/written.ts';

const PLAN = { ...ombrePlan(4), id: 'graded' };
const [FIRST, SECOND] = poursOfOmbre(PLAN, 'o1').map((p) => p.id);

let s: Session;
const open = async (): Promise<string> => (await s.store.dispatch(s.openPlan(PLAN.id))).kind;
const massOf = (pour: string): number =>
  s.selectComputed(s.store.getState())!.stack.layers.find((l) => l.pour.id === pour)!.pouredG;
const batches = (): Promise<readonly StoredBatch[]> => batchesOfPlan(s.database, PLAN.id);
const stored = async () => {
  const [one, ...others] = await batches();
  expect(others).to.deep.equal([]);
  return one && readStoredBatch(one);
};
const saysStored = async (): Promise<readonly string[]> => {
  const batch = await stored();
  return batch ? inOrder(batch).map((e) => `${e.does} ${'massG' in e ? String(e.massG) : ''}`.trim()) : [];
};
const until2 = (count: number): Promise<void> => until(async () => (await saysStored()).length === count);
const type = (massG: number | undefined, gesture: InstanceType<Session['Gesture']>, pour = FIRST!) =>
  s.store.dispatch(s.writeDown([poured(pour, massG)], gesture));

before(async () => {
  s = await loadSession();
});

beforeEach(async () => {
  s.writeTyped();
  await s.bookKeeper.flush();
  s.store.dispatch(s.planClosed());
  await emptied(s);
  await tablesOf(s.database).plans.put(recordOf(PLAN, 'r1'));
  expect(await open()).to.equal('open');
});

describe('what was really poured', () => {
  it('shows at once, is written down once, and is no part of the plan', async () => {
    const gesture = new s.Gesture();
    for (const massG of [9, 99]) type(massG, gesture);
    expect(massOf(FIRST!)).to.equal(99);
    expect(await batches()).to.deep.equal([]);
    await until2(1);
    expect(await saysStored()).to.deep.equal(['weighed 99']);
    expect(massOf(FIRST!)).to.equal(99);
    const { plan } = s.store.getState();
    expect(plan.present).to.deep.equal(PLAN);
    expect(plan.past).to.deep.equal([]);
    const batch = (await stored())!;
    expect(batch.plan).to.deep.equal(PLAN);
    expect(batch.events[0]!.at.running!.clock).to.equal(s.PAGE_ID);
  });

  it('is not touched by the plan’s undo and redo, by edits, or by its deletion', async () => {
    s.store.dispatch(s.editPlan((p) => ({ ...p, notes: 'one' })));
    type(99, new s.Gesture());
    s.writeTyped();
    s.store.dispatch(s.editPlan((p) => ({ ...p, notes: 'two' })));
    for (const step of [s.undone, s.undone, s.redone, s.redone]) {
      s.store.dispatch(step());
      expect(massOf(FIRST!)).to.equal(99);
    }
    await until2(1);
    await tablesOf(s.database).plans.delete(PLAN.id);
    expect(await saysStored()).to.deep.equal(['weighed 99']);
  });

  it('escaped from before it was written leaves nothing, after that what was there before', async () => {
    const first = new s.Gesture();
    const planned = massOf(FIRST!);
    type(50, first);
    first.takeBack();
    expect(massOf(FIRST!)).to.equal(planned);
    await new Promise((next) => setTimeout(next, 350));
    expect(await batches()).to.deep.equal([]);
    type(60, new s.Gesture());
    s.writeTyped();
    const second = new s.Gesture();
    type(70, second);
    await until2(2);
    second.takeBack();
    expect(massOf(FIRST!)).to.equal(60);
    await until2(3);
    expect(await saysStored()).to.deep.equal(['weighed 60', 'weighed 70', 'weighed 60']);
  });

  it('emptied, it is as planned again; emptied where nothing was written, nothing is', async () => {
    const planned = massOf(FIRST!);
    type(undefined, new s.Gesture());
    type(80, new s.Gesture());
    type(undefined, new s.Gesture());
    expect(massOf(FIRST!)).to.equal(planned);
    await until2(2);
    expect(await saysStored()).to.deep.equal(['weighed 80', 'as-planned']);
  });

  it('that cannot be is refused with its number, and changes nothing', () => {
    const fault = type(1e9, new s.Gesture());
    expect(fault?.message).to.match(/1000000000 g is outside 0 to 500000 g/);
    expect(s.store.getState().batch).to.deep.equal({ batch: null, typed: null });
  });

  it('in another tab comes here, and both are kept: nothing is written over', async () => {
    const stop = s.store.dispatch(s.followPlan(PLAN.id));
    type(90, new s.Gesture());
    s.writeTyped();
    await until2(1);
    const mine = (await stored())!;
    const theirs = written(PLAN, poured(SECOND!, 33)).events[0]!;
    await putBatch(s.database, { ...mine, events: [{ ...theirs, counter: 2 }] });
    await until(() => massOf(SECOND!) === 33);
    expect(massOf(FIRST!)).to.equal(90);
    type(91, new s.Gesture());
    s.writeTyped();
    await until2(3);
    expect(await saysStored()).to.deep.equal(['weighed 90', 'weighed 33', 'weighed 91']);
    stop();
  });

  it('by two tabs that both begin is in one batch', async () => {
    const { firstBatchId } = await import('../../src/core/batch/ids.ts');
    await putBatch(s.database, { ...written(PLAN, poured(SECOND!, 44)), id: firstBatchId(PLAN.id) });
    type(90, new s.Gesture());
    s.writeTyped();
    await until2(2);
    expect((await stored())!.events).to.have.length(2);
  });

  it('is there when the plan is opened again, also right after it was typed', async () => {
    type(77, new s.Gesture());
    s.store.dispatch(s.planClosed());
    expect(await open()).to.equal('open');
    expect(massOf(FIRST!)).to.equal(77);
    await until2(1);
  });

  it('that storage refuses is told, tried again, and handed over when the page goes away', async () => {
    const { withStorage } = await import('../../src/store/keeping/storage.ts');
    await withStorage(s.database, () => Promise.resolve());
    const real = s.database.transaction.bind(s.database);
    // a disk that is full
    s.database.transaction = (() =>
      Promise.reject(Object.assign(new Error('full'), { name: 'QuotaExceededError' }))) as never;
    type(66, new s.Gesture());
    s.writeTyped();
    await until(() => s.store.getState().keeping.trouble === 'full');
    expect(Object.values(s.store.getState().library).map((p) => p.key)).to.deep.equal([PLAN.name]);
    s.database.transaction = real;
    s.bookKeeper.leave();
    await until2(1);
    await s.bookKeeper.flush();
    expect(await saysStored()).to.deep.equal(['weighed 66']);
    expect(s.store.getState().library).to.deep.equal({});
  });

  it('and cannot be read is told, and the plan is shown as planned', async () => {
    const planned = massOf(FIRST!);
    const batch = written(PLAN, poured(FIRST!, 55));
    await putBatch(s.database, batch);
    await tablesOf(s.database).events.update('e1', { value: { ...batch.events[0], massG: 'much' } });
    s.store.dispatch(s.planClosed());
    await open();
    expect(massOf(FIRST!)).to.equal(planned);
    expect(s.store.getState().desk.notice).to.match(/cannot be read/);
  });
});

describe('a batch that is stored', () => {
  const batch = written(PLAN, poured(FIRST!, 55), poured(SECOND!, 44));

  it('is never written over: an event of a known id stays as it is', async () => {
    await putBatch(s.database, batch);
    const other = { ...batch, events: batch.events.map((e) => ({ ...e, massG: 1 })) };
    await putBatch(s.database, { ...other, name: 'Another name' });
    expect(await saysStored()).to.deep.equal(['weighed 55', 'weighed 44']);
    expect((await stored())!.name).to.equal(batch.name);
  });

  it('older than what is here takes nothing back', () => {
    s.store.dispatch(s.batchSeen(batch));
    s.store.dispatch(s.batchSeen({ ...batch, events: batch.events.slice(0, 1) }));
    expect(s.store.getState().batch.batch!.events).to.have.length(2);
  });

  it('and finished goes on no more; of two the one begun last goes on', () => {
    const row = (b: typeof batch): StoredBatch => ({ id: b.id, version: 1, value: { ...b } });
    const later = { ...batch, id: 'later', started: { utcMs: 9 } };
    expect(goingOn([row(later), row(batch)])!.id).to.equal('later');
    const over = noted(later, { does: 'finished', left: [] }, { id: 'f', device: 'd', at: { utcMs: 0 } });
    expect(goingOn([row(batch), row(over)])!.id).to.equal(batch.id);
    expect(goingOn([row(over)])).to.equal(undefined);
    expect(readStoredBatch({ ...row(batch), version: 99 })).to.equal(undefined);
  });

  /** A keeper of its own, on a disk that is full until it is told otherwise. */
  async function onFullDisk(retryMs: number) {
    const db = new s.DripLineDatabase(`full-${retryMs}`);
    await db.open();
    const real = db.transaction.bind(db);
    db.transaction = (() => Promise.reject(new Error('full'))) as never;
    const keeper = new BookKeeper(db, () => undefined, retryMs);
    await keeper.write(batch, batch.events);
    // closed and opened afresh after a failure, it does not answer for a moment
    const count = (): Promise<number> =>
      tablesOf(db)
        .events.count()
        .catch(() => 0);
    expect(await count()).to.equal(0);
    expect(keeper.unstoredOf(PLAN.id)).to.equal(batch);
    return { keeper, count, freed: () => (db.transaction = real) };
  }

  it('is tried again where storage refused it', async () => {
    const { keeper, count, freed } = await onFullDisk(30);
    freed();
    await until(async () => (await count()) === 2);
    await until(() => keeper.unstoredOf(PLAN.id) === undefined);
  });

  it('is handed over when the page goes away, whatever refused it before', async () => {
    const { keeper, count, freed } = await onFullDisk(8000);
    keeper.leave();
    await until(async () => (await count()) === 2);
    freed();
    await keeper.flush();
  });
});

describe('what is typed, and typed back', () => {
  it('is written once', async () => {
    const gesture = new s.Gesture();
    type(5, gesture);
    await until2(1);
    type(55, gesture);
    type(5, gesture);
    s.writeTyped();
    await s.bookKeeper.flush();
    expect(await saysStored()).to.deep.equal(['weighed 5']);
  });
});

describe('a file of version 7 with a batch in it, put on the shelf', () => {
  const file = readFileSync('test/fixtures/heather-poured.v7.dripline.json', 'utf8');
  const found = () => {
    const read = readPlanFile(file);
    if (!read.ok) throw new Error('refused');
    return read;
  };
  const counts = async (): Promise<readonly number[]> => {
    const { plans, batches: heads, events } = tablesOf(s.database);
    return Promise.all([plans.count(), heads.count(), events.count()]);
  };

  it('brings both; a copy of it brings another plan, and no second batch', async () => {
    const [first] = await s.bringFound([found()]);
    expect(first!.id).to.equal('heather-poured');
    expect(await counts()).to.deep.equal([2, 1, 4]);
    const [copy] = await s.bringFound([found()]);
    expect(copy!.id).to.not.equal(first!.id);
    expect(await counts()).to.deep.equal([3, 1, 4]);
    expect(await batchesOfPlan(s.database, copy!.id)).to.deep.equal([]);
  });

  it('beside a plan of its id that nothing was written of changes nothing of that one', async () => {
    const { plan } = found();
    await tablesOf(s.database).plans.put(recordOf({ ...plan, name: 'Mine' }, 'r7'));
    const [beside] = await s.bringFound([found()]);
    expect(await batchesOfPlan(s.database, plan.id)).to.deep.equal([]);
    const [batch] = await batchesOfPlan(s.database, beside!.id);
    expect(readStoredBatch(batch!)!.plan.id).to.equal(beside!.id);
    expect((await tablesOf(s.database).plans.get(plan.id))!.version).to.equal(PLAN_VERSION);
  });
});
