import * as v from 'valibot';
import { lengthMm, percent } from '../validate/fields.ts';
import { potId } from '../validate/ids.ts';
import { way } from './way.ts';

/** So much of a pour a thin line between the wiggles of a split jug begins as. A judgement, no source. */
export const THIN_PERCENT = 8;

const schema = v.strictObject({
  at: v.literal('split-jug'),
  wiggleMm: lengthMm(8, 200),
  /** a thin line between the wiggles, out of a jug of its own: so much of the pour */
  accent: v.optional(v.strictObject({ pot: potId, percent: percent(1, 40) })),
});

/** Side by side in one jug, poured level in wiggles so far apart. */
export const SPLIT_JUG = way(schema, {
  know: {
    name: 'Split jug',
    says: 'colours side by side in one jug, poured level in wiggles',
    needs:
      'Light to medium. The colours poured into one jug from both sides at once, halves by weight; the lip held so that both run over it; wiggles close together.',
    fails: 'Unequal halves: one runs out first. A jug that is turned mixes them.',
  },
  first: { at: 'split-jug', wiggleMm: 30 },
  landing: { how: 'low', fallMm: 20 },
  rounds: 1,
  window: () => ({ least: 0.8, most: 2.2 }),
  inOneJug: ({ wiggleMm }) => ({ kind: 'wiggled', spacingMm: wiggleMm }),
  sources: () => [{ kind: 'level' }],
  text: ({ wiggleMm }, { length }) =>
    `out of one jug, side by side in it, level in wiggles ${length(wiggleMm)} apart`,
});
