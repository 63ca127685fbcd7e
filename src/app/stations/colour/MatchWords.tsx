import type { ColourMatch } from '../../../core/look/matchColour.ts';
import { SHOWS, stepWord } from '../../../core/colour/thresholds.ts';
import { formatShort } from '../../../core/units/format.ts';

interface MatchWordsProps {
  /** "#rrggbb" */
  readonly wanted: string;
  readonly match: Pick<ColourMatch, 'hex' | 'mix' | 'colorants' | 'difference'>;
}

/** The colour wanted beside the one that is had, out of what, and how far they are apart. */
export const MatchWords = ({ wanted, match }: MatchWordsProps) => (
  <>
    <span className="flex h-8 w-20 shrink-0 overflow-hidden rounded-field" aria-hidden="true">
      <span className="flex-1" style={{ background: wanted }} />
      <span className="flex-1" style={{ background: match.hex }} />
    </span>
    <span className="min-w-40 flex-1 leading-snug">
      {match.mix.length === 0
        ? 'plain soap'
        : match.mix
            .map(
              (m) =>
                `${formatShort(m.doseGPerKg, 2)} g/kg ${match.colorants.find((c) => c.id === m.colorant)?.name ?? ''}`,
            )
            .join(' and ')}
      <span className={match.difference > SHOWS ? 'text-error' : 'quiet'}>
        {' · '}
        {match.difference > SHOWS ? 'it shows: ' : ''}
        {stepWord(match.difference)}, {formatShort(match.difference, 1)} away
      </span>
    </span>
  </>
);
