import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { risingCurve } from '../../../../core/colour/spacing.ts';

type Heights = readonly [number, number, number];

interface CurveEditorProps {
  readonly heights: Heights;
  readonly onBend: (heights: [number, number, number], gesture: string) => void;
}

const WIDE = 560;
const HIGH = 150;
const EDGE = 14;
const PLACES = ['a quarter', 'half', 'three quarters'] as const;

const x = (u: number): number => EDGE + u * (WIDE - 2 * EDGE);
const y = (seen: number): number => HIGH - EDGE - seen * (HIGH - 2 * EDGE);

/** Bend how the steps bunch: steep where neighbours should differ most. Drag a knot, or use the arrow keys. */
export function CurveEditor({ heights, onBend }: CurveEditorProps) {
  const gesture = useRef<string | null>(null);
  const curve = risingCurve([heights[0], heights[1], heights[2]]);
  const path = Array.from({ length: 57 }, (_, i) => `${x(i / 56)},${y(curve(i / 56))}`).join('L');

  const put = (i: number, wanted: number, by: string): void => {
    const low = heights[i - 1] ?? 0;
    const high = heights[i + 1] ?? 1;
    const next: [number, number, number] = [...heights];
    next[i] = Number(Math.min(high, Math.max(low, wanted)).toFixed(3));
    onBend(next, by);
  };
  const drag = (i: number) => (event: PointerEvent<SVGGElement>) => {
    if (gesture.current === null) return;
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!box) return;
    const at = ((event.clientY - box.top) / box.height) * HIGH;
    put(i, (HIGH - EDGE - at) / (HIGH - 2 * EDGE), gesture.current);
  };
  const key = (i: number) => (event: KeyboardEvent) => {
    const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    put(i, (heights[i] ?? 0) + by * (event.shiftKey ? 0.1 : 0.01), `curve-${event.timeStamp}`);
  };
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full rounded-box border border-base-300"
      role="group"
      aria-label="The curve"
    >
      <path d={`M${x(0)},${y(0)}L${x(1)},${y(1)}`} stroke="var(--color-base-300)" strokeDasharray="4 4" />
      <path d={`M${path}`} fill="none" stroke="var(--color-base-content)" strokeWidth="2" />
      {heights.map((height, i) => (
        <g
          key={PLACES[i]}
          role="slider"
          tabIndex={0}
          aria-label={`Seen way at ${PLACES[i] ?? ''} of the layers`}
          aria-orientation="vertical"
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(height * 100)}
          aria-valuetext={`${Math.round(height * 100)} %`}
          className="group cursor-ns-resize touch-none outline-none"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            gesture.current = `curve-${event.timeStamp}`;
          }}
          onPointerMove={drag(i)}
          onPointerUp={() => (gesture.current = null)}
          onPointerCancel={() => (gesture.current = null)}
          onKeyDown={key(i)}
        >
          <circle cx={x((i + 1) / 4)} cy={y(height)} r="20" fill="transparent" />
          <circle
            cx={x((i + 1) / 4)}
            cy={y(height)}
            r="8"
            fill="#ffffff"
            stroke="var(--color-accent)"
            strokeWidth="3"
            className="group-focus-visible:stroke-[5]"
          />
        </g>
      ))}
    </svg>
  );
}
