import { dot, type Vec3 } from '../geometry/vec.ts';
import type { RowReader } from './depositAt.ts';
import { openUpTo } from './ground.ts';
import type { BlockSpec, Cut, Lying, ScrapedSpec } from './spec.ts';
import { unevenAt } from './uneven.ts';

/** The first that ends above a place: what was poured first. */
const lyingAt = (list: readonly Lying[], place: Vec3): Lying | undefined => {
  for (const one of list) if (dot(one.up, place) <= one.offset) return one;
  return undefined;
};

/** At each height of a cut, how much is open up to each place across it, mm: heights x places. */
function openTable({ ground, levels, lowest, highest }: Cut): Float32Array {
  const places = ground.heights.length;
  const table = new Float32Array(levels.length * places);
  for (const [l, [, low, high]] of levels.entries()) {
    const height = lowest + ((highest - lowest) * l) / (levels.length - 1);
    openUpTo(ground, low, high, height, table, l * places);
  }
  return table;
}

/** Where a place over a profile would lie if the ground were level: written to `out`. */
type Levelled = (place: Vec3, out: [number, number, number]) => void;

/**
 * What lies over a profile is told as over level ground: a height by the volume that is open below it, a
 * place across by what of its height is open before it. dx' = dx A'/A and dz' = dz A/A', so the map keeps
 * volumes, and above the profile it is the place itself.
 */
function levelledBy(cut: Cut): Levelled {
  const { axis, ground, lumps, dents, lowest, highest, levels } = cut;
  const places = ground.heights.length;
  let table: Float32Array | undefined;
  return (place, out) => {
    [out[0], out[1], out[2]] = place;
    const z = place[2];
    if (z >= highest || highest <= lowest) return;
    const at = Math.max(0, ((z - lowest) / (highest - lowest)) * (levels.length - 1));
    const l = Math.min(levels.length - 2, Math.floor(at));
    const [part, a, b] = [at - l, levels[l], levels[l + 1]] as const;
    if (!a || !b) return;
    const to = a[0] + (b[0] - a[0]) * part;
    // between heaps, and in hollows, it is open all over: nothing lies further aside for them
    if (lumps ?? dents) {
      out[2] = to;
      return;
    }
    // read at the nearer height, whole: between two of them places that are not open would be
    const near = part < 0.5 ? l : l + 1;
    const [, , , near0, far0] = part < 0.5 ? a : b;
    table ??= openTable(cut);
    const start = near * places;
    const all = table[start + places - 1] as number;
    if (all <= 0) {
      out[2] = to;
      return;
    }
    const where = Math.min(places - 1, Math.max(0, (place[axis] - ground.from) / ground.step));
    const i = Math.min(places - 2, Math.floor(where));
    const before = table[start + i] as number;
    const open = before + ((table[start + i + 1] as number) - before) * (where - i);
    // the reach at the height it comes to
    const high = Math.min(
      levels.length - 1,
      Math.max(0, ((to - lowest) / (highest - lowest)) * (levels.length - 1)),
    );
    const [, low1, high1, near1, far1] = levels[Math.round(high)] ?? a;
    out[axis] = low1 + (open / all) * (high1 - low1);
    const other = axis === 0 ? 1 : 0;
    out[other] = near1 + ((place[other] - near0) / (far0 - near0)) * (far1 - near1);
    out[2] = to;
  };
}

/** Reads a block that was made ready. */
export type BlockReader = (spec: BlockSpec) => RowReader;

const STILL: Vec3 = [0, 0, 0];

/** What reads a scraped place's faces, row by row, as `rowReader` does a block's. */
export function scrapedReader({ under, cuts }: ScrapedSpec, readerOf: BlockReader): RowReader {
  const readers = new Map<Lying, RowReader>();
  for (const lying of [...under, ...cuts.flatMap((c) => c.over)])
    if (lying.block) readers.set(lying, readerOf(lying.block));
  const downwards = cuts
    .map((cut) => ({ ...cut, levelled: levelledBy(cut), heightHere: (p: Vec3) => unevenAt(cut, p[0], p[1]) }))
    .toReversed();
  const lain: [number, number, number] = [0, 0, 0];
  const one = new Uint16Array(1);
  const numberOf = (lying: Lying | undefined, place: Vec3): number => {
    if (!lying) return 0;
    const read = readers.get(lying);
    if (!read) return lying.first + 1;
    read(place, STILL, 1, one, 0, lying.first + 1);
    return one[0] as number;
  };
  return (from, step, count, out, to, add) => {
    for (let n = 0; n < count; n += 1) {
      const place: Vec3 = [from[0] + step[0] * n, from[1] + step[1] * n, from[2] + step[2] * n];
      const cut = downwards.find((c) => place[2] >= c.heightHere(place));
      let number: number;
      if (cut?.line && place[2] < cut.heightHere(place) + cut.line.mm) number = cut.line.deposit + 1;
      else if (cut) {
        cut.levelled(place, lain);
        number = numberOf(lyingAt(cut.over, lain) ?? (cut.open ? undefined : cut.over.at(-1)), lain);
      } else number = numberOf(lyingAt(under, place) ?? under.at(-1), place);
      out[to + n] = number === 0 ? 0 : number - 1 + add;
    }
  };
}
