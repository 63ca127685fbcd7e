import type { Task } from '../task/task.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { levelOnWalls } from '../fill/onWalls.ts';
import { heapsOver, type Roughness } from '../fill/roughness.ts';
import { reachAt, type Scraping } from '../fill/scraped.ts';
import { levelProfile } from '../mould/levelProfile.ts';
import { openAt } from '../flow/ground.ts';
import type { Cut, Lying } from '../flow/spec.ts';
import { clip } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { UP } from '../mould/geometry.ts';
import type { Room } from '../mould/rooms.ts';
import type { StepId } from '../validate/ids.ts';
import { LINE_MM } from './lines.ts';
import { nthOf, solidOf, type Block, type Body, type Content } from './body.ts';

/** A layer as it is poured before it is scraped; with its block, where something was pushed about in it. */
export type AsPoured = (
  layer: PouredLayer,
) => { readonly layer: PouredLayer; readonly block: Block | undefined } | undefined;

export type Scraped = PouredLayer & { readonly scraping: Scraping };

/** A layer whose surface is no plane, and that surface. */
interface Carved {
  readonly layer: PouredLayer;
  readonly surface: Scraping | Roughness;
}

/** Heights between the lowest and the highest place of a profile that what is open below them is kept at. */
const HEIGHTS = 240;

/** It is seen so far over what lies next to it, mm, so that no seam shows between them. */
const LAP = 0.3;

/** What is open at each height over a surface, mm^2. */
function openOver(room: Room, surface: Scraping | Roughness): (height: number) => number {
  const { axis, ground } = surface;
  if ('scrape' in surface)
    return (height) => {
      const { low, high, near, far } = reachAt(room, axis, height);
      return openAt(ground, low, high, height) * (far - near);
    };
  const profile = levelProfile(room);
  const heights = heapsOver(room, surface).toSorted();
  let lower = 0;
  // asked for from the lowest height upwards
  return (height) => {
    while (lower < heights.length && (heights[lower] as number) < height) lower += 1;
    const area = profile.volumeBelow(height + 0.05) - profile.volumeBelow(height - 0.05);
    return ((area / 0.1) * lower) / heights.length;
  };
}

/** How high what is open over a surface would reach over level ground, height by height. */
function levelsOver(room: Room, surface: Scraping | Roughness): Cut['levels'] {
  const { axis, lowestMm, highestMm, underMm3 } = surface;
  const profile = levelProfile(room);
  const openAtHeight = openOver(room, surface);
  const each = (highestMm - lowestMm) / HEIGHTS;
  const open = [0];
  let sum = 0;
  for (let k = 0; k < HEIGHTS; k += 1) {
    sum += openAtHeight(lowestMm + (k + 0.5) * each) * each;
    open.push(sum);
  }
  // by quadrature; what is over the profile at its highest place is known
  const whole = Math.max(0, profile.volumeBelow(highestMm) - underMm3);
  const scale = sum > 0 ? whole / sum : 0;
  return open.map((mm3, k) => {
    const { low, high, near, far } = reachAt(room, axis, lowestMm + k * each);
    return [profile.levelOf(underMm3 + mm3 * scale), low, high, near, far] as const;
  });
}

/** A layer with all that was poured, before it is scraped. */
export function asPouredLayer({ scraping, ...layer }: Scraped): PouredLayer {
  const { pouredMm, volumeMl } = scraping;
  const offset = Math.min(pouredMm, layer.room.heightMm);
  return {
    ...layer,
    offset,
    riseMm: layer.riseMm + offset - layer.offset,
    ...levelOnWalls(offset),
    volumeMl: layer.volumeMl + volumeMl,
    solid: clip(layer.space, { normal: UP, offset }).below,
  };
}

/** A layer that goes up to its surface's highest place. */
function upToHighest(layer: PouredLayer, surface: Carved['surface']): PouredLayer {
  if ('scrape' in surface) return asPouredLayer({ ...layer, scraping: surface });
  const offset = Math.min(surface.highestMm, layer.room.heightMm);
  return { ...layer, offset, solid: clip(layer.space, { normal: UP, offset }).below };
}

/** Numbers for the deposits of what lies there, as they come. */
function counter(): { readonly keys: string[]; readonly lyingOf: (body: Body) => Lying } {
  const keys: string[] = [];
  return {
    keys,
    lyingOf: (body) => {
      const first = keys.length;
      if (body.kind === 'layer') {
        keys.push(body.layer.pour.id);
        return { up: body.layer.up, offset: body.layer.offset, first };
      }
      const { content, layers } = body.block;
      const last = layers.at(-1) ?? layers[0];
      keys.push(...content.keys);
      return {
        up: last.up,
        offset: last.offset,
        first,
        ...(content.kind === 'moved' ? { block: content.spec } : {}),
      };
    },
  };
}

