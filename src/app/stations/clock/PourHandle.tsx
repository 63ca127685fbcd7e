import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { keepAt } from '../../../core/edit/clock.ts';
import type { TimedAct } from '../../../core/clock/timetable.ts';
import { formatClock } from '../../../core/units/format.ts';
import { dragging, type Gesture } from '../../../store/gesture.ts';
import { inkOn } from '../../parts/ink.ts';
import { useEdit } from '../../parts/usePlan.ts';

/** What one arrow press moves, minutes. */
const NUDGE = 0.25;

interface PourHandleProps {
  readonly use: TimedAct;
  readonly letter: string;
  readonly name: string;
  readonly colour: string;
  readonly x: number;
  /** px a minute */
  readonly scale: number;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

const rounded = (minutes: number): number => Math.max(0, Math.round(minutes * 20) / 20);

/** A pour's drop on its lane: dragged to another minute, where it is kept; let go with Delete. */
export function PourHandle({ use, letter, name, colour, x, scale, chosen, onChoose }: PourHandleProps) {
  const edit = useEdit();
  const drag = useRef<{ gesture: Gesture; x: number; from: number } | null>(null);
  const { step } = use.about;
  if (step?.kind !== 'pour') return null;
  const keep = (minutes: number, gesture?: Gesture): void => {
    edit((p) => keepAt(p, step.id, rounded(minutes)), gesture);
  };
  const down = (event: PointerEvent): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    onChoose();
    drag.current = { gesture: dragging(), x: event.clientX, from: use.startMin };
  };
  const move = (event: PointerEvent): void => {
    const start = drag.current;
    const by = start ? event.clientX - start.x : 0;
    if (start && Math.abs(by) > 2) keep(start.from + by / scale, start.gesture);
  };
  const key = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') {
      drag.current?.gesture.takeBack();
      drag.current = null;
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      edit((p) => keepAt(p, step.id, undefined));
    }
    const by = { ArrowLeft: -NUDGE, ArrowRight: NUDGE }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    keep(use.startMin + by * (event.shiftKey ? 10 : 1));
  };
  const kept = step.atMin !== undefined;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={Number(use.startMin.toFixed(2))}
      aria-valuetext={`${formatClock(use.startMin)} min${kept ? ', kept' : ''}`}
      transform={`translate(${x} 0)`}
      className="cursor-ew-resize touch-none outline-accent focus-visible:outline-2"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => {
        drag.current?.gesture.letGo();
        drag.current = null;
      }}
      onKeyDown={key}
      onFocus={onChoose}
    >
      <rect x="-12" y="-1" width="24" height="32" fill="transparent" />
      <path
        d="M0-1C.4 8 10 11 10 19.5a10 10 0 0 1-20 0C-10 11-.4 8 0-1Z"
        fill={colour}
        stroke={use.troubles.length > 0 ? 'var(--color-error)' : 'var(--color-base-content)'}
        strokeWidth={chosen || use.troubles.length > 0 ? 2.4 : 1}
      />
      <text
        y="24"
        textAnchor="middle"
        fontSize={letter.length > 1 ? 9.5 : 12}
        fontWeight="700"
        fill={inkOn(colour)}
      >
        {letter}
      </text>
      {kept && <path d="M-5-6H5M0-6V-1" stroke="var(--color-accent)" strokeWidth="2.4" />}
    </g>
  );
}
