import { Plus, Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newPlan } from '../../core/plan/newPlan.ts';
import { database } from '../../store/database.ts';
import { addPlans } from '../../store/planRecords.ts';
import { useAppDispatch } from '../../store/store.ts';
import { newPlanId, TAB_ID } from '../../store/tab.ts';
import { toastShown } from '../../store/toastSlice.ts';
import { Loading } from '../parts/Loading.tsx';
import { ThemeButton } from '../parts/ThemeButton.tsx';
import { EmptyShelf } from './EmptyShelf.tsx';
import type { Refusal } from './importPlans.ts';
import { PlanGrid } from './PlanGrid.tsx';
import { useShelf } from './useShelf.ts';

export function Shelf() {
  const entries = useShelf();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const picker = useRef<HTMLInputElement>(null);
  const [find, setFind] = useState('');
  const [refused, setRefused] = useState<readonly Refusal[]>([]);

  const start = async (): Promise<void> => {
    // the schema that checks them is not needed to show the shelf
    const { unitsUsed } = await import('../../store/unitsUsed.ts');
    const plan = newPlan(newPlanId(), new Date().toISOString(), unitsUsed());
    await addPlans(database, [plan], newPlanId, TAB_ID);
    await navigate(`/plan/${plan.id}/mould`);
  };
  const bring = async (files: readonly File[]): Promise<void> => {
    const { importPlans } = await import('./importPlans.ts');
    const result = await importPlans(files);
    setRefused(result.refused);
    if (result.added.length > 0)
      dispatch(
        toastShown({ text: `On the shelf: ${result.added.map((p) => p.name).join(', ')}`, tone: 'plain' }),
      );
  };

  const startButton = (
    <button type="button" className="btn btn-accent" onClick={() => void start()}>
      <Plus className="size-4.5" aria-hidden="true" />
      New plan
    </button>
  );
  const found = entries?.filter((e) => e.name.toLowerCase().includes(find.trim().toLowerCase()));
  return (
    <div
      className="flex h-dvh flex-col"
      onDragOver={(event) => {
        event.preventDefault();
      }}
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
        <div className="ml-auto flex items-center gap-3">
          {entries && entries.length > 6 && (
            <input
              className="field w-52"
              type="search"
              placeholder="Find a plan"
              aria-label="Find a plan"
              value={find}
              onChange={(event) => {
                setFind(event.target.value);
              }}
            />
          )}
          <Link to="/colorants" className="btn btn-ghost">
            Colorants
          </Link>
          <button type="button" className="btn" onClick={() => picker.current?.click()}>
            <Upload className="size-4.5" aria-hidden="true" />
            Import
          </button>
          <input
            ref={picker}
            type="file"
            multiple
            hidden
            accept=".json,application/json"
            aria-label="Plan files"
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
              <p className="font-bold">“{r.file}” was not taken. Nothing on the shelf has changed.</p>
              <ul className="list-disc pl-5 text-sm">
                {r.faults.map((f) => (
                  <li key={f}>{f}</li>
                ))}
              </ul>
            </div>
          ))}
          <button
            type="button"
            className="btn btn-sm justify-self-start"
            onClick={() => {
              setRefused([]);
            }}
          >
            Close
          </button>
        </section>
      )}
      <main className="flex min-h-0 flex-1 flex-col">
        {!found ? (
          <Loading />
        ) : entries?.length === 0 ? (
          <EmptyShelf>{startButton}</EmptyShelf>
        ) : found.length === 0 ? (
          <p className="quiet p-10 text-center">No plan is called “{find}”.</p>
        ) : (
          <PlanGrid entries={found} />
        )}
      </main>
    </div>
  );
}
