import { scaleFor, type FramedFace } from '../../core/face/framed.ts';
import { saveFile } from '../parts/saveFile.ts';

/** The longer side of a saved picture, px. */
const LONG = 1200;

/** A face on a canvas of its own, in its colours, at so many px to a mm. */
export async function drawnFace(
  face: FramedFace,
  colours: ReadonlyMap<string, string>,
  scale: number,
): Promise<OffscreenCanvas> {
  const [{ painted }, { rasterise }, { noneReady, readyFrom }] = await Promise.all([
    import('../../core/face/painted.ts'),
    import('../../core/face/raster.ts'),
    import('../../core/face/ready.ts'),
  ]);
  const width = Math.max(1, Math.round((face.right - face.left) * scale));
  const height = Math.max(1, Math.round((face.head - face.foot) * scale));
  const canvas = new OffscreenCanvas(width, height);
  canvas
    .getContext('2d')
    ?.putImageData(
      new ImageData(painted(rasterise(face, width, height, readyFrom(noneReady())), colours), width, height),
      0,
      0,
    );
  return canvas;
}

/** A face saved as a PNG, clear beside the soap. */
export async function saveFacePicture(
  face: FramedFace,
  colours: ReadonlyMap<string, string>,
  stem: string,
): Promise<void> {
  const canvas = await drawnFace(face, colours, scaleFor(face, LONG, LONG));
  saveFile(`${stem}.png`, await canvas.convertToBlob({ type: 'image/png' }), 'image/png');
}
