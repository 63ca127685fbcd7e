import { long, wide } from '../../core/flow/box.ts';
import type { Spot } from '../../core/flow/spec.ts';
import type { FromAbove } from '../../core/ways/fromAbove.ts';

/** So large at most on the sheet, px. */
const SIZE = { wide: 120, high: 150 } as const;
const MARGIN = 6;

/** More starts than this are not numbered: they would cover one another. */
const MOST_NUMBERED = 8;

interface FromAboveProps {
  readonly above: FromAbove;
  /** so large at most, px */
  readonly size?: { readonly wide: number; readonly high: number };
}

/**
 * The mould from above, near end below: ways of a stick, lines and places that are poured into, the first
 * marked where it begins.
 */
export function FromAboveDrawing({ above, size = SIZE }: FromAboveProps) {
  const { floor, paths, spots } = above;
  const scale = Math.min(size.wide / wide(floor), size.high / long(floor));
  const [width, height] = [wide(floor) * scale, long(floor) * scale];
  const at = ([x, y]: Spot): string =>
    `${((x - floor.x0) * scale).toFixed(1)} ${((floor.y1 - y) * scale).toFixed(1)}`;
  const starts = paths.flatMap((p): readonly Spot[] => (p[0] ? [p[0]] : []));
  const numbered = starts.length <= MOST_NUMBERED ? starts : starts.slice(0, 1);
  return (
    <svg
      role="img"
      aria-label={
        spots.length > 0
          ? `The mould from above: ${spots.length} places, numbered`
          : `The mould from above: ${paths.length} ${paths.length === 1 ? 'way' : 'ways'}, the first marked where it begins`
      }
      width={width + 2 * MARGIN}
      height={height + 2 * MARGIN}
      viewBox={`${-MARGIN} ${-MARGIN} ${width + 2 * MARGIN} ${height + 2 * MARGIN}`}
      className="text-base-content print:text-black"
    >
      <rect width={width} height={height} rx="2" fill="none" stroke="currentColor" strokeWidth="1.4" />
      {paths.map((path, i) => (
        <path
          key={i}
          d={`M${path.map(at).join('L')}`}
          fill="none"
          stroke="currentColor"
          strokeWidth="1.1"
          opacity="0.75"
        />
      ))}
      {paths.map((path, i) => (
        <Arrow key={i} from={path.at(-2)} to={path.at(-1)} at={at} />
      ))}
      {(spots.length > 0 ? spots : numbered).map((spot, i) => {
        const [x, y] = at(spot).split(' ').map(Number);
        return (
          <g key={i}>
            <circle cx={x} cy={y} r="6.5" fill="var(--color-base-100)" stroke="currentColor" />
            <text
              x={x}
              y={(y ?? 0) + 3.2}
              fontSize="9"
              fontWeight="700"
              textAnchor="middle"
              fill="currentColor"
            >
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** The end of a way, told by an arrow. */
function Arrow({
  from,
  to,
  at,
}: {
  readonly from: Spot | undefined;
  readonly to: Spot | undefined;
  readonly at: (spot: Spot) => string;
}) {
  if (!from || !to) return null;
  const turned = (Math.atan2(from[1] - to[1], to[0] - from[0]) * 180) / Math.PI;
  return (
    <path
      d="M0 0L-5 -2.6L-5 2.6Z"
      fill="currentColor"
      transform={`translate(${at(to)}) rotate(${turned.toFixed(0)})`}
    />
  );
}
