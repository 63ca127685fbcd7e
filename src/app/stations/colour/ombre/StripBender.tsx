import { useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { hexOfBody } from '../../../../core/colour/body.ts';
import type { Ramp } from '../../../../core/colour/ramp.ts';
import { risingCurve } from '../../../../core/colour/spacing.ts';
import { Gesture } from '../../../../store/gesture.ts';

type Heights = readonly [number, number, number];

interface StripBenderProps {
  readonly ramp: Ramp;
  readonly layers: number;
  readonly heights: Heights;
  readonly onBend: (heights: [number, number, number], gesture: Gesture) => void;
}

const WIDE = 560;
const HIGH = 64;
const EDGE = 14;
const BAR = { top: 4, high: 26 } as const;
/** The whole way from one colour to the other is drawn in so many slices. */
const SLICES = 64;
const PLACES = ['a quarter', 'half', 'three quarters'] as const;
const MARKS = ['¼', '½', '¾'] as const;

const x = (seen: number): number => EDGE + seen * (WIDE - 2 * EDGE);

/**
 * The whole way from the first colour to the last as the eye sees it, with a tick where each layer falls.
 * Pull the layer a quarter, half or three quarters up the ombre along it: the others bunch and stretch
 * between. Drag a mark, or use the arrows.
 */
export function StripBender({ ramp, layers, heights, onBend }: StripBenderProps) {
  const gesture = useRef<Gesture | null>(null);
  const slices = useMemo(
    () => Array.from({ length: SLICES }, (_, i) => hexOfBody(ramp.bodyAt(ramp.at((i + 0.5) / SLICES)))),
    [ramp],
  );
  const curve = risingCurve([heights[0], heights[1], heights[2]]);
  const put = (i: number, wanted: number, by: Gesture): void => {
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
    const at = ((event.clientX - box.left) / box.width) * WIDE;
    put(i, (at - EDGE) / (WIDE - 2 * EDGE), gesture.current);
  };
  const cancel = (): void => {
    gesture.current?.takeBack();
    gesture.current = null;
  };
  const key = (i: number) => (event: KeyboardEvent) => {
    if (event.key === 'Escape') cancel();
    const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    put(i, (heights[i] ?? 0) + by * (event.shiftKey ? 0.1 : 0.01), new Gesture());
  };
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full" role="group" aria-label="Bend the steps">
      {slices.map((hex, i) => (
        <rect
          key={i}
          x={x(i / SLICES)}
          y={BAR.top}
          width={(WIDE - 2 * EDGE) / SLICES + 0.6}
          height={BAR.high}
          fill={hex}
        />
      ))}
      {Array.from({ length: layers }, (_, i) => (
        <path
          key={i}
          d={`M${x(curve(i / (layers - 1)))},${BAR.top + BAR.high + 1}v6`}
          stroke="var(--color-secondary)"
          strokeWidth="1.5"
        />
      ))}
      {heights.map((height, i) => (
        <g
          key={PLACES[i]}
          role="slider"
          tabIndex={0}
          aria-label={`The layer ${PLACES[i] ?? ''} up the ombre`}
          aria-orientation="horizontal"
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(height * 100)}
          aria-valuetext={`${Math.round(height * 100)} % of the way seen`}
          className="group cursor-ew-resize touch-none outline-none"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            gesture.current = new Gesture();
          }}
          onPointerMove={drag(i)}
          onPointerUp={() => (gesture.current = null)}
          onPointerCancel={cancel}
          onKeyDown={key(i)}
        >
          <rect x={x(height) - 20} y="0" width="40" height={HIGH} fill="transparent" />
          <path d={`M${x(height)},${BAR.top - 3}V38`} stroke="var(--color-base-content)" strokeWidth="2" />
          <path
            d={`M${x(height)},36 c0.5,6 8,9 8,15 a8,8 0 0 1 -16,0 c0,-6 7.5,-9 8,-15Z`}
            fill="var(--color-base-100)"
            stroke="var(--color-accent)"
            strokeWidth="2"
            className="group-focus-visible:stroke-[4]"
          />
          <text
            x={x(height)}
            y="56"
            textAnchor="middle"
            fontSize="11"
            fontWeight="700"
            fill="var(--color-base-content)"
          >
            {MARKS[i]}
          </text>
        </g>
      ))}
    </svg>
  );
}
