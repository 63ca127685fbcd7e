import type { Shade } from '../../ombre/shades.ts';
import type { Bench } from './bench.ts';
import type { Common, WeighedPot } from './types.ts';

/** Pots of layers each with a jug of its own. A pot that two shades are wanted from cannot give both. */
export function ownPots({ shades, pots }: Bench): {
  readonly list: readonly { readonly shade: Shade; readonly pot: WeighedPot }[];
  readonly fault: Common['fault'];
} {
  let fault: Common['fault'];
  const first = new Map<string, Shade>();
  const list = shades.flatMap((shade) => {
    const pot = pots.get(shade.pot);
    if (!pot) return [];
    const before = first.get(shade.pot);
    if (before && Math.abs(before.t - shade.t) > 1e-6)
      fault ??= {
        pourId: shade.pourId,
        message: `pot ${pot.pot.letter} is poured twice and would need two shades`,
      };
    if (before) return [];
    first.set(shade.pot, shade);
    return [{ shade, pot }];
  });
  return { list, fault };
}
