import type { Box } from '../flow/box.ts';
import type { Spot } from '../flow/spec.ts';
import type { Place } from '../plan/patternSchema.ts';

/** Where batter or a tool goes in a mould as it is seen from above, mm from the middle of its floor: right, and towards the far end. */
export interface FromAbove {
  readonly floor: Box;
  /** ways, in the order they are gone */
  readonly paths: readonly (readonly Spot[])[];
  /** places, in the order they are poured into */
  readonly spots: readonly Spot[];
}

/** Straight lines from end to end, or from side to side, at these places across. */
const straight = (floor: Box, long: boolean, places: readonly number[]): readonly (readonly Spot[])[] =>
  places.map((at) =>
    long
      ? [
          [at, floor.y0],
          [at, floor.y1],
        ]
      : [
          [floor.x0, at],
          [floor.x1, at],
        ],
  );

/** Lines so far apart, in the middle of what there is: poured back and forth. */
export function closeLines(
  { x0, x1, y0, y1 }: Box,
  { runs, spacingMm }: Extract<Place, { at: 'close-lines' }>,
): readonly number[] {
  const [low, high] = runs === 'lengthwise' ? [x0, x1] : [y0, y1];
  const count = Math.max(1, Math.floor((high - low) / spacingMm));
  return Array.from({ length: count }, (_, i) => (low + high) / 2 + (i - (count - 1) / 2) * spacingMm);
}

/** Lines and places that a pour goes in at; undefined where its words say it all. */
export function placeFromAbove(place: Place, floor: Box): FromAbove | undefined {
  switch (place.at) {
    case 'close-lines': {
      const paths = straight(floor, place.runs === 'lengthwise', closeLines(floor, place));
      return { floor, paths: paths.map((p, i) => (i % 2 === 1 ? p.toReversed() : p)), spots: [] };
    }
    case 'line': {
      const middle = place.runs === 'lengthwise' ? (floor.x0 + floor.x1) / 2 : (floor.y0 + floor.y1) / 2;
      return {
        floor,
        paths: straight(floor, place.runs === 'lengthwise', [middle + place.offMm]),
        spots: [],
      };
    }
    case 'drops':
      return { floor, paths: [], spots: place.spots.map((s): Spot => [s.xMm, s.yMm]) };
    default:
      return undefined;
  }
}
