import type { BlockSpec, Source, Spot } from '../flow/spec.ts';
import { digestOf } from '../task/digest.ts';
import { remembered } from '../task/remembered.ts';

/** The same words for the same source. */
const nameOfSource = remembered((source: Source) => JSON.stringify(source));

/** The number of each of some things, in the order they come. */
function numbersOf<T>(): { readonly of: (it: T) => number; readonly all: () => readonly T[] } {
  const known = new Map<T, number>();
  const of = (it: T): number => {
    const number = known.get(it) ?? known.size;
    known.set(it, number);
    return number;
  };
  return { of, all: () => [...known.keys()] };
}

/** A block by a short name: turns and strokes come by the hundred, from few sources and along few ways. */
export function keyOfBlock(body: Omit<BlockSpec, 'key'>): string {
  const sources = numbersOf<string>();
  const ways = numbersOf<readonly (readonly Spot[])[]>();
  const moves = body.moves.map((m) => {
    if (m.does === 'rise') return { ...m, source: sources.of(nameOfSource(m.source)) };
    return m.does === 'stroke' ? { ...m, paths: ways.of(m.paths) } : m;
  });
  return digestOf(JSON.stringify([{ ...body, moves }, sources.all(), ways.all()]));
}
