/** So many tries by seed, several at a time: what went wrong, a line each. */
export async function severally(
  { count, seed, atOnce }: { readonly count: number; readonly seed: number; readonly atOnce: number },
  one: (seed: number) => Promise<readonly string[]>,
): Promise<readonly string[]> {
  const lost: string[] = [];
  let next = 0;
  const work = async (): Promise<void> => {
    while (next < count) {
      const at = seed * 1000 + next;
      next += 1;
      lost.push(...(await one(at)));
    }
  };
  await Promise.all(Array.from({ length: atOnce }, work));
  return lost;
}
