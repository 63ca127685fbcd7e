import { memo } from 'react';
import type { Pot } from '../../core/plan/planSchema.ts';
import { inkOn, NO_COLOUR } from './ink.ts';
import { usePlan } from './usePlan.ts';

interface PotBadgeProps {
  readonly pot: Pot;
  readonly size?: number;
  /** the pour it stands for: its pot may change colour from pour to pour */
  readonly pour?: string;
}

interface BadgeProps {
  readonly letter: string;
  readonly colour: string;
  readonly size: number;
}

const Badge = memo(function Badge({ letter, colour, size }: BadgeProps) {
  return (
    <span
      className="inline-grid shrink-0 place-items-center rounded-full border border-black/25 font-bold"
      style={{
        width: size,
        height: size,
        background: colour,
        color: inkOn(colour),
        fontSize: size * 0.5,
      }}
    >
      {letter}
    </span>
  );
});

/** A pot's letter on its colour. */
export function PotBadge({ pot, size = 26, pour }: PotBadgeProps) {
  const { colours } = usePlan();
  const colour =
    (pour === undefined ? undefined : colours.pours.get(pour)) ?? colours.pots.get(pot.id) ?? NO_COLOUR;
  return <Badge letter={pot.letter} colour={colour} size={size} />;
}
