/** Things, names of deposits for one, by the numbers they get as they come. */
export interface Numbered<T> {
  readonly keys: readonly T[];
  readonly numberOf: (key: T) => number;
}

export function numbering<T>(): Numbered<T> {
  const keys: T[] = [];
  const known = new Map<T, number>();
  return {
    keys,
    numberOf: (key) => {
      const number = known.get(key) ?? keys.push(key) - 1;
      known.set(key, number);
      return number;
    },
  };
}
