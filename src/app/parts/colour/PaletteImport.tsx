import { useState } from 'react';
import { readPalette } from '../../../core/exchange/palette.ts';
import { FilePicker } from '../FilePicker.tsx';
import { database } from '../../../store/database.ts';

/** Take in a palette file, .gpl or our own; it is kept for every plan. */
export function PaletteImport() {
  const [fault, setFault] = useState<string | null>(null);
  const bring = async (file: File): Promise<void> => {
    const read = readPalette(await file.text());
    setFault(
      read.ok ? null : `“${file.name}” was not taken. ${read.fault.at ?? 'file'}: ${read.fault.message}`,
    );
    if (read.ok) await database.palettes.put(read.value);
  };
  return (
    <div className="grid justify-items-start gap-1">
      <FilePicker
        label="Palette file"
        accept=".gpl,.json,application/json"
        className="btn btn-xs"
        onFile={(file) => void bring(file)}
      >
        Import a palette (.gpl or .json)
      </FilePicker>
      {fault !== null && (
        <p role="alert" className="text-sm text-error">
          {fault}
        </p>
      )}
    </div>
  );
}
