import type { BlockSpec, Source, Spot } from '../flow/spec.ts';
import { digestOf } from '../task/digest.ts';
import { remembered } from '../task/remembered.ts';
import { numbering } from './numbering.ts';

/** The same words for the same source. */
const nameOfSource = remembered((source: Source) => JSON.stringify(source));

/** A block by a short name: turns and strokes come by the hundred, from few sources and along few ways. */
export function keyOfBlock(body: Omit<BlockSpec, 'key'>): string {
  const sources = numbering<string>();
  const ways = numbering<readonly (readonly Spot[])[]>();
  const moves = body.moves.map((m) => {
    if (m.does === 'rise') return { ...m, source: sources.numberOf(nameOfSource(m.source)) };
    return m.does === 'stroke' ? { ...m, paths: ways.numberOf(m.paths) } : m;
  });
  return digestOf(JSON.stringify([{ ...body, moves }, sources.keys, ways.keys]));
}
