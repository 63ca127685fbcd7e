const channel = (hex: string, at: number): number => {
  const c = parseInt(hex.slice(at, at + 2), 16) / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
};

/** Relative luminance of "#rrggbb", 0..1 (WCAG 2.2). */
const luminance = (hex: string): number =>
  0.2126 * channel(hex, 1) + 0.7152 * channel(hex, 3) + 0.0722 * channel(hex, 5);

const DARK = '#1c2727';
const LIGHT = '#ffffff';

/** Ink for a letter on a soap colour: whichever of dark and white stands out more. */
export function inkOn(colour: string): string {
  const l = luminance(colour);
  const onLight = 1.05 / (l + 0.05);
  const onDark = (l + 0.05) / (luminance(DARK) + 0.05);
  return onDark >= onLight ? DARK : LIGHT;
}
