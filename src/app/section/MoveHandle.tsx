import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { dragging, type Gesture } from '../../store/gesture.ts';

/** What one arrow press moves, mm. */
const NUDGE = 1;

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-NUDGE, 0],
  ArrowRight: [NUDGE, 0],
  ArrowUp: [0, NUDGE],
  ArrowDown: [0, 0 - NUDGE],
};

const whole = (mm: number): number => Math.round(mm * 2) / 2;

interface MoveHandleProps {
  /** px a mm */
  readonly scale: number;
  readonly at: readonly [number, number];
  readonly label: string;
  readonly chosen?: boolean;
  readonly onChoose?: () => void;
  readonly onRemove?: () => void;
  readonly onMove: (x: number, y: number, gesture: Gesture | undefined) => void;
  /** what an arrow key does in the place of moving it: so many steps right, and up */
  readonly onArrow?: (right: number, up: number) => void;
  readonly children: React.ReactNode;
}

/**
 * Something that stands at a place in mm, up being up, and is dragged, or moved with the arrow keys; Delete
 * takes it out where it can be.
 */
export function MoveHandle({
  at,
  scale,
  label,
  chosen,
  onChoose,
  onRemove,
  onMove,
  onArrow,
  children,
}: MoveHandleProps) {
  const drag = useRef<{ gesture: Gesture; x: number; y: number; from: readonly [number, number] } | null>(
    null,
  );
  const down = (event: PointerEvent): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    onChoose?.();
    drag.current = { gesture: dragging(), x: event.clientX, y: event.clientY, from: at };
  };
  const move = (event: PointerEvent): void => {
    const start = drag.current;
    if (!start) return;
    const x = start.from[0] + (event.clientX - start.x) / scale;
    const y = start.from[1] - (event.clientY - start.y) / scale;
    onMove(whole(x), whole(y), start.gesture);
  };
  const key = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') {
      drag.current?.gesture.takeBack();
      drag.current = null;
    }
    if (onRemove && (event.key === 'Delete' || event.key === 'Backspace')) {
      event.preventDefault();
      onRemove();
      return;
    }
    const by = ARROWS[event.key];
    if (!by) return;
    event.preventDefault();
    const times = event.shiftKey ? 10 : 1;
    if (onArrow) onArrow(by[0] * times, by[1] * times);
    else onMove(at[0] + by[0] * times, at[1] + by[1] * times, undefined);
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={chosen}
      onFocus={onChoose}
      className="cursor-move touch-none outline-accent focus-visible:outline-2"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => {
        drag.current?.gesture.letGo();
        drag.current = null;
      }}
      onKeyDown={key}
    >
      {children}
    </g>
  );
}
