import { useRef } from 'react';
import { Gesture } from '../../../store/gesture.ts';
import type { Fault } from '../../../core/result/result.ts';

interface DoseSliderProps {
  readonly label: string;
  readonly value: number;
  /** the most that is usual, g/kg: the slider goes half as far again */
  readonly usual: number;
  readonly onDose: (dose: number, gesture: Gesture) => Fault | undefined;
}

/** A dose to be dragged: the loaf follows at once, and the whole drag is one step to undo. */
export function DoseSlider({ label, value, usual, onDose }: DoseSliderProps) {
  const gesture = useRef<Gesture | null>(null);
  const end = (): void => {
    gesture.current = null;
  };
  return (
    <input
      type="range"
      aria-label={label}
      className="mt-2 hidden min-w-20 flex-1 accent-(--color-accent) sm:block"
      min="0"
      max={usual * 1.5}
      step={usual / 100}
      value={value}
      onPointerDown={() => {
        gesture.current = new Gesture();
      }}
      onPointerUp={end}
      onBlur={end}
      onKeyDown={(event) => {
        if (event.key === 'Escape') gesture.current?.takeBack();
      }}
      onChange={(event) => {
        gesture.current ??= new Gesture();
        onDose(Math.round(Number(event.target.value) * 100) / 100, gesture.current);
      }}
    />
  );
}
