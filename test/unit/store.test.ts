import { configureStore } from '@reduxjs/toolkit';
import { expect } from 'chai';
import fc from 'fast-check';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { DripLineDatabase } from '../../src/store/database.ts';
import {
  addPlans,
  deletePlan,
  listPlans,
  restorePlan,
  savePlan,
  type Held,
} from '../../src/store/tables/plans.ts';
import {
  gestureTakenBack,
  planEdited,
  planOpened,
  planReducer,
  redone,
  undone,
} from '../../src/store/planSlice.ts';
import { tablesOf } from '../support/tables.ts';
import { basePlan } from '../support/plans.ts';

let n = 0;
const freshDatabase = (): DripLineDatabase => {
  n += 1;
  return new DripLineDatabase(`test-${n}`);
};
const held = (plan: Plan): Held => ({ plan, past: [], future: [] });

describe('stored plans', () => {
  it('are saved on top of the writing they were read at, and never over another tab’s', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    const first = await savePlan(db, held(plan), null);
    expect(first.kind).to.equal('written');
    const base = first.kind === 'written' ? first.revision : '';
    expect((await savePlan(db, held({ ...plan, name: 'From A' }), base)).kind).to.equal('written');
    const late = await savePlan(db, held({ ...plan, name: 'From B' }), base);
    expect(late.kind).to.equal('conflict');
    expect((await tablesOf(db).plans.get(plan.id))!.name).to.equal('From A');
  });

  it('never take a new writing for an old one, also after a delete', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    const first = await savePlan(db, held(plan), null);
    await deletePlan(db, plan.id);
    await savePlan(db, held({ ...plan, name: 'Stored again' }), null);
    const stale = await savePlan(
      db,
      held({ ...plan, name: 'Stale' }),
      first.kind === 'written' ? first.revision : '',
    );
    expect(stale.kind).to.equal('conflict');
    expect((await tablesOf(db).plans.get(plan.id))!.name).to.equal('Stored again');
  });

  it('notice that another tab deleted the plan', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    const first = await savePlan(db, held(plan), null);
    await deletePlan(db, plan.id);
    const late = await savePlan(db, held(plan), first.kind === 'written' ? first.revision : '');
    expect(late).to.deep.equal({ kind: 'conflict', theirs: undefined });
  });

  it('come back after a delete as they were, with their history', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    await savePlan(db, { plan, past: [{ ...plan, name: 'Before' }], future: [] }, null);
    const before = await tablesOf(db).plans.get(plan.id);
    const taken = await deletePlan(db, plan.id);
    expect(await listPlans(db)).to.deep.equal([]);
    await restorePlan(db, taken!);
    expect(await tablesOf(db).plans.get(plan.id)).to.deep.equal(before);
    expect((await tablesOf(db).histories.get(plan.id))!.past[0]!.name).to.equal('Before');
  });

  it('put back by another tab meanwhile stay, and the deleted one comes back beside them', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    await savePlan(db, held(plan), null);
    const taken = await deletePlan(db, plan.id);
    await savePlan(db, held({ ...plan, notes: 'newer' }), null);
    const back = await restorePlan(db, taken!);
    expect(back.id).to.not.equal(plan.id);
    expect(back.name).to.equal('New plan (2)');
    expect((await tablesOf(db).plans.get(plan.id))!.plan.notes).to.equal('newer');
  });

  it('imported under a taken id leave the stored plan as it is', async () => {
    const db = freshDatabase();
    const plan = basePlan();
    await addPlans(db, [plan]);
    const [added] = await addPlans(db, [{ ...plan, name: 'Other' }]);
    expect(added!.id).to.not.equal(plan.id);
    expect((await tablesOf(db).plans.get(plan.id))!.plan).to.deep.equal(plan);
  });

  it('are listed newest change first, and also where their record says nothing', async () => {
    const db = freshDatabase();
    const at = (id: string, day: string) => ({
      ...basePlan(),
      id,
      name: id,
      changed: `2026-01-${day}T00:00:00.000Z`,
    });
    await addPlans(db, [at('b', '02'), at('c', '03'), at('a', '01')]);
    expect((await listPlans(db)).map((e) => e.id)).to.deep.equal(['c', 'b', 'a']);
    await db.table<unknown>('plans').put({ id: 'broken', changed: 5 });
    expect((await listPlans(db)).find((e) => e.id === 'broken')!.unlisted).to.equal(true);
  });
});

const opened = () => {
  const store = configureStore({ reducer: { plan: planReducer } });
  store.dispatch(planOpened({ plan: basePlan() }));
  return store;
};
const rename = (name: string, gesture: string | null) =>
  planEdited({ plan: { ...basePlan(), name }, gesture });

