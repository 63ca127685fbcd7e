import type { Stage } from '../../../core/units/quantity.ts';

const WIDE = 190;
const HIGH = 120;

/**
 * A bowl cut through, with what one sees at a stage: how long a trail stays, whether it wobbles, whether a
 * spoon stands in it.
 */
export function StageDrawing({ stage, words }: { readonly stage: Stage; readonly words: string }) {
  const surface = 62;
  // how high a trail stands on the surface once it has fallen
  const trail = [0, 2, 6, 12, 17, 0][stage] ?? 0;
  const blur = stage === 1;
  return (
    <svg
      width={WIDE}
      height={HIGH}
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      role="img"
      aria-label={words}
      className="shrink-0"
    >
      <path
        d={`M18,${surface - 26}Q20,${HIGH - 8} ${WIDE / 2},${HIGH - 8}T${WIDE - 18},${surface - 26}`}
        fill="none"
        stroke="var(--silicone-line)"
        strokeWidth="4"
      />
      <clipPath id={`bowl-${stage}`}>
        <path
          d={`M20,0V${surface - 24}Q24,${HIGH - 11} ${WIDE / 2},${HIGH - 11}T${WIDE - 20},${surface - 24}V0Z`}
        />
      </clipPath>
      <g clipPath={`url(#bowl-${stage})`}>
        {stage < 5 ? (
          <path
            d={
              stage === 4
                ? `M0,${surface + 4}Q30,${surface - 14} 60,${surface + 2}T120,${surface - 6}T${WIDE},${surface}V${HIGH}H0Z`
                : `M0,${surface}H${WIDE}V${HIGH}H0Z`
            }
            fill="#e9dcc0"
          />
        ) : (
          <path
            d={`M0,${surface}H82L88,${HIGH}H0ZM108,${HIGH}L114,${surface}H${WIDE}V${HIGH}Z`}
            fill="#e9dcc0"
          />
        )}
      </g>
      {/* emulsion: rings where a drop fell, gone at once */}
      {stage === 0 &&
        [10, 20, 30].map((r) => (
          <ellipse
            key={r}
            cx={WIDE / 2}
            cy={surface}
            rx={r}
            ry={r / 7}
            fill="none"
            stroke="#b59a66"
            strokeWidth="1.2"
            opacity={1 - r / 40}
          />
        ))}
      {trail > 0 && stage < 4 && (
        <path
          d={`M52,${surface + 1}Q60,${surface - trail} 70,${surface - trail * 0.9}T92,${surface - trail}T116,${surface - trail * 0.8}T138,${surface + 1}Z`}
          fill={blur ? '#e4d4b0' : '#d9c493'}
          stroke="#b59a66"
          strokeWidth="1.2"
          strokeDasharray={blur ? '3 3' : undefined}
        />
      )}
      {/* the stream it is poured in */}
      {stage < 4 && (
        <path
          d={`M${WIDE / 2 - 2},6Q${WIDE / 2 - 3},30 ${WIDE / 2 - (stage >= 2 ? 6 : 2)},${surface - trail}H${WIDE / 2 + (stage >= 2 ? 6 : 2)}Q${WIDE / 2 + 3},30 ${WIDE / 2 + 2},6Z`}
          fill="#d9c493"
          stroke="#b59a66"
          strokeWidth="0.8"
        />
      )}
      {/* shaken: it wobbles, or it does not */}
      {(stage === 2 || stage === 3) && (
        <path
          d={`M28,${surface + 14}q5,-6 10,0t10,0M${WIDE - 48},${surface + 14}q5,-6 10,0t10,0`}
          fill="none"
          stroke="#b59a66"
          strokeWidth="1.6"
          opacity={stage === 2 ? 1 : 0.35}
        />
      )}
      {stage === 4 && (
        <g transform={`rotate(6 ${WIDE / 2} ${surface})`}>
          <path
            d={`M${WIDE / 2},4V${surface}`}
            stroke="var(--wood-line)"
            strokeWidth="5"
            strokeLinecap="round"
          />
          <ellipse
            cx={WIDE / 2}
            cy={surface + 10}
            rx="9"
            ry="14"
            fill="var(--wood)"
            stroke="var(--wood-line)"
          />
        </g>
      )}
      {stage === 5 && (
        <path
          d={`M98,2V${HIGH - 14}`}
          stroke="var(--color-base-content)"
          strokeWidth="1.6"
          strokeDasharray="6 4"
        />
      )}
    </svg>
  );
}
