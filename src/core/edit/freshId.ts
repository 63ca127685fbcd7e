/** The first of prefix1, prefix2, ... that nothing in the list is called yet. */
export function freshId(prefix: string, taken: readonly { readonly id: string }[]): string {
  const ids = new Set(taken.map((t) => t.id));
  let n = ids.size + 1;
  while (ids.has(`${prefix}${n}`)) n += 1;
  return `${prefix}${n}`;
}
