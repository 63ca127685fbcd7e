/** A list by a key of each thing in it, in its order; what has none is left out. */
export function grouped<T, K>(
  list: readonly T[],
  keyOf: (item: T) => K | undefined,
): ReadonlyMap<K, readonly T[]> {
  const groups = new Map<K, T[]>();
  for (const item of list) {
    const key = keyOf(item);
    if (key === undefined) continue;
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}
