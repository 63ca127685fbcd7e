import type { LaidMould } from '../fill/laid.ts';
import type { BarCut } from './bars.ts';
import { singleBars } from './singleBars.ts';

/** A cut as it is seen from above, mm. */
export interface CutLine {
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
}

/** Every cut of a loaf or slab from above, each once; none of a tube that stands. */
export function cutLines(
  facts: Pick<LaidMould, 'geometry' | 'stack'> & { readonly cut: BarCut },
): readonly CutLine[] {
  const lines = new Map<string, CutLine>();
  const add = (line: CutLine): void => {
    lines.set([...line.from, ...line.to].map((v) => v.toFixed(1)).join(' '), line);
  };
  for (const { place, leftMm, widthMm } of singleBars(facts)) {
    const { piece, startMm, endMm } = place;
    if (piece.axis === 'z') continue;
    const [near, far] = [piece.fromMm + startMm, piece.fromMm + endMm];
    const [left, right] = [piece.leftMm, piece.leftMm + piece.widthMm];
    for (const y of [near, far]) add({ from: [left, y], to: [right, y] });
    for (const x of [leftMm, leftMm + widthMm])
      if (x > left + 0.1 && x < right - 0.1) add({ from: [x, near], to: [x, far] });
  }
  return [...lines.values()];
}
