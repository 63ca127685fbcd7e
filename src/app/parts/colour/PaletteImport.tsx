import { useState } from 'react';
import { readPalette, type Palette } from '../../../core/exchange/palette.ts';
import { paletteKeeper } from '../../../store/keeping/library.ts';
import { AskReplace } from '../AskReplace.tsx';
import { FilePicker } from '../FilePicker.tsx';
import { readText } from '../readText.ts';
import { usePalettes } from './useLibrary.ts';

/** Take in a palette file, .gpl or our own; it is kept for every plan. */
export function PaletteImport() {
  const { own } = usePalettes();
  const [fault, setFault] = useState<string | null>(null);
  const [asked, setAsked] = useState<Palette | null>(null);
  const [kept, setKept] = useState<Palette | null>(null);
  const keep = async (palette: Palette): Promise<void> => {
    const there = own.find((p) => p.value.name === palette.name) ?? null;
    setAsked(null);
    await paletteKeeper.change(palette.name, there, palette);
    setKept(paletteKeeper.unstored ? null : palette);
  };
  const bring = async (file: File): Promise<void> => {
    const text = await readText(file);
    const read = text.ok ? readPalette(text.value) : text;
    setFault(
      read.ok ? null : `“${file.name}” was not taken. ${read.fault.at ?? 'file'}: ${read.fault.message}`,
    );
    setKept(null);
    if (!read.ok) return;
    if (own.some((p) => p.value.name === read.value.name)) setAsked(read.value);
    else await keep(read.value);
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
      {asked && (
        <AskReplace
          name={asked.name}
          taken={own.map((p) => p.value.name)}
          onReplace={() => {
            void keep(asked);
          }}
          onBeside={(name) => {
            void keep({ ...asked, name });
          }}
          onLeave={() => setAsked(null)}
        />
      )}
      {kept && (
        <p role="status" className="text-sm">
          “{kept.name}” is kept, {kept.colours.length} colours: they stand in every colour’s picker.
        </p>
      )}
      {fault !== null && (
        <p role="alert" className="text-sm text-error">
          {fault}
        </p>
      )}
    </div>
  );
}
