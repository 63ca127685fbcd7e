import { slice } from '../geometry/clip.ts';
import { corners } from '../geometry/polyhedron.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Block, Body } from '../pattern/body.ts';
import type { Millimetres } from '../units/quantity.ts';
import { swirlBand, type Band } from './face.ts';
import type { FramedFace } from './framed.ts';
import { inRelief } from './shade.ts';

/** Between level cuts that a top is seen in, mm; and so many of them at most. */
const LEVEL_MM = 0.8;
const MOST_LEVELS = 38;

/** Between the cuts on their sheet, mm. */
const GAP = 1;

/**
 * From where up a body has no plane for its top: what lies on a loaf, and a last layer that is rough or
 * scraped.
 */
export function openFrom(body: Body): Millimetres | undefined {
  if (body.kind === 'layer') return undefined;
  const { content } = body.block;
  if (content.kind === 'heaped') return -Infinity;
  const last = content.kind === 'scraped' ? content.scraped.cuts.at(-1) : undefined;
  return last && last.over.length === 0 ? last.lowest : undefined;
}

/** What lies on a loaf is seen with the light that falls on it. */
export const litBlock = (block: Block): Block =>
  block.content.kind === 'heaped' ? { ...block, content: inRelief(block.content) } : block;

/**
 * A top that is no plane in level cuts, side by side on one sheet: one over another, they are seen as a body
 * from any place above.
 */
export interface LevelSheet {
  readonly face: FramedFace;
  /**
   * of each cut: where it begins on the sheet, and how high it was made, mm; those that are nearer to the eye
   * last
   */
  readonly levels: readonly { readonly leftMm: Millimetres; readonly z: Millimetres }[];
  /** the corner of each in plan, and how wide and long it is, mm */
  readonly x0: Millimetres;
  readonly y0: Millimetres;
  readonly wideMm: Millimetres;
  readonly longMm: Millimetres;
  /** its pictures have the light that falls on them */
  readonly isLit: boolean;
}

/**
 * The sheet of one body; undefined where its top is a plane. Of what hangs below the nearest to an eye below
 * is last.
 */
export function levelSheet(body: Body): LevelSheet | undefined {
  const from = openFrom(body);
  if (from === undefined || body.kind === 'layer') return undefined;
  const { block } = body;
  const points = corners(block.solid);
  const span = (axis: 0 | 1 | 2): readonly [number, number] => [
    Math.min(...points.map((p) => p[axis])),
    Math.max(...points.map((p) => p[axis])),
  ];
  const [[x0, x1], [y0, y1], [z0, z1]] = [span(0), span(1), span(2)];
  const low = Math.max(from, z0);
  const count = Math.min(MOST_LEVELS, Math.max(6, Math.ceil((z1 - low) / LEVEL_MM)));
  const hangs = block.content.kind === 'heaped' && block.content.heap.hangs === true;
  const lit = litBlock(block);
  const [wideMm, longMm] = [x1 - x0, y1 - y0];
  const levels = Array.from({ length: count }, (_, i) => {
    const part = (i + 0.5) / count;
    return { leftMm: i * (wideMm + GAP), z: hangs ? z1 - (z1 - low) * part : low + (z1 - low) * part };
  });
  const face = levels.map(({ leftMm, z }): Band => {
    const outline = slice(block.solid, { normal: [0, 0, 1], offset: z }).map(([x, y]) => ({
      h: x - x0 + leftMm,
      z: y - y0,
    }));
    const origin: Vec3 = [x0 - leftMm, y0, z];
    return swirlBand(lit, outline, { origin, across: [1, 0, 0], up: [0, 1, 0] });
  });
  const right = (levels.at(-1)?.leftMm ?? 0) + wideMm;
  return {
    face: { face, left: 0, right, foot: 0, head: longMm },
    levels,
    x0,
    y0,
    wideMm,
    longMm,
    isLit: lit !== block,
  };
}
