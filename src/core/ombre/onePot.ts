import type { Grams } from '../units/quantity.ts';

/** g of each colorant per kg of batter, in one fixed order. */
export type Concentrations = readonly number[];

/** A layer to be poured out of one pot that is coloured as it empties. */
export interface WantedPass {
  readonly wanted: Concentrations;
  readonly pourG: Grams;
  /** what was really done, where it differed */
  readonly actual?: { readonly pouredG?: Grams | undefined; readonly addedG?: readonly Grams[] | undefined };
}

export interface Pass {
  /** in the pot before anything is added */
  readonly holdsG: Grams;
  /** plain batter stirred in first, to go paler */
  readonly plainG: Grams;
  readonly addedG: readonly Grams[];
  /** in the pot when it is poured */
  readonly concentrations: Concentrations;
  readonly pouredG: Grams;
  readonly leftG: Grams;
}

export interface OnePot {
  /** batter in the pot before the first pass; the rest of its batter stands by, plain */
  readonly startG: Grams;
  readonly passes: readonly Pass[];
  /** the first pass that would have to lose a colorant altogether: no plain batter is enough */
  readonly impossibleAt: number | undefined;
}

export interface OnePotOptions {
  /** all batter of this pot, g: pours, plain batter to go paler, and what stays at the end */
  readonly batterG: Grams;
  readonly round: (massG: Grams, colorant: number) => Grams;
  readonly roundBatter: (massG: Grams) => Grams;
  /** new wanted concentrations for the passes still to come, after an addition that was not as planned */
  readonly respace: (
    now: Concentrations,
    next: number,
    remaining: number,
  ) => readonly Concentrations[] | undefined;
}

/** What is left of each colorant when a pot is thinned until none is above what is wanted: 0..1. */
const thinning = (now: Concentrations, wanted: Concentrations): number =>
  now.reduce((f, c, j) => (c > 1e-12 ? Math.min(f, (wanted[j] ?? 0) / c) : f), 1);

/** Batter that must be in the pot before pass `from`, for these pours and this much left at the end. */
function neededG(f: readonly number[], pours: readonly Grams[], leftG: Grams, from: number): Grams {
  let held = leftG;
  for (let i = pours.length - 1; i >= from; i -= 1) held = (held + (pours[i] ?? 0)) * (f[i] ?? 1);
  return held;
}

/**
 * One pot, coloured as it empties. Before pass i it holds R at concentrations c; to reach c' it first takes plain batter
 * where a colorant has to fall (R becomes R / f), then (c' - f c) R / f of each colorant; then the pass is poured.
 * Colorant is conserved: all additions = sum of concentration x poured, and what is left at the last one.
 * Where a pass was not as planned, the passes after it share what is left and are dosed for it.
 */
export function onePot(layers: readonly WantedPass[], options: OnePotOptions): OnePot {
  const pours = layers.map((l) => l.pourG);
  let wanted = layers.map((l) => l.wanted);
  const thinningsOf = (first: Concentrations, from: number): number[] =>
    wanted.map((c, i) => (i < from ? 1 : thinning(i === from ? first : (wanted[i - 1] ?? []), c)));
  let f = thinningsOf([], 0);
  const impossible = f.findIndex((x) => x <= 0);
  if (impossible >= 0) f = f.map((x) => (x <= 0 ? 1 : x));
  // what stays at the end is what the pours leave of all the batter, plain and coloured
  const leftWanted = Math.max(0, options.batterG - pours.reduce((a, b) => a + b, 0));
  const plain = f.map((part, i) =>
    part === 1 ? 0 : options.roundBatter(neededG(f, pours, leftWanted, i) * (1 / part - 1)),
  );
  const startG = options.batterG - plain.reduce((a, b) => a + b, 0);
  const passes: Pass[] = [];
  let held = startG;
  let content = (wanted[0] ?? []).map(() => 0);
  let off = false;
  for (const [i, layer] of layers.entries()) {
    const part = off ? share(f, pours, leftWanted, i, held) : 1;
    const now = held > 0 ? content.map((g) => (g / held) * 1000) : content;
    const plainG = off && f[i] !== 1 ? options.roundBatter(held * (1 / (f[i] ?? 1) - 1)) : (plain[i] ?? 0);
    const full = held + plainG;
    const goal = wanted[i] ?? now;
    const addedG =
      layer.actual?.addedG ??
      content.map((g, j) => Math.max(0, options.round(((goal[j] ?? 0) * full) / 1000 - g, j)));
    content = content.map((g, j) => g + (addedG[j] ?? 0));
    const concentrations = content.map((g) => (full > 0 ? (g / full) * 1000 : 0));
    const meant = off ? options.roundBatter((pours[i] ?? 0) * part) : (pours[i] ?? 0);
    const pouredG = Math.min(full, layer.actual?.pouredG ?? meant);
    if (layer.actual?.pouredG !== undefined) off = true;
    passes.push({ holdsG: held, plainG, addedG, concentrations, pouredG, leftG: full - pouredG });
    content = content.map((g) => (full > 0 ? g * (1 - pouredG / full) : 0));
    held = full - pouredG;
    if (layer.actual?.addedG) {
      const again = options.respace(concentrations, i + 1, layers.length - i - 1);
      wanted = wanted.map((c, k) => (k > i ? (again?.[k - i - 1] ?? concentrations) : c));
      f = again ? thinningsOf(concentrations, i + 1) : f.map(() => 1);
      off = true;
    }
  }
  return { startG, passes, impossibleAt: impossible >= 0 ? impossible : undefined };
}

/** By how much the pours still to come are larger or smaller, so that they share what the pot holds now. */
function share(
  f: readonly number[],
  pours: readonly Grams[],
  leftG: Grams,
  from: number,
  held: Grams,
): number {
  const forPours = neededG(f, pours, 0, from);
  return forPours > 0
    ? Math.max(
        0,
        (held -
          neededG(
            f,
            pours.map(() => 0),
            leftG,
            from,
          )) /
          forPours,
      )
    : 1;
}
