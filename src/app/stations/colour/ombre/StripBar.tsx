import { memo } from 'react';
import { formatShort } from '../../../../core/units/format.ts';
import { stepWord } from '../../../../core/colour/thresholds.ts';
import type { Strip } from '../../../../core/ombre/strip.ts';

/** More layers than this leave no room for a figure at each joint. */
const FIGURES_UP_TO = 11;

/** Shades side by side, with the difference of each pair of neighbours at their joint. */
export const StripBar = memo(function StripBar({
  strip,
  tall,
}: {
  readonly strip: Strip;
  readonly tall?: boolean;
}) {
  const count = strip.colours.length;
  return (
    <div className="@container">
      <div className={`flex overflow-hidden rounded-field ${tall ? 'h-14' : 'h-8'}`}>
        {strip.colours.map((colour, i) => (
          <span key={i} className="flex-1" style={{ background: colour }} title={`${i + 1}: ${colour}`} />
        ))}
      </div>
      {count <= FIGURES_UP_TO && (
        <div
          className={`quiet relative hidden h-4 text-xs ${count > 8 ? '@[24rem]:block' : count > 5 ? '@[16rem]:block' : '@[10rem]:block'}`}
        >
          {strip.differences.map((d, i) => (
            <span
              key={i}
              className="absolute -translate-x-1/2"
              style={{ left: `${((i + 1) / count) * 100}%` }}
            >
              {formatShort(d, 1)}
            </span>
          ))}
        </div>
      )}
    </div>
  );
});

/** "clear, 9.6 to 9.7": how the steps are seen, and the smallest and the largest difference of neighbours. */
export function spread(strip: Strip): string {
  if (strip.differences.length === 0) return '–';
  const words = [...new Set([Math.min(...strip.differences), Math.max(...strip.differences)].map(stepWord))];
  const least = formatShort(Math.min(...strip.differences), 1);
  const most = formatShort(Math.max(...strip.differences), 1);
  return `${words.join(' to ')}, ${least === most ? least : `${least} to ${most}`}`;
}
