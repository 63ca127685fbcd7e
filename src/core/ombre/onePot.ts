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
  /**
   * everything this pot is to hold, g: pours, plain batter to go paler, colorant and carrier, and what stays
   * at the end
   */
  readonly batterG: Grams;
  /** g that come into the pot with each gram of a colorant: itself and its carrier */
  readonly bulk: readonly number[];
  readonly round: (massG: Grams, colorant: number) => Grams;
  readonly roundBatter: (massG: Grams) => Grams;
  /** what the pot starts with is never short */
  readonly roundUp: (massG: Grams) => Grams;
  /** new wanted concentrations for the passes still to come, after an addition that was not as planned */
  readonly respace: (
    now: Concentrations,
    next: number,
    remaining: number,
  ) => readonly Concentrations[] | undefined;
}

/**
 * A dose that is to stay is topped up only once it is short by more than this part: other colorants thin it a
 * little.
 */
const TOP_UP = 0.02;

/**
 * Once something was really added otherwise it stays as it is, where it is off by less than this part. A
 * judgement, no source.
 */
const SETTLES = 0.05;

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

/** What is left of each colorant when a pot is thinned until none is above what is wanted: 0..1. */
const thinning = (now: Concentrations, wanted: Concentrations): number =>
  now.reduce((f, c, j) => (c > 1e-12 ? Math.min(f, (wanted[j] ?? 0) / c) : f), 1);

/** Plain batter that must be in the pot before pass `from`, for these pours and this much left at the end. */
function neededG(f: readonly number[], pours: readonly Grams[], leftG: Grams, from: number): Grams {
  let held = leftG;
  for (let i = pours.length - 1; i >= from; i -= 1) held = (held + (pours[i] ?? 0)) * (f[i] ?? 1);
  return held;
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
  const none = pours.map(() => 0);
  return forPours > 0 ? Math.max(0, (held - neededG(f, none, leftG, from)) / forPours) : 1;
}

/**
 * A dose that was to be the same in all these layers stays as it came out, where that is near enough: nobody
 * weighs a pinch to make good what other colorants thinned.
 */
function settling(
  layers: readonly WantedPass[],
  now: Concentrations,
): (next: Concentrations) => Concentrations {
  const steady = now.map((_, j) =>
    layers.every((l) => Math.abs((l.wanted[j] ?? 0) - (layers[0]?.wanted[j] ?? 0)) < 1e-9),
  );
  return (next) =>
    next.map((x, j) => (steady[j] === true && Math.abs(x - (now[j] ?? 0)) < x * SETTLES ? (now[j] ?? 0) : x));
}

/**
 * One pot, coloured as it empties. It is reckoned by the plain batter in it, which colorant does not change:
 * of a pass of w grams at concentrations c (g per kg of all that is in the pot) the plain batter is w (1 -
 * sum c bulk / 1000), and each gram of it carries c / (1 - sum c bulk / 1000) of colorant. Before a pass
 * plain batter goes in where a colorant has to fall, then what is missing of each colorant with its carrier;
 * then the pass is poured. Colorant is conserved: all additions = sum of concentration x poured, and what is
 * left at the last one. Where a pass was not as planned, the passes after it share what is left and are dosed
 * for it.
 */
export function onePot(layers: readonly WantedPass[], options: OnePotOptions): OnePot {
  const bulkOf = (grams: readonly number[]): number => sum(grams.map((g, j) => g * (options.bulk[j] ?? 1)));
  /** part of a pot at these concentrations that is plain batter */
  const plainPart = (c: Concentrations): number => 1 - bulkOf(c) / 1000;
  /** g of each colorant with each gram of plain batter */
  const perPlain = (c: Concentrations): Concentrations => {
    const part = plainPart(c) * 1000;
    return c.map((x) => x / part);
  };
  const massOf = (base: Grams, content: readonly Grams[]): Grams => base + bulkOf(content);

  let wanted = layers.map((l) => l.wanted);
  const pours = layers.map((l) => l.pourG);
  const plainPours = layers.map((l) => l.pourG * plainPart(l.wanted));
  const thinningsOf = (first: Concentrations, from: number): number[] =>
    wanted.map((c, i) =>
      i < from ? 1 : thinning(perPlain(i === from ? first : (wanted[i - 1] ?? [])), perPlain(c)),
    );
  let f = thinningsOf([], 0);
  const impossible = f.findIndex((x) => x <= 0);
  if (impossible >= 0) f = f.map((x) => (x <= 0 ? 1 : x));
  // what stays at the end is what the pours leave of all the batter, plain and coloured
  const leftPlain = Math.max(0, options.batterG - sum(pours)) * plainPart(wanted.at(-1) ?? []);
  const plain = f.map((part, i) =>
    part === 1 ? 0 : options.roundBatter(neededG(f, plainPours, leftPlain, i) * (1 / part - 1)),
  );
  const startG = options.roundUp(Math.max(0, sum(plainPours) + leftPlain - sum(plain)));
  const passes: Pass[] = [];
  let base = startG;
  let content = (wanted[0] ?? []).map(() => 0);
  let off = false;
  for (const [i, layer] of layers.entries()) {
    const holdsG = massOf(base, content);
    const part = off ? share(f, plainPours, leftPlain, i, base) : 1;
    const plainG = off && f[i] !== 1 ? options.roundBatter(base * (1 / (f[i] ?? 1) - 1)) : (plain[i] ?? 0);
    base += plainG;
    const goal = perPlain(wanted[i] ?? []);
    const addedG =
      layer.actual?.addedG ??
      content.map((g, j) => {
        const due = (goal[j] ?? 0) * base;
        const stays = i > 0 && (wanted[i]?.[j] ?? 0) <= (wanted[i - 1]?.[j] ?? 0) * (1 + 1e-9);
        return stays && due - g < due * TOP_UP ? 0 : Math.max(0, options.round(due - g, j));
      });
    content = content.map((g, j) => g + (addedG[j] ?? 0));
    const full = massOf(base, content);
    const concentrations = content.map((g) => (full > 0 ? (g / full) * 1000 : 0));
    const meant = off ? options.roundBatter((pours[i] ?? 0) * part) : (pours[i] ?? 0);
    const pouredG = Math.min(full, layer.actual?.pouredG ?? meant);
    if (layer.actual?.pouredG !== undefined) off = true;
    const leftG = full - pouredG;
    passes.push({ holdsG, plainG, addedG, concentrations, pouredG, leftG });
    const stays = full > 0 ? leftG / full : 0;
    content = content.map((g) => g * stays);
    base *= stays;
    if (layer.actual?.addedG) {
      const again = options.respace(concentrations, i + 1, layers.length - i - 1);
      const settled = settling(layers.slice(i), concentrations);
      wanted = wanted.map((c, k) => (k > i ? settled(again?.[k - i - 1] ?? concentrations) : c));
      f = again ? thinningsOf(concentrations, i + 1) : f.map(() => 1);
      off = true;
    }
  }
  return { startG, passes, impossibleAt: impossible >= 0 ? impossible : undefined };
}
