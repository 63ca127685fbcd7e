import { numbers } from '../numeric/numbers.ts';

/**
 * Numbers drawn at random from N(0, 1), the same for the same seed, name and place: a column of `count` for
 * each thing that is not known. Two ways of doing a plan are tried with the same column for the same thing
 * (common random numbers), so that their odds differ by what they do and not by chance.
 */
export class Normals {
  private readonly columns = new Map<string, Float64Array>();
  readonly seed: number;
  readonly count: number;

  constructor(seed: number, count: number) {
    this.seed = seed;
    this.count = count;
  }

  column(name: string): Float64Array {
    let column = this.columns.get(name);
    if (!column) this.columns.set(name, (column = normalsOf(mixed(this.seed, name), this.count)));
    return column;
  }
}

/** FNV-1a over the name, begun with the seed (Fowler, Noll & Vo, 1991, from memory). */
function mixed(seed: number, name: string): number {
  let hash = 2166136261 ^ seed;
  for (let i = 0; i < name.length; i += 1) hash = Math.imul(hash ^ name.charCodeAt(i), 16777619);
  return hash >>> 0;
}

/** Pairs by Box & Muller ("A note on the generation of random normal deviates", 1958, from memory). */
function normalsOf(seed: number, count: number): Float64Array {
  const out = new Float64Array(count);
  const uniform = numbers(seed);
  for (let i = 0; i < count; i += 2) {
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
    const angle = 2 * Math.PI * uniform();
    out[i] = radius * Math.cos(angle);
    if (i + 1 < count) out[i + 1] = radius * Math.sin(angle);
  }
  return out;
}
