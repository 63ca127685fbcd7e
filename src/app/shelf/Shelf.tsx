import { Plus, Upload } from 'lucide-react';
import { lazy, Suspense, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useAppDispatch } from '../../store/store.ts';
import { toastShown } from '../../store/toastSlice.ts';
import type { Brought } from '../../store/keeping/archive.ts';
import { Loading } from '../parts/Loading.tsx';
import { ThemeButton } from '../parts/ThemeButton.tsx';
import type { Refusal } from './importFiles.ts';
import { PlanGrid } from './PlanGrid.tsx';
import { ORDERS, useFound, type Order } from './useFound.ts';
import { useShelf } from './useShelf.ts';
import { Button } from '../kit/Button.tsx';
import { Find } from '../kit/Find.tsx';

// the shelf itself is there first
const EmptyShelf = lazy(async () => ({ default: (await import('./EmptyShelf.tsx')).EmptyShelf }));
const Unreadable = lazy(async () => ({ default: (await import('./Unreadable.tsx')).Unreadable }));
const Waiting = lazy(async () => ({ default: (await import('./Waiting.tsx')).Waiting }));
const StorageUsed = lazy(async () => ({ default: (await import('./StorageUsed.tsx')).StorageUsed }));

const ORDER_WORDS: Readonly<Record<Order, string>> = {
  newest: 'newest first',
  name: 'by name',
  mould: 'by mould',
  colour: 'by colour',
};

/** "Of the library: 12 taken; Heather mica stays as it is here" */
const broughtText = ({ taken, stayed, refused }: Brought): readonly string[] => [
  `Of the library: ${taken} taken` +
    (stayed.length > 0 ? `; as they are here stay ${stayed.slice(0, 6).join(', ')}` : '') +
    (refused > 0 ? `; ${refused} could not be read` : ''),
];

export function Shelf() {
  const shelf = useShelf();
  const entries = shelf === 'unreadable' ? undefined : shelf;
  const dispatch = useAppDispatch();
  const picker = useRef<HTMLInputElement>(null);
  const [find, setFind] = useState('');
  const [order, setOrder] = useState<Order>('newest');
  const [refused, setRefused] = useState<readonly Refusal[]>([]);
  /** beside what was refused something was taken */
  const [taken, setTaken] = useState(false);

  const bring = async (files: readonly File[]): Promise<void> => {
    const { importFiles } = await import('./importFiles.ts');
    const result = await importFiles(files);
    setRefused(result.refused);
    const names = (list: readonly { readonly name: string }[]): string => list.map((p) => p.name).join(', ');
    const said = [
      ...(result.plans.length > 0 ? [`On the shelf: ${names(result.plans)}`] : []),
      ...(result.batches.length > 0 ? [`Batches kept: ${names(result.batches)}`] : []),
      ...(result.library ? broughtText(result.library) : []),
    ];
    setTaken(said.length > 0);
    if (said.length > 0) dispatch(toastShown({ text: said.join('. '), tone: 'plain' }));
  };

  const startButton = (
    <Link to="/new" className="btn btn-accent">
      <Plus className="size-4.5" aria-hidden="true" />
      New plan
    </Link>
  );
  const found = useFound(entries, find, order);
  return (
    <div
      className="flex min-h-0 flex-1 flex-col"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        void bring([...event.dataTransfer.files]);
      }}
    >
      <header className="flex flex-wrap items-center gap-4 px-8 pt-7 pb-5">
        <h1 className="flex items-center gap-3 text-3xl">
          <img src="/drop.svg" alt="" className="size-8" />
          Drip Line
        </h1>
        <div className="ml-auto flex flex-wrap items-center gap-3">
          {entries && entries.length > 6 && (
            <>
              <Find
                label="Find a plan"
                placeholder="Find: name, notes, mould"
                className="w-52"
                value={find}
                onFind={setFind}
              />
              <select
                className="field w-36"
                aria-label="In the order of"
                value={order}
                onChange={(event) => setOrder(ORDERS.find((o) => o === event.target.value) ?? 'newest')}
              >
                {ORDERS.map((o) => (
                  <option key={o} value={o}>
                    {ORDER_WORDS[o]}
                  </option>
                ))}
              </select>
            </>
          )}
          <Link to="/colorants" className="btn btn-ghost">
            Colorants
          </Link>
          <Link to="/supplies" className="btn btn-ghost">
            Supplies
          </Link>
          <Button icon={Upload} size="full" onClick={() => picker.current?.click()}>
            Import
          </Button>
          <input
            ref={picker}
            type="file"
            multiple
            hidden
            accept=".json,application/json"
            aria-label="Plan and batch files"
            onChange={(event) => {
              void bring([...(event.target.files ?? [])]);
              event.target.value = '';
            }}
          />
          {startButton}
          <ThemeButton />
        </div>
      </header>
      {refused.length > 0 && (
        <section role="alert" className="mx-8 mb-4 grid gap-2 border-l-4 border-error bg-base-100 px-4 py-3">
          {refused.map((r) => (
            <div key={r.file}>
              <p className="font-bold">
                “{r.file}” was not taken.{' '}
                {taken ? 'It has changed nothing.' : 'Nothing on the shelf has changed.'}
              </p>
              <ul className="list-disc pl-5 text-sm">
                {r.faults.map((f) => (
                  <li key={f}>{f}</li>
                ))}
              </ul>
            </div>
          ))}
          <Button className="justify-self-start" onClick={() => setRefused([])}>
            Close
          </Button>
        </section>
      )}
      <Suspense fallback={null}>
        <Waiting />
      </Suspense>
      <main className="flex min-h-0 flex-1 flex-col">
        <Suspense fallback={<Loading />}>
          {shelf === 'unreadable' ? (
            <Unreadable>{startButton}</Unreadable>
          ) : !found ? (
            <Loading />
          ) : entries?.length === 0 ? (
            <EmptyShelf>{startButton}</EmptyShelf>
          ) : found.length === 0 ? (
            <p className="quiet p-10 text-center">No plan has “{find}” in its name, notes, mould or pots.</p>
          ) : (
            <PlanGrid entries={found} />
          )}
        </Suspense>
      </main>
      <Suspense fallback={null}>
        <StorageUsed />
      </Suspense>
    </div>
  );
}
