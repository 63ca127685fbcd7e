import { isCorner, type PutUnder } from '../../core/mould/propped.ts';
import { USUAL_FROM_CORNER_MM } from '../../core/mould/cornerProp.ts';
import { formatLength } from '../../core/units/format.ts';

interface PropsFromAboveProps {
  readonly props: readonly PutUnder[];
  /** what the mould stands on, mm */
  readonly foot: { readonly widthMm: number; readonly lengthMm: number };
  /** a point of the mould's frame on screen, px */
  readonly at: (x: number, y: number) => { readonly x: number; readonly y: number };
}

/** How far a rod or a block shows beyond the mould, mm. */
export const BEYOND_MM = 14;

/** Ends of what stands under one place, mm from the middle of the floor. */
function endsOf(
  { under, fromCornerMm }: PutUnder,
  { widthMm, lengthMm }: PropsFromAboveProps['foot'],
): readonly [readonly [number, number], readonly [number, number]] {
  const [w, l] = [widthMm / 2, lengthMm / 2];
  if (isCorner(under)) {
    const x = under.startsWith('right') ? 1 : -1;
    const y = under.endsWith('far') ? 1 : -1;
    const from = fromCornerMm ?? USUAL_FROM_CORNER_MM;
    const slip = BEYOND_MM / Math.SQRT2;
    return [
      [x * (w - from - slip), y * (l + slip)],
      [x * (w + slip), y * (l - from - slip)],
    ];
  }
  switch (under) {
    case 'right-edge':
    case 'left-edge': {
      const x = (under === 'right-edge' ? 1 : -1) * w;
      return [
        [x, -l * 0.6],
        [x, l * 0.6],
      ];
    }
    case 'far-end':
    case 'near-end': {
      const y = (under === 'far-end' ? 1 : -1) * l;
      return [
        [-w * 0.7, y],
        [w * 0.7, y],
      ];
    }
  }
}

/**
 * The props as they stand, from above: a bar under the edge or end, a rod across the corner, each with its
 * height.
 */
export function PropsFromAbove({ props, foot, at }: PropsFromAboveProps) {
  return (
    <g aria-label="What the mould is propped on" role="group">
      <path
        d={`M${[
          [-1, -1],
          [1, -1],
          [1, 1],
          [-1, 1],
        ]
          .map(([x = 0, y = 0]) => {
            const corner = at((x * foot.widthMm) / 2, (y * foot.lengthMm) / 2);
            return `${corner.x},${corner.y}`;
          })
          .join('L')}Z`}
        fill="none"
        stroke="var(--color-secondary)"
        strokeDasharray="5 4"
      />
      {props.map((p, i) => {
        const [a, b] = endsOf(p, foot).map(([x, y]) => at(x, y)) as [
          { x: number; y: number },
          { x: number; y: number },
        ];
        const right = a.x > b.x ? a : b;
        return (
          <g key={i}>
            <line
              x1={a.x}
              y1={a.y}
              x2={b.x}
              y2={b.y}
              stroke="var(--color-secondary)"
              strokeWidth="9"
              strokeLinecap="round"
              opacity="0.85"
            />
            <text
              x={right.x + 10}
              y={right.y + 5}
              textAnchor="start"
              fontSize="14"
              fontWeight="700"
              fill="var(--color-base-content)"
              stroke="var(--color-base-200)"
              strokeWidth="4"
              paintOrder="stroke"
            >
              {p.name === undefined ? '' : `${p.name} `}
              {formatLength(p.heightMm, 'mm')}
            </text>
          </g>
        );
      })}
    </g>
  );
}
