import { colourOf } from './shade.ts';
import type { Raster } from './raster.ts';

/** The picture in colours, RGBA, clear where nothing is; `colours` are "#rrggbb" by pour. */
export function painted(
  { width, height, samples, pours, band }: Raster,
  colours: ReadonlyMap<string, string>,
): Uint8ClampedArray<ArrayBuffer> {
  // this runs for every sample of a picture: plain numbers in arrays of their own
  const palette = pours.map((id) => parseInt(colourOf(colours, id).slice(1), 16));
  const red = Float64Array.from(palette, (c) => c >> 16);
  const green = Float64Array.from(palette, (c) => (c >> 8) & 0xff);
  const blue = Float64Array.from(palette, (c) => c & 0xff);
  const pixels = new Uint8ClampedArray(width * height * 4);
  const row = width * samples;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      let r = 0;
      let g = 0;
      let b = 0;
      let n = 0;
      for (let j = 0; j < samples; j += 1) {
        const start = (y * samples + j) * row + x * samples;
        for (let i = 0; i < samples; i += 1) {
          const at = (band[start + i] as number) - 1;
          if (at < 0) continue;
          r += red[at] as number;
          g += green[at] as number;
          b += blue[at] as number;
          n += 1;
        }
      }
      if (n === 0) continue;
      const to = (y * width + x) * 4;
      pixels[to] = r / n;
      pixels[to + 1] = g / n;
      pixels[to + 2] = b / n;
      pixels[to + 3] = (255 * n) / samples ** 2;
    }
  return pixels;
}
