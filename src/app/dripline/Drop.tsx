import type { StepId } from '../../core/validate/ids.ts';
import type { Pot } from '../../core/plan/planSchema.ts';
import { selectColours } from '../../store/computed.ts';
import { useAppSelector } from '../../store/store.ts';
import { inkOn, NO_COLOUR } from '../parts/ink.ts';

interface DropProps {
  readonly pot: Pot;
  readonly pour: StepId;
  readonly chosen: boolean;
}

/** A hanging drop in a pot's colour with its letter. */
export function Drop({ pot, pour, chosen }: DropProps) {
  const colour = useAppSelector((state) => selectColours(state)?.pours.get(pour) ?? NO_COLOUR);
  return (
    <svg viewBox="0 0 38 66" className="h-16.5 max-sm:h-12 short:h-7.5" aria-hidden="true">
      <path
        d="M19 0C19.6 22 34.5 30 34.5 45.5a15.5 15.5 0 0 1-31 0C3.5 30 18.4 22 19 0Z"
        fill={colour}
        stroke={chosen ? 'var(--color-base-content)' : '#00000066'}
        strokeWidth={chosen ? 3 : 1}
      />
      <text
        x="19"
        y="52"
        textAnchor="middle"
        fontWeight="700"
        fontSize={pot.letter.length > 1 ? 13 : 16}
        fill={inkOn(colour)}
      >
        {pot.letter}
      </text>
    </svg>
  );
}
