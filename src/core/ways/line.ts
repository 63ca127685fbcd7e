import * as v from 'valibot';
import type { Box } from '../flow/box.ts';
import { lengthMm } from '../validate/fields.ts';
import { straight } from './fromAbove.ts';
import { SPREADS, way } from './way.ts';
import { runsSchema } from '../mould/runs.ts';

/** A line lengthwise is so far to the right of the middle; crosswise, so far beyond it. */
const schema = v.strictObject({
  at: v.literal('line'),
  runs: runsSchema,
  offMm: lengthMm(-1000, 1000),
});

/** Where a line lies across what reaches from low to high. */
const across = ({ runs, offMm }: v.InferOutput<typeof schema>, { x0, x1, y0, y1 }: Box): number =>
  (runs === 'lengthwise' ? x0 + x1 : y0 + y1) / 2 + offMm;

/** Along a line. */
export const LINE = way(schema, {
  know: {
    name: 'Centre line',
    says: 'every colour in a line along the middle',
    needs: 'Light. A jug with a narrow lip, drawn along slowly, short of the ends.',
    fails: 'A line that wanders leans the whole picture; poured from high it goes to the floor.',
  },
  first: { at: 'line', runs: 'lengthwise', offMm: 0 },
  landing: { how: 'stream', fallMm: 50 },
  rounds: 3,
  window: SPREADS,
  byHeight: true,
  sources: (place, { box }) => [
    { kind: 'line', axis: place.runs === 'lengthwise' ? 0 : 1, at: across(place, box) },
  ],
  fromAbove: (place, floor) => ({
    floor,
    paths: straight(floor, place.runs, [across(place, floor)]),
    spots: [],
  }),
  text: ({ runs, offMm }, { length }) => {
    const [low, high] = runs === 'lengthwise' ? ['left of', 'right of'] : ['on the near side of', 'beyond'];
    const off = offMm === 0 ? '' : `, ${length(Math.abs(offMm))} ${offMm > 0 ? high : low} the middle`;
    return `in a line from ${runs === 'lengthwise' ? 'end to end' : 'side to side'}${off}`;
  },
  faults: (place, { halfMm, length }) => {
    const half = place.runs === 'lengthwise' ? halfMm.across : halfMm.along;
    if (Math.abs(place.offMm) <= half) return [];
    return [
      {
        code: 'line-outside',
        level: 'refuse',
        message: `The line is ${length(Math.abs(place.offMm))} off the middle, and the wall is ${length(half)} from it.`,
        remedies: [{ label: 'Along the middle', place: { ...place, offMm: 0 } }],
      },
    ];
  },
});
