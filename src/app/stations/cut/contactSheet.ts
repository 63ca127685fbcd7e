import { scaleFor, type FramedFace } from '../../../core/face/framed.ts';
import { saveFile } from '../../parts/saveFile.ts';
import { drawnFace } from '../../section/saveFacePicture.ts';

interface Captions {
  readonly title: string;
  /** what the sides of a bar are */
  readonly words: string;
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
  /** by bar, its sides in order */
  faces: readonly (readonly FramedFace[])[],
  colours: ReadonlyMap<string, string>,
  { title, words, captionOf, stem }: Captions,
): Promise<void> {
  const sides = faces[0]?.length ?? 1;
  // one scale for all of them
  const scale = Math.min(...faces.flat().map((f) => scaleFor(f, FACE, FACE)));
  const high = Math.ceil(scale * Math.max(...faces.flat().map((f) => f.head - f.foot)));
  const columns = Math.max(1, Math.min(faces.length, Math.round(Math.sqrt(faces.length / sides) + 0.5)));
  const rows = Math.ceil(faces.length / columns);
  const cell = { width: sides * (FACE + SPACE) + GAP, height: high + CAPTION + GAP };
  const canvas = new OffscreenCanvas(columns * cell.width + GAP, HEAD + rows * cell.height);
  const draw = canvas.getContext('2d');
  if (!draw) return;
  draw.fillStyle = '#ffffff';
  draw.fillRect(0, 0, canvas.width, canvas.height);
  draw.fillStyle = '#1c2727';
  draw.font = `700 40px ${FONT}`;
  draw.fillText(title, GAP, 58);
  draw.font = `22px ${FONT}`;
  draw.fillText(words, GAP, 90);
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
