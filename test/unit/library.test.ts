import { expect } from 'chai';
import fc from 'fast-check';
import { mergeFields } from '../../src/core/edit/mergeFields.ts';
import { newColorant } from '../../src/core/colorant/starters.ts';
import type { Colorant } from '../../src/core/colorant/schema.ts';
import { DripLineDatabase } from '../../src/store/database.ts';
import { Gesture } from '../../src/store/gesture.ts';
import { LibraryKeeper } from '../../src/store/keeping/libraryKeeper.ts';
import { COLORANT } from '../../src/store/tables/colorantKind.ts';
import type { Seen } from '../../src/store/tables/kind.ts';
import { tablesOf } from '../support/tables.ts';
import { until } from '../support/session.ts';

describe('two changes of one record', () => {
  const record = fc.record(
    {
      name: fc.string(),
      figure: fc.integer(),
      inside: fc.record({ a: fc.integer(), b: fc.boolean() }),
      more: fc.string(),
    },
    { requiredKeys: ['name', 'figure', 'inside'] },
  );

  it('are both there when they are of different fields', () => {
    const base = { name: 'Slate', nature: { dose: 3, base: '#fff' }, stock: 5 };
    const mine = { ...base, nature: { ...base.nature, dose: 4 } };
    const theirs = { ...base, stock: 2, nature: { ...base.nature, base: '#eee' } };
    expect(mergeFields(base, mine, theirs)).to.deep.equal({
      value: { name: 'Slate', nature: { dose: 4, base: '#eee' }, stock: 2 },
      clashes: [],
    });
  });

  it('of one field clash, and are named', () => {
    const base = { nature: { dose: 3, tags: [1] } };
    const merged = mergeFields(base, { nature: { dose: 4, tags: [1] } }, { nature: { dose: 5, tags: [2] } });
    expect(merged.clashes).to.deep.equal(['nature.dose']);
    expect(merged.value).to.deep.equal({ nature: { dose: 4, tags: [2] } });
  });

  it('keep what was added and leave out what was taken away', () => {
    const base: { a?: number; b?: number } = { a: 1 };
    expect(mergeFields(base, {}, { a: 1, b: 2 }).value).to.deep.equal({ b: 2 });
  });

  it('are one’s own where the other changed nothing, and the same whichever comes first where they do not clash', () => {
    fc.assert(
      fc.property(record, record, record, (base, mine, theirs) => {
        expect(mergeFields(base, mine, base)).to.deep.equal({ value: mine, clashes: [] });
        expect(mergeFields(base, base, theirs)).to.deep.equal({ value: theirs, clashes: [] });
        expect(mergeFields(base, mine, mine).clashes).to.deep.equal([]);
        const [ab, ba] = [mergeFields(base, mine, theirs), mergeFields(base, theirs, mine)];
        expect(ab.clashes.toSorted()).to.deep.equal(ba.clashes.toSorted());
        if (ab.clashes.length === 0) expect(ab.value).to.deep.equal(ba.value);
      }),
      { seed: 5 },
    );
  });
});

let n = 0;

