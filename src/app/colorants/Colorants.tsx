import { ChevronLeft, Download, Plus, Upload } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { KIND_NAMES } from '../../core/colorant/schema.ts';
import { newColorant } from '../../core/colorant/starters.ts';
import { freshId } from '../../core/edit/freshId.ts';
import { formatShort } from '../../core/units/format.ts';
import { database } from '../../store/database.ts';
import { useColorants } from '../parts/colour/useLibrary.ts';
import { FilePicker } from '../parts/FilePicker.tsx';
import { saveFile } from '../parts/saveFile.ts';
import { ThemeButton } from '../parts/ThemeButton.tsx';
import { ColourDrop } from './ColourDrop.tsx';
import { ColorantForm } from './ColorantForm.tsx';
import { readCsv, writeCsv } from './csv.ts';

/** The supplies: every colorant there is to choose from, with what is known of it and what is in stock. */
export function Colorants() {
  const all = useColorants();
  const navigate = useNavigate();
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [find, setFind] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const wanted = find.trim().toLowerCase();
  const found = all.filter(
    (c) => c.name.toLowerCase().includes(wanted) || KIND_NAMES[c.nature.kind].includes(wanted),
  );
  const chosen = all.find((c) => c.id === chosenId) ?? found[0];

  const bring = async (file: File): Promise<void> => {
    const read = readCsv(await file.text());
    setRefused(
      read.ok
        ? null
        : `“${file.name}” was not taken, nothing has changed. ${read.fault.at ?? 'file'}: ${read.fault.message}`,
    );
    if (read.ok) {
      await database.colorants.bulkPut([...read.value]);
      setChosenId(read.value[0]?.id ?? null);
    }
  };
  const add = async (): Promise<void> => {
    const id = freshId('own-', all);
    await database.colorants.put(newColorant(id, 'New colorant', 'mica'));
    setFind('');
    setChosenId(id);
  };
  return (
    <div className="flex h-dvh flex-col">
      <header className="rule flex min-h-14 flex-wrap items-center gap-3 border-b bg-base-100 px-4 py-2">
        <button
          type="button"
          className="btn btn-ghost btn-sm gap-1 px-2"
          onClick={() => {
            // opened from a plan: back to it; opened by its address: to the shelf
            if (history.length > 1) void navigate(-1);
            else void navigate('/');
          }}
        >
          <ChevronLeft className="size-4" aria-hidden="true" />
          Back
        </button>
        <h1 className="text-xl">Colorants</h1>
        <input
          className="field w-48"
          type="search"
          placeholder="Find"
          aria-label="Find a colorant"
          value={find}
          onChange={(event) => {
            setFind(event.target.value);
          }}
        />
        <span className="ml-auto flex gap-2">
          <FilePicker label="Colorants file" accept=".csv,text/csv" onFile={(file) => void bring(file)}>
            <Upload className="size-4" aria-hidden="true" />
            Import CSV
          </FilePicker>
          <button
            type="button"
            className="btn btn-sm"
            onClick={() => {
              saveFile('colorants.csv', writeCsv(all), 'text/csv');
            }}
          >
            <Download className="size-4" aria-hidden="true" />
            Export CSV
          </button>
          <button type="button" className="btn btn-sm btn-accent" onClick={() => void add()}>
            <Plus className="size-4" aria-hidden="true" />
            Colorant
          </button>
        </span>
        <ThemeButton />
      </header>
      {refused !== null && (
        <p role="alert" className="border-l-4 border-error bg-base-100 px-4 py-3">
          {refused}
        </p>
      )}
      <div className="grid min-h-0 flex-1 grid-rows-[minmax(0,2fr)_minmax(0,3fr)] bench:grid-cols-[minmax(0,1fr)_36rem] bench:grid-rows-1">
        <ul
          className="grid content-start gap-x-5 overflow-y-auto p-5 [grid-template-columns:repeat(auto-fill,minmax(17rem,1fr))]"
          aria-label="Colorants"
        >
          {found.map((c) => (
            <li key={c.id}>
              <button
                type="button"
                className={`rule flex w-full cursor-pointer items-center gap-3 border-b py-2 pr-2 text-left ${c.id === chosen?.id ? 'rounded-field bg-base-100 outline-2 outline-base-content' : 'hover:bg-base-100/60'}`}
                aria-pressed={c.id === chosen?.id}
                onClick={() => {
                  setChosenId(c.id);
                }}
              >
                <ColourDrop nature={c.nature} />
                <span className="grid leading-tight">
                  <span className="font-bold">{c.name}</span>
                  <span className="quiet text-sm">
                    {KIND_NAMES[c.nature.kind]}, {formatShort(c.nature.doseGPerKg, 2)} g/kg
                  </span>
                  {c.stockG !== undefined && (
                    <span className="text-sm">{formatShort(c.stockG, 1)} g in stock</span>
                  )}
                </span>
              </button>
            </li>
          ))}
          {found.length === 0 && <li className="quiet p-4">Nothing is called “{find}”.</li>}
        </ul>
        <main className="rule overflow-y-auto border-t bg-base-100 bench:border-t-0 bench:border-l">
          {chosen && <ColorantForm key={chosen.id} colorant={chosen} />}
        </main>
      </div>
    </div>
  );
}
