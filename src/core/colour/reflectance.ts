import { linearOfHex } from './hex.ts';
import { linearOf, TO_LINEAR, type Linear } from './linear.ts';
import { BANDS } from './observer.ts';
import { NotConverged } from '../numeric/notConverged.ts';
import { solveLinear } from '../numeric/solveLinear.ts';

/**
 * No soap is a perfect black or white, and at 0 or 1 a curve has no slack left: linear sRGB is kept inside
 * this. #000000 comes back as about #060606, #ff0000 as #ff0606.
 */
const DARKEST = 0.0018;
const LIGHTEST = 0.985;

const TOLERANCE = 1e-9;

/**
 * A curve that misses its colour by more than this, linear sRGB, is not that colour: a tenth of a step of
 * 255.
 */
const SEEN = 4e-4;

const inside = (x: number): number => Math.min(LIGHTEST, Math.max(DARKEST, x));

/**
 * The smoothest curve of 36 reflectances (0..1) that has a given linear sRGB under D65: with R = (tanh z + 1)
 * / 2 the least sum of squared steps in z, by Newton's method on the Lagrangian (Scott A. Burns, "Numerical
 * methods for smoothest reflectance reconstruction", Color Research & Application 2020, from memory).
 */
function smoothest(wanted: Linear): Float64Array {
  const n = BANDS;
  const z = new Float64Array(n).fill(Math.atanh(2 * ((wanted[0] + wanted[1] + wanted[2]) / 3) - 1));
  const pull = [0, 0, 0];
  const curve = new Float64Array(n);
  const refresh = (): readonly number[] => {
    for (let i = 0; i < n; i += 1) curve[i] = (Math.tanh(z[i] as number) + 1) / 2;
    return linearOf(curve).map((x, c) => x - (wanted[c] as number));
  };
  let miss = refresh();
  for (let turn = 0; turn < 60 && Math.max(...miss.map(Math.abs)) > TOLERANCE; turn += 1) {
    const rows = Array.from({ length: n + 3 }, () => new Float64Array(n + 4));
    for (let i = 0; i < n; i += 1) {
      const row = rows[i] as Float64Array;
      const t = Math.tanh(z[i] as number);
      const slope = (1 - t * t) / 2;
      const force = TO_LINEAR.reduce((s, weights, c) => s + (weights[i] as number) * (pull[c] as number), 0);
      const ends = i === 0 || i === n - 1 ? 2 : 4;
      row[i] = ends - 2 * t * slope * force;
      let gradient = ends * (z[i] as number) + slope * force;
      for (const k of [i - 1, i + 1]) {
        if (k < 0 || k >= n) continue;
        row[k] = -2;
        gradient -= 2 * (z[k] as number);
      }
      TO_LINEAR.forEach((weights, c) => {
        row[n + c] = slope * (weights[i] as number);
        (rows[n + c] as Float64Array)[i] = slope * (weights[i] as number);
      });
      row[n + 3] = -gradient;
    }
    miss.forEach((m, c) => ((rows[n + c] as Float64Array)[n + 3] = -m));
    const step = solveLinear(rows);
    if (!step) break;
    // far from the answer a whole step may leave the range of tanh: no band moves more than 2 at once
    const most = step.slice(0, n).reduce((m, x) => Math.max(m, Math.abs(x)), 0);
    const part = Math.min(1, 2 / most);
    for (let i = 0; i < n; i += 1) z[i] = (z[i] as number) + part * (step[i] as number);
    for (let c = 0; c < 3; c += 1) pull[c] = (pull[c] as number) + part * (step[n + c] as number);
    miss = refresh();
  }
  const missed = Math.max(...miss.map(Math.abs));
  if (missed > SEEN) throw new NotConverged('the reflectance curve', missed, missed);
  return curve;
}

const known = new Map<string, Float64Array>();

/**
 * A smooth reflectance curve with the colour "#rrggbb" under D65: 36 bands, each between 0 and 1. Remembered
 * by colour.
 */
export function reflectanceOf(hex: string): Float64Array {
  const before = known.get(hex);
  if (before) return before;
  const [r, g, b] = linearOfHex(hex);
  const curve = smoothest([inside(r), inside(g), inside(b)]);
  if (known.size > 500) known.clear();
  known.set(hex, curve);
  return curve;
}
