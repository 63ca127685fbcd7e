import { ChevronLeft } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { ask, type Query } from '../../store/ask.ts';
import { allAside, dropAside } from '../../store/tables/aside.ts';
import { COLORANTS } from '../../store/tables/colorants.ts';
import { MOULDS } from '../../store/tables/moulds.ts';
import { PALETTES } from '../../store/tables/palettes.ts';
import { PLANS } from '../../store/tables/plans.ts';
import { SUPPLIES } from '../../store/tables/supplies.ts';
import { countOf } from '../../store/tables/table.ts';
import { askToLast, storageUse, type StorageUse } from '../../store/keeping/storageUse.ts';
import { bytesText } from '../parts/bytesText.ts';
import { exportRaw } from '../parts/exportRaw.ts';
import { Fact } from '../parts/Fact.tsx';
import { Group } from '../parts/Station.tsx';
import { LibraryPage } from '../parts/LibraryPage.tsx';
import { useLive } from '../parts/useLive.ts';
import { Waiting } from '../shelf/Waiting.tsx';
import { Batches } from './Batches.tsx';
import { ExportAll } from './ExportAll.tsx';
import { Bin } from './Bin.tsx';
import { KIND_WORDS } from './kindWords.ts';
import { Button } from '../kit/Button.tsx';

/** What is counted, and what a maker calls it. */
const COUNTED = [
  { table: PLANS.name, name: 'Plans' },
  { table: MOULDS.name, name: 'Moulds of your own' },
  { table: COLORANTS.name, name: 'Colorants of your own, or changed' },
  { table: PALETTES.name, name: 'Palettes of your own' },
  { table: SUPPLIES.name, name: 'Supplies' },
];

const counts: Query<readonly { readonly name: string; readonly count: number }[]> = (db) =>
  Promise.all(COUNTED.map(async ({ table, name }) => ({ name, count: await countOf(db, table) })));

/**
 * What this browser keeps for Drip Line: how much, how safely, what waits for a decision, what was set aside.
 */
export function Kept() {
  const aside = useLive(allAside) ?? [];
  const stored = useLive(counts);
  const [use, setUse] = useState<StorageUse>();
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    void storageUse().then(setUse);
  }, [stored]);
  const askBrowser = async (): Promise<void> => {
    const lasts = await askToLast();
    setSaid(
      lasts ? null : 'The browser did not promise it. It tends to once a site is used often, or installed.',
    );
    setUse(await storageUse());
  };
  const toShelf = (
    <Link to="/" className="btn btn-ghost btn-sm gap-1 px-2">
      <ChevronLeft className="size-4" aria-hidden="true" />
      Shelf
    </Link>
  );
  return (
    <LibraryPage title="What is kept" back={toShelf}>
      <div className="min-h-0 flex-1 overflow-y-auto bg-base-100">
        <main className="mx-auto grid w-full max-w-2xl content-start gap-6 p-6">
          <Group title="In this browser">
            <dl className="max-w-md">
              {stored?.map(({ name, count }) => (
                <Fact key={name} name={name}>
                  {count}
                </Fact>
              ))}
              {use?.usedBytes !== undefined && (
                <Fact name="Room taken">
                  {bytesText(use.usedBytes)}
                  {use.roomBytes !== undefined && ` of ${bytesText(use.roomBytes)}`}
                </Fact>
              )}
              <Fact name="Kept when the disk is full">
                {use?.lasting ? 'yes, the browser promises it' : 'perhaps not: the browser may clear it'}
              </Fact>
            </dl>
            {use?.lasting === false && (
              <Button className="justify-self-start" onClick={() => void askBrowser()}>
                Ask the browser to keep it
              </Button>
            )}
            {said !== null && <p className="text-sm">{said}</p>}
            <p className="quiet text-sm">
              Everything stays in this browser, on this machine. Clearing its data for this site takes it all
              away: export everything now and then. The shelf takes the file in again, under Import.
            </p>
            <ExportAll />
          </Group>
          <div className="-mx-8">
            <Waiting />
          </div>
          <Bin />
          <Batches />
          {aside.length > 0 && (
            <Group title="Set aside">
              <p className="quiet text-sm">Damaged records, as they were stored. They are used nowhere.</p>
              <ul className="grid">
                {aside.map((a) => (
                  <li key={a.id} className="rule flex flex-wrap items-center gap-2 border-b py-1.5">
                    <span className="min-w-0 flex-1 truncate">
                      {KIND_WORDS[a.table] ?? a.table} “{a.key}”
                    </span>
                    <Button onClick={() => exportRaw(a.key, a.record)}>Export as stored</Button>
                    <Button onClick={() => void ask((db) => dropAside(db, a.id))}>Delete for good</Button>
                  </li>
                ))}
              </ul>
            </Group>
          )}
        </main>
      </div>
    </LibraryPage>
  );
}
