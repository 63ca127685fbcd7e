import { Download, Plus, Upload } from 'lucide-react';
import { useMemo, useState } from 'react';
import { KIND_NAMES } from '../../core/colorant/schema.ts';
import { newColorant } from '../../core/colorant/starters.ts';
import { formatShort } from '../../core/units/format.ts';
import { colorantKeeper } from '../../store/keeping/library.ts';
import { useAppDispatch } from '../../store/store.ts';
import { toastShown } from '../../store/toastSlice.ts';
import { useColorantShelf } from '../parts/colour/useLibrary.ts';
import { DamagedList } from '../parts/Damaged.tsx';
import { LibraryPage } from '../parts/LibraryPage.tsx';
import { useFileTaken } from '../parts/useFileTaken.ts';
import { FilePicker } from '../parts/FilePicker.tsx';
import { saveFile } from '../parts/saveFile.ts';
import { Boundary } from '../parts/Boundary.tsx';
import { ColourDrop } from './ColourDrop.tsx';
import { ColorantForm } from './ColorantForm.tsx';
import { readCsv, writeCsv } from './csv.ts';
import { Button } from '../kit/Button.tsx';
import { Find } from '../kit/Find.tsx';

/** An id that no other page, file or row can have given to another colorant. */
const newOwnId = (): string => `own-${crypto.randomUUID()}`;

/** The supplies: every colorant there is to choose from, with what is known of it and what is in stock. */
export function Colorants() {
  const { all: seen, damaged } = useColorantShelf();
  const all = useMemo(() => seen.map((s) => s.value), [seen]);
  const dispatch = useAppDispatch();
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const found = all.filter(
    (c) => c.name.toLowerCase().includes(wanted) || KIND_NAMES[c.nature.kind].includes(wanted),
  );
  const chosenNow = all.find((c) => c.id === chosenId) ?? found[0];
  const chosen = seen.find((s) => s.value === chosenNow);

  const { refused, bring } = useFileTaken(readCsv, (rows, fileName) => {
    // a row without an id is the colorant of that name, or a new one
    const ids = new Set(rows.map((row) => row.id));
    const idOf = (called: string): string => {
      const known = all.find((c) => c.name === called && !ids.has(c.id))?.id ?? newOwnId();
      ids.add(known);
      return known;
    };
    const taken = rows.map((row) => ({ ...row, id: row.id ?? idOf(row.name) }));
    const fresh = taken.filter((c) => !all.some((k) => k.id === c.id)).length;
    dispatch(
      toastShown({
        text: `“${fileName}” was taken: ${fresh} new, ${taken.length - fresh} known before.`,
        tone: 'plain',
      }),
    );
    setChosenId(taken[0]?.id ?? null);
    for (const c of taken) void colorantKeeper.change(c.id, seen.find((s) => s.value.id === c.id) ?? null, c);
  });
  const add = (): void => {
    const id = newOwnId();
    void colorantKeeper.change(id, null, newColorant(id, 'New colorant', 'mica'));
    setFind('');
    setChosenId(id);
  };
  const finding = (
    <Find label="Find a colorant" placeholder="Find" className="w-48" value={find} onFind={setFind} />
  );
  const tools = (
    <>
      <FilePicker icon={Upload} label="Colorants file" accept=".csv,text/csv" onFile={bring}>
        Import CSV
      </FilePicker>
      <Button icon={Download} onClick={() => saveFile('colorants.csv', writeCsv(all), 'text/csv')}>
        Export CSV
      </Button>
      <Button icon={Plus} tone="accent" onClick={add}>
        Colorant
      </Button>
    </>
  );
  return (
    <LibraryPage title="Colorants" beside={finding} tools={tools} refused={refused}>
      <DamagedList table="colorants" keys={damaged} />
      <div className="grid min-h-0 flex-1 grid-rows-[minmax(0,2fr)_minmax(0,3fr)] bench:grid-cols-[minmax(0,1fr)_36rem] bench:grid-rows-1">
        <ul
          className="grid content-start gap-x-5 overflow-y-auto p-5 [grid-template-columns:repeat(auto-fill,minmax(17rem,1fr))]"
          aria-label="Colorants"
        >
          {found.map((c) => (
            <li key={c.id}>
              <button
                type="button"
                className={`rule flex w-full cursor-pointer items-center gap-3 border-b py-2 pr-2 text-left ${c.id === chosenNow?.id ? 'rounded-field bg-base-100 outline-2 outline-base-content' : 'hover:bg-base-100/60'}`}
                aria-pressed={c.id === chosenNow?.id}
                onClick={() => setChosenId(c.id)}
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
        <main
          className="rule overflow-y-auto border-t bg-base-100 bench:border-t-0 bench:border-l"
          // what is worked on stays in the form, also when its new name puts it elsewhere in the list
          onFocusCapture={() => setChosenId(chosenNow?.id ?? null)}
        >
          <Boundary what="This colorant" of={[chosen]}>
            {chosen && <ColorantForm key={chosen.value.id} seen={chosen} />}
          </Boundary>
        </main>
      </div>
    </LibraryPage>
  );
}
