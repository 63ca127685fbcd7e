import type { MouldFacts } from '../../../core/advice/facts.ts';
import type { SingleBar } from '../../../core/cut/singleBars.ts';
import type { Side } from '../../../core/face/barFaces.ts';
import { saveFile } from '../../parts/saveFile.ts';
import { scaleFor } from '../../section/frame.ts';
import { drawnFace } from '../../section/saveFacePicture.ts';
import { sideIn } from '../../section/sideIn.ts';

interface Captions {
  readonly title: string;
  readonly words: Readonly<Partial<Record<Side, string>>>;
  readonly captionOf: (bar: number) => string;
  /** of the file's name */
  readonly stem: string;
}

/** px */
const FACE = 240;
const SPACE = 20;
const GAP = 28;
const CAPTION = 52;
const HEAD = 110;
const FONT = '"Atkinson Hyperlegible Next Variable", sans-serif';

/** All bars with their sides on one white sheet, named, as a PNG. */
export async function saveContactSheet(
  facts: Pick<MouldFacts, 'stack' | 'geometry' | 'fill'>,
  bars: readonly SingleBar[],
  sides: readonly Side[],
  colours: ReadonlyMap<string, string>,
  { title, words, captionOf, stem }: Captions,
): Promise<void> {
  const faces = bars.map((bar) => sides.map((side) => sideIn(facts, bar, side)));
  // one scale for all of them
  const scale = Math.min(...faces.flat().map((f) => scaleFor(f, FACE, FACE)));
  const high = Math.ceil(scale * Math.max(...faces.flat().map((f) => f.head - f.foot)));
  const columns = Math.max(1, Math.min(bars.length, Math.round(Math.sqrt(bars.length / sides.length) + 0.5)));
  const rows = Math.ceil(bars.length / columns);
  const cell = { width: sides.length * (FACE + SPACE) + GAP, height: high + CAPTION + GAP };
  const canvas = new OffscreenCanvas(columns * cell.width + GAP, HEAD + rows * cell.height);
  const draw = canvas.getContext('2d');
  if (!draw) return;
  draw.fillStyle = '#ffffff';
  draw.fillRect(0, 0, canvas.width, canvas.height);
  draw.fillStyle = '#1c2727';
  draw.font = `700 40px ${FONT}`;
  draw.fillText(title, GAP, 58);
  draw.font = `22px ${FONT}`;
  draw.fillText(Object.values(words).join(', '), GAP, 90);
  for (const [i, shown] of faces.entries()) {
    const left = GAP + (i % columns) * cell.width;
    const top = HEAD + Math.floor(i / columns) * cell.height;
    for (const [k, face] of shown.entries()) {
      const picture = await drawnFace(face, colours, scale);
      draw.drawImage(picture, left + k * (FACE + SPACE), top + (high - picture.height));
    }
    draw.fillText(captionOf(i), left, top + high + 30);
  }
  saveFile(`${stem}.png`, await canvas.convertToBlob({ type: 'image/png' }), 'image/png');
}
