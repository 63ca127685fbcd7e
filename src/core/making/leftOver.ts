import type { Vessel, VesselKey } from '../day/vessel.ts';
import { isOutside } from '../day/vessel.ts';
import type { Act } from '../procedure/act.ts';
import type { Grams } from '../units/quantity.ts';

/** Vessels that batter or what it is made of stays in, and what each holds by the book. */
export function leftOver(
  acts: readonly Act[],
  held: ReadonlyMap<VesselKey, Grams>,
): readonly { readonly vessel: Vessel; readonly massG: Grams }[] {
  const vessels = new Map<VesselKey, Vessel>();
  for (const { lines } of acts)
    for (const { from, to } of lines)
      for (const vessel of [from, to])
        if (vessel.kind !== 'supply' && !isOutside(vessel)) vessels.set(vessel.key, vessel);
  return [...vessels.values()].flatMap((vessel) => {
    const massG = held.get(vessel.key) ?? 0;
    return massG > DUST_G ? [{ vessel, massG }] : [];
  });
}

/** Less is none, g. */
const DUST_G: Grams = 0.05;
