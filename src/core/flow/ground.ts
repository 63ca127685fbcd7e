/** A surface that is alike all along: heights above the floor at even steps across, mm. */
export interface Ground {
  readonly from: number;
  readonly step: number;
  readonly heights: readonly number[];
}

/** Between its steps straight; beyond its ends as there. */
export function heightAt({ from, step, heights }: Ground, across: number): number {
  const at = Math.min(heights.length - 1, Math.max(0, (across - from) / step));
  const i = Math.min(heights.length - 2, Math.floor(at));
  const low = heights[i] as number;
  return low + ((heights[i + 1] as number) - low) * (at - i);
}

/** How much of one step lies below a height, 0 to 1: from `a` at its start straight to `b` at its end. */
const stepBelow = (a: number, b: number, height: number): number => {
  if (a <= height && b <= height) return 1;
  if (a >= height && b >= height) return 0;
  return a < height ? (height - a) / (b - a) : (height - b) / (a - b);
};

/** How much of a step is between two places, and how much of that part is below a height, mm. */
function partBelow(ground: Ground, i: number, low: number, high: number, height: number): number {
  const start = ground.from + i * ground.step;
  const [a, b] = [Math.max(low, start), Math.min(high, start + ground.step)];
  if (b <= a) return 0;
  const [at, to] = [ground.heights[i] as number, ground.heights[i + 1] as number];
  const rise = (to - at) / ground.step;
  return (b - a) * stepBelow(at + rise * (a - start), at + rise * (b - start), height);
}

/** How far across, from `low` to `high`, the ground lies below a height, mm. */
export function openAt(ground: Ground, low: number, high: number, height: number): number {
  const first = Math.max(0, Math.floor((low - ground.from) / ground.step));
  const last = Math.min(ground.heights.length - 2, Math.floor((high - ground.from) / ground.step));
  let open = 0;
  for (let i = first; i <= last; i += 1) open += partBelow(ground, i, low, high, height);
  return open;
}

/**
 * The same, added up step by step from `low`: at each of the ground's heights, mm. Written to `out` from `at`
 * on.
 */
export function openUpTo(
  ground: Ground,
  low: number,
  high: number,
  height: number,
  out: Float32Array,
  at: number,
): void {
  let open = 0;
  out[at] = 0;
  for (let i = 0; i + 1 < ground.heights.length; i += 1) {
    open += partBelow(ground, i, low, high, height);
    out[at + i + 1] = open;
  }
}
