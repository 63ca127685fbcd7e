import { reachAt, type Scraping } from '../../fill/scraped.ts';
import type { Room } from '../../mould/rooms.ts';
import { partAt, turnsOf } from '../../flow/edge.ts';
import type { Millimetres } from '../../units/quantity.ts';

/** A place of the plate, mm: right of its middle, and above the rim that it rests on. */
export type PlatePoint = readonly [x: Millimetres, y: Millimetres];

/**
 * A scraper that rests on the rim of its mould: its whole outline, anticlockwise, and its edge from left to
 * right.
 */
export interface Plate {
  readonly outline: readonly PlatePoint[];
  readonly edge: readonly PlatePoint[];
  /** between its shoulders, a little less than the mould there */
  readonly betweenMm: Millimetres;
}

/**
 * Free of either wall, mm; how far its shoulders rest on the rim, and its grip above it. Judgements, no
 * source.
 */
const FREE = 0.5;
const SHOULDER = 15;
const GRIP = 35;

/** Between the points of its edge, mm, besides those where it turns. */
const STEP = 0.25;

/**
 * The plate that scrapes a layer: between the walls where its tips go, so that it also goes through a mould
 * that is wider above. Its edge is all of the profile, also where it stays above the batter.
 */
export function plateOf(room: Room, { scrape, axis, pouredMm }: Scraping): Plate {
  const tip = pouredMm - scrape.depthMm;
  const { low, high } = reachAt(room, axis, Math.max(0.01, tip));
  const rim = reachAt(room, axis, room.heightMm * (1 - 1e-9));
  const middle = axis === 0 ? room.middle.x : room.middle.y;
  const [left, right] = [low + FREE - middle, high - FREE - middle];
  const steps = Math.max(2, Math.ceil((right - left) / STEP));
  const top = room.heightMm;
  const even = Array.from({ length: steps + 1 }, (_, i) => left + ((right - left) * i) / steps);
  const places = [...new Set([...even, ...turnsOf(scrape.edge, left, right)])].sort((a, b) => a - b);
  const edge = places.map((x): PlatePoint => {
    return [x, Math.min(0, tip + scrape.reliefMm * partAt(scrape.edge, x) - top)];
  });
  const out = Math.max(rim.high - middle, middle - rim.low) + SHOULDER;
  const outline: PlatePoint[] = [
    ...(edge[0] && edge[0][1] < 0 ? [[left, 0] as const] : []),
    ...edge,
    ...((edge.at(-1)?.[1] ?? 0) < 0 ? [[right, 0] as const] : []),
    [out, 0],
    [out, GRIP],
    [0 - out, GRIP],
    [0 - out, 0],
  ];
  return { outline, edge, betweenMm: right - left };
}
