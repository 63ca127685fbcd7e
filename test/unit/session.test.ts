import { expect } from 'chai';
import { PLAN_VERSION } from '../../src/core/plan/planVersion.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { DraftRecord } from '../../src/store/tables/drafts.ts';
import type { PlanRecord } from '../../src/store/tables/plans.ts';
import { addMould } from '../../src/core/edit/moulds.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { FIRST } from '../../src/core/plan/moulds.ts';
import { mouldShown } from '../../src/store/deskSlice.ts';
import { EXTREMES } from '../support/extremes.ts';
import { tablesOf } from '../support/tables.ts';
import { basePlan } from '../support/plans.ts';
import { emptied, loadSession, until, type Session } from '../support/session.ts';

const rename = (name: string) => (p: Plan) => ({ ...p, name });

let s: Session;
const stored = async (): Promise<PlanRecord> => (await tablesOf(s.database).plans.get('test'))!;
const present = (): Plan => s.store.getState().plan.present!;
const save = () => s.store.getState().keeping.works['test']?.save ?? 'saved';
const edit = (name: string) => s.store.dispatch(s.editPlan(rename(name)));

/** Another page stores this. */
async function theyStore(name: string, revision: string): Promise<PlanRecord> {
  const record = await stored();
  const theirs = { ...record, name, revision, savedBy: 'another', plan: { ...record.plan, name } };
  await tablesOf(s.database).plans.put(theirs);
  return theirs;
}

const draft = (page: string, base: string | null, name: string): DraftRecord => ({
  planId: 'test',
  page,
  base,
  version: PLAN_VERSION,
  plan: { ...basePlan(), name },
  past: [],
  future: [],
});

async function open(): Promise<string> {
  return (await s.store.dispatch(s.openPlan('test'))).kind;
}

/** The page goes away and a new one opens the plan: nothing of it is known any more but what is stored. */
async function anew(): Promise<string> {
  await s.keeper.giveUp('test').catch(() => undefined);
  s.store.dispatch(s.planClosed());
  return open();
}

async function begin(): Promise<void> {
  await anew().catch(() => undefined);
  await emptied(s);
  localStorage.clear();
  const plan = basePlan();
  await tablesOf(s.database).plans.put({
    id: plan.id,
    name: plan.name,
    changed: plan.changed,
    revision: 'r4',
    savedBy: 'someone',
    version: PLAN_VERSION,
    plan,
  });
  await s.keeper.giveUp('test');
  expect(await open()).to.equal('open');
}

before(async () => {
  s = await loadSession();
});

