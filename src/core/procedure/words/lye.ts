import { WHOLE_STIRS } from '../../batter/moments.ts';
import { blendedTo, type WordsFor } from './says.ts';

const INTO_WATER = 'Lye into water, never water into lye. It fumes: stand back and do not breathe over it.';

export const lyeWords: WordsFor<
  'weigh-water' | 'weigh-lye' | 'dissolve-lye' | 'dissolve-lye-on-ice' | 'strain-lye' | 'stir-in'
> = {
  'weigh-water': ({ water, frozen, mixed }) => ({
    text:
      frozen.length > 0
        ? `Weigh ${water ? 'the water and ' : ''}the frozen ${frozen.join(' and ')}, broken small, into a heat-safe jug with room to spare.`
        : `Weigh the water${mixed.length > 0 ? ` and the ${mixed.join(' and ')}` : ''} into a heat-safe jug with room to spare.`,
    ...(mixed.length > 0
      ? {
          caution: `Hot lye scorches ${mixed.join(' and ')}: have it ice cold, and stop and stir when it heats.`,
        }
      : {}),
  }),
  'weigh-lye': () => ({ text: 'Weigh the sodium hydroxide into a dry, labelled cup.' }),
  'dissolve-lye': ({ peakC, coolToC }, { temperature }) => ({
    text: `Stir the lye into the water, a little at a time. It heats to about ${temperature(peakC)} (estimate). Let it cool to ${temperature(coolToC)}.`,
    caution: INTO_WATER,
  }),
  'dissolve-lye-on-ice': ({ water, belowC }, { temperature }) => ({
    text: `Stand the jug in a bowl of ice. Sprinkle in the lye a spoonful at a time and stir until each is gone before the next; take a quarter of an hour or more, and keep it below ${temperature(belowC)}.`,
    caution: `${water ? INTO_WATER : 'Lye into the frozen liquid, never the liquid onto lye.'} Too fast and it heats, foams over and smells of ammonia: stop, stir and wait. Milk turns yellow; orange means too hot.`,
  }),
  'strain-lye': () => ({
    text: 'Strain the lye solution, through steel or plastic, into a second heat-safe jug: what has not dissolved must not reach the oils.',
    caution: 'Never an aluminium sieve. What stays in it is caustic: rinse it at once with plenty of water.',
  }),
  'stir-in': ({ into, blendTo }) => {
    const { text, caution } = WHOLE_STIRS[into];
    if (blendTo !== undefined) return { text: `${text}, then blend on ${blendedTo(blendTo)}.` };
    return caution === undefined ? { text } : { text, caution };
  },
};
