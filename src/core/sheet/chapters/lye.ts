import { peakLyeTemperature } from '../../batter/lyeHeat.ts';
import { formatTemperature } from '../../units/format.ts';
import { ACT } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Computed } from '../compute.ts';
import { linesOf } from '../lines.ts';
import type { Draft } from './draft.ts';

/** Frozen liquids scorch and foam in hot lye: it goes in over a long while and never gets hot. Common practice, no source. */
const FROZEN_AT_MOST_C = 25;

function stirring({ plan }: Computed, w: Weights): Draft {
  const { temperatures } = plan.batter;
  const at = (celsius: number): string => formatTemperature(celsius, plan.units.temperature);
  const frozen = w.partLiquids.filter((l) => l.moment === 'frozen' && l.massG > 0);
  const intoWater = 'Lye into water, never water into lye. It fumes: stand back and do not breathe over it.';
  if (frozen.length > 0)
    return {
      id: 'stir-lye',
      chapter: 'lye',
      text: `Stand the jug in a bowl of ice. Sprinkle in the lye a spoonful at a time and stir until each is gone before the next; take a quarter of an hour or more, and keep it below ${at(FROZEN_AT_MOST_C)}.`,
      caution: `${w.waterG > 0 ? intoWater : 'Lye into the frozen liquid, never the liquid onto lye.'} Too fast and it heats, foams over and smells of ammonia: stop, stir and wait. Milk turns yellow; orange means too hot.`,
    };
  return {
    id: 'stir-lye',
    chapter: 'lye',
    text: `Stir the lye into the water, a little at a time. It heats to about ${at(peakLyeTemperature(w.lyeG, w.waterG, temperatures.waterC))} (estimate). Let it cool to ${at(temperatures.lyeC)}.`,
    caution: intoWater,
  };
}

export function lye(computed: Computed, w: Weights): Draft[] {
  const inWater = linesOf(computed, w, ACT.inWater);
  const inHot = linesOf(computed, w, ACT.inHotLye);
  const dissolved = linesOf(computed, w, ACT.dissolve);
  const liquids = w.partLiquids.filter((l) => l.massG > 0);
  const frozen = liquids.filter((l) => l.moment === 'frozen').map((l) => l.name.toLowerCase());
  const mixed = liquids.filter((l) => l.moment === 'water').map((l) => l.name.toLowerCase());
  const undissolved =
    inWater.length + inHot.length + dissolved.length > 0 || frozen.length + mixed.length > 0;
  return [
    {
      id: ACT.water,
      chapter: 'lye',
      text:
        frozen.length > 0
          ? `Weigh ${w.waterG > 0 ? 'the water and ' : ''}the frozen ${frozen.join(' and ')}, broken small, into a heat-safe jug with room to spare.`
          : `Weigh the water${mixed.length > 0 ? ` and the ${mixed.join(' and ')}` : ''} into a heat-safe jug with room to spare.`,
      lines: linesOf(computed, w, ACT.water),
      ...(mixed.length > 0
        ? {
            caution: `Hot lye scorches ${mixed.join(' and ')}: have it ice cold, and stop and stir when it heats.`,
          }
        : {}),
    },
    ...(inWater.length > 0
      ? [
          {
            id: ACT.inWater,
            chapter: 'lye' as const,
            text: 'Stir into the water until nothing is left to see: crystals in a lye jug are taken for lye.',
            lines: inWater,
          },
        ]
      : []),
    {
      id: ACT.lye,
      chapter: 'lye',
      text: 'Weigh the sodium hydroxide into a dry, labelled cup.',
      lines: linesOf(computed, w, ACT.lye),
    },
    stirring(computed, w),
    ...(inHot.length > 0
      ? [
          {
            id: ACT.inHotLye,
            chapter: 'lye' as const,
            text: 'Stir into the lye while it is hot and fresh, until it has dissolved.',
            lines: inHot,
            caution: 'Hot lye burns at once: goggles and gloves, and stir slowly.',
          },
        ]
      : []),
    ...(dissolved.length > 0
      ? [
          {
            id: ACT.dissolve,
            chapter: 'lye' as const,
            text: 'Stir into the cooled lye.',
            lines: dissolved,
          },
        ]
      : []),
    ...(undissolved
      ? [
          {
            id: 'strain',
            chapter: 'lye' as const,
            text: 'Strain the lye solution, through steel or plastic, into a second heat-safe jug: what has not dissolved must not reach the oils.',
            caution:
              'Never an aluminium sieve. What stays in it is caustic: rinse it at once with plenty of water.',
          },
        ]
      : []),
  ];
}
