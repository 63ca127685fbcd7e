import * as v from 'valibot';
import { lengthMm, listOf } from '../validate/fields.ts';
import { spotText } from './fromAbove.ts';
import { spot } from './spot.ts';
import { way } from './way.ts';

const schema = v.strictObject({
  at: v.literal('drops'),
  spots: listOf(v.strictObject(spot), 24, 'at most 24 places', 1, 'a place is wanted'),
  /** how far below the surface they reach; to the floor when absent */
  reachMm: v.optional(lengthMm(1, 600)),
});

/** Thin streams that are to go in: from up high, thicker ones too. Common practice, no source. */
const LOW = { fallMm: 40, most: 1.2 };
const HIGH = { fallMm: 120, most: 2 };

/** Streams let fall in places, each pot in turn. */
export const DROPS = way(schema, {
  know: {
    name: 'Drops',
    says: 'thin streams let fall in chosen places',
    needs: 'Light to medium. Raise the jug as it thickens: from higher it plunges deeper.',
    fails: 'From too low it sits on top; from too high it hits the floor and blooms.',
  },
  first: { at: 'drops', spots: [{ xMm: 0, yMm: 0 }] },
  landing: { how: 'stream', fallMm: 150 },
  rounds: 2,
  window: (fallMm) => {
    const high = Math.min(1, Math.max(0, (fallMm - LOW.fallMm) / (HIGH.fallMm - LOW.fallMm)));
    return { least: 0.7, most: LOW.most + high * (HIGH.most - LOW.most) };
  },
  byHeight: true,
  sources: ({ spots }) => spots.map((s) => ({ kind: 'point', at: [s.xMm, s.yMm] })),
  reachMm: ({ reachMm }) => reachMm,
  fromAbove: ({ spots }, floor) => ({ floor, paths: [], spots: spots.map((s) => [s.xMm, s.yMm]) }),
  text: ({ spots }, { length }) =>
    `in ${spots.length === 1 ? 'one place' : `${spots.length} places in turn`}: ${spots.map((s) => spotText([s.xMm, s.yMm], length)).join('; ')}`,
  faults: (place, { isInside, length }) =>
    place.spots.flatMap((s, i) =>
      isInside(s.xMm, s.yMm)
        ? []
        : [
            {
              code: 'drop-outside',
              level: 'refuse',
              message: `Place ${i + 1}, ${length(s.xMm)} right of the middle and ${length(s.yMm)} beyond it, is outside the mould.`,
              remedies: [
                {
                  label: 'Put it into the middle',
                  place: { ...place, spots: place.spots.with(i, { xMm: 0, yMm: 0 }) },
                },
              ],
            },
          ],
    ),
});
