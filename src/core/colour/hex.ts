import type { Linear } from './linear.ts';

/** sRGB transfer function (IEC 61966-2-1, from memory), 0..1 both ways. */
export const decode = (c: number): number => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
const encode = (c: number): number => (c <= 0.0031308 ? c * 12.92 : 1.055 * c ** (1 / 2.4) - 0.055);

/** "#rrggbb" as linear sRGB. */
export const linearOfHex = (hex: string): Linear => [
  decode(parseInt(hex.slice(1, 3), 16) / 255),
  decode(parseInt(hex.slice(3, 5), 16) / 255),
  decode(parseInt(hex.slice(5, 7), 16) / 255),
];

const byte = (c: number): string =>
  Math.round(encode(Math.min(1, Math.max(0, c))) * 255)
    .toString(16)
    .padStart(2, '0');

/** Linear sRGB as "#rrggbb"; what lies outside the gamut is clipped. */
export const hexOfLinear = ([r, g, b]: Linear): string => `#${byte(r)}${byte(g)}${byte(b)}`;
