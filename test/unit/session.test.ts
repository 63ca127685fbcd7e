import { expect } from 'chai';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { MemoryStorage } from '../support/memoryStorage.ts';
import { basePlan } from '../support/plans.ts';

/** The store is imported after the storages a browser gives it are there. */
const load = async () => {
  Object.assign(globalThis, { localStorage: new MemoryStorage(), sessionStorage: new MemoryStorage() });
  const [{ store }, { database }, open, { editPlan }, { selectComputed }, desk, drafts] = await Promise.all([
    import('../../src/store/store.ts'),
    import('../../src/store/database.ts'),
    import('../../src/store/openPlan.ts'),
    import('../../src/store/editPlan.ts'),
    import('../../src/store/computed.ts'),
    import('../../src/store/deskSlice.ts'),
    import('../../src/store/drafts.ts'),
  ]);
  return { store, database, ...open, editPlan, selectComputed, ...desk, ...drafts };
};

const until = async (done: () => boolean): Promise<void> => {
  for (let i = 0; i < 200 && !done(); i += 1) await new Promise((next) => setTimeout(next, 10));
  expect(done()).to.equal(true);
};

describe('a plan opened in a tab', () => {
  let s: Awaited<ReturnType<typeof load>>;
  const rename = (name: string) => (p: Plan) => ({ ...p, name });
  const stored = async () => (await s.database.plans.get('test'))!;
  const present = () => s.store.getState().plan.present!;
  const save = () => s.store.getState().desk.save;

  before(async () => {
    s = await load();
  });
  beforeEach(async () => {
    await s.database.plans.clear();
    localStorage.clear();
    const plan = basePlan();
    await s.database.plans.put({
      id: plan.id,
      name: plan.name,
      changed: plan.changed,
      revision: 4,
      savedBy: 'someone',
      plan,
    });
    expect(await s.store.dispatch(s.openPlan('test'))).to.equal(true);
  });

  it('is stored by itself a moment after an edit, on top of what was there', async () => {
    expect(s.store.dispatch(s.editPlan(rename('Edited')))).to.equal(undefined);
    expect(save()).to.equal('unsaved');
    await until(() => save() === 'saved');
    const record = await stored();
    expect(record.name).to.equal('Edited');
    expect(record.revision).to.equal(5);
    expect(localStorage.length, 'no draft is left').to.equal(0);
  });

  it('keeps a draft at once, which the next opening brings back', async () => {
    s.store.dispatch(s.editPlan(rename('Half typed')));
    expect(localStorage.length).to.equal(1);
    await s.store.dispatch(s.openPlan('test'));
    expect(present().name).to.equal('Half typed');
    await until(() => save() === 'saved');
    expect((await stored()).name).to.equal('Half typed');
  });

  it('refuses an edit that would make an invalid plan, with its field, and changes nothing', () => {
    const fault = s.store.dispatch(
      s.editPlan((p) => ({ ...p, batter: { ...p.batter, superfatPercent: -1 } })),
    );
    expect(fault?.at).to.equal('batter.superfatPercent');
    expect(present().batter.superfatPercent).to.equal(5);
    expect(s.store.getState().plan.past).to.have.length(0);
  });

  it('finds that another tab stored meanwhile, and writes nothing over it', async () => {
    const record = await stored();
    await s.database.plans.put({
      ...record,
      name: 'Theirs',
      plan: { ...record.plan, name: 'Theirs' },
      revision: 5,
    });
    s.store.dispatch(s.editPlan(rename('Mine')));
    await until(() => save() === 'conflict');
    expect((await stored()).name).to.equal('Theirs');
    expect(present().name).to.equal('Mine');
  });

  it('settles a conflict either way', async () => {
    const record = await stored();
    const theirs = { ...record, name: 'Theirs', plan: { ...record.plan, name: 'Theirs' }, revision: 9 };
    await s.database.plans.put(theirs);
    s.store.dispatch(s.editPlan(rename('Mine')));
    await until(() => save() === 'conflict');
    s.store.dispatch(s.conflictOverruled());
    await until(() => save() === 'saved');
    expect((await stored()).name).to.equal('Mine');
    expect((await stored()).revision).to.equal(10);
    s.store.dispatch(s.takeTheirs(theirs));
    expect(present().name).to.equal('Theirs');
    expect(s.store.getState().plan.past).to.have.length(0);
  });

  it('is brought up to date by what another tab stores while nothing is unsaved here', async () => {
    const stop = s.store.dispatch(s.followPlan('test'));
    const record = await stored();
    await s.database.plans.put({ ...record, plan: { ...record.plan, name: 'From afar' }, revision: 6 });
    await until(() => present().name === 'From afar');
    expect(s.store.getState().desk.notice).to.match(/up to date/);
    stop();
  });

  it('saves a burst of edits without taking its own saves for another tab’s', async () => {
    for (let i = 0; i < 6; i += 1) {
      s.store.dispatch(s.editPlan(rename(`Edit ${i}`)));
      await new Promise((next) => setTimeout(next, i % 2 === 0 ? 20 : 320));
    }
    await until(() => save() === 'saved');
    expect((await stored()).name).to.equal('Edit 5');
  });

  it('computes once for each state of the plan', () => {
    const first = s.selectComputed(s.store.getState());
    expect(s.selectComputed(s.store.getState())).to.equal(first);
    s.store.dispatch(s.editPlan(rename('Other')));
    expect(s.selectComputed(s.store.getState())).to.not.equal(first);
  });

  it('is missing when it was never stored', async () => {
    expect(await s.store.dispatch(s.openPlan('nobody'))).to.equal(false);
  });
});
