import { formatMass, formatVolume } from '../units/format.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { warn } from './/warning.ts';

/** Stirring and pouring want some room over the batter. A judgement, no source. */
const ROOM = 0.1;

/** Does each pot fit into its jug, with room to stir? */
export function jugWarnings({ weights, plan }: Facts): Warning[] {
  if (!weights) return [];
  const { length, mass } = plan.units;
  return weights.pots.flatMap((p): Warning[] => {
    const { jug, letter, name, id } = p.pot;
    if (!jug || p.densityGMl === undefined || p.batterG <= 0) return [];
    const volumeMl = p.batterG / p.densityGMl;
    if (volumeMl <= jug.capacityMl * (1 - ROOM)) return [];
    const over = volumeMl > jug.capacityMl;
    return [
      warn(
        { station: 'colour', pot: id },
        over ? 'jug-too-small' : 'jug-full',
        over
          ? `Pot ${letter} (${name}) is ${formatVolume(volumeMl, length)}, and "${jug.name}" holds ${formatVolume(jug.capacityMl, length)}: ${formatMass((volumeMl - jug.capacityMl) * p.densityGMl, mass, 1)} too much.`
          : `Pot ${letter} (${name}) fills "${jug.name}" to ${Math.round((volumeMl / jug.capacityMl) * 100)} %: there is no room to stir.`,
      ),
    ];
  });
}
