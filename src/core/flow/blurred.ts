import { numbers } from '../numeric/numbers.ts';
import { boxAbout, long, nodesOf, valueAt, wide, type Box, type Nodes } from './box.ts';
import { heightIn, levelBefore, type Heights } from './heights.ts';
import { knotted } from './knots.ts';
import { levelAt, type Level, type Levels } from './levels.ts';
import { edgesOf, isIn } from './outline.ts';
import type { LevelPlace } from './levelPlace.ts';

/**
 * A border that was laid level on what was fluid: it is rough. What lies about it gives way, and every colour
 * keeps its volume.
 */
export interface Blurred extends Heights {
  readonly kind: 'blurred';
  /** the heights of the border as it would lie, of what stays where it is below, and of the surface */
  readonly at: number;
  readonly low: number;
  readonly top: number;
  /** by place of the reference rectangle: how far the border stands above where it would lie, as a height */
  readonly up: Nodes;
}

/** Swells follow one another after so many times their height. */
const LONG = 4;

/** On them ride smaller ones, so much shorter, and so much less high. For looks. */
const SMALLER = 3.3;
const LESS = 0.35;

/** Between two of the smaller ones a border is kept at so many places. */
const FINER = 4;

/** What lies deeper below a border than this many times its roughness stays where it is. */
const BELOW = 3;

/** The border never comes nearer to the floor or the surface than this part of what is there. */
const MOST = 0.9;

/**
 * A border that is rough by less has swells as long as at this, mm: finer ones nobody sees, and they take
 * long.
 */
const LEAST = 1.5;

/** Looks that the mean of a border is told from, each way. */
const LOOKS = 96;

const smooth = (t: number): number => t * t * (3 - 2 * t);

/** Swells of a usual length of so many mm, with smaller ones on them. */
function swells(box: Box, longMm: number, seed: number): Nodes {
  const random = numbers(seed);
  const large = knotted(box, longMm, random, smooth);
  const small = knotted(box, longMm / SMALLER, random, smooth);
  const spacing = longMm / SMALLER / FINER;
  const [nx, ny] = [wide(box), long(box)].map((mm) => Math.max(2, Math.ceil(mm / spacing))) as [
    number,
    number,
  ];
  const values = new Float64Array((nx + 1) * (ny + 1));
  for (let j = 0; j <= ny; j += 1)
    for (let i = 0; i <= nx; i += 1) {
      const [x, y] = [(i / nx) * wide(box), (j / ny) * long(box)];
      values[j * (nx + 1) + i] = large(x, y) + LESS * small(x, y);
    }
  return nodesOf(box, nx, ny, values);
}

/** The mean of waves over what a level is of its rectangle. */
function meanOver(up: Nodes, { outline, fills }: Level, box: Box): number {
  const edges = fills ? undefined : edgesOf(outline);
  const own = boxAbout(outline);
  let [sum, count] = [0, 0];
  for (let j = 0; j < LOOKS; j += 1)
    for (let i = 0; i < LOOKS; i += 1) {
      const [u, v] = [(i + 0.5) / LOOKS, (j + 0.5) / LOOKS];
      if (edges && !isIn(edges, own.x0 + u * wide(own), own.y0 + v * long(own))) continue;
      sum += valueAt(up, box.x0 + u * wide(box), box.y0 + v * long(box));
      count += 1;
    }
  return count > 0 ? sum / count : 0;
}

/**
 * A level pour on what is fluid: rough by `roughMm` either way of the height `at`, with the surface at `top`.
 */
export function blurredStage(
  levels: Levels,
  {
    roughMm,
    at,
    top,
    fits,
    seed,
  }: {
    readonly roughMm: number;
    readonly at: number;
    readonly top: number;
    readonly fits: number;
    readonly seed: number;
  },
  laid: Heights,
): Blurred {
  const { box } = levels;
  const here = levelAt(levels, at / fits);
  const level = levels.levels[here] as Level;
  const over = levels.levels[Math.min(levels.levels.length - 1, here + 1)] as Level;
  const perMm = ((over.height - level.height) * fits) / levels.spacing || 1;
  const waved = swells(box, LONG * Math.max(LEAST, roughMm), seed);
  const mean = meanOver(waved, level, box);
  const values = waved.values.map((v) => v - mean);
  const highest = values.reduce((m, v) => Math.max(m, Math.abs(v)), 0);
  const most = Math.min(roughMm * perMm, MOST * at, MOST * (top - at));
  const scale = highest > 0 ? most / highest : 0;
  return {
    kind: 'blurred',
    ...laid,
    at,
    low: Math.max(0, at - BELOW * most),
    top,
    up: { ...waved, values: values.map((v) => v * scale) },
  };
}

/** Bring a place back to where it would be with a level border; gives the level that it was in. */
export function backInBlurred(stage: Blurred, place: LevelPlace, level: number): number {
  const { at, low, top } = stage;
  const height = heightIn(stage, place, level);
  if (height <= low || height >= top) return levelBefore(stage, place, height);
  const border = at + valueAt(stage.up, place.x, place.y);
  return levelBefore(
    stage,
    place,
    height > border
      ? at + ((height - border) * (top - at)) / (top - border)
      : low + ((height - low) * (at - low)) / (border - low),
  );
}
