import { long, pairAt, wide, type Box } from './box.ts';
import type { Level } from './levels.ts';
import { isInStar } from './outline.ts';
import type { Drawn, Prepared } from './stages.ts';
import { valueOf, type Step } from './steps.ts';

/**
 * How far back places of a row are known that the rows under and over it have too: what strokes alone made of
 * them, and one value of the first field after.
 */
export interface RowBefore {
  /** places, and how many steps they were brought back by */
  x: Float64Array;
  y: Float64Array;
  steps: number;
  /** the number of the field's step, and its value at each place; -1: there is none */
  fieldStep: number;
  value: Float64Array;
  /** it lies in a hole: what comes between the strokes and the field has to be asked */
  inHole: Uint8Array;
}

/** Strokes told by the bits of one number. */
const MOST_BITS = 30;

/**
 * A face that stands upright has the same places in every row. Strokes move batter in plan, as far as their
 * tips go all alike: then they are followed back once for all rows.
 */
export function rowsAlike({ levels: { levels, box }, stages }: Prepared, steps: readonly Step[]) {
  const first = steps.findIndex((s) => !s.drawn);
  const lead = Math.min(MOST_BITS, first < 0 ? steps.length : first);
  const after = steps.findIndex((s, i) => i >= lead && !s.stays);
  const field = after >= 0 ? (steps[after] as Step).field : undefined;
  /** which strokes go through the level, as bits; -1 where one fades out in it */
  const through = Int32Array.from(levels, (_, l) =>
    steps.slice(0, lead).reduce((bits, s, i) => {
      const part = s.drawn?.part[l] ?? 0;
      return bits < 0 || (part > 0 && part < 1) ? -1 : bits + (part === 1 ? 2 ** i : 0);
    }, 0),
  );
  const now: RowBefore = {
    x: new Float64Array(0),
    y: new Float64Array(0),
    steps: lead,
    fieldStep: field ? after : -1,
    value: new Float64Array(0),
    inHole: new Uint8Array(0),
  };
  const holes = stages.flatMap((s) => (s.kind === 'run' && s.from.kind === 'hole' ? [s.from.column] : []));
  let key: readonly number[] = [];
  let own: Box | undefined;
  const pair = new Float64Array(2);
  return (
    level: number,
    count: number,
    x: number,
    y: number,
    dx: number,
    dy: number,
  ): RowBefore | undefined => {
    const strokes = through[level] as number;
    if (strokes < 0) return undefined;
    const wanted = [strokes, count, x, y, dx, dy];
    const here = (levels[level] as Level).box;
    if (wanted.every((k, i) => k === key[i]) && own && sameBox(here, own)) return now;
    [key, own] = [wanted, here];
    if (now.x.length < count) {
      now.x = new Float64Array(count);
      now.y = new Float64Array(count);
      now.value = new Float64Array(count);
      now.inHole = new Uint8Array(count);
    }
    for (let n = 0; n < count; n += 1) {
      let [px, py] = [x + n * dx, y + n * dy];
      for (let s = 0; s < lead; s += 1) {
        if (Math.floor(strokes / 2 ** s) % 2 === 0) continue;
        pairAt(((steps[s] as Step).drawn as Drawn).warp, px, py, pair);
        [px, py] = [pair[0] as number, pair[1] as number];
      }
      now.x[n] = px;
      now.y[n] = py;
      if (field) now.value[n] = valueOf(field, px, py);
      const [mx, my] = [
        here.x0 + ((px - box.x0) / wide(box)) * wide(here),
        here.y0 + ((py - box.y0) / long(box)) * long(here),
      ];
      now.inHole[n] = holes.some((h) => isInStar(h, mx, my)) ? 1 : 0;
    }
    return now;
  };
}

const sameBox = (a: Box, b: Box): boolean => a.x0 === b.x0 && a.x1 === b.x1 && a.y0 === b.y0 && a.y1 === b.y1;
