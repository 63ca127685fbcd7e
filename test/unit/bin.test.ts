import { expect } from 'chai';
import fc from 'fast-check';
import { readArchive, writeArchive, ARCHIVE_FORMAT } from '../../src/core/exchange/archiveFile.ts';
import { MOST_CHARACTERS } from '../../src/core/exchange/head.ts';
import { readShelfFile } from '../../src/core/exchange/shelfFile.ts';
import { newColorant } from '../../src/core/colorant/starters.ts';
import type { Colorant } from '../../src/core/colorant/schema.ts';
import { DripLineDatabase } from '../../src/store/database.ts';
import { LibraryKeeper } from '../../src/store/keeping/libraryKeeper.ts';
import {
  allBinned,
  clearBinned,
  daysLeft,
  emptyBin,
  KEPT_DAYS,
  putBackThing,
} from '../../src/store/tables/bin.ts';
import { COLORANT } from '../../src/store/tables/colorantKind.ts';
import { deletePlan, restorePlan, savePlan, takenOf } from '../../src/store/tables/plans.ts';
import { basePlan, demoPlans } from '../support/plans.ts';
import { tablesOf } from '../support/tables.ts';

let count = 0;
const fresh = (): DripLineDatabase => new DripLineDatabase(`bin-${(count += 1)}`);

const keeperOf = (db: DripLineDatabase) =>
  new LibraryKeeper<Colorant>(db, COLORANT, { shown: () => undefined, gaveWay: () => undefined });

const DAY = 24 * 60 * 60 * 1000;

describe('the bin', () => {
  it('holds a deleted plan with its history, and gives both back as they were', async () => {
    const db = fresh();
    const plan = { ...basePlan(), name: 'Slate' };
    await savePlan(db, { plan, past: [{ ...plan, notes: 'before' }], future: [] }, null);
    const [before, history] = [
      await tablesOf(db).plans.get(plan.id),
      await tablesOf(db).histories.get(plan.id),
    ];
    await deletePlan(db, plan.id);
    expect(await tablesOf(db).plans.count()).to.equal(0);
    const [entry] = await allBinned(db);
    expect([entry!.table, entry!.name]).to.deep.equal(['plans', 'Slate']);
    await restorePlan(db, takenOf(entry!));
    expect(await tablesOf(db).plans.get(plan.id)).to.deep.equal(before);
    expect(await tablesOf(db).histories.get(plan.id)).to.deep.equal(history);
    expect(await allBinned(db)).to.deep.equal([]);
  });

  it('holds a deleted colorant; one of that name that is there again stays, and so does the deleted one', async () => {
    const db = fresh();
    const keeper = keeperOf(db);
    const own = newColorant('own-1', 'Wet slate', 'mica');
    await keeper.change(own.id, null, own);
    const stored = (await tablesOf(db).colorants.get(own.id))!;
    await keeper.change(own.id, { value: own, revision: stored.revision }, null);
    expect(await tablesOf(db).colorants.count()).to.equal(0);
    const [entry] = await allBinned(db);
    expect(entry!.name).to.equal('Wet slate');
    await keeperOf(db).change(own.id, null, { ...own, name: 'Another' });
    expect(await putBackThing(db, entry!)).to.equal(false);
    expect((await allBinned(db)).length).to.equal(1);
    await tablesOf(db).colorants.delete(own.id);
    expect(await putBackThing(db, entry!)).to.equal(true);
    expect(await tablesOf(db).colorants.get(own.id)).to.deep.equal(stored);
    expect(await allBinned(db)).to.deep.equal([]);
  });

  it('keeps what was deleted for a month to the day, and lets it go then; emptied, it is empty', async () => {
    const db = fresh();
    await savePlan(db, { plan: basePlan(), past: [], future: [] }, null);
    await deletePlan(db, basePlan().id);
    const [entry] = await allBinned(db);
    const at = Date.parse(entry!.at);
    expect(daysLeft(entry!, at)).to.equal(KEPT_DAYS);
    expect(daysLeft(entry!, at + 30.5 * DAY)).to.equal(1);
    await clearBinned(db, at + KEPT_DAYS * DAY - 1);
    expect((await allBinned(db)).length).to.equal(1);
    await clearBinned(db, at + KEPT_DAYS * DAY + 1);
    expect(await allBinned(db)).to.deep.equal([]);
    await savePlan(db, { plan: basePlan(), past: [], future: [] }, null);
    await deletePlan(db, basePlan().id);
    await emptyBin(db);
    expect(await allBinned(db)).to.deep.equal([]);
  });
});

describe('everything in one file', () => {
  const library = [{ table: 'colorants', version: 1, value: { id: 'k1', name: 'Slate' } }];

  it('comes back as it went out', () => {
    const plans = demoPlans();
    const text = writeArchive({ plans, batches: [], library }).join('');
    expect((JSON.parse(text) as { format: string }).format).to.equal(ARCHIVE_FORMAT);
    const read = readShelfFile(text);
    if (!read.ok || !read.archive) throw new Error('no archive');
    expect(read.archive.faults).to.deep.equal([]);
    expect(read.archive.plans).to.deep.equal(plans);
    expect(read.archive.library).to.deep.equal(library);
  });

  it('may be larger than any other file', () => {
    const plans = Array.from({ length: 20 }, demoPlans).flat();
    const text = writeArchive({ plans, batches: [], library: [] }).join('');
    expect(text.length).to.be.above(MOST_CHARACTERS);
    const read = readShelfFile(text);
    expect(read.ok && read.archive?.plans.length).to.equal(plans.length);
    // no other file may
    expect(readShelfFile(text.replace(ARCHIVE_FORMAT, 'drip-line/plan')).ok).to.equal(false);
  });

  it('with one plan broken gives the others, and names the broken one with its field', () => {
    const [first, second] = demoPlans();
    const broken = { ...second!, batter: { ...second!.batter, superfatPercent: -5 } };
    const read = readArchive(writeArchive({ plans: [first!, broken], batches: [], library: [] }).join(''));
    if (!read.ok) throw new Error(read.fault.message);
    expect(read.value.plans).to.deep.equal([first]);
    expect(read.value.faults.map((f) => f.at)).to.deep.equal(['plans.1.batter.superfatPercent']);
  });

  it('is refused or read, and never throws, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.json(), fc.json(), (plans, things) => {
        const text = `{"format": "${ARCHIVE_FORMAT}", "version": 1, "plans": [${plans}], "library": [${things}]}`;
        const read = readArchive(text);
        expect(read.ok && read.value.plans.length).to.equal(0);
      }),
      { numRuns: 60 },
    );
    for (const text of [
      '',
      '{',
      `{"format": "${ARCHIVE_FORMAT}"}`,
      `{"format": "${ARCHIVE_FORMAT}", "version": 9}`,
    ])
      expect(readShelfFile(text).ok).to.equal(false);
  });
});
