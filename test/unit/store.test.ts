import { configureStore } from '@reduxjs/toolkit';
import { expect } from 'chai';
import { ActionCreators } from 'redux-undo';
import { DripLineDatabase } from '../../src/store/database.ts';
import { dropDraft, keepDraft } from '../../src/store/drafts.ts';
import { takeDraft } from '../../src/store/takeDraft.ts';
import { addPlans, deletePlan, listPlans, restorePlan, savePlan } from '../../src/store/planRecords.ts';
import { planEdited, planOpened, planReducer } from '../../src/store/planSlice.ts';
import { MemoryStorage } from '../support/memoryStorage.ts';
import { basePlan } from '../support/plans.ts';

let n = 0;
const freshDatabase = (): DripLineDatabase => {
  n += 1;
  return new DripLineDatabase(`test-${n}`);
};
const fresh = (): string => `fresh-${(n += 1)}`;

describe('stored plans', () => {
  it('are saved on top of the revision they were read at, and never over another tab’s', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    expect(await savePlan(db, plan, 0, 'tab-a')).to.deep.equal({ kind: 'saved', revision: 1 });
    expect(await savePlan(db, { ...plan, name: 'From A' }, 1, 'tab-a')).to.deep.equal({
      kind: 'saved',
      revision: 2,
    });
    const late = await savePlan(db, { ...plan, name: 'From B' }, 1, 'tab-b');
    expect(late.kind).to.equal('conflict');
    expect((await db.plans.get(plan.id))!.name).to.equal('From A');
  });

  it('notices that another tab deleted the plan', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    await savePlan(db, plan, 0, 'tab-a');
    await deletePlan(db, plan.id);
    expect(await savePlan(db, plan, 1, 'tab-a')).to.deep.equal({ kind: 'conflict', theirs: undefined });
  });

  it('come back after a delete, as they were', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    await savePlan(db, plan, 0, 'tab-a');
    const record = await deletePlan(db, plan.id);
    expect(await listPlans(db)).to.deep.equal([]);
    await restorePlan(db, record!);
    expect((await db.plans.get(plan.id))!.plan).to.deep.equal(plan);
  });

  it('imported under a taken id leave the stored plan as it is', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    await addPlans(db, [plan], fresh, 'tab');
    const [id] = await addPlans(db, [{ ...plan, name: 'Other' }], fresh, 'tab');
    expect(id).to.not.equal(plan.id);
    expect((await db.plans.get(plan.id))!.plan).to.deep.equal(plan);
  });

  it('are listed newest change first', async () => {
    const db = freshDatabase();
    const at = (id: string, day: string) => ({
      ...basePlan(),
      id,
      name: id,
      changed: `2026-01-${day}T00:00:00.000Z`,
    });
    await addPlans(db, [at('b', '02'), at('c', '03'), at('a', '01')], fresh, 'tab');
    expect((await listPlans(db)).map((e) => e.id)).to.deep.equal(['c', 'b', 'a']);
  });
});

describe('drafts', () => {
  it('give back the newest unsaved edit of a plan, once', () => {
    const storage = new MemoryStorage();
    const plan = basePlan();
    keepDraft(storage, 'a', { baseRevision: 1, plan: { ...plan, changed: '2026-01-02T00:00:00.000Z' } });
    keepDraft(storage, 'b', {
      baseRevision: 1,
      plan: { ...plan, name: 'Newer', changed: '2026-01-03T00:00:00.000Z' },
    });
    expect(takeDraft(storage, plan.id)!.plan.name).to.equal('Newer');
    expect(takeDraft(storage, plan.id)).to.equal(undefined);
  });

  it('ignore damage, and are dropped once stored', () => {
    const storage = new MemoryStorage();
    storage.setItem('drip-line/draft/test/a', '{"plan":');
    storage.setItem('drip-line/draft/test/b', '{"plan":{"id":"test"},"baseRevision":1}');
    expect(takeDraft(storage, 'test')).to.equal(undefined);
    keepDraft(storage, 'a', { baseRevision: 1, plan: basePlan() });
    dropDraft(storage, 'a', 'test');
    expect(storage.length).to.equal(0);
  });
});

describe('undo', () => {
  const opened = () => {
    const store = configureStore({ reducer: { plan: planReducer } });
    store.dispatch(planOpened(basePlan()));
    return store;
  };
  const rename = (name: string, gesture: string | null) =>
    planEdited({ plan: { ...basePlan(), name }, gesture });

  it('takes back and brings again one edit at a time', () => {
    const store = opened();
    store.dispatch(rename('One', null));
    store.dispatch(rename('Two', null));
    store.dispatch(ActionCreators.undo());
    expect(store.getState().plan.present!.name).to.equal('One');
    store.dispatch(ActionCreators.undo());
    expect(store.getState().plan.present!.name).to.equal('New plan');
    store.dispatch(ActionCreators.redo());
    expect(store.getState().plan.present!.name).to.equal('One');
  });

  it('takes back a whole drag or a whole typed field at once', () => {
    const store = opened();
    for (const name of ['W', 'We', 'Weir']) store.dispatch(rename(name, 'field-1'));
    store.dispatch(ActionCreators.undo());
    expect(store.getState().plan.present!.name).to.equal('New plan');
  });

  it('never goes back past the opening of the plan', () => {
    const store = opened();
    expect(store.getState().plan.past).to.have.length(0);
    store.dispatch(ActionCreators.undo());
    expect(store.getState().plan.present!.name).to.equal('New plan');
  });
});
