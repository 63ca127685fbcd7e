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
  const small = things.filter((t) => 2 * Math.max(t.halfX, t.halfY) < MOST_PIECES * PIECE_MM);
  const x0 = Math.min(...small.map((t) => t.x - t.halfX));
  const y0 = Math.min(...small.map((t) => t.y - t.halfY));
  const pieceOf = (v: number, from: number): number => Math.floor((v - from) / PIECE_MM);
  const pieces = new Map<number, T[]>();
  const key = (i: number, j: number): number => i * 65_536 + j;
  const everywhere = things.filter((t) => !small.includes(t));
  for (const t of things) {
    if (!small.includes(t)) {
      for (const list of pieces.values()) list.push(t);
      continue;
    }
    for (let i = pieceOf(t.x - t.halfX, x0); i <= pieceOf(t.x + t.halfX, x0); i += 1)
      for (let j = pieceOf(t.y - t.halfY, y0); j <= pieceOf(t.y + t.halfY, y0); j += 1) {
        const at = key(i, j);
        const list = pieces.get(at);
        if (list) list.push(t);
        // what lies everywhere and was put there before
        else pieces.set(at, [...everywhere.filter((e) => things.indexOf(e) < things.indexOf(t)), t]);
      }
  }
  return (x, y) => pieces.get(key(pieceOf(x, x0), pieceOf(y, y0))) ?? everywhere;
}
