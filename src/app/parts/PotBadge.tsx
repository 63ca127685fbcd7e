import type { StepId } from '../../core/validate/ids.ts';
import type { Pot } from '../../core/plan/planSchema.ts';
import { selectColours } from '../../store/computed.ts';
import { useAppSelector } from '../../store/store.ts';
import { inkOn, NO_COLOUR } from './ink.ts';

interface PotBadgeProps {
  readonly pot: Pot;
  /** px, or in the size of the type round it */
  readonly size?: number | '1.35em';
  /** the pour it stands for: its pot may change colour from pour to pour */
  readonly pour?: StepId;
}

/** A pot's letter on its colour. Drawn again only when that changes. */
export function PotBadge({ pot, size = 26, pour }: PotBadgeProps) {
  const colour = useAppSelector((state) => {
    const colours = selectColours(state);
    return (
      (pour === undefined ? undefined : colours?.pours.get(pour)) ?? colours?.pots.get(pot.id) ?? NO_COLOUR
    );
  });
  return (
    <span
      className="inline-grid shrink-0 place-items-center rounded-full border border-black/25 font-bold"
      style={{
        width: size,
        height: size,
        background: colour,
        color: inkOn(colour),
        fontSize: typeof size === 'number' ? size * 0.5 : '0.7em',
      }}
    >
      {pot.letter}
    </span>
  );
}
