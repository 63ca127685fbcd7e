import { numbers } from '../numeric/numbers.ts';

/** A surface heaped by the spoonful: waves of all directions, added to the ground that it lies about. */
export type Lumps = readonly {
  /** radians a mm */
  readonly kx: number;
  readonly ky: number;
  readonly phase: number;
  readonly mm: number;
}[];

/**
 * How many waves make a heap that does not repeat; and from how short to how long, mm: a spoonful and two.
 * Judgements, no source.
 */
const WAVES = 14;
const SHORT_MM = 16;
const LONG_MM = 46;

/** Waves of height about one, the same for the same seed. */
export function lumpsOf(seed: number): Lumps {
  const random = numbers(seed);
  return Array.from({ length: WAVES }, () => {
    const long = SHORT_MM * (LONG_MM / SHORT_MM) ** random();
    const way = Math.PI * random();
    const k = (2 * Math.PI) / long;
    // longer ones are higher, as heaps are
    return {
      kx: k * Math.cos(way),
      ky: k * Math.sin(way),
      phase: 2 * Math.PI * random(),
      mm: long / LONG_MM,
    };
  });
}

/** mm above the ground that they lie about. */
export function lumpsAt(lumps: Lumps, x: number, y: number): number {
  let sum = 0;
  for (const { kx, ky, phase, mm } of lumps) sum += mm * Math.cos(kx * x + ky * y + phase);
  return sum;
}

/** The same at every place of a grid, row by row: the cosine of a sum, so that each line asks for its own. */
export function lumpsOnGrid(lumps: Lumps, xs: readonly number[], ys: readonly number[]): Float64Array {
  const all = new Float64Array(xs.length * ys.length);
  for (const { kx, ky, phase, mm } of lumps) {
    const cosX = Float64Array.from(xs, (x) => Math.cos(kx * x));
    const sinX = Float64Array.from(xs, (x) => Math.sin(kx * x));
    let at = 0;
    for (const y of ys) {
      const c = mm * Math.cos(ky * y + phase);
      const s = mm * Math.sin(ky * y + phase);
      for (let i = 0; i < cosX.length; i += 1, at += 1)
        all[at] = (all[at] as number) + c * (cosX[i] as number) - s * (sinX[i] as number);
    }
  }
  return all;
}

export const scaled = (lumps: Lumps, by: number): Lumps => lumps.map((w) => ({ ...w, mm: w.mm * by }));
