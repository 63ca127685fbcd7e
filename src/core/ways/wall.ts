import * as v from 'valibot';
import { WALLS } from '../mould/walls.ts';
import { SPREADS, way } from './way.ts';

/** Down one wall. */
export const WALL = way(v.strictObject({ at: v.literal('wall'), wall: v.picklist(WALLS) }), {
  know: {
    name: 'Wall pour',
    says: 'every colour down one wall',
    needs: 'Light. Poured against the wall, so that it runs down it and lands low.',
    fails: 'Poured away from the wall it makes a line of its own.',
  },
  first: { at: 'wall', wall: 'left' },
  landing: { how: 'low', fallMm: 10 },
  rounds: 2,
  window: SPREADS,
  sources: ({ wall }) => [
    {
      kind: 'line',
      axis: wall === 'left' || wall === 'right' ? 0 : 1,
      at: wall === 'left' || wall === 'near' ? -Infinity : Infinity,
    },
  ],
  text: ({ wall }) => `down the ${wall} ${wall === 'left' || wall === 'right' ? 'wall' : 'end'}`,
});