describe('a plan opened in a tab', () => {
  beforeEach(begin);

  it('is stored by itself a moment after an edit, on top of what was there', async () => {
    expect(edit('Edited')).to.equal(undefined);
    expect(save()).to.equal('unsaved');
    await until(() => save() === 'saved');
    const record = await stored();
    expect(record.name).to.equal('Edited');
    expect(record.revision).to.not.equal('r4');
    expect(await tablesOf(s.database).drafts.count(), 'no draft is left').to.equal(0);
  });

  it('is stored within a second while it is edited without a pause', async () => {
    const longest = { ms: 0 };
    let seen = (await stored()).name;
    let since = performance.now();
    const end = since + 3000;
    for (let i = 0; performance.now() < end; i += 1) {
      edit(`Edit ${i}`);
      await new Promise((next) => setTimeout(next, 25));
      const { name } = await stored();
      if (name === seen) continue;
      longest.ms = Math.max(longest.ms, performance.now() - since);
      seen = name;
      since = performance.now();
    }
    expect(longest.ms).to.be.within(1, 1000);
    await until(() => save() === 'saved');
  });

  it('is stored when it is left at once', async () => {
    edit('Left');
    s.keeper.leave('test');
    s.store.dispatch(s.planClosed());
    await until(async () => (await stored()).name === 'Left', 300);
    await until(() => s.store.getState().keeping.works['test'] === undefined);
  });

  it('refuses an edit that would make an invalid plan, with its field, and changes nothing', () => {
    const fault = s.store.dispatch(
      s.editPlan((p) => ({ ...p, batter: { ...p.batter, superfatPercent: -1 } })),
    );
    expect(fault?.at).to.equal('batter.superfatPercent');
    expect(present().batter.superfatPercent).to.equal(5);
    expect(s.store.getState().plan.past).to.have.length(0);
  });

  it('computes once for each state of the plan', () => {
    const first = s.selectComputed(s.store.getState());
    expect(s.selectComputed(s.store.getState())).to.equal(first);
    const superfatPercent = first!.plan.batter.superfatPercent + 1;
    s.store.dispatch(s.editPlan((p) => ({ ...p, batter: { ...p.batter, superfatPercent } })));
    const second = s.selectComputed(s.store.getState());
    expect(second!.plan.batter.superfatPercent).to.equal(superfatPercent);
    // a keystroke in the name or the notes changes nothing that is computed or drawn from it
    edit('Other');
    s.store.dispatch(s.editPlan((p) => ({ ...p, notes: `${p.notes}x` })));
    expect(present().notes).to.equal('x');
    expect(present().name).to.equal('Other');
    expect(s.selectComputed(s.store.getState())).to.equal(second);
  });

  it('shows what there was of a large plan while a change of it is worked out, and says so', async () => {
    const plan = { ...EXTREMES['columns']!(), id: 'test' };
    await tablesOf(s.database).plans.put({ ...(await stored()), plan });
    expect(await anew()).to.equal('open');
    const shown = (): number => s.selectComputed(s.store.getState())!.plan.batter.superfatPercent;
    const behind = (): boolean => s.selectBehind(s.store.getState());
    expect([shown(), behind()]).to.deep.equal([5, false]);
    for (const superfatPercent of [6, 7])
      s.store.dispatch(s.editPlan((p) => ({ ...p, batter: { ...p.batter, superfatPercent } })));
    expect(present().batter.superfatPercent).to.equal(7);
    expect([shown(), behind()]).to.deep.equal([5, true]);
    await until(() => !behind(), 30_000);
    expect(shown()).to.equal(7);
  }).timeout(60_000);

  it('is missing when it was never stored', async () => {
    expect((await s.store.dispatch(s.openPlan('nobody'))).kind).to.equal('missing');
  });

  it('says what is wrong with a damaged record, which stays as it is', async () => {
    const record = { ...(await stored()), plan: { ...basePlan(), changed: '2026-01-01T00:00:00+02' } };
    await tablesOf(s.database).plans.put(record);
    await s.keeper.giveUp('test');
    s.store.dispatch(s.planClosed());
    const opening = await s.store.dispatch(s.openPlan('test'));
    expect(opening.kind).to.equal('damaged');
    expect(opening.kind === 'damaged' && opening.faults[0]!.at).to.equal('changed');
    expect(await stored()).to.deep.equal(record);
  });
});

describe('edits of one gesture', () => {
  beforeEach(begin);
  const superfat = (percent: number, gesture: InstanceType<Session['Gesture']>) =>
    s.store.dispatch(
      s.editPlan((p) => ({ ...p, batter: { ...p.batter, superfatPercent: percent } }), gesture),
    );

  it('start from the plan as it was when the gesture began', () => {
    const gesture = new s.Gesture();
    const grow = (by: number) =>
      s.store.dispatch(s.editPlan((p) => ({ ...p, notes: p.notes + 'x'.repeat(by) }), gesture));
    grow(1);
    grow(3);
    expect(present().notes).to.equal('xxx');
    expect(s.store.getState().plan.past).to.have.length(1);
  });

  it('are taken back by a refusal: superfat 45 leaves the 5 that was there', async () => {
    const gesture = new s.Gesture();
    expect(superfat(4, gesture)).to.equal(undefined);
    expect(present().batter.superfatPercent).to.equal(4);
    // what is typed is worked out at once: only what is dragged waits
    expect(s.selectComputed(s.store.getState())!.plan).to.equal(present());
    await until(async () => (await stored()).plan.batter.superfatPercent === 4);
    expect(superfat(45, gesture)?.at).to.equal('batter.superfatPercent');
    expect(present().batter.superfatPercent).to.equal(5);
    await until(async () => (await stored()).plan.batter.superfatPercent === 5);
    // what was stored in between is one undo away
    s.store.dispatch(s.undone());
    expect(present().batter.superfatPercent).to.equal(4);
  });

  it('are taken back by hand, and the gesture can go on after', () => {
    const gesture = new s.Gesture();
    superfat(8, gesture);
    gesture.takeBack();
    expect(present().batter.superfatPercent).to.equal(5);
    superfat(9, gesture);
    expect(present().batter.superfatPercent).to.equal(9);
    s.store.dispatch(s.undone());
    expect(present().batter.superfatPercent).to.equal(5);
  });

  it('do not reach back over what came in between', () => {
    const gesture = new s.Gesture();
    superfat(8, gesture);
    edit('In between');
    superfat(9, gesture);
    gesture.takeBack();
    expect(present().name).to.equal('In between');
    expect(present().batter.superfatPercent).to.equal(8);
  });

  it('by a key build on one another and undo as one', () => {
    const gesture = new s.Gesture('on-itself');
    for (let i = 0; i < 3; i += 1)
      s.store.dispatch(s.editPlan((p) => ({ ...p, notes: `${p.notes}x` }), gesture));
    expect(present().notes).to.equal('xxx');
    s.store.dispatch(s.undone());
    expect(present().notes).to.equal('');
  });
});

