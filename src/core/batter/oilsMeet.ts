import type { Celsius } from '../units/quantity.ts';
import { hardPart } from './hardPart.ts';
import type { UsedOil } from './usedOils.ts';

/**
 * Where melted hard oils and liquid oils from the shelf meet: sum(m c T) / sum(m c), with one heat capacity
 * for all oils, nothing lost to the pot. An estimate: what was melted gives more than this once it sets
 * again.
 */
export function oilsMeet(
  oils: readonly Pick<UsedOil, 'oil' | 'share'>[],
  melted: Celsius,
  liquid: Celsius,
): Celsius {
  const hard = hardPart(oils);
  return hard * melted + (1 - hard) * liquid;
}
