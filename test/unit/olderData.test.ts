import { expect } from 'chai';
import { Dexie } from 'dexie';
import { readFileSync } from 'node:fs';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { DripLineDatabase } from '../../src/store/database.ts';
import { takeOldDrafts } from '../../src/store/keeping/oldDrafts.ts';
import { inOrder } from '../../src/core/batch/book.ts';
import { batchesOfPlan } from '../../src/store/tables/batches.ts';
import { readStoredBatch } from '../../src/store/tables/storedBatch.ts';
import { readDraft, readStored } from '../../src/store/tables/storedPlan.ts';
import { tablesOf } from '../support/tables.ts';
import { MemoryStorage } from '../support/memoryStorage.ts';
import { basePlan } from '../support/plans.ts';

/** A plan as version 1 stored it: the body of an old file. */
const oldPlan = () => bodyOf('copper-weir.v1') as Record<string, unknown> & { readonly id: string };

/** The body of a fixture, as it is stored. */
const bodyOf = (name: string): Record<string, unknown> => {
  const {
    format: _format,
    version: _version,
    ...body
  } = JSON.parse(readFileSync(`test/fixtures/${name}.dripline.json`, 'utf8')) as Record<string, unknown>;
  return body;
};

const asNow = (): unknown => {
  const read = readPlanFile(readFileSync('test/fixtures/copper-weir.v1.dripline.json', 'utf8'));
  return read.ok ? read.plan : undefined;
};

