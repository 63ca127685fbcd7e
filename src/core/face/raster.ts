import { scaleFor, type FramedFace } from './framed.ts';

/** Samples across and down each pixel: edges are smooth, and no seam shows between neighbours. */
export const SAMPLES = 3;

/** A face in pixels, which hold the number of a band plus one, 0 where there is none: colours come after. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  /** the picture's bands by number: their pours */
  readonly pours: readonly string[];
  /** SAMPLES x SAMPLES for each pixel, row by row from the top */
  readonly band: Uint16Array;
}

/**
 * A framed face as large as fits into \`width\` x \`height\` pixels, in its middle, at one scale. Later bands lie over earlier ones. Outlines
 * need not be convex; a sample belongs to the outlines that go round it an odd number of times.
 */
export function rasterise(framed: FramedFace, width: number, height: number): Raster {
  const { face, left, right, foot, head } = framed;
  const [w, h] = [width * SAMPLES, height * SAMPLES];
  const band = new Uint16Array(w * h);
  const scale = scaleFor(framed, w, h);
  const [x0, y0] = [w / 2 - ((left + right) / 2) * scale, h / 2 + ((foot + head) / 2) * scale];
  for (const [number, { outline }] of face.entries()) {
    const points = outline.map((p) => [x0 + p.h * scale, y0 - p.z * scale] as const);
    const ys = points.map(([, y]) => y);
    const from = Math.max(0, Math.ceil(Math.min(...ys) - 0.5));
    const to = Math.min(h - 1, Math.floor(Math.max(...ys) - 0.5));
    for (let row = from; row <= to; row += 1) {
      const y = row + 0.5;
      const met: number[] = [];
      for (const [i, [ax, ay]] of points.entries()) {
        const [bx, by] = points[(i + 1) % points.length] as readonly [number, number];
        if (ay > y !== by > y) met.push(ax + ((bx - ax) * (y - ay)) / (by - ay));
      }
      met.sort((a, b) => a - b);
      for (let i = 0; i + 1 < met.length; i += 2) {
        const start = Math.max(0, Math.ceil((met[i] as number) - 0.5));
        const end = Math.min(w, Math.ceil((met[i + 1] as number) - 0.5));
        band.fill(number + 1, row * w + start, row * w + Math.max(start, end));
      }
    }
  }
  return { width, height, pours: face.map((b) => b.pourId), band };
}

/** The picture in colours, RGBA, clear where nothing is; `colours` are "#rrggbb" by pour. */
export function painted(
  { width, height, pours, band }: Raster,
  colours: ReadonlyMap<string, string>,
): Uint8ClampedArray<ArrayBuffer> {
  // this runs for every sample of a picture: plain numbers in arrays of their own
  const palette = pours.map((id) => parseInt((colours.get(id) ?? '#808080').slice(1), 16));
  const red = Float64Array.from(palette, (c) => c >> 16);
  const green = Float64Array.from(palette, (c) => (c >> 8) & 0xff);
  const blue = Float64Array.from(palette, (c) => c & 0xff);
  const pixels = new Uint8ClampedArray(width * height * 4);
  const row = width * SAMPLES;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      let r = 0;
      let g = 0;
      let b = 0;
      let n = 0;
      for (let j = 0; j < SAMPLES; j += 1) {
        const start = (y * SAMPLES + j) * row + x * SAMPLES;
        for (let i = 0; i < SAMPLES; i += 1) {
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
      pixels[to + 3] = (255 * n) / SAMPLES ** 2;
    }
  return pixels;
}
