import type { Grams } from '../units/quantity.ts';

/** What a vessel holds, well mixed: grams of each substance by id. */
export type Contents = ReadonlyMap<string, Grams>;

export const EMPTY: Contents = new Map();

export const massOfContents = (contents: Contents): Grams => {
  let sum = 0;
  for (const massG of contents.values()) sum += massG;
  return sum;
};

/** All of these poured together. */
export function together(list: Iterable<Contents>): Contents {
  const sum = new Map<string, Grams>();
  for (const contents of list) for (const [id, massG] of contents) sum.set(id, (sum.get(id) ?? 0) + massG);
  return sum;
}

/**
 * `massG` drawn from a mixed vessel takes all its substances in proportion. At most what it holds is drawn.
 */
export function drawFrom(
  contents: Contents,
  massG: Grams,
): { readonly out: Contents; readonly left: Contents } {
  const whole = massOfContents(contents);
  const part = whole > 0 ? Math.min(1, Math.max(0, massG / whole)) : 0;
  const out = new Map<string, Grams>();
  const left = new Map<string, Grams>();
  for (const [id, held] of contents) {
    out.set(id, held * part);
    left.set(id, held * (1 - part));
  }
  return { out, left };
}
