/** Up to so many the search for an order is exact; the table holds 2^n x n entries. */
export const EXACT_UP_TO = 12;

/** cost[i][j] of going from i to j. */
export type Table = readonly (readonly number[])[];

interface Search {
  /** join the worth of the way so far with that of one more step */
  readonly join: (sofar: number, step: number) => number;
  readonly better: (a: number, b: number) => boolean;
  readonly start: number;
}

const at = (table: Table, i: number, j: number): number => table[i]?.[j] ?? 0;

/**
 * The best way through all places (Held & Karp's subsets, 1962, from memory). `first`: where it must begin.
 */
function exact(table: Table, { join, better, start }: Search, first: number | undefined): number[] {
  const n = table.length;
  const worth = new Array<number | undefined>(2 ** n * n);
  const came = new Int8Array(2 ** n * n).fill(-1);
  for (let i = 0; i < n; i += 1) if (first === undefined || i === first) worth[2 ** i * n + i] = start;
  for (let set = 1; set < 2 ** n; set += 1)
    for (let last = 0; last < n; last += 1) {
      const sofar = worth[set * n + last];
      if (sofar === undefined) continue;
      for (let next = 0; next < n; next += 1) {
        if (set & (1 << next)) continue;
        const key = (set | (1 << next)) * n + next;
        const value = join(sofar, at(table, last, next));
        const known = worth[key];
        if (known !== undefined && !better(value, known)) continue;
        worth[key] = value;
        came[key] = last;
      }
    }
  let set = 2 ** n - 1;
  let last = -1;
  for (let i = 0; i < n; i += 1) {
    const value = worth[set * n + i];
    const best = worth[set * n + last];
    if (value !== undefined && (last < 0 || best === undefined || better(value, best))) last = i;
  }
  const order: number[] = [];
  while (last >= 0) {
    order.unshift(last);
    const before = came[set * n + last] ?? -1;
    set ^= 1 << last;
    last = before;
  }
  return order;
}

/** Too many to search: always the best next step. */
function greedy(table: Table, { better }: Search, first: number): number[] {
  const order = [first];
  while (order.length < table.length) {
    const here = order.at(-1) ?? 0;
    const open = table.map((_, i) => i).filter((i) => !order.includes(i));
    order.push(open.reduce((best, i) => (better(at(table, here, i), at(table, here, best)) ? i : best)));
  }
  return order;
}

const LARGEST_LEAST: Search = {
  join: Math.min,
  better: (a, b) => a > b,
  start: Infinity,
};

const LEAST_SUM: Search = { join: (a, b) => a + b, better: (a, b) => a < b, start: 0 };

/** The order whose smallest neighbour difference is largest. `differences` is symmetric. Exact up to 12. */
export const contrastOrder = (differences: Table): number[] =>
  differences.length <= EXACT_UP_TO
    ? exact(differences, LARGEST_LEAST, undefined)
    : greedy(differences, LARGEST_LEAST, 0);

/** The order from `first` on whose steps add up to the least. Exact up to 12. */
export const gentlestOrder = (shifts: Table, first: number): number[] =>
  shifts.length <= EXACT_UP_TO ? exact(shifts, LEAST_SUM, first) : greedy(shifts, LEAST_SUM, first);

/** The smallest step of a way through the table; Infinity for fewer than two places. */
export const leastStep = (table: Table, order: readonly number[]): number =>
  order.slice(1).reduce((least, to, i) => Math.min(least, at(table, order[i] ?? 0, to)), Infinity);
