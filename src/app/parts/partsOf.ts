import type { Fault } from '../../core/result/result.ts';
import type { Gesture } from '../../store/gesture.ts';

/**
 * The parts of a thing as fields show and take them: by its name each part has its value, and a way to put
 * another in its place.
 */
export const partsOf =
  <T extends object>(of: T, put: (part: Partial<T>, gesture: Gesture) => Fault | undefined) =>
  <K extends keyof T>(part: K) => ({
    value: of[part],
    onValue: (value: T[K], gesture: Gesture) => put({ [part]: value } as unknown as Partial<T>, gesture),
  });
