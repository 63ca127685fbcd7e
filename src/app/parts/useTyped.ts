import { useRef, useState } from 'react';
import type { Fault } from '../../core/result/result.ts';
import type { Gesture } from '../../store/gesture.ts';

/**
 * A figure or a text that belongs to no plan, typed in a field: what is refused or escaped from leaves it as
 * it was.
 */
export function useTyped<T>(
  initial: T,
  refuse: (value: T) => Fault | undefined = () => undefined,
): [T, (value: T, gesture?: Gesture) => Fault | undefined] {
  const [value, setValue] = useState<T>(initial);
  const going = useRef<Gesture | null>(null);
  const take = (typed: T, gesture?: Gesture): Fault | undefined => {
    const fault = refuse(typed);
    if (fault) return fault;
    if (gesture && going.current !== gesture) {
      going.current = gesture;
      gesture.changes(() => {
        setValue(value);
      });
    }
    setValue(typed);
    return undefined;
  };
  return [value, take];
}
