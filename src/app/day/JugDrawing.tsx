interface JugDrawingProps {
  /** how full it is, 0 to 1 */
  readonly full: number;
  readonly colour: string;
  /** it is the one in one's hand */
  readonly chosen?: boolean;
  /** px */
  readonly wide?: number;
}

const HIGH = 1.5;

/** A jug from the side, filled so far. */
export function JugDrawing({ full, colour, chosen = false, wide = 48 }: JugDrawingProps) {
  const level = 58 - 54 * Math.min(1, Math.max(0, full));
  const inset = (y: number): number => 2 + (y - 2) * 0.07;
  return (
    <svg width={wide} height={wide * HIGH} viewBox="0 0 40 60" aria-hidden="true" className="shrink-0">
      <path
        d={`M${inset(level)},${level}H${40 - inset(level)}L${40 - inset(58)},58H${inset(58)}Z`}
        fill={colour}
      />
      <path
        d={`M2,2L${inset(58)},58H${40 - inset(58)}L38,2`}
        fill="none"
        stroke="var(--color-base-content)"
        strokeWidth={chosen ? 3 : 1.4}
        opacity={chosen ? 1 : 0.55}
        strokeLinejoin="round"
      />
    </svg>
  );
}
