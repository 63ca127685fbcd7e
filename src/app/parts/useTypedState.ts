import { useRef, useState } from 'react';
import type { Gesture } from '../../store/gesture.ts';

/**
 * A value of the page's own that is typed in a field: escaped from or refused, it is what it was before that
 * visit.
 */
export function useTypedState<T>(first: T): readonly [T, (value: T, gesture: Gesture) => void] {
  const [value, setValue] = useState(first);
  const typed = useRef<{ readonly gesture: Gesture; readonly was: T } | null>(null);
  return [
    value,
    (next, gesture) => {
      if (typed.current?.gesture !== gesture) typed.current = { gesture, was: value };
      const { was } = typed.current;
      gesture.changes(() => {
        setValue(was);
      });
      setValue(next);
    },
  ];
}