describe('a thing of the library, changed in two tabs', () => {
  let db: DripLineDatabase;
  let gaveWay: string[];
  let shown: Map<string, Colorant | null | undefined>;
  const slate = newColorant('own-1', 'Slate', 'mica');
  const tab = () =>
    new LibraryKeeper(db, COLORANT, {
      shown: (key, value) => shown.set(key, value),
      gaveWay: (mine) => gaveWay.push(mine.name),
    });
  const seen = async (): Promise<Seen<Colorant>> => {
    const record = (await tablesOf(db).colorants.get('own-1'))!;
    return { value: record.value as Colorant, revision: record.revision };
  };
  const stored = async (): Promise<Colorant> => (await seen()).value;
  const dosed = (dose: number): Colorant => ({ ...slate, nature: { ...slate.nature, doseGPerKg: dose } });

  beforeEach(async () => {
    n += 1;
    db = new DripLineDatabase(`library-${n}`);
    gaveWay = [];
    shown = new Map();
    await tablesOf(db).colorants.put({ id: 'own-1', revision: 'r1', version: 1, value: slate });
  });

  it('keeps both changes when they are of different fields', async () => {
    const start = await seen();
    const [a, b] = [tab(), tab()];
    await Promise.all([
      a.change('own-1', start, { ...slate, stockG: 12 }),
      b.change('own-1', start, { ...slate, name: 'Dark slate' }),
    ]);
    expect(await stored()).to.deep.equal({ ...slate, name: 'Dark slate', stockG: 12 });
    expect(gaveWay).to.deep.equal([]);
  });

  it('never writes over the other’s change of the same field unsaid, and does once it has been seen', async () => {
    const start = await seen();
    await tab().change('own-1', start, dosed(4));
    const late = tab();
    await late.change('own-1', start, dosed(9));
    expect((await stored()).nature.doseGPerKg).to.equal(4);
    expect(gaveWay).to.deep.equal(['Slate']);
    await late.change('own-1', await seen(), dosed(9));
    expect((await stored()).nature.doseGPerKg).to.equal(9);
  });

  it('starts all of one gesture from where it began, and gives it back', async () => {
    const start = await seen();
    const one = tab();
    const gesture = new Gesture();
    expect(one.startOf('own-1', gesture)).to.equal(undefined);
    await one.change('own-1', start, dosed(1), gesture);
    expect(one.startOf('own-1', gesture)).to.deep.equal(slate);
    await one.change('own-1', start, dosed(13), gesture);
    gesture.takeBack();
    await until(async () => (await stored()).nature.doseGPerKg === slate.nature.doseGPerKg);
    expect(await stored()).to.deep.equal(slate);
  });

  it('gives back to a starter what was never stored', async () => {
    const gesture = new Gesture();
    const one = tab();
    const starter = newColorant('starter', 'Heather', 'mica');
    await one.change('starter', { value: starter, revision: null }, { ...starter, stockG: 3 }, gesture);
    expect(await tablesOf(db).colorants.count()).to.equal(2);
    gesture.takeBack();
    await until(async () => (await tablesOf(db).colorants.count()) === 1);
  });

  it('keeps one field’s change while the next is typed before it is stored, and gives back only the next', async () => {
    const start = await seen();
    const one = tab();
    const [name, dose] = [new Gesture(), new Gesture()];
    const begun = (gesture: Gesture): Colorant => one.startOf('own-1', gesture) ?? shown.get('own-1')!;
    // storage is slow: none of this has been stored when the next comes
    const saving = [one.change('own-1', start, { ...slate, name: 'Dark slate' }, name)];
    for (const doseGPerKg of [1, 13]) {
      const now = begun(dose);
      saving.push(one.change('own-1', start, { ...now, nature: { ...now.nature, doseGPerKg } }, dose));
    }
    await Promise.all(saving);
    expect(await stored()).to.deep.equal({ ...dosed(13), name: 'Dark slate' });
    dose.takeBack();
    await until(async () => (await stored()).nature.doseGPerKg === slate.nature.doseGPerKg);
    expect(await stored()).to.deep.equal({ ...slate, name: 'Dark slate' });
  });

  it('is not taken out when what is typed into it right after it was made is escaped from', async () => {
    const one = tab();
    const made = newColorant('own-2', 'New', 'mica');
    const gesture = new Gesture();
    const saving = one.change('own-2', null, made);
    await Promise.all([saving, one.change('own-2', null, { ...made, name: 'N' }, gesture)]);
    gesture.takeBack();
    await until(
      async () =>
        ((await tablesOf(db).colorants.get('own-2'))?.value as Colorant | undefined)?.name === 'New',
    );
  });

  it('keeps what the other did meanwhile when a gesture goes on', async () => {
    const start = await seen();
    const [one, other] = [tab(), tab()];
    const gesture = new Gesture();
    await one.change('own-1', start, { ...slate, name: 'S' }, gesture);
    await other.change('own-1', await seen(), { ...(await stored()), stockG: 7 });
    await one.change('own-1', start, { ...slate, name: 'Slates' }, gesture);
    expect(await stored()).to.deep.equal({ ...slate, name: 'Slates', stockG: 7 });
  });

  it('puts back what the other took out, rather than lose the change', async () => {
    const start = await seen();
    await tab().change('own-1', start, null);
    expect(await tablesOf(db).colorants.count()).to.equal(0);
    await tab().change('own-1', start, dosed(5));
    expect((await stored()).nature.doseGPerKg).to.equal(5);
  });

  it('does not let a new one take the place of another of its key', async () => {
    await tab().change('own-1', null, newColorant('own-1', 'Peat', 'clay'));
    expect((await stored()).name).to.equal('Slate');
    expect(gaveWay).to.deep.equal(['Peat']);
  });

  it('is tried again while storage refuses it, and shown meanwhile', async function () {
    this.timeout(12_000);
    const real = tablesOf(db).colorants.put.bind(tablesOf(db).colorants);
    tablesOf(db).colorants.put = () =>
      Promise.reject(Object.assign(new Error('full'), { name: 'QuotaExceededError' })) as never;
    const one = tab();
    await one.change('own-1', await seen(), dosed(6));
    expect(one.unstored).to.equal(true);
    expect(shown.get('own-1')!.nature.doseGPerKg).to.equal(6);
    tablesOf(db).colorants.put = real;
    await one.again();
    expect(one.unstored).to.equal(false);
    expect((await stored()).nature.doseGPerKg).to.equal(6);
  });
});