describe('something that is dragged', () => {
  beforeEach(begin);
  const state = () => s.store.getState();
  const filled = (headspaceMm: number, gesture: InstanceType<Session['Gesture']>) =>
    s.store.dispatch(
      s.editPlan((p) => ({ ...p, fill: { ...p.fill, to: { kind: 'headspace', headspaceMm } } }), gesture),
    );
  const heightMm = (of: { fill: { heightMm: number } } | undefined): number => of!.fill.heightMm;

  it('is drawn at once; all else, and what is kept, follows when it is let go of', () => {
    const before = s.selectComputed(state());
    const gesture = s.dragging();
    for (const mm of [12, 11, 9]) {
      filled(mm, gesture);
      const drawn = s.selectDrawn(state());
      expect(heightMm(drawn)).to.be.closeTo(drawn!.geometry.heightMm - mm, 1e-9);
      expect(s.selectComputed(state())).to.equal(before);
      expect(s.selectTimes(state())!.plan).to.equal(present());
      expect(s.selectBehind(state())).to.equal(false);
      expect(save()).to.equal('saved');
    }
    gesture.letGo();
    expect(heightMm(s.selectComputed(state()))).to.equal(heightMm(s.selectDrawn(state())));
    expect(s.selectComputed(state())!.plan).to.equal(present());
    expect(save()).to.not.equal('saved');
    s.store.dispatch(s.undone());
    expect(heightMm(s.selectComputed(state()))).to.equal(heightMm(before));
  });

  it('while what is shown is as before: a mould put on the bench lies there once it is worked out', () => {
    const gesture = s.dragging();
    let added = '';
    const adding = (p: Plan): Plan => {
      const more = addMould(p, STARTER_MOULDS[1]!);
      added = more.mouldId;
      return more.plan;
    };
    s.store.dispatch(s.editPlan(adding, gesture));
    s.store.dispatch(mouldShown(added));
    expect(s.selectMouldUse(state())!.id).to.equal(FIRST);
    expect(s.selectDrawn(state())!.stack.layers.length).to.be.above(0);
    gesture.letGo();
    expect(s.selectMouldUse(state())!.id).to.equal(added);
    s.store.dispatch(mouldShown(FIRST));
  });

  it('is worked out and kept once it rests, while it is still held', async () => {
    const gesture = s.dragging();
    filled(9, gesture);
    await until(() => s.selectComputed(state())!.plan === present());
    await until(async () => (await stored()).plan.fill.to.kind === 'headspace');
    filled(8, gesture);
    gesture.takeBack();
    expect(s.selectComputed(state())!.plan).to.equal(present());
    expect(present().fill).to.deep.equal(basePlan().fill);
  });
});

describe('undo and redo', () => {
  beforeEach(begin);

  it('survive a reload, both ways', async () => {
    for (const name of ['One', 'Two', 'Three']) edit(name);
    s.store.dispatch(s.undone());
    await s.keeper.flush();
    await anew();
    expect(present().name).to.equal('Two');
    s.store.dispatch(s.redone());
    expect(present().name).to.equal('Three');
    for (let i = 0; i < 3; i += 1) s.store.dispatch(s.undone());
    expect(present().name).to.equal('New plan');
  });

  it('do not go with a plan that another tab has stored since', async () => {
    edit('Mine');
    await s.keeper.flush();
    await theyStore('Theirs', 'r9');
    await anew();
    expect(present().name).to.equal('Theirs');
    expect(s.store.getState().plan.past).to.have.length(0);
  });
});

