import { useRef, useState } from 'react';
import { readPalette } from '../../../core/exchange/palette.ts';
import { database } from '../../../store/database.ts';

/** Take in a palette file, GIMP's or our own; it is kept for every plan. */
export function PaletteImport() {
  const picker = useRef<HTMLInputElement>(null);
  const [fault, setFault] = useState<string | null>(null);
  const bring = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const read = readPalette(await file.text());
    setFault(
      read.ok ? null : `“${file.name}” was not taken. ${read.fault.at ?? 'file'}: ${read.fault.message}`,
    );
    if (read.ok) await database.palettes.put(read.value);
  };
  return (
    <div className="grid justify-items-start gap-1">
      <button type="button" className="btn btn-xs" onClick={() => picker.current?.click()}>
        Import a palette (.gpl or .json)
      </button>
      <input
        ref={picker}
        type="file"
        hidden
        accept=".gpl,.json,application/json"
        aria-label="Palette file"
        onChange={(event) => {
          void bring(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      {fault !== null && (
        <p role="alert" className="text-sm text-error">
          {fault}
        </p>
      )}
    </div>
  );
}
