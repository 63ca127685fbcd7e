import { lettersOf } from '../fill/layers.ts';
import { bareWalls } from '../fill/bareWall.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { pouredHeights } from '../fill/onWalls.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Wall } from '../plan/stepSchema.ts';
import type { LaidMould } from '../fill/laid.ts';
import { formatShort } from '../units/format.ts';
import { isRound } from '../mould/round.ts';

/** One mark on a wall: the pour that comes up to it and its height above the lined floor. */
export interface WallMark {
  readonly nth: number;
  readonly letter: string;
  readonly heightMm: number;
  /** distance from the floor measured along the wall, mm: what is marked on the strip */
  readonly alongMm: number;
}

export interface WallStrip {
  readonly wall: Wall;
  /** length of the wall from the lined floor to the rim, mm */
  readonly wallMm: number;
  readonly marks: readonly WallMark[];
  /** pours whose surface does not come to this wall: "3 C" */
  readonly missed: readonly string[];
}

type Walled = Pick<LaidMould, 'plan' | 'stack' | 'geometry'>;

/** How much longer a straight leaning wall is than it is high. 1 for upright walls. */
function leanOf({ geometry }: Walled, wall: Wall): number {
  const across = wall === 'left' || wall === 'right';
  const { most, floor, heightMm } = geometry;
  const out = across ? (most.width - floor.width) / 2 : (most.length - floor.length) / 2;
  return Math.hypot(1, out / heightMm);
}

const roundWalled = (plan: Plan): boolean => isRound(plan.mould.shape);

const heightOn = (layer: PouredLayer, wall: Wall): number => pouredHeights(layer)[wall];

/**
 * The heights each pour comes up to at the middle of each wall. Round walls have no straight strip: for a
 * lying half-round or tube only the ends are given, for a standing tube one strip serves all round while it
 * is level.
 */
export function wallStrips(laid: Walled): readonly WallStrip[] {
  const { plan, stack, geometry } = laid;
  const walls: readonly Wall[] = roundWalled(plan) ? ['near', 'far'] : ['left', 'right', 'near', 'far'];
  const bare = new Map(stack.layers.map((l) => [l, bareWalls(l.room, l).map((b) => b.wall)] as const));
  return walls.map((wall) => {
    const lean = leanOf(laid, wall);
    const comes = (layer: (typeof stack.layers)[number]): boolean => !bare.get(layer)?.includes(wall);
    return {
      wall,
      wallMm: geometry.heightMm * lean,
      marks: stack.layers.filter(comes).map((layer) => ({
        nth: layer.nth + 1,
        letter: lettersOf(layer),
        heightMm: heightOn(layer, wall),
        alongMm: heightOn(layer, wall) * lean,
      })),
      missed: stack.layers.filter((l) => !comes(l)).map((l) => `${l.nth + 1} ${lettersOf(l)}`),
    };
  });
}

const STRIP_MM = 30;
const GAP_MM = 10;
const HEAD_MM = 8;
const TITLE_MM = 4.5;
/** room that a mark's name takes, mm */
const LABEL_MM = 3.8;
/** a letter is about so wide as a part of its size; the words beside the bar of 50 mm, mm */
const LETTER = 0.56;
const SCALE_WORDS_MM = 36;

/** Where names stand above their marks (down from the top, mm; the lowest mark first): none over another. */
function namesAt(marks: readonly number[]): readonly number[] {
  let above = Infinity;
  return marks.map((y) => {
    above = Math.min(y - 0.8, above - LABEL_MM);
    return above;
  });
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/**
 * The strips as an SVG drawing in true millimetres, to print at 100 % and tape to the walls with the foot on
 * the lined floor. A bar of 50 mm at the top checks the printer's scale.
 */
export function wallMarksSvg(laid: Walled, title: string): string {
  const strips = wallStrips(laid);
  const tall = Math.max(...strips.map((s) => s.wallMm));
  const heading = `${title}: wall marks`;
  const width = Math.ceil(
    Math.max(
      strips.length * (STRIP_MM + GAP_MM) + GAP_MM,
      2 * GAP_MM + heading.length * LETTER * TITLE_MM,
      2 * GAP_MM + 52 + SCALE_WORDS_MM,
    ),
  );
  const foot = 18 + HEAD_MM + tall;
  const text = (x: number, y: number, size: number, words: string, anchor = 'start'): string =>
    `<text x="${x.toFixed(2)}" y="${y.toFixed(2)}" font-size="${size}" text-anchor="${anchor}" stroke="white" stroke-width="0.9" paint-order="stroke">${escaped(words)}</text>`;
  const drawn = strips.map((strip, i) => {
    const x = GAP_MM + i * (STRIP_MM + GAP_MM);
    const rising = strip.marks.toSorted((a, b) => a.alongMm - b.alongMm);
    const names = namesAt(rising.map((m) => foot - m.alongMm));
    const marks = rising.map((m, k) => {
      const y = foot - m.alongMm;
      const line = names[k] ?? y;
      return (
        `<path d="M${x} ${y.toFixed(2)}h${STRIP_MM}" stroke-width="0.3"/>` +
        (y - line > LABEL_MM / 2
          ? `<path d="M${x + STRIP_MM / 2 - 1} ${y.toFixed(2)}L${x + STRIP_MM / 2} ${(line - 1).toFixed(2)}" stroke-width="0.15"/>`
          : '') +
        text(x + 1, line, 3, `${m.nth} ${m.letter}`) +
        text(x + STRIP_MM - 1, line, 3, `${formatShort(m.heightMm, 1)} mm`, 'end')
      );
    });
    return (
      `<rect x="${x}" y="${(foot - strip.wallMm).toFixed(2)}" width="${STRIP_MM}" height="${strip.wallMm.toFixed(2)}" fill="none" stroke-width="0.25"/>` +
      text(x + STRIP_MM / 2, foot - strip.wallMm - 2, 4, strip.wall, 'middle') +
      text(x + STRIP_MM / 2, foot + 4, 3, 'lined floor', 'middle') +
      strip.missed
        .map((m, k) => text(x + STRIP_MM / 2, foot + 8 + 3.6 * k, 2.8, `${m} does not reach`, 'middle'))
        .join('') +
      marks.join('')
    );
  });
  const height = foot + 8 + 3.6 * Math.max(0, ...strips.map((s) => s.missed.length));
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height.toFixed(2)}mm" viewBox="0 0 ${width} ${height.toFixed(2)}" font-family="sans-serif" fill="black" stroke="none">` +
    text(GAP_MM, 6, TITLE_MM, heading) +
    `<g stroke="black"><path d="M${GAP_MM} 11h50m-50 -1.5v3m50 -3v3" fill="none" stroke-width="0.3"/></g>` +
    text(GAP_MM + 52, 12, 3, '50 mm: print at 100 %') +
    `<g stroke="black" stroke-width="0"> ${drawn.join('').replaceAll('<path ', '<path stroke="black" ').replaceAll('<rect ', '<rect stroke="black" ')}</g></svg>\n`
  );
}
