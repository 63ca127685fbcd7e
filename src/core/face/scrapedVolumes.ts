import { prepare } from '../flow/prepare.ts';
import { rowReader } from '../flow/depositAt.ts';
import { scrapedReader } from '../flow/scraped.ts';
import { slice } from '../geometry/clip.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Block, Content } from '../pattern/body.ts';
import { finish } from '../task/task.ts';
import type { Millilitres } from '../units/quantity.ts';

/** Looks at so many heights, across at each, and along; along what is alike all along. */
const LOOKS = { heights: 300, across: 200, along: 24, alike: 2 };

/**
 * The volume of every deposit where scraped layers meet what lies over them, as its pictures show it, by its
 * name.
 */
export function scrapedVolumes(
  { solid }: Block,
  { keys, scraped }: Extract<Content, { kind: 'scraped' }>,
): ReadonlyMap<string, Millilitres> {
  // a line on a surface takes no room
  const cuts = scraped.cuts.map(({ line: _line, ...cut }) => cut);
  const read = scrapedReader({ ...scraped, cuts }, (spec) => rowReader(finish(prepare(spec))));
  const low = Math.min(...scraped.cuts.map((c) => c.lowest));
  const high = Math.max(...scraped.cuts.map((c) => c.highest));
  const each = (high - low) / LOOKS.heights;
  // a profile from end to end under level layers is the same at every place along it
  const alike =
    scraped.cuts.every((c) => c.axis === 0 && !c.lumps) &&
    [...scraped.under, ...scraped.cuts.flatMap((c) => c.over)].every((l) => !l.block && l.up[1] === 0);
  const places = alike ? LOOKS.alike : LOOKS.along;
  const row = new Uint16Array(LOOKS.across);
  const mm3 = new Map<string, number>(keys.map((k) => [k, 0]));
  for (let l = 0; l < LOOKS.heights; l += 1) {
    const z = low + (l + 0.5) * each;
    const outline = slice(solid, { normal: [0, 0, 1], offset: z });
    const xs = outline.map((p) => p[0]);
    const ys = outline.map((p) => p[1]);
    const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
    const [dx, dy] = [(Math.max(...xs) - x0) / LOOKS.across, (Math.max(...ys) - y0) / places];
    for (let j = 0; j < places; j += 1) {
      read([x0 + dx / 2, y0 + (j + 0.5) * dy, z], [dx, 0, 0], LOOKS.across, row, 0, 1);
      for (const number of row) {
        const key = keys[number - 1];
        if (key !== undefined) mm3.set(key, (mm3.get(key) ?? 0) + dx * dy * each);
      }
    }
  }
  return new Map([...mm3].map(([key, sum]) => [key, sum / MM3_PER_ML]));
}
