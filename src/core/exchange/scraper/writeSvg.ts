import type { Plate, PlatePoint } from './plate.ts';

const MARGIN_MM = 5;
const BAR_MM = 50;
const FOOT_MM = 14;

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

const figure = (mm: number): string => Number(mm.toFixed(3)).toString();

/** The id that its edge has by itself, so that it can be read in again. */
export const EDGE_ID = 'edge';

/**
 * A scraper's plate as an SVG drawing in true millimetres: cut along the outline; the edge alone is a path of
 * its own, lighter, on top of it. A bar of 50 mm checks the printer's scale.
 */
export function scraperSvg({ outline, edge }: Plate, name: string): string {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [left, right] = [Math.min(...xs) - MARGIN_MM, Math.max(...xs) + MARGIN_MM];
  const [foot, head] = [Math.min(...ys) - FOOT_MM, Math.max(...ys) + MARGIN_MM];
  const at = ([x, y]: PlatePoint): string => `${figure(x - left)},${figure(head - y)}`;
  const [wide, high] = [figure(right - left), figure(head - foot)];
  const barY = figure(head - foot - 4);
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${wide}mm" height="${high}mm" viewBox="0 0 ${wide} ${high}">
  <title>${escaped(name)}</title>
  <path id="plate" d="M${outline.map(at).join('L')}Z" fill="none" stroke="#1c2727" stroke-width="0.2"/>
  <path id="${EDGE_ID}" d="M${edge.map(at).join('L')}" fill="none" stroke="#a94f2b" stroke-width="0.1"/>
  <path d="M${figure(MARGIN_MM)},${barY}h${BAR_MM}" stroke="#1c2727" stroke-width="0.4"/>
  <text x="${figure(MARGIN_MM + BAR_MM + 2)}" y="${barY}" font-family="sans-serif" font-size="3.2">${BAR_MM} mm. ${escaped(name)}</text>
</svg>
`;
}
