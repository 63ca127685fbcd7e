import type { Pot } from '../../core/plan/planSchema.ts';
import { inkOn } from './ink.ts';

/** A pot's letter on its colour. */
export function PotBadge({ pot, size = 26 }: { readonly pot: Pot; readonly size?: number }) {
  return (
    <span
      className="inline-grid shrink-0 place-items-center rounded-full border border-black/25 font-bold"
      style={{
        width: size,
        height: size,
        background: pot.colour,
        color: inkOn(pot.colour),
        fontSize: size * 0.5,
      }}
    >
      {pot.letter}
    </span>
  );
}
