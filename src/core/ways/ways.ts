import * as v from 'valibot';
import { CLOSE_LINES } from './closeLines.ts';
import { COLUMN } from './column.ts';
import { CORNER } from './corner.ts';
import { DROPS } from './drops.ts';
import { IN_THE_POT } from './inThePot.ts';
import { LINE } from './line.ts';
import { SPLIT_JUG } from './splitJug.ts';
import { TWO_WALLS } from './twoWalls.ts';
import { WALL } from './wall.ts';
import type { Way } from './way.ts';

/** Every way of pouring that pushes earlier batter aside, in the order they are offered. */
const LIST = [COLUMN, CORNER, LINE, WALL, TWO_WALLS, CLOSE_LINES, IN_THE_POT, SPLIT_JUG, DROPS] as const;

/** The schema of each, in their order. */
type Schemas<L extends readonly { readonly schema: unknown }[]> = { [I in keyof L]: L[I]['schema'] };

/** Where a pour that pushes earlier batter aside goes in. */
export const placeSchema = v.variant('at', LIST.map((w) => w.schema) as unknown as Schemas<typeof LIST>);

export type Place = v.InferOutput<typeof placeSchema>;

export type PlaceKind = Place['at'];

/** What a plan says of a place of one kind. */
export type PlaceOf<K extends PlaceKind> = Extract<Place, { at: K }>;

/**
 * Each way by what it is called in a plan. A place of one kind is only ever given to the way of that kind.
 */
const BY_KIND = new Map<PlaceKind, Way<Place>>(
  LIST.map((w) => [w.first.at, w as unknown as Way<Place>] as const),
);

export const WAY_KINDS: readonly PlaceKind[] = LIST.map((w) => w.first.at);

export function wayNamed(kind: PlaceKind): Way<Place> {
  const found = BY_KIND.get(kind);
  if (!found) throw new RangeError(`there is no way of pouring "${kind}"`);
  return found;
}

export const wayOf = (place: Place): Way<Place> => wayNamed(place.at);

/** All its pots are in one jug before they are poured. */
export const isOneJug = (place: Place): boolean => wayOf(place).inOneJug !== undefined;
