import type { Frame } from './frame.ts';

interface BenchProps {
  readonly frame: Frame;
  /** half of what the mould stands on, its walls included, mm: its foot, not its rim */
  readonly half: number;
  readonly wall: number;
  /** what holds it up, in words: "prop 15 mm" */
  readonly prop: string | undefined;
}

/** Width of the drawn prop, px. */
const BLOCK = 26;

/** The bench under a tilted mould, and the prop that holds its edge up, with its height. */
export function Bench({ frame, half, wall, prop }: BenchProps) {
  const feet = [frame.turned({ h: -half, z: -wall }), frame.turned({ h: half, z: -wall })] as const;
  const bench = Math.max(feet[0].y, feet[1].y);
  const raised = feet[0].y < feet[1].y ? feet[0] : feet[1];
  const inward = raised === feet[0] ? 1 : -1;
  const slope = (feet[1].y - feet[0].y) / (feet[1].x - feet[0].x);
  const spread = Math.abs(feet[1].x - feet[0].x) * 0.6;
  return (
    <g>
      <path
        d={`M${frame.centre.x - spread},${bench + 1}h${spread * 2}`}
        stroke="var(--color-secondary)"
        strokeWidth="2"
      />
      {prop !== undefined && bench - raised.y > 3 && (
        <>
          <path
            d={`M${raised.x},${raised.y}V${bench}h${inward * BLOCK}V${raised.y + inward * BLOCK * slope}Z`}
            fill="var(--color-secondary)"
            opacity="0.35"
            stroke="var(--color-secondary)"
          />
          <text
            x={raised.x}
            y={bench + 18}
            textAnchor={inward > 0 ? 'start' : 'end'}
            fontSize="14"
            fontWeight="700"
            fill="var(--color-base-content)"
          >
            {prop}
          </text>
        </>
      )}
    </g>
  );
}
