/**
 * The parts of a thing as fields show and take them: by its name each part has its value, and a way to put
 * another in its place.
 */
export const partsOf =
  <T extends object, Gesture, Said>(of: T, put: (part: Partial<T>, gesture: Gesture) => Said) =>
  <K extends keyof T>(part: K) => ({
    value: of[part],
    onValue: (value: T[K], gesture: Gesture): Said =>
      put({ [part]: value } as unknown as Partial<T>, gesture),
  });
