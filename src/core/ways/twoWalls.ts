import * as v from 'valibot';
import { percent } from '../validate/fields.ts';
import { SPREADS, way } from './way.ts';

const schema = v.strictObject({
  at: v.literal('two-walls'),
  walls: v.picklist(['long', 'ends']),
  firstPercent: percent(5, 95),
});

/** Down both long walls, or both ends, at once; so much of it down the left one, or the near one. */
export const TWO_WALLS = way(schema, {
  know: {
    name: 'Down both walls',
    says: 'two jugs at once, which draws what lies between them in to a drop',
    needs:
      'Two jugs with the same grams and two steady hands, slowly; lines that float along the middle before it.',
    fails: 'One side gets more, and the drop leans to the other.',
  },
  first: { at: 'two-walls', walls: 'long', firstPercent: 50 },
  landing: { how: 'low', fallMm: 10 },
  rounds: 1,
  onePot: true,
  window: SPREADS,
  firstJugPercent: ({ firstPercent }) => firstPercent,
  sources: ({ walls, firstPercent }) => [
    { kind: 'walls', axis: walls === 'long' ? 0 : 1, low: firstPercent / 100 },
  ],
  text: ({ walls, firstPercent }) => {
    const part = firstPercent === 50 ? '' : `, ${firstPercent} % of it`;
    const where = part === '' ? '' : walls === 'long' ? ' on the left' : ' at the near end';
    return `down both ${walls === 'long' ? 'long walls' : 'ends'} at once${part}${where}`;
  },
});
