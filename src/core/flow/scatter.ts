/** Something that covers a part of the plan, mm: its middle, and how far it reaches each way. */
export interface Covers {
  readonly x: number;
  readonly y: number;
  readonly halfX: number;
  readonly halfY: number;
}

/** What is known of a piece of the plan, mm. */
const PIECE_MM = 8;

/** More pieces than this along a side are not kept: what is larger is looked at everywhere. */
const MOST_PIECES = 400;

/** Finds, of many things in a plan, those that can be at a place, in the order they were given. */
export function scattered<T extends Covers>(things: readonly T[]): (x: number, y: number) => readonly T[] {
  if (things.length < 4) return () => things;
  const isSmall = (t: T): boolean => 2 * Math.max(t.halfX, t.halfY) < MOST_PIECES * PIECE_MM;
  let [x0, y0] = [Infinity, Infinity];
  for (const t of things)
    if (isSmall(t)) [x0, y0] = [Math.min(x0, t.x - t.halfX), Math.min(y0, t.y - t.halfY)];
  const pieceOf = (v: number, from: number): number => Math.floor((v - from) / PIECE_MM);
  const pieces = new Map<number, T[]>();
  const key = (i: number, j: number): number => i * 65_536 + j;
  const everywhere: T[] = [];
  for (const t of things) {
    if (!isSmall(t)) {
      everywhere.push(t);
      for (const list of pieces.values()) list.push(t);
      continue;
    }
    for (let i = pieceOf(t.x - t.halfX, x0); i <= pieceOf(t.x + t.halfX, x0); i += 1)
      for (let j = pieceOf(t.y - t.halfY, y0); j <= pieceOf(t.y + t.halfY, y0); j += 1) {
        const at = key(i, j);
        const list = pieces.get(at);
        if (list) list.push(t);
        // what lies everywhere and was put there before
        else pieces.set(at, [...everywhere, t]);
      }
  }
  return (x, y) => pieces.get(key(pieceOf(x, x0), pieceOf(y, y0))) ?? everywhere;
}
