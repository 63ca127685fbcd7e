import { ChevronLeft } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { database, type AsideRecord } from '../../store/database.ts';
import { askToLast, storageUse, type StorageUse } from '../../store/keeping/storageUse.ts';
import { bytesText } from '../parts/bytesText.ts';
import { exportRaw } from '../parts/exportRaw.ts';
import { Fact } from '../parts/Fact.tsx';
import { Group } from '../parts/Station.tsx';
import { ThemeButton } from '../parts/ThemeButton.tsx';
import { useLive } from '../parts/useLive.ts';
import { Waiting } from '../shelf/Waiting.tsx';

const asideNow = (): Promise<readonly AsideRecord[]> => database.aside.toArray();

async function counts() {
  const [plans, moulds, colorants, palettes] = await Promise.all([
    database.plans.count(),
    database.moulds.count(),
    database.colorants.count(),
    database.palettes.count(),
  ]);
  return { plans, moulds, colorants, palettes };
}

const KINDS: Readonly<Record<string, string>> = {
  plans: 'plan',
  moulds: 'mould',
  colorants: 'colorant',
  palettes: 'palette',
  drafts: 'unstored work',
};

/** What this browser keeps for Drip Line: how much, how safely, what waits for a decision, what was set aside. */
export function Kept() {
  const aside = useLive(asideNow) ?? [];
  const stored = useLive(counts);
  const [use, setUse] = useState<StorageUse>();
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    void storageUse().then(setUse);
  }, [stored]);
  const ask = async (): Promise<void> => {
    const lasts = await askToLast();
    setSaid(
      lasts ? null : 'The browser did not promise it. It tends to once a site is used often, or installed.',
    );
    setUse(await storageUse());
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-y-auto bg-base-100">
      <header className="rule flex min-h-14 flex-wrap items-center gap-3 border-b bg-base-100 px-4 py-2">
        <Link to="/" className="btn btn-ghost btn-sm gap-1 px-2">
          <ChevronLeft className="size-4" aria-hidden="true" />
          Shelf
        </Link>
        <h1 className="text-xl">What is kept</h1>
        <span className="ml-auto">
          <ThemeButton />
        </span>
      </header>
      <main className="mx-auto grid w-full max-w-2xl content-start gap-6 p-6">
        <Group title="In this browser">
          <dl className="max-w-md">
            {stored && (
              <>
                <Fact name="Plans">{stored.plans}</Fact>
                <Fact name="Moulds of your own">{stored.moulds}</Fact>
                <Fact name="Colorants of your own, or changed">{stored.colorants}</Fact>
                <Fact name="Palettes of your own">{stored.palettes}</Fact>
              </>
            )}
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
            <button type="button" className="btn btn-sm justify-self-start" onClick={() => void ask()}>
              Ask the browser to keep it
            </button>
          )}
          {said !== null && <p className="text-sm">{said}</p>}
          <p className="quiet text-sm">
            Everything stays in this browser, on this machine. Clearing its data for this site takes it all
            away: export the plans that matter, from the shelf.
          </p>
        </Group>
        <div className="-mx-8">
          <Waiting />
        </div>
        {aside.length > 0 && (
          <Group title="Set aside">
            <p className="quiet text-sm">Damaged records, as they were stored. They are used nowhere.</p>
            <ul className="grid">
              {aside.map((a) => (
                <li key={a.id} className="rule flex flex-wrap items-center gap-2 border-b py-1.5">
                  <span className="min-w-0 flex-1 truncate">
                    {KINDS[a.table] ?? a.table} “{a.key}”
                  </span>
                  <button
                    type="button"
                    className="btn btn-sm"
                    onClick={() => {
                      exportRaw(a.key, a.record);
                    }}
                  >
                    Export as stored
                  </button>
                  <button
                    type="button"
                    className="btn btn-sm"
                    onClick={() => void database.aside.delete(a.id)}
                  >
                    Delete for good
                  </button>
                </li>
              ))}
            </ul>
          </Group>
        )}
      </main>
    </div>
  );
}
