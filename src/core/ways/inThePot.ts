import * as v from 'valibot';
import { formatShort } from '../units/format.ts';
import { way } from './way.ts';

const spoonOf = (issue: { input: number }): string => `${issue.input} turns is outside 0.5 to 12`;

const schema = v.strictObject({
  at: v.literal('in-the-pot'),
  spoonTurns: v.pipe(v.number(), v.minValue(0.5, spoonOf), v.maxValue(12, spoonOf)),
});

/** More turns of a spoon than this, and nothing is told apart. Common practice, no source. */
const MOST_TURNS = 4;

/** Accents stirred into the first pot's jug with a few turns of a spoon, and poured level out of it. */
export const IN_THE_POT = way(schema, {
  know: {
    name: 'In-the-pot swirl',
    says: 'accents stirred into one jug with a spoon, poured level',
    needs:
      'Light to medium. The main colour in one jug, its accents poured in on different sides; one or two turns of a spoon, then out at once.',
    fails: 'Turned too often it is one colour: above about four turns nothing is told apart.',
  },
  first: { at: 'in-the-pot', spoonTurns: 1.5 },
  landing: { how: 'spatula', fallMm: 8 },
  rounds: 1,
  window: () => ({ least: 0.8, most: 2.2 }),
  inOneJug: ({ spoonTurns }) => ({ kind: 'stirred', turns: spoonTurns }),
  sources: () => [{ kind: 'level' }],
  text: ({ spoonTurns }) =>
    `out of one jug: the first of them in it, the others poured in on different sides, stirred with ${spoonTurns === 1 ? 'one turn' : `${spoonTurns} turns`} of a spoon and poured level at once`,
  faults: (place) =>
    place.spoonTurns <= MOST_TURNS
      ? []
      : [
          {
            code: 'overmixed',
            level: 'warn',
            message: `${formatShort(place.spoonTurns, 1)} turns of the spoon: above about ${MOST_TURNS} the colours are one. The streaks that are drawn will not be told apart.`,
            remedies: [{ label: 'Two turns', place: { ...place, spoonTurns: 2 } }],
          },
        ],
});
