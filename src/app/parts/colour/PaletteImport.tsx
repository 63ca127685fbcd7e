import { useState } from 'react';
import { readPalette, type Palette } from '../../../core/exchange/palette.ts';
import { paletteKeeper } from '../../../store/keeping/library.ts';
import { AskReplace } from '../AskReplace.tsx';
import { FilePicker } from '../FilePicker.tsx';
import { Refused } from '../Refused.tsx';
import { useFileTaken } from '../useFileTaken.ts';
import { usePalettes } from './useLibrary.ts';

/** Take in a palette file, .gpl or our own; it is kept for every plan. */
export function PaletteImport() {
  const { own } = usePalettes();
  const [asked, setAsked] = useState<Palette | null>(null);
  const [kept, setKept] = useState<Palette | null>(null);
  const keep = async (palette: Palette): Promise<void> => {
    const there = own.find((p) => p.value.name === palette.name) ?? null;
    setAsked(null);
    await paletteKeeper.change(palette.name, there, palette);
    setKept(paletteKeeper.unstored ? null : palette);
  };
  const { refused, bring } = useFileTaken(readPalette, (palette) => {
    setKept(null);
    if (own.some((p) => p.value.name === palette.name)) setAsked(palette);
    else void keep(palette);
  });
  return (
    <div className="grid justify-items-start gap-1">
      <FilePicker label="Palette file" accept=".gpl,.json,application/json" size="tiny" onFile={bring}>
        Import a palette (.gpl or .json)
      </FilePicker>
      {asked && (
        <AskReplace
          name={asked.name}
          taken={own.map((p) => p.value.name)}
          onReplace={() => void keep(asked)}
          onBeside={(name) => void keep({ ...asked, name })}
          onLeave={() => setAsked(null)}
        />
      )}
      {kept && refused === null && (
        <p role="status" className="text-sm">
          “{kept.name}” is kept, {kept.colours.length} colours: they stand in every colour’s picker.
        </p>
      )}
      <Refused why={refused} />
    </div>
  );
}
