import { Download, X } from 'lucide-react';
import { useState } from 'react';
import { mouldFileName, readMouldFile, writeMouldFile } from '../../../core/exchange/mouldFile.ts';
import type { Mould } from '../../../core/mould/schema.ts';
import { database } from '../../../store/database.ts';
import { FilePicker } from '../../parts/FilePicker.tsx';
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
  const [refused, setRefused] = useState<string | null>(null);
  const known = own.some((m) => m.name === plan.mould.name);
  const bring = async (file: File): Promise<void> => {
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
        <FilePicker label="Mould file" accept=".json,application/json" onFile={(file) => void bring(file)}>
          Import a mould
        </FilePicker>
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
