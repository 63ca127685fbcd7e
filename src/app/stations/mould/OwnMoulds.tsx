import { Download, X } from 'lucide-react';
import { useRef, useState } from 'react';
import { mouldFileName, readMouldFile, writeMouldFile } from '../../../core/exchange/mouldFile.ts';
import type { Mould } from '../../../core/mould/schema.ts';
import { database } from '../../../store/database.ts';
import { Group } from '../../parts/Station.tsx';
import { saveFile } from '../../parts/saveFile.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { useOwnMoulds } from './useOwnMoulds.ts';

const keep = async (mould: Mould): Promise<void> => {
  await database.moulds.put({ name: mould.name, mould });
};

/** The library of one's own moulds: keep this one, take in and give out mould files. */
export function OwnMoulds() {
  const { plan } = usePlan();
  const own = useOwnMoulds();
  const picker = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const known = own.some((m) => m.name === plan.mould.name);
  const bring = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const read = readMouldFile(await file.text());
    setRefused(
      read.ok ? null : `“${file.name}” was not taken. ${read.fault.at ?? 'file'}: ${read.fault.message}`,
    );
    if (read.ok) await keep(read.value);
  };
  return (
    <Group title="My moulds">
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" onClick={() => void keep(plan.mould)}>
          {known ? `Keep the change to “${plan.mould.name}”` : 'Keep this mould'}
        </button>
        <button type="button" className="btn btn-sm" onClick={() => picker.current?.click()}>
          Import a mould
        </button>
        <input
          ref={picker}
          type="file"
          hidden
          accept=".json,application/json"
          aria-label="Mould file"
          onChange={(event) => {
            void bring(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </div>
      {refused !== null && (
        <p role="alert" className="text-sm text-error">
          {refused}
        </p>
      )}
      <ul>
        {own.map((mould) => (
          <li key={mould.name} className="rule flex items-center gap-1 border-b py-0.5">
            <span className="flex-1 truncate">{mould.name}</span>
            <button
              type="button"
              className="btn btn-ghost btn-sm px-1.5"
              aria-label={`Export ${mould.name}`}
              onClick={() => {
                saveFile(mouldFileName(mould), writeMouldFile(mould), 'application/json');
              }}
            >
              <Download className="size-4" aria-hidden="true" />
            </button>
            <button
              type="button"
              className="btn btn-ghost btn-sm px-1.5"
              aria-label={`Take ${mould.name} out of my moulds`}
              onClick={() => void database.moulds.delete(mould.name)}
            >
              <X className="size-4" aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <p className="quiet text-sm">
        Plans keep their own copy: changing a mould here changes no plan made before.
      </p>
    </Group>
  );
}
