import { linearOfHex } from '../../core/colour/hex.ts';

/** Relative luminance of "#rrggbb", 0..1 (WCAG 2.2). */
function luminance(hex: string): number {
  const [r, g, b] = linearOfHex(hex);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

const contrast = (a: number, b: number): number => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);

/** AA for text of any size (WCAG 2.2, 1.4.3). */
const ENOUGH = 4.5;

const INKS = ['#1c2727', '#ffffff', '#000000'] as const;

/**
 * Ink for a letter on a soap colour: our dark or white, whichever stands out more; plain black on the
 * middling colours where neither reaches 4.5 : 1 (there black always does).
 */
export function inkOn(colour: string): string {
  const l = luminance(colour);
  const [dark, light, black] = INKS;
  const better = contrast(l, luminance(dark)) >= contrast(l, 1) ? dark : light;
  return contrast(l, luminance(better)) >= ENOUGH ? better : black;
}

/** Stands in where there is no colour to show. */
export const NO_COLOUR = '#c9c0b2';

/** What is simulated and not there yet: no pot's colour, so that nobody takes it for the result. */
const NOT_YET = '#b4b9b6';

/** What a band is filled with until its picture lies over it. */
export const bandFill = (band: { readonly swirl?: unknown }, colour: string | undefined): string =>
  band.swirl === undefined ? (colour ?? NO_COLOUR) : NOT_YET;
