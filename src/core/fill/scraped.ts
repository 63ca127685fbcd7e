import { remembered } from '../task/remembered.ts';
import { partAt } from '../flow/edge.ts';
import { heightAt, openAt, type Ground } from '../flow/ground.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import { levelProfile } from '../mould/levelProfile.ts';
import type { Room } from '../mould/rooms.ts';
import type { Layer } from '../mould/stack.ts';
import type { Scrape } from '../plan/stepSchema.ts';
import type { Millilitres, Millimetres } from '../units/quantity.ts';
import { sideAt } from './wallPoints.ts';

/** What a scraper leaves of a layer and takes of it. Heights are above the floor. */
export interface Scraping {
  readonly scrape: Scrape;
  /** the axis that its profile is seen along: 0 across the mould, 1 along it */
  readonly axis: 0 | 1;
  /** the layer's surface afterwards */
  readonly ground: Ground;
  /** how high the layer is poured, so that what stays is what the pour says */
  readonly pouredMm: Millimetres;
  readonly lowestMm: Millimetres;
  readonly highestMm: Millimetres;
  /** everything in the compartment that stays, mm^3 */
  readonly underMm3: number;
  /** what is scraped off */
  readonly volumeMl: Millilitres;
  /** how far it goes into what lies below the layer, mm; 0 where it stays in it */
  readonly crossesMm: Millimetres;
  /** how far the layer would stand over the rim before it is scraped, mm; 0 where it has room */
  readonly overRimMm: Millimetres;
}

/**
 * Between the places that a profile is kept at, at least, mm; and how many of them there are at most and at
 * least.
 */
const STEP_MM = 0.25;
const PLACES = [120, 1200] as const;

/** Heights that what is scraped off is added up at. */
const HEIGHTS = 200;

/** The surface before scraping is found again until it stands still, mm; and so often at most. */
const STILL = 1e-7;
const TRIES = 12;

/** How far a compartment reaches at a height, along both axes. */
export interface Reach {
  readonly low: Millimetres;
  readonly high: Millimetres;
  readonly near: Millimetres;
  readonly far: Millimetres;
}

/** `low` to `high` along the axis that a profile is seen along, `near` to `far` along the other one. */
export function reachAt({ outline }: Room, axis: 0 | 1, heightMm: Millimetres): Reach {
  const [across, along] = axis === 0 ? [outline.section, outline.side] : [outline.side, outline.section];
  return {
    low: sideAt(across, heightMm, -1),
    high: sideAt(across, heightMm, 1),
    near: sideAt(along, heightMm, -1),
    far: sideAt(along, heightMm, 1),
  };
}

/** An edge at even places across a compartment, as parts of its relief. */
function edgeIn(room: Room, axis: 0 | 1, { edge }: Scrape): Ground {
  const hs = room.outline[axis === 0 ? 'section' : 'side'].map((p) => p.h);
  const [low, high] = [Math.min(...hs), Math.max(...hs)];
  const places = Math.min(PLACES[1], Math.max(PLACES[0], Math.ceil((high - low) / STEP_MM)));
  const step = (high - low) / places;
  const middle = axis === 0 ? room.middle.x : room.middle.y;
  const heights = Array.from({ length: places + 1 }, (_, i) => partAt(edge, low + i * step - middle));
  return { from: low, step, heights };
}

/** The volume between an edge whose tip stands at `tipMm` and the surface `depthMm` above that, mm^3. */
function scrapedOff(
  room: Room,
  axis: 0 | 1,
  { depthMm, reliefMm }: Scrape,
  edge: Ground,
  tipMm: Millimetres,
): number {
  const each = depthMm / HEIGHTS;
  let sum = 0;
  for (let k = 0; k < HEIGHTS; k += 1) {
    const above = (k + 0.5) * each;
    const { low, high, near, far } = reachAt(room, axis, tipMm + above);
    sum += openAt(edge, low, high, above / reliefMm) * (far - near) * each;
  }
  return sum;
}

/** One edge in one compartment: its shape there, and what it takes off between straight walls. */
interface Known {
  readonly edge: Ground;
  readonly off?: number;
}

/** Kept by the scrape and the compartment: an edit elsewhere changes nothing of them. */
const knownOf = remembered((scrape: Scrape) =>
  remembered((room: Room): Known => {
    const axis = axisOf(scrape);
    const edge = edgeIn(room, axis, scrape);
    const [foot, rim] = [0, room.heightMm].map((z) => reachAt(room, axis, z));
    const upright =
      foot &&
      rim &&
      (['low', 'high', 'near', 'far'] as const).every((k) => Math.abs(foot[k] - rim[k]) < 1e-9);
    // between straight walls it takes the same wherever it stands
    return { edge, ...(upright ? { off: scrapedOff(room, axis, scrape, edge, 0) } : {}) };
  }),
);

const axisOf = ({ pulled }: Scrape): 0 | 1 => (pulled === 'lengthwise' ? 0 : 1);

/**
 * How high a layer is poured so that `underMm3` stay below the edge: the surface before it is scraped, and
 * what is scraped off.
 */
