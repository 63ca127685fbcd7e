import type { Signs } from '../../core/making/words.ts';

interface SignDrawingProps {
  readonly when: 'early' | 'now' | 'late';
  readonly of: Signs['of'];
  /** of what is poured, and of what it falls on */
  readonly colour: string;
  readonly on: string;
}

const WIDE = 120;
const HIGH = 56;

/** What one looks for: a line that vanishes with a halo, a line that stays, dots in place of a line. */
export function SignDrawing({ when, of, colour, on }: SignDrawingProps) {
  const ground = of === 'in-jug' ? colour : on;
  const drawn = of === 'mould' ? '#1c2727' : colour;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      aria-hidden="true"
      className="block w-full max-w-36 rounded-field border border-base-300"
    >
      <rect width={WIDE} height={HIGH} fill={ground} />
      {when === 'early' && (
        <>
          {[22, 15, 8].map((r, i) => (
            <ellipse
              key={r}
              cx={WIDE / 2}
              cy={HIGH / 2}
              rx={r * 2.2}
              ry={r * 0.9}
              fill={of === 'on-layer' ? drawn : 'none'}
              fillOpacity="0.22"
              stroke={of === 'on-layer' ? 'none' : '#1c2727'}
              strokeOpacity={0.25 + i * 0.1}
            />
          ))}
          <path
            d={`M8,${HIGH / 2}H40`}
            stroke={of === 'on-layer' ? drawn : '#1c2727'}
            strokeOpacity="0.35"
            strokeWidth="5"
            strokeDasharray="9 9"
          />
        </>
      )}
      {when === 'now' && (
        <path
          d={`M8,${HIGH / 2 + 4}Q30,${HIGH / 2 - 12} 54,${HIGH / 2 + 2}T112,${HIGH / 2}`}
          fill="none"
          stroke={of === 'in-jug' ? '#1c2727' : drawn}
          strokeOpacity={of === 'in-jug' || of === 'mould' ? 0.55 : 1}
          strokeWidth="7"
          strokeLinecap="round"
        />
      )}
      {when === 'late' &&
        [14, 33, 48, 70, 86, 106].map((x, i) => (
          <ellipse
            key={x}
            cx={x}
            cy={HIGH / 2 + (i % 2 === 0 ? -5 : 6)}
            rx={i % 3 === 0 ? 8 : 6}
            ry={i % 3 === 0 ? 7 : 5}
            fill={of === 'in-jug' ? '#1c2727' : drawn}
            fillOpacity={of === 'on-layer' ? 1 : 0.5}
          />
        ))}
    </svg>
  );
}
