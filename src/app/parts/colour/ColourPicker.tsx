import { useId, useRef, useState, type ReactNode } from 'react';
import { Gesture } from '../../../store/gesture.ts';
import { DamagedList } from '../Damaged.tsx';
import { PaletteImport } from './PaletteImport.tsx';
import { PhotoPick } from './PhotoPick.tsx';
import { usePalettes } from './useLibrary.ts';
import { Button } from '../../kit/Button.tsx';

interface ColourPickerProps {
  /** what the colour is of: the title of the dialog and the button's name */
  readonly label: string;
  readonly value: string;
  /** all that is picked while the choice is open is one gesture; Escape takes it back */
  readonly onPick: (hex: string, gesture: Gesture) => void;
  readonly className: string;
  readonly style?: { readonly background?: string; readonly color?: string };
  readonly children: ReactNode;
}

/** A button that opens a choice of colours: from a palette, from a photograph of a bar, or free. */
export function ColourPicker({ label, value, onPick, className, style, children }: ColourPickerProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  const [gesture, setGesture] = useState<Gesture | null>(null);
  const pick = (hex: string): void => {
    if (gesture) onPick(hex, gesture);
  };
  return (
    <>
      <button
        type="button"
        className={className}
        style={style}
        aria-label={label}
        title={label}
        onClick={() => {
          setGesture(new Gesture());
          dialog.current?.showModal();
        }}
      >
        {children}
      </button>
      <dialog
        ref={dialog}
        className="modal"
        aria-labelledby={`${id}-title`}
        onCancel={() => gesture?.takeBack()}
        onClose={() => setGesture(null)}
      >
        {gesture && (
          <div className="modal-box grid max-w-xl gap-5 bg-base-100 text-left font-normal text-base-content">
            <div className="flex items-center gap-3">
              <span
                className="size-12 rounded-box border border-black/30"
                style={{ background: value }}
                aria-hidden="true"
              />
              <div className="grid">
                <h2 id={`${id}-title`} className="text-lg">
                  {label}
                </h2>
                <span className="quiet text-sm">{value}</span>
              </div>
              <Button tone="primary" className="ml-auto" onClick={() => dialog.current?.close()}>
                Done
              </Button>
            </div>
            <Swatches value={value} onPick={pick} />
            <PhotoPick onPick={pick} />
            <label className="flex items-center gap-3 text-sm" htmlFor={`${id}-free`}>
              Any colour
              <input
                id={`${id}-free`}
                type="color"
                className="h-9 w-16 cursor-pointer"
                value={value}
                onChange={(event) => pick(event.target.value.toLowerCase())}
              />
            </label>
          </div>
        )}
      </dialog>
    </>
  );
}

function Swatches({ value, onPick }: { readonly value: string; readonly onPick: (hex: string) => void }) {
  const { all: palettes, damaged } = usePalettes();
  return (
    <section className="grid gap-2" aria-label="From a palette">
      {palettes.map((palette) => (
        <div key={palette.name} className="grid gap-1">
          <h3 className="quiet text-sm font-normal">{palette.name}</h3>
          <div className="flex flex-wrap gap-1.5">
            {palette.colours.map((c, i) => (
              <button
                key={`${c.name}-${i}`}
                type="button"
                className={`size-8 cursor-pointer rounded-field border ${c.colour === value ? 'border-2 border-base-content' : 'border-black/25'}`}
                style={{ background: c.colour }}
                aria-label={`${c.name}, ${c.colour}`}
                title={c.name}
                aria-pressed={c.colour === value}
                onClick={() => onPick(c.colour)}
              />
            ))}
          </div>
        </div>
      ))}
      <DamagedList table="palettes" keys={damaged} />
      <PaletteImport />
    </section>
  );
}
