import { memo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { dragging, Gesture } from '../../store/gesture.ts';

interface LineProps {
  /** which layer it is the surface of; told with everything that is done to it */
  readonly index: number;
  readonly label: string;
  readonly valueText: string;
  readonly value: number;
  readonly max: number;
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly chosen: boolean;
  /** drawn so that what lies under it is seen, unless it is chosen */
  readonly faint: boolean;
  readonly onStart: (index: number) => void;
  /** pointer at this place in the drawing, px */
  readonly onDrag: (index: number, px: number, py: number, gesture: Gesture) => void;
  /** arrow keys: +1 up, -1 down, times ten with Shift */
  readonly onNudge: (index: number, by: number, gesture: Gesture) => void;
}

/** Rises and falls at the walls: batter creeps up them a little. */
const fluid = (x0: number, y0: number, x1: number, y1: number): string =>
  `M${x0},${y0 - 2} Q${x0 + 5},${y0 + 0.5} ${x0 + 16},${y0 + ((y1 - y0) * 16) / Math.max(1, x1 - x0)} L${x1 - 16},${y1 - ((y1 - y0) * 16) / Math.max(1, x1 - x0)} Q${x1 - 5},${y1 + 0.5} ${x1},${y1 - 2}`;

/**
 * The surface of a pour: drag it, or move it with the arrow keys. One that a drag does not move is not drawn
 * again.
 */
export const Line = memo(function Line(props: LineProps) {
  const { index, label, value, max, valueText, x0, x1, y0, y1, chosen, faint, onStart, onDrag, onNudge } =
    props;
  const gesture = useRef<Gesture | null>(null);
  const nudges = useRef<Gesture | null>(null);

  const down = (event: PointerEvent<SVGGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    gesture.current = dragging();
    onStart(index);
  };
  const move = (event: PointerEvent<SVGGElement>): void => {
    if (gesture.current === null) return;
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    onDrag(index, event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0), gesture.current);
  };
  const up = (): void => {
    gesture.current?.letGo();
    gesture.current = null;
  };
  const cancel = (): void => {
    gesture.current?.takeBack();
    gesture.current = null;
  };
  const key = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') cancel();
    const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    nudges.current ??= new Gesture('on-itself');
    onNudge(index, event.shiftKey ? by * 10 : by, nudges.current);
  };

  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation="vertical"
      aria-valuenow={Number(value.toFixed(1))}
      aria-valuemin={0}
      aria-valuemax={Number(max.toFixed(1))}
      aria-valuetext={valueText}
      className="group cursor-ns-resize touch-none outline-none"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={cancel}
      onKeyDown={key}
      onFocus={() => onStart(index)}
      onBlur={() => {
        nudges.current = null;
      }}
    >
      <path d={`M${x0},${y0}L${x1},${y1}`} stroke="transparent" strokeWidth="18" />
      <path
        d={fluid(x0, y0, x1, y1)}
        fill="none"
        stroke="#1c2727"
        strokeWidth={chosen ? 2.4 : 1}
        className={`group-focus-visible:stroke-accent group-focus-visible:stroke-[4] ${faint && !chosen ? 'opacity-20 group-hover:opacity-100 group-focus-visible:opacity-100' : ''}`}
      />
      {[
        [x0, y0],
        [x1, y1],
      ].map(([x, y]) => (
        <circle
          key={x}
          cx={x}
          cy={y}
          r={chosen ? 7.5 : 5}
          fill="#ffffff"
          stroke="#a94f2b"
          strokeWidth="2.6"
          className={chosen ? '' : 'opacity-0 group-hover:opacity-100 group-focus-visible:opacity-100'}
        />
      ))}
    </g>
  );
});
