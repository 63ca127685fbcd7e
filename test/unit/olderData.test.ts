import { expect } from 'chai';
import { Dexie } from 'dexie';
import { readFileSync } from 'node:fs';
import { readPlanFile, readPlanValue } from '../../src/core/exchange/planFile.ts';
import { DripLineDatabase } from '../../src/store/database.ts';
import { takeDraft } from '../../src/store/takeDraft.ts';
import { MemoryStorage } from '../support/memoryStorage.ts';

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
  it('plans in its database are brought up to date when it is opened, moulds and marks stay', async () => {
    const old = new Dexie('older');
    old.version(1).stores({ plans: '&id, changed, name', marks: '&key', moulds: '&name' });
    const plan = oldPlan();
    await old
      .table('plans')
      .put({ id: plan.id, name: 'Copper Weir', changed: '2026-01-01', revision: 4, plan });
    await old.table('moulds').put({ name: 'Own', mould: plan['mould'] });
    await old.table('marks').put({ key: 'first-start', at: 'then' });
    old.close();

    const db = new DripLineDatabase('older');
    const record = (await db.plans.get(plan.id))!;
    expect(record.revision).to.equal(4);
    expect(readPlanValue(record.plan).ok).to.equal(true);
    expect(record.plan).to.deep.equal(asNow());
    expect(await db.moulds.count()).to.equal(1);
    expect(await db.marks.get('first-start')).to.deep.equal({ key: 'first-start', at: 'then' });
    expect(await db.colorants.count()).to.equal(0);
    db.close();
  });

  it('an edit it had not stored yet is taken over too', () => {
    const storage = new MemoryStorage();
    const plan = oldPlan();
    storage.setItem(`drip-line/draft/${plan.id}/tab`, JSON.stringify({ baseRevision: 2, plan }));
    expect(takeDraft(storage, plan.id)).to.deep.equal({ baseRevision: 2, plan: asNow() });
  });
});