describe('undo', () => {
  it('takes back and brings again one edit at a time', () => {
    const store = opened();
    store.dispatch(rename('One', null));
    store.dispatch(rename('Two', null));
    store.dispatch(undone());
    expect(store.getState().plan.present!.name).to.equal('One');
    store.dispatch(undone());
    expect(store.getState().plan.present!.name).to.equal('New plan');
    store.dispatch(redone());
    expect(store.getState().plan.present!.name).to.equal('One');
  });

  it('takes back a whole drag or a whole typed field at once', () => {
    const store = opened();
    for (const name of ['W', 'We', 'Weir']) store.dispatch(rename(name, 'field-1'));
    store.dispatch(undone());
    expect(store.getState().plan.present!.name).to.equal('New plan');
  });

  it('never goes back past the opening of the plan', () => {
    const store = opened();
    expect(store.getState().plan.past).to.have.length(0);
    store.dispatch(undone());
    expect(store.getState().plan.present!.name).to.equal('New plan');
  });

  it('goes on where a plan was left, back and forth', () => {
    const store = configureStore({ reducer: { plan: planReducer } });
    const named = (name: string): Plan => ({ ...basePlan(), name });
    store.dispatch(planOpened({ plan: named('now'), past: [named('a'), named('b')], future: [named('z')] }));
    store.dispatch(redone());
    expect(store.getState().plan.present!.name).to.equal('z');
    for (let i = 0; i < 3; i += 1) store.dispatch(undone());
    expect(store.getState().plan.present!.name).to.equal('a');
  });

  it('keeps what could be brought again when a gesture is taken back', () => {
    const store = opened();
    store.dispatch(rename('One', null));
    store.dispatch(undone());
    store.dispatch(rename('half typed', 'field-1'));
    expect(store.getState().plan.future).to.have.length(0);
    store.dispatch(gestureTakenBack('field-1'));
    expect(store.getState().plan.present!.name).to.equal('New plan');
    store.dispatch(redone());
    expect(store.getState().plan.present!.name).to.equal('One');
  });

  it('brings back by one undo what was taken back, as it may have been stored; typed on, it leaves no trace', () => {
    const store = opened();
    store.dispatch(rename('long saved', 'field-1'));
    store.dispatch(gestureTakenBack('field-1'));
    store.dispatch(gestureTakenBack('field-1'));
    expect(store.getState().plan.present!.name).to.equal('New plan');
    store.dispatch(undone());
    expect(store.getState().plan.present!.name).to.equal('long saved');
    store.dispatch(undone());
    expect(store.getState().plan.present!.name).to.equal('New plan');
    store.dispatch(rename('300', 'field-2'));
    store.dispatch(gestureTakenBack('field-2'));
    store.dispatch(rename('301', 'field-2'));
    store.dispatch(undone());
    expect(store.getState().plan.present!.name).to.equal('New plan');
    expect(store.getState().plan.past).to.have.length(0);
  });

  it('is one step a gesture, and one taken back there and back, whatever happens in which order', () => {
    const act = fc.oneof(
      fc.record({
        does: fc.constant('edit' as const),
        gesture: fc.constantFrom('g1', 'g2', null),
        name: fc.string({ minLength: 1, maxLength: 5 }),
      }),
      fc.record({ does: fc.constant('back' as const), gesture: fc.constantFrom('g1', 'g2') }),
      fc.record({ does: fc.constantFrom('undo' as const, 'redo' as const) }),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
        const store = opened();
        // the plainest model: a list of names and a place in it, and where the gesture that goes on began
        let names: string[] = ['New plan'];
        let at = 0;
        let going: { id: string; names: string[]; at: number; back: boolean } | undefined;
        for (const a of acts) {
          if (a.does === 'edit') {
            const from: { names: string[]; at: number } =
              going && a.gesture === going.id ? going : { names, at };
            store.dispatch(rename(a.name, a.gesture));
            going =
              a.gesture === null ? undefined : { id: a.gesture, names: from.names, at: from.at, back: false };
            names = [...from.names.slice(0, from.at + 1), a.name];
            at = from.at + 1;
          } else if (a.does === 'back') {
            store.dispatch(gestureTakenBack(a.gesture));
            if (going?.id !== a.gesture || going.back) continue;
            const [made, was] = [names[at]!, going.names[going.at]!];
            names = [...going.names.slice(0, going.at + 1), made, was, ...going.names.slice(going.at + 1)];
            at = going.at + 2;
            going = { ...going, back: true };
          } else {
            store.dispatch(a.does === 'undo' ? undone() : redone());
            const next = at + (a.does === 'undo' ? -1 : 1);
            if (next < 0 || next >= names.length) continue;
            at = next;
            going = undefined;
          }
        }
        const { past, present, future } = store.getState().plan;
        expect([...past, present, ...future].map((p) => p!.name)).to.deep.equal(names);
        expect(past).to.have.length(at);
      }),
      { seed: 9 },
    );
  });
});
