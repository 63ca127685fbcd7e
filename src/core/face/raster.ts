import type { FramedFace } from './framed.ts';

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
export function rasterise(
  { face, left, right, foot, head }: FramedFace,
  width: number,
  height: number,
): Raster {
  const [w, h] = [width * SAMPLES, height * SAMPLES];
  const band = new Uint16Array(w * h);
  const scale = Math.min(w / (right - left), h / (head - foot));
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

const channels = (hex: string): readonly [number, number, number] => [
  parseInt(hex.slice(1, 3), 16),
  parseInt(hex.slice(3, 5), 16),
  parseInt(hex.slice(5, 7), 16),
];

/** The picture in colours, RGBA, clear where nothing is; \`colours\` are "#rrggbb" by pour. */
export function painted(
  { width, height, pours, band }: Raster,
  colours: ReadonlyMap<string, string>,
): Uint8ClampedArray<ArrayBuffer> {
  const palette = pours.map((id) => channels(colours.get(id) ?? '#808080'));
  const pixels = new Uint8ClampedArray(width * height * 4);
  const w = width * SAMPLES;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      let [r, g, b, n] = [0, 0, 0, 0];
      for (let j = 0; j < SAMPLES; j += 1)
        for (let i = 0; i < SAMPLES; i += 1) {
          const at = band[(y * SAMPLES + j) * w + x * SAMPLES + i] as number;
          if (at === 0) continue;
          const [pr, pg, pb] = palette[at - 1] as readonly [number, number, number];
          r += pr;
          g += pg;
          b += pb;
          n += 1;
        }
      if (n > 0) pixels.set([r / n, g / n, b / n, (255 * n) / SAMPLES ** 2], (y * width + x) * 4);
    }
  return pixels;
}