describe('two tabs and one plan', () => {
  beforeEach(begin);

  it('find that another tab stored meanwhile, and write nothing over it', async () => {
    await theyStore('Theirs', 'r5');
    edit('Mine');
    await until(() => save() === 'conflict');
    expect((await stored()).name).to.equal('Theirs');
    expect(present().name).to.equal('Mine');
    expect((await tablesOf(s.database).drafts.toArray()).map((d) => d.plan.name)).to.deep.equal(['Mine']);
  });

  it('settle it either way', async () => {
    const theirs = await theyStore('Theirs', 'r9');
    edit('Mine');
    await until(() => save() === 'conflict');
    expect(await s.keeper.overrule('test')).to.equal(true);
    expect((await stored()).name).to.equal('Mine');
    expect(await tablesOf(s.database).drafts.count()).to.equal(0);
    await s.store.dispatch(s.takeTheirs(theirs));
    expect(present().name).to.equal('Theirs');
    expect(s.store.getState().plan.past).to.have.length(0);
  });

  it('keep an undecided one through the other tab’s next edit, a reload and a visit to the shelf', async () => {
    await theyStore('Theirs', 'r5');
    edit('Mine');
    await until(() => save() === 'conflict');
    await theyStore('Theirs again', 'r6');
    s.keeper.leave('test');
    s.store.dispatch(s.planClosed());
    await until(() => s.store.getState().keeping.works['test'] === undefined);
    const [waiting] = await s.openConflicts(s.database);
    expect(waiting).to.include({ planId: 'test', name: 'Mine', deleted: false });
    expect(await open()).to.equal('open');
    expect(save()).to.equal('conflict');
    expect(present().name).to.equal('Mine');
    expect(s.store.getState().keeping.works['test']!.theirs!.name).to.equal('Theirs again');
  });

  it('bring an idle one up to date', async () => {
    const stop = s.store.dispatch(s.followPlan('test'));
    await theyStore('From afar', 'r6');
    await until(() => present().name === 'From afar');
    expect(s.store.getState().desk.notice).to.match(/up to date/);
    stop();
  });

  it('do not read a plan that nobody has stored since', async () => {
    let reads = 0;
    const read = <T>(record: T): T => {
      reads += 1;
      return record;
    };
    tablesOf(s.database).plans.hook('reading', read);
    const stop = s.store.dispatch(s.followPlan('test'));
    await new Promise((next) => setTimeout(next, 60));
    expect(reads).to.equal(0);
    await theyStore('From afar', 'r6');
    await until(() => present().name === 'From afar');
    expect(reads).to.be.above(0);
    stop();
    tablesOf(s.database).plans.hook('reading').unsubscribe(read);
  });

  it('never take a burst of one’s own saves for another tab’s', async () => {
    const stop = s.store.dispatch(s.followPlan('test'));
    for (let i = 0; i < 6; i += 1) {
      edit(`Edit ${i}`);
      await new Promise((next) => setTimeout(next, i % 2 === 0 ? 20 : 450));
    }
    await until(() => save() === 'saved');
    expect((await stored()).name).to.equal('Edit 5');
    stop();
  });

  it('go on by themselves when a deleted plan is put back as it was', async () => {
    const stop = s.store.dispatch(s.followPlan('test'));
    const record = await stored();
    await tablesOf(s.database).plans.delete('test');
    edit('Mine');
    await until(() => save() === 'conflict');
    expect(s.store.getState().keeping.works['test']!.theirs).to.equal(null);
    await tablesOf(s.database).plans.put(record);
    await until(async () => (await stored()).name === 'Mine');
    stop();
  });
});

