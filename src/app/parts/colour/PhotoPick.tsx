import { useRef, useState, type KeyboardEvent } from 'react';
import { averageOf, balanced } from '../../../core/colour/whitePoint.ts';
import type { Linear } from '../../../core/colour/linear.ts';
import { FilePicker } from '../FilePicker.tsx';
import { Choice } from '../../kit/Choice.tsx';

/**
 * Pictures are drawn no larger than this, px; a spot is the mean of a square of this many pixels each way.
 */
const MOST_PX = { wide: 420, high: 260 };
const SPOT_PX = 4;

type Mode = 'colour' | 'white';

interface Spot {
  readonly x: number;
  readonly y: number;
}

/**
 * A colour from a photograph of a cut bar: drop or choose a picture, say what in it is white, pick a spot.
 * The picture stays in this window. The cross can be moved with the arrow keys, and Enter picks.
 */
export function PhotoPick({ onPick }: { readonly onPick: (hex: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  const [mode, setMode] = useState<Mode>('white');
  const [white, setWhite] = useState<Linear | undefined>(undefined);
  const [spot, setSpot] = useState<Spot>({ x: 40, y: 40 });
  const [fault, setFault] = useState<string | null>(null);

  const show = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      const picture = await createImageBitmap(file);
      const scale = Math.min(1, MOST_PX.wide / picture.width, MOST_PX.high / picture.height);
      const width = Math.max(1, Math.round(picture.width * scale));
      const height = Math.max(1, Math.round(picture.height * scale));
      const target = canvas.current;
      if (!target) return;
      target.width = width;
      target.height = height;
      target.getContext('2d', { willReadFrequently: true })?.drawImage(picture, 0, 0, width, height);
      picture.close();
      setSize({ width, height });
      setSpot({ x: Math.round(width / 2), y: Math.round(height / 2) });
      setWhite(undefined);
      setMode('white');
      setFault(null);
    } catch {
      setFault(`“${file.name}” is not a picture this browser can read. Try a PNG, JPEG or WebP.`);
    }
  };

  const take = (at: Spot): void => {
    const context = canvas.current?.getContext('2d', { willReadFrequently: true });
    if (!context || !size) return;
    setSpot(at);
    const x = Math.max(0, Math.min(size.width - 1, at.x) - SPOT_PX);
    const y = Math.max(0, Math.min(size.height - 1, at.y) - SPOT_PX);
    const wide = Math.min(2 * SPOT_PX + 1, size.width - x);
    const high = Math.min(2 * SPOT_PX + 1, size.height - y);
    const mean = averageOf(context.getImageData(x, y, wide, high).data);
    if (mode === 'white') {
      if (balanced(mean, mean) === undefined) {
        setFault('That spot is too dark to be white: click on paper or another white thing.');
        return;
      }
      setWhite(mean);
      setMode('colour');
      setFault(null);
      return;
    }
    const hex = balanced(mean, white);
    if (hex !== undefined) onPick(hex);
  };

  const key = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      take(spot);
    }
    if (!by || !size) return;
    event.preventDefault();
    const far = event.shiftKey ? 20 : 4;
    setSpot({
      x: Math.min(size.width - 1, Math.max(0, spot.x + far * (by[0] ?? 0))),
      y: Math.min(size.height - 1, Math.max(0, spot.y + far * (by[1] ?? 0))),
    });
  };

  return (
    <section
      className="grid gap-2"
      aria-label="From a photograph"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        event.stopPropagation();
        void show(event.dataTransfer.files[0]);
      }}
    >
      <div className="flex items-center gap-3">
        <FilePicker label="Picture of a bar" accept="image/*" onFile={(file) => void show(file)}>
          {size ? 'Another picture' : 'Choose a picture'}
        </FilePicker>
        <span className="quiet text-sm">or drop one here: a cut bar beside white paper, in daylight</span>
      </div>
      {fault !== null && (
        <p role="alert" className="text-sm text-error">
          {fault}
        </p>
      )}
      {size && (
        <Choice<Mode>
          legend="A click on the picture says"
          value={mode}
          options={[
            { value: 'white', label: white ? 'white is here instead' : 'this is white' },
            { value: 'colour', label: 'take this colour' },
          ]}
          onChoose={setMode}
        />
      )}
      <div className={size ? 'relative justify-self-start' : 'hidden'}>
        <canvas
          ref={canvas}
          tabIndex={0}
          role="application"
          aria-label="The picture: click a spot, or move the cross with the arrow keys and press Enter"
          className="cursor-crosshair rounded-field border border-base-300"
          onClick={(event) => {
            const box = event.currentTarget.getBoundingClientRect();
            take({ x: Math.round(event.clientX - box.left), y: Math.round(event.clientY - box.top) });
          }}
          onKeyDown={key}
        />
        <svg className="pointer-events-none absolute inset-0 size-full overflow-visible" aria-hidden="true">
          <circle cx={spot.x} cy={spot.y} r="9" fill="none" stroke="#ffffff" strokeWidth="4" />
          <circle cx={spot.x} cy={spot.y} r="9" fill="none" stroke="#1c2727" strokeWidth="1.6" />
        </svg>
      </div>
      {size && (
        <p className="quiet text-sm">
          {white
            ? 'Colours are corrected to that white.'
            : 'Without a white point the colour of the light stays in the colour.'}
        </p>
      )}
    </section>
  );
}