describe('what an older Drip Line left in the browser', () => {
  it('plans in its first database are brought up to date when it is opened, moulds and marks stay', async () => {
    const old = new Dexie('older');
    old.version(1).stores({ plans: '&id, changed, name', marks: '&key', moulds: '&name' });
    const plan = oldPlan();
    await old
      .table('plans')
      .put({ id: plan.id, name: 'Copper Weir', changed: '2026-01-01', revision: 4, plan });
    await old.table('plans').put({ id: 'damaged', name: 'Damaged', changed: '2026-01-01', revision: 1 });
    await old.table('moulds').put({ name: 'Own', mould: plan['mould'] });
    await old.table('marks').put({ key: 'first-start', at: 'then' });
    old.close();

    const db = new DripLineDatabase('older');
    const record = (await tablesOf(db).plans.get(plan.id))!;
    expect(record).to.include({ revision: '4', version: 3 });
    // as it was then; brought up to date as it is read
    const read = readStored(record.plan, record.version);
    expect(read.ok && read.plan).to.deep.equal(asNow());
    expect((await tablesOf(db).moulds.toArray()).map((m) => m.name)).to.deep.equal(['Own']);
    expect(await tablesOf(db).marks.get('first-start')).to.deep.equal({ key: 'first-start', at: 'then' });
    expect(await tablesOf(db).colorants.count()).to.equal(0);
    // one that was damaged is there, and has not kept the others from being opened
    expect(await tablesOf(db).plans.get('damaged')).to.not.equal(undefined);
    db.close();
  });

  it('the library of its second one stays, each thing with a writing of its own', async () => {
    const old = new Dexie('older-2');
    old.version(2).stores({
      plans: '&id, changed, name',
      marks: '&key',
      moulds: '&name',
      colorants: '&id, name',
      palettes: '&name',
    });
    const colorant = { ...STARTER_COLORANTS[0]!, stockG: 12 };
    const palette = { name: 'Quarry', colours: [{ name: 'slate', colour: '#445566' }] };
    const plan = basePlan();
    await old.table('plans').put({ id: plan.id, name: plan.name, changed: plan.changed, revision: 7, plan });
    await old.table('colorants').put(colorant);
    await old.table('palettes').put(palette);
    old.close();

    const db = new DripLineDatabase('older-2');
    expect((await tablesOf(db).plans.get(plan.id))!.plan).to.deep.equal(plan);
    expect((await tablesOf(db).colorants.get(colorant.id))!.value).to.deep.equal(colorant);
    expect((await tablesOf(db).palettes.get('Quarry'))!.value).to.deep.equal(palette);
    expect((await tablesOf(db).colorants.toArray()).every((c) => c.revision !== '')).to.equal(true);
    db.close();
  });

  it('what its fifth one had written into plans and drafts is a batch by itself, and nothing brings it back', async () => {
    const old = new Dexie('older-5');
    old.version(5).stores({
      plans: '&id, changed, name',
      histories: '&planId',
      drafts: '[planId+page], planId',
      moulds: '&name',
      colorants: '&id',
      palettes: '&name',
      stores: '&id, kind',
      settings: '&key',
      aside: '++id',
      marks: '&key',
    });
    const seventh = bodyOf('heather-poured.v7');
    const { batch, ...plain } = seventh as { batch: { started: string; events: readonly object[] } };
    const id = String(seventh['id']);
    const row = (key: string, plan: object) => ({
      id: key,
      name: key,
      changed: '2026-11-20T10:00:00.000Z',
      revision: `r-${key}`,
      savedBy: 'page',
      version: 7,
      plan,
    });
    const shorter = { ...plain, batch: { ...batch, events: batch.events.slice(0, 2) } };
    const later = { ...batch.events[3]!, id: 'e5', at: '2026-11-20T14:05:00.000Z' };
    const longer = { ...plain, batch: { ...batch, events: [...batch.events, later] } };
    await old
      .table('plans')
      .bulkPut([
        row(id, seventh),
        row('third', { ...bodyOf('heather-poured.v3'), id: 'third' }),
        row('plain', { ...plain, id: 'plain' }),
        row('odd', { ...plain, id: 'odd', batch: { started: 'then', events: 'none' } }),
        row('void', {}),
      ]);
    await old.table('plans').update('third', { version: 3 });
    await old.table('histories').put({
      planId: id,
      revision: `r-${id}`,
      version: 7,
      past: [shorter],
      future: [longer],
    });
    // a page went away with one entry more that was not stored
    await old.table('drafts').put({
      planId: id,
      page: 'gone',
      base: `r-${id}`,
      version: 7,
      plan: longer,
      past: [seventh],
      future: [],
    });
    await old
      .table('stores')
      .put({ id: 'j1', kind: 'jug', revision: 'r1', thing: { id: 'j1', kind: 'jug' } });
    await old.table('moulds').bulkPut([
      { name: 'Own', revision: 'r2', mould: { name: 'Own' } },
      { name: 'Torn', revision: 'r3' },
    ]);
    await old.table('settings').put({ key: 'units', revision: 'r4', value: { mass: 'g' } });
    old.close();

    const db = new DripLineDatabase('older-5');
    const rows = tablesOf(db);
    const stored = (await rows.plans.get(id))!;
    expect(stored).to.include({ revision: `r-${id}`, version: 8 });
    expect(stored.plan).to.deep.equal(plain);
    const [found, ...others] = await batchesOfPlan(db, id);
    expect(others).to.deep.equal([]);
    const read = readStoredBatch(found!)!;
    // the four of the plan, and the one that only the draft had
    expect(inOrder(read).map((e) => e.does)).to.deep.equal([
      'weighed',
      'as-planned',
      'weighed',
      'added',
      'added',
    ]);
    expect(await batchesOfPlan(db, 'plain')).to.deep.equal([]);
    const [third] = await batchesOfPlan(db, 'third');
    expect(readStoredBatch(third!)!.events.length).to.be.above(0);
    // what is at fault stays as it was
    expect((await rows.plans.get('odd'))!).to.deep.include({ version: 7 });
    expect(readStored((await rows.plans.get('odd'))!.plan, 7).ok).to.equal(false);
    const draft = (await rows.drafts.get([id, 'gone']))!;
    expect(readDraft(draft)).to.deep.equal({ plan: plain, past: [], future: [] });
    // things of the library have a version, and what was called stores is there
    expect(await rows.supplies.toArray()).to.deep.equal([
      { id: 'j1', revision: 'r1', version: 1, value: { id: 'j1', kind: 'jug' } },
    ]);
    expect(db.tables.map((t) => t.name)).to.not.include('stores');
    expect(await rows.moulds.get('Own')).to.deep.equal({
      name: 'Own',
      revision: 'r2',
      version: 2,
      value: { name: 'Own' },
    });
    expect((await rows.moulds.get('Torn'))!.revision).to.equal('r3');
    db.close();
  });

  it('edits it had not stored yet become drafts, once, on the writing they were made on', async () => {
    const db = new DripLineDatabase('older-drafts');
    const storage = new MemoryStorage();
    const plan = oldPlan();
    storage.setItem(`drip-line/draft/${plan.id}/tab`, JSON.stringify({ baseRevision: 2, plan }));
    storage.setItem(`drip-line/draft/${plan.id}/torn`, '{"plan":');
    storage.setItem('drip-line/draft/none/tab', '{"baseRevision":1}');
    storage.setItem('drip-line/theme', 'day');
    await takeOldDrafts(db, storage);
    const drafts = await tablesOf(db).drafts.toArray();
    // one without a plan is kept as it was, and keeps no other from being taken
    expect(drafts.map((d) => d.planId)).to.have.members([plan.id, 'none']);
    const draft = drafts.find((d) => d.planId === plan.id);
    expect(draft).to.include({ planId: plan.id, page: 'tab', base: '2' });
    expect(readStored(draft!.plan, draft!.version)).to.deep.equal({ ok: true, plan: asNow() });
    expect(storage.length).to.equal(1);
    db.close();
  });
});
