import * as v from 'valibot';
import type { Box } from '../flow/box.ts';
import type { Spot } from '../flow/spec.ts';
import { CORNERS, type Corner } from '../mould/cornerProp.ts';
import { SPREADS, way } from './way.ts';

const WORDS: Readonly<Record<Corner, string>> = {
  'left-near': 'the near left corner',
  'right-near': 'the near right corner',
  'left-far': 'the far left corner',
  'right-far': 'the far right corner',
};

/** Where a corner of a plan is. */
export const cornerSpot = (corner: Corner, { x0, x1, y0, y1 }: Box): Spot => [
  corner.startsWith('left') ? x0 : x1,
  corner.endsWith('near') ? y0 : y1,
];

/** Into one corner. */
export const CORNER = way(v.strictObject({ at: v.literal('corner'), corner: v.picklist(CORNERS) }), {
  know: {
    name: 'Corner pour',
    says: 'into one corner of a slab, in rounds',
    needs:
      'Emulsion to light. The same grams in every jug by the end of a round; a stick for strokes out of the corner.',
    fails: 'The jugs drift apart, and colours near the corner blend.',
  },
  first: { at: 'corner', corner: 'left-near' },
  landing: { how: 'low', fallMm: 20 },
  rounds: 4,
  window: SPREADS,
  byHeight: true,
  sources: ({ corner }, { box }) => [{ kind: 'point', at: cornerSpot(corner, box) }],
  text: ({ corner }) => `into ${WORDS[corner]}`,
});