function poured(
  room: Room,
  layer: Layer,
  scrape: Scrape,
  underMm3: number,
): { readonly pouredMm: Millimetres; readonly off: number } {
  const own = knownOf(scrape)(room);
  const profile = levelProfile(room);
  const takenAt = (pouredMm: Millimetres): number => {
    const tip = pouredMm - scrape.depthMm;
    return own.off !== undefined && tip >= 0 && pouredMm <= room.heightMm
      ? own.off
      : scrapedOff(room, axisOf(scrape), scrape, own.edge, tip);
  };
  let pouredMm = layer.offset;
  let off = 0;
  for (let i = 0; i < TRIES; i += 1) {
    off = takenAt(pouredMm);
    const next = profile.levelOf(Math.min(profile.total, underMm3 + off));
    const moved = Math.abs(next - pouredMm);
    pouredMm = next;
    if (moved < STILL) break;
  }
  return { pouredMm, off };
}

/** How far a surface that is known in space stands over the ground, at the most, mm. */
function aboveGround(room: Room, axis: 0 | 1, ground: Ground, { up, offset }: Layer): Millimetres {
  const { low, high, near, far } = reachAt(room, axis, ground.heights[0] as number);
  let most = -Infinity;
  for (const along of [near, far])
    for (const [i, height] of ground.heights.entries()) {
      const across = ground.from + i * ground.step;
      if (across < low || across > high) continue;
      const [x, y] = axis === 0 ? [across, along] : [along, across];
      most = Math.max(most, (offset - up[0] * x - up[1] * y) / up[2] - height);
    }
  return most;
}

/** How far one ground stands over another, at the most, mm. */
function groundAbove(of: Scraping, axis: 0 | 1, ground: Ground): Millimetres {
  if (of.axis !== axis) return of.highestMm - Math.min(...ground.heights);
  return Math.max(...ground.heights.map((h, i) => heightAt(of.ground, ground.from + i * ground.step) - h));
}

/** Its levels are rectangles: a round mould that stands has others. */
const straight = (room: Room, axis: 0 | 1): boolean => {
  const middle = room.heightMm / 2;
  const { low, high, near, far } = reachAt(room, axis, middle);
  const profile = levelProfile(room);
  const area = profile.volumeBelow(middle + 0.5) - profile.volumeBelow(middle - 0.5);
  return Math.abs(area / ((high - low) * (far - near)) - 1) < 0.01;
};

/** Its opening is narrower than it is at a height: what is as wide as a layer there does not go in. */
function closesIn(room: Room, axis: 0 | 1, heightMm: Millimetres): boolean {
  const [here, rim] = [heightMm, room.heightMm * (1 - 1e-9)].map((z) => reachAt(room, axis, z));
  return !here || !rim || rim.high - rim.low < here.high - here.low - 1;
}

/**
 * What lies in a compartment below a layer, in the order it was poured, each with what was scraped off it.
 */
export interface Below {
  readonly layer: Layer;
  readonly scraping: Scraping | undefined;
}

/** Why a layer cannot be scraped where it lies. */
export type NotScraped = 'slanted' | 'column' | 'standing-round' | 'closed-above';

/**
 * A layer as a scraper leaves it. What stays is what the pour says, so it is poured as much higher as the
 * edge takes: the surface H before it solves V(H) = what stays + what lies between the edge and H. The
 * profile is the same all along.
 */
export function scrapingOf(
  room: Room,
  layer: Layer,
  below: readonly Below[],
  scrape: Scrape,
): Scraping | NotScraped {
  const axis = axisOf(scrape);
  if (room.blocked.length > 0) return 'column';
  if (layer.up[2] < 1 - 1e-12) return 'slanted';
  if (!straight(room, axis)) return 'standing-round';
  if (closesIn(room, axis, layer.offset)) return 'closed-above';
  const profile = levelProfile(room);
  const underMm3 = [...below.map((b) => b.layer), layer].reduce((s, l) => s + l.volumeMl, 0) * MM3_PER_ML;
  const { pouredMm, off } = poured(room, layer, scrape, underMm3);
  const { edge } = knownOf(scrape)(room);
  const tip = pouredMm - scrape.depthMm;
  const { low, high } = reachAt(room, axis, layer.offset);
  const heights = edge.heights.map((part) => Math.min(pouredMm, tip + scrape.reliefMm * part));
  const ground: Ground = { ...edge, heights };
  const inside = heights.filter((_, i) => {
    const across = edge.from + i * edge.step;
    return across >= low - edge.step && across <= high + edge.step;
  });
  const crosses = below.map((b) =>
    b.scraping ? groundAbove(b.scraping, axis, ground) : aboveGround(room, axis, ground, b.layer),
  );
  return {
    scrape,
    axis,
    ground,
    pouredMm,
    lowestMm: Math.max(0, Math.min(...inside)),
    highestMm: Math.max(...inside),
    underMm3,
    volumeMl: off / MM3_PER_ML,
    crossesMm: Math.max(0, 0 - Math.min(...inside), ...crosses),
    overRimMm: Math.max(0, (underMm3 + off - profile.total) / room.openingMm2),
  };
}