describe('work that a page left unstored', () => {
  beforeEach(begin);

  it('is brought back when its page is gone, whatever the clocks say', async () => {
    const late = draft('gone', 'r4', 'Half typed');
    // this machine's clock was set back after the plan was stored
    await tablesOf(s.database).drafts.put({
      ...late,
      plan: { ...late.plan, changed: '1999-01-01T00:00:00.000Z' },
    });
    await anew();
    expect(present().name).to.equal('Half typed');
    await until(() => save() === 'saved');
    expect((await stored()).name).to.equal('Half typed');
    expect(await tablesOf(s.database).drafts.count()).to.equal(0);
  });

  it('belongs to its page while that lives', async () => {
    const dies = s.locks.otherPage('living');
    await tablesOf(s.database).drafts.put(draft('living', 'r4', 'Being typed'));
    await anew();
    expect(present().name).to.equal('New plan');
    expect(await tablesOf(s.database).drafts.count()).to.equal(1);
    dies();
    await anew();
    expect(present().name).to.equal('Being typed');
  });

  it('waits for a decision where another writing came first', async () => {
    await tablesOf(s.database).drafts.put(draft('gone', 'r3', 'Built on the third'));
    await anew();
    expect(save()).to.equal('conflict');
    expect(present().name).to.equal('Built on the third');
    expect((await stored()).name).to.equal('New plan');
  });

  it('is nothing when it was stored after all', async () => {
    await tablesOf(s.database).drafts.put(draft('gone', 'r3', 'New plan'));
    await anew();
    expect(save()).to.equal('saved');
    expect(await tablesOf(s.database).drafts.count()).to.equal(0);
  });

  it('brings back what undo took from the stored plan in the last moment, and does not speak of it', async () => {
    const future = [{ ...draft('gone', 'r4', 'Undone').plan }];
    await tablesOf(s.database).drafts.put({ ...draft('gone', 'r4', 'New plan'), future });
    await anew();
    expect(s.store.getState().plan.future.map((p) => p.name)).to.deep.equal(['Undone']);
    expect(s.store.getState().desk.notice).to.equal(null);
    await until(() => save() === 'saved');
    expect(await tablesOf(s.database).drafts.count()).to.equal(0);
  });

  it('is one at a time where several pages left some, and none is dropped', async () => {
    await tablesOf(s.database).drafts.bulkPut([
      draft('gone-1', 'r2', 'First'),
      draft('gone-2', 'r4', 'Second'),
    ]);
    await anew();
    expect(present().name).to.equal('Second');
    await until(() => save() === 'saved');
    expect((await s.openConflicts(s.database)).map((c) => c.name)).to.deep.equal(['First']);
  });

  it('is stored from the shelf too, unless it must be decided', async () => {
    await tablesOf(s.database).drafts.bulkPut([
      draft('gone-1', 'r2', 'First'),
      draft('gone-2', 'r4', 'Second'),
    ]);
    expect(await s.recoverDrafts()).to.deep.equal(['Second']);
    expect((await stored()).name).to.equal('Second');
    expect((await tablesOf(s.database).drafts.toArray()).map((d) => d.plan.name)).to.deep.equal(['First']);
  });

  it('is set aside, not dropped, when it is damaged', async () => {
    await tablesOf(s.database).drafts.put({
      ...draft('gone', 'r4', 'x'),
      plan: { id: 'test' } as unknown as Plan,
    });
    await anew();
    expect(present().name).to.equal('New plan');
    expect((await tablesOf(s.database).aside.toArray()).map((a) => a.table)).to.deep.equal(['drafts']);
  });
});

describe('storage that refuses', () => {
  beforeEach(begin);
  const put = () => tablesOf(s.database).plans.put.bind(tablesOf(s.database).plans);

  it('is told, and tried again until it takes what was edited meanwhile', async function () {
    this.timeout(20_000);
    const real = put();
    const full = Object.assign(new Error('no room'), { name: 'QuotaExceededError' });
    tablesOf(s.database).plans.put = () => Promise.reject(full) as never;
    edit('Not stored');
    await until(() => save() === 'failed');
    expect(s.store.getState().keeping.trouble).to.equal('full');
    expect(s.keeper.wouldLose).to.equal(true);
    // it goes on being tried after the workbench was left
    s.keeper.leave('test');
    s.store.dispatch(s.planClosed());
    expect(s.store.getState().keeping.works['test']!.left!.name).to.equal('Not stored');
    tablesOf(s.database).plans.put = real;
    await until(async () => (await stored()).name === 'Not stored', 9000);
    await until(() => s.store.getState().keeping.trouble === null);
    expect(s.keeper.wouldLose).to.equal(false);
  });

  it('gives the unstored plan back when it is opened again', async () => {
    const real = put();
    tablesOf(s.database).plans.put = () => Promise.reject(new Error('broken')) as never;
    edit('Not stored');
    await until(() => save() === 'failed');
    s.keeper.leave('test');
    s.store.dispatch(s.planClosed());
    expect(await open()).to.equal('open');
    expect(present().name).to.equal('Not stored');
    tablesOf(s.database).plans.put = real;
    expect(await s.keeper.flush()).to.equal(true);
  });
});
