import type { StepId } from '../../core/validate/ids.ts';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { setTilt } from '../../core/edit/tilt.ts';
import type { View, ViewPoint } from '../../core/mould/sectionView.ts';
import { STEEPEST_DEG, type Tilt } from '../../core/mould/tilt.ts';
import { useBenchEdit } from '../parts/usePlan.ts';
import type { Frame } from './frame.ts';
import { dragging, Gesture } from '../../store/gesture.ts';

interface TiltHandleProps {
  readonly frame: Frame;
  readonly view: View;
  readonly pourId: StepId;
  readonly nth: number;
  readonly tilt: Tilt;
  /** the corner it sits on, mould frame */
  readonly at: ViewPoint;
}

const STEP_DEG = 0.5;

/** The corner by which the mould is tilted: drag it round, or turn it with the arrow keys. */
export function TiltHandle({ frame, view, pourId, nth, tilt, at }: TiltHandleProps) {
  const edit = useBenchEdit();
  const from = useRef<{ pointer: number; degrees: number; gesture: Gesture } | null>(null);
  const steps = useRef<Gesture | null>(null);
  const now = view === 'section' ? tilt.rollDeg : tilt.pitchDeg;

  const put = (degrees: number, gesture: Gesture): void => {
    const rounded = Math.round(degrees / STEP_DEG) * STEP_DEG;
    const held = Math.min(STEEPEST_DEG, Math.max(-STEEPEST_DEG, rounded));
    edit(
      (p) =>
        setTilt(p, pourId, view === 'section' ? { ...tilt, rollDeg: held } : { ...tilt, pitchDeg: held }),
      gesture,
    );
  };
  const angleOf = (event: PointerEvent<SVGGElement>): number => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const x = event.clientX - (box?.left ?? 0) - frame.centre.x;
    const y = event.clientY - (box?.top ?? 0) - frame.centre.y;
    return (Math.atan2(-y, x) * 180) / Math.PI;
  };
  const cancel = (): void => {
    from.current?.gesture.takeBack();
    from.current = null;
  };
  const key = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') cancel();
    const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    steps.current ??= new Gesture();
    put(now + by * (event.shiftKey ? 10 : 1) * STEP_DEG, steps.current);
  };
  const turn = (event: PointerEvent<SVGGElement>): void => {
    if (!from.current) return;
    let by = angleOf(event) - from.current.pointer;
    if (by > 180) by -= 360;
    if (by < -180) by += 360;
    put(from.current.degrees + by, from.current.gesture);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Tilt at pour ${nth}`}
      aria-valuenow={now}
      aria-valuemin={-STEEPEST_DEG}
      aria-valuemax={STEEPEST_DEG}
      aria-valuetext={`${view === 'section' ? 'right edge' : 'far end'} up ${now} degrees`}
      className="group cursor-grab touch-none outline-none active:cursor-grabbing"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { pointer: angleOf(event), degrees: now, gesture: dragging() };
      }}
      onPointerMove={turn}
      onPointerUp={() => {
        from.current?.gesture.letGo();
        from.current = null;
      }}
      onPointerCancel={cancel}
      onKeyDown={key}
      onBlur={() => (steps.current = null)}
    >
      <circle cx={frame.x(at.h)} cy={frame.y(at.z)} r="20" fill="transparent" />
      <circle
        cx={frame.x(at.h)}
        cy={frame.y(at.z)}
        r="10"
        fill="var(--color-base-100)"
        stroke="var(--color-accent)"
        strokeWidth="3"
        className="group-focus-visible:stroke-[6]"
      />
      <path
        d={`M${frame.x(at.h) - 4.5},${frame.y(at.z) + 2}a5 5 0 0 1 9 0m0 0l-3.4-.6m3.4 .6l.4-3.4`}
        fill="none"
        stroke="var(--color-base-content)"
        strokeWidth="1.4"
      />
    </g>
  );
}
