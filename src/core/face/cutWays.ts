import { difference } from '../colour/difference.ts';
import { labOfHex } from '../colour/lab.ts';
import { cutBars, type BarCut } from '../cut/bars.ts';
import { singleBars } from '../cut/singleBars.ts';
import { usualLength, withWay } from '../cut/way.ts';
import type { CutWay, Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';
import { sideOfBar } from './barFaces.ts';
import { countEdges } from './edges.ts';
import type { FramedFace } from './framed.ts';
import { readyFrom, type ReadyBlocks } from './ready.ts';
import type { LaidFace } from './laid.ts';

/** A way that a loaf can be cut, and what a bar of it then shows. */
export interface CutShown {
  /** undefined: straight across */
  readonly way: CutWay | undefined;
  readonly cut: BarCut;
  /** the largest faces of some of its bars, the one nearest to the middle first */
  readonly faces: readonly FramedFace[];
}

/** So many bars of each way are looked at. */
const LOOKED_AT = 3;

/** Straight across, and in blocks sliced either way: those that give bars. */
export function* cutWays(laid: LaidFace): Task<never, readonly CutShown[]> {
  const { plan } = laid;
  const across = cutBars(laid, withWay(undefined)(plan));
  const longMm = plan.cut.way?.longMm ?? usualLength(across.loafMm, plan.cut);
  const ways: readonly (CutWay | undefined)[] = [
    undefined,
    { by: 'floor', longMm },
    { by: 'lengthwise', longMm },
  ];
  const shown: CutShown[] = [];
  for (const [i, way] of ways.entries()) {
    yield { done: i / ways.length };
    const cutSo: Plan = withWay(way)(plan);
    const cut = cutBars(laid, cutSo);
    const bars = singleBars({ ...laid, cut }).filter(
      (b) => (b.place.slice !== undefined) === (way !== undefined),
    );
    const middle = bars.find((b) => b.centre) ?? bars[Math.floor(bars.length / 2)];
    if (!middle) continue;
    const step = bars.length / LOOKED_AT;
    const others = Array.from({ length: LOOKED_AT }, (_, i) => bars[Math.floor((i + 0.5) * step)]);
    const looked = [...new Set([middle, ...others])].flatMap((b) => b ?? []);
    shown.push({ way, cut, faces: looked.map((b) => sideOfBar({ ...laid, plan: cutSo }, b, 'far')) });
  }
  return shown;
}

/** Faces to be looked at, in the colours of their deposits. Can be posted. */
export interface ContrastWanted {
  readonly faces: readonly (readonly FramedFace[])[];
  /** "#rrggbb" by deposit */
  readonly colours: ReadonlyMap<string, string>;
}

/** More difference than this reads as no more contrast. A judgement, no source. */
const ENOUGH = 80;

/**
 * How much of a design each group of faces shows: the length of all edges in them, each by its CIEDE2000,
 * over their area.
 */
export function* contrastsOf(
  shelf: ReadyBlocks,
  { faces, colours }: ContrastWanted,
): Task<never, readonly number[]> {
  const keys = [...colours.keys()];
  const labs = keys.map((k) => labOfHex(colours.get(k) ?? '#808080'));
  const ready = readyFrom(shelf);
  const shown: number[] = [];
  for (const group of faces) {
    const edges = new Float64Array(keys.length ** 2);
    let area = 0;
    for (const face of group) {
      area += countEdges(face, keys, ready, edges);
      yield { done: shown.length / faces.length };
    }
    let sum = 0;
    for (const [i, a] of labs.entries())
      for (const [j, b] of labs.entries())
        sum += (edges[i * keys.length + j] as number) * Math.min(ENOUGH, difference(a, b));
    shown.push(area > 0 ? sum / area : 0);
  }
  return shown;
}
