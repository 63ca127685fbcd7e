import { peakLyeTemperature } from '../../batter/lyeHeat.ts';
import type { Computed } from '../../computed/compute.ts';
import { ACT } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';
import type { Deed } from '../deeds.ts';
import { linesOf } from '../lines.ts';
import { stirIn } from './stirring.ts';

/** Frozen liquids scorch and foam in hot lye: it goes in over a long while and never gets hot. Common practice, no source. */
const FROZEN_AT_MOST_C = 25;

function dissolving({ plan }: Computed, w: Weights, frozen: boolean): Deed {
  const { waterC, lyeC } = plan.batter.temperatures;
  return frozen
    ? { does: 'dissolve-lye-on-ice', water: w.waterG > 0, belowC: FROZEN_AT_MOST_C }
    : { does: 'dissolve-lye', peakC: peakLyeTemperature(w.lyeG, w.waterG, waterC), coolToC: lyeC };
}

export function lye(computed: Computed, w: Weights): Draft[] {
  const inWater = stirIn(computed, w, 'water');
  const inHot = stirIn(computed, w, 'hot-lye');
  const dissolved = stirIn(computed, w, 'cooled-lye');
  const liquids = w.partLiquids.filter((l) => l.massG > 0);
  const frozen = liquids.filter((l) => l.moment === 'frozen').map((l) => l.name.toLowerCase());
  const mixed = liquids.filter((l) => l.moment === 'water').map((l) => l.name.toLowerCase());
  const undissolved =
    inWater.length + inHot.length + dissolved.length > 0 || frozen.length + mixed.length > 0;
  return [
    {
      id: ACT.water,
      chapter: 'lye',
      deed: { does: 'weigh-water', water: w.waterG > 0, frozen, mixed },
      lines: linesOf(computed, w, ACT.water),
    },
    ...inWater,
    { id: ACT.lye, chapter: 'lye', deed: { does: 'weigh-lye' }, lines: linesOf(computed, w, ACT.lye) },
    { id: 'stir-lye', chapter: 'lye', deed: dissolving(computed, w, frozen.length > 0) },
    ...inHot,
    ...dissolved,
    ...(undissolved
      ? [{ id: 'strain', chapter: 'lye' as const, deed: { does: 'strain-lye' as const } }]
      : []),
  ];
}
