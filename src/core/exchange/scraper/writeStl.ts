import earcut from 'earcut';
import type { Vec3 } from '../../geometry/vec.ts';
import { cross, sub } from '../../geometry/vec.ts';
import type { Millimetres } from '../../units/quantity.ts';
import type { Plate } from './plate.ts';

/**
 * How thick a printed scraper is, mm. A judgement, no source: stiff across 100 mm, and its edge still draws
 * cleanly.
 */
export const THICK_MM: Millimetres = 3;

type Triangle = readonly [Vec3, Vec3, Vec3];

/** The plate lying flat, z up: its two sides, and the strip between them. */
function trianglesOf({ outline }: Plate, thick: Millimetres): readonly Triangle[] {
  const flat = earcut(outline.flatMap(([x, y]) => [x, y]));
  const at = (i: number, z: number): Vec3 => {
    const [x, y] = outline[i] ?? [0, 0];
    return [x, y, z];
  };
  const sides: Triangle[] = [];
  for (let i = 0; i + 2 < flat.length; i += 3) {
    const [a = 0, b = 0, c = 0] = flat.slice(i, i + 3);
    const up: Triangle = [at(a, thick), at(b, thick), at(c, thick)];
    const turns = cross(sub(up[1], up[0]), sub(up[2], up[0]))[2] > 0;
    sides.push(turns ? up : [up[0], up[2], up[1]]);
    sides.push(turns ? [at(a, 0), at(c, 0), at(b, 0)] : [at(a, 0), at(b, 0), at(c, 0)]);
  }
  const strip = outline.flatMap((_, i): Triangle[] => {
    const next = (i + 1) % outline.length;
    return [
      [at(i, 0), at(next, 0), at(next, thick)],
      [at(i, 0), at(next, thick), at(i, thick)],
    ];
  });
  return [...sides, ...strip];
}

const figures = (v: Vec3): string => v.map((n) => Number(n.toFixed(4)).toString()).join(' ');

function facet([a, b, c]: Triangle): string {
  const n = cross(sub(b, a), sub(c, a));
  const length = Math.hypot(...n);
  const normal: Vec3 = length > 0 ? [n[0] / length, n[1] / length, n[2] / length] : [0, 0, 0];
  const corners = [a, b, c].map((v) => `      vertex ${figures(v)}\n`).join('');
  return `  facet normal ${figures(normal)}\n    outer loop\n${corners}    endloop\n  endfacet\n`;
}

/** A scraper's plate as a solid in millimetres, for printing: STL, the ASCII form. */
export const scraperStl = (plate: Plate, thick: Millimetres = THICK_MM): string =>
  `solid scraper\n${trianglesOf(plate, thick).map(facet).join('')}endsolid scraper\n`;
