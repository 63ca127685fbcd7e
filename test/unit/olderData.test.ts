import { expect } from 'chai';
import { Dexie } from 'dexie';
import { readFileSync } from 'node:fs';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { DripLineDatabase } from '../../src/store/database.ts';
import { takeOldDrafts } from '../../src/store/keeping/oldDrafts.ts';
import { readStored } from '../../src/store/keeping/storedPlan.ts';
import { MemoryStorage } from '../support/memoryStorage.ts';
import { basePlan } from '../support/plans.ts';

/** A plan as version 1 stored it: the body of an old file. */
const oldPlan = (): Record<string, unknown> & { readonly id: string } => {
  const file = JSON.parse(readFileSync('test/fixtures/copper-weir.v1.dripline.json', 'utf8')) as Record<
    string,
    unknown
  >;
  const { format: _format, version: _version, ...plan } = file;
  return plan as Record<string, unknown> & { readonly id: string };
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
    const record = (await db.plans.get(plan.id))!;
    expect(record).to.include({ revision: '4', version: 3 });
    // as it was then; brought up to date as it is read
    const read = readStored(record.plan, record.version);
    expect(read.ok && read.plan).to.deep.equal(asNow());
    expect((await db.moulds.toArray()).map((m) => m.name)).to.deep.equal(['Own']);
    expect(await db.marks.get('first-start')).to.deep.equal({ key: 'first-start', at: 'then' });
    expect(await db.colorants.count()).to.equal(0);
    // one that was damaged is there, and has not kept the others from being opened
    expect(await db.plans.get('damaged')).to.not.equal(undefined);
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
    expect((await db.plans.get(plan.id))!.plan).to.deep.equal(plan);
    expect((await db.colorants.get(colorant.id))!.colorant).to.deep.equal(colorant);
    expect((await db.palettes.get('Quarry'))!.palette).to.deep.equal(palette);
    expect((await db.colorants.toArray()).every((c) => c.revision !== '')).to.equal(true);
    db.close();
  });

  it('edits it had not stored yet become drafts, once, on the writing they were made on', async () => {
    const db = new DripLineDatabase('older-drafts');
    const storage = new MemoryStorage();
    const plan = oldPlan();
    storage.setItem(`drip-line/draft/${plan.id}/tab`, JSON.stringify({ baseRevision: 2, plan }));
    storage.setItem(`drip-line/draft/${plan.id}/torn`, '{"plan":');
    storage.setItem('drip-line/theme', 'day');
    await takeOldDrafts(db, storage);
    const [draft, ...others] = await db.drafts.toArray();
    expect(others).to.deep.equal([]);
    expect(draft).to.include({ planId: plan.id, page: 'tab', base: '2' });
    expect(readStored(draft!.plan, draft!.version)).to.deep.equal({ ok: true, plan: asNow() });
    expect(storage.length).to.equal(1);
    db.close();
  });
});