const filled = <T>(list: readonly T[]): readonly [T, ...T[]] | undefined => {
  const [first, ...others] = list;
  return first === undefined ? undefined : [first, ...others];
};

/** Layers whose surfaces reach over each other's heights, seen as one. */
interface Group {
  readonly carved: Carved[];
  lowestMm: number;
  highestMm: number;
}

function groupsOf(layers: readonly Carved[]): readonly Group[] {
  const groups: Group[] = [];
  for (const one of layers) {
    const { lowestMm, highestMm } = one.surface;
    const last = groups.at(-1);
    if (last && lowestMm < last.highestMm) {
      last.carved.push(one);
      last.highestMm = Math.max(last.highestMm, highestMm);
      last.lowestMm = Math.min(last.lowestMm, lowestMm);
    } else groups.push({ carved: [one], lowestMm, highestMm });
  }
  return groups;
}

/** One stretch of a room's height as it is scraped and filled again. */
function* sculptedBlock(
  room: Room,
  bodies: readonly Body[],
  lines: ReadonlyMap<StepId, StepId>,
  asPoured: AsPoured,
  { carved, lowestMm, highestMm }: Group,
): Task<never, Block | undefined> {
  const solid = clip(clip(room.solid, { normal: UP, offset: highestMm + LAP }).below, {
    normal: UP,
    offset: lowestMm - LAP,
  }).above;
  if (solid.faces.length === 0) return undefined;
  const { keys, lyingOf } = counter();
  const upTo = (from: number, { layer, surface }: Carved): readonly Lying[] => {
    const between = bodies.filter((b) => nthOf(b) > from && nthOf(b) < layer.nth);
    const full = asPoured(upToHighest(layer, surface));
    const own: Body[] = full
      ? [full.block ? { kind: 'block', block: full.block } : { kind: 'layer', layer: full.layer }]
      : [];
    return [...between, ...own].map(lyingOf);
  };
  const [first] = carved;
  const under = first && filled(upTo(-Infinity, first));
  if (!first || !under) return undefined;
  const cuts: Cut[] = [];
  for (const [k, { layer, surface }] of carved.entries()) {
    yield { done: k / carved.length };
    const next = carved[k + 1];
    const { axis, ground, lowestMm: lowest, highestMm: highest } = surface;
    const line = lines.get(layer.pour.id);
    cuts.push({
      ...(line === undefined ? {} : { line: { deposit: keys.push(line) - 1, mm: LINE_MM } }),
      axis,
      ground,
      ...('scrape' in surface ? {} : { lumps: surface.lumps, dents: surface.dents }),
      lowest,
      highest,
      levels: levelsOver(room, surface),
      over: next ? upTo(layer.nth, next) : bodies.filter((b) => nthOf(b) > layer.nth).map(lyingOf),
      open: next === undefined,
    });
  }
  const body = { under, cuts };
  const content: Content = { kind: 'scraped', keys, key: JSON.stringify(body), scraped: body };
  return { content, solid, layers: [first.layer, ...carved.slice(1).map((c) => c.layer)], room };
}

/** What of a body is below or above a height. */
const partOf = (body: Body, side: 'below' | 'above', heightMm: number): readonly Body[] => {
  const solid: Polyhedron = clip(solidOf(body), { normal: UP, offset: heightMm })[side];
  if (solid.faces.length === 0) return [];
  return body.kind === 'layer'
    ? [{ kind: 'layer', layer: { ...body.layer, solid } }]
    : [{ kind: 'block', block: { ...body.block, solid } }];
};

/**
 * The bodies of one room with layers that are scraped, or left rough, as they are seen: between the lowest
 * and the highest place of such a surface stands a block of its own, and what lies there is cut off at it.
 * Volumes of layers stay what they are: a scraped layer's is what the scraper leaves of it.
 */
export function* sculpted(
  room: Room,
  bodies: readonly Body[],
  lines: ReadonlyMap<StepId, StepId>,
  asPoured: AsPoured,
): Task<never, readonly Body[]> {
  const carved = bodies
    .flatMap((b) => (b.kind === 'layer' ? [b.layer] : b.block.layers))
    .flatMap((layer): Carved[] => {
      const surface = layer.scraping ?? layer.rough;
      return surface && asPoured(layer) !== undefined ? [{ layer, surface }] : [];
    });
  let seen = bodies;
  for (const group of groupsOf(carved)) {
    const block = yield* sculptedBlock(room, bodies, lines, asPoured, group);
    const nth = group.carved.at(-1)?.layer.nth ?? 0;
    if (!block) continue;
    const { lowestMm, highestMm } = group;
    seen = [
      ...seen.filter((b) => nthOf(b) <= nth).flatMap((b) => partOf(b, 'below', lowestMm)),
      { kind: 'block', block },
      ...seen.filter((b) => nthOf(b) > nth).flatMap((b) => partOf(b, 'above', highestMm)),
    ];
  }
  return seen;
}
