import { stagePhrase } from '../../setting/stage.ts';
import { formatPercent } from '../../units/format.ts';
import { lowerFirst, plural } from '../../units/words.ts';
import type { Deed } from '../deeds.ts';
import { inMould, type Saying, type WordsFor } from './says.ts';

const aside = (offMm: number, right: string, left: string, { length }: Saying): string =>
  Math.abs(offMm) < 0.05
    ? 'along the middle'
    : `${length(Math.abs(offMm))} ${offMm > 0 ? right : left} of the middle`;

type Row = Extract<Deed, { does: 'pipe' }>['rows'][number];

function rowText(
  { letter, dollops, acrossMm, heightMm, offMm, massG }: Row,
  nth: number,
  say: Saying,
): string {
  const where = aside(offMm, 'to the right', 'to the left', say);
  const what = dollops
    ? `${plural(dollops.perBar, 'dollop')} to a bar, ${dollops.all} in all, each ${say.length(acrossMm)} across and ${say.length(heightMm)} high`
    : `one continuous row ${say.length(acrossMm)} wide and ${say.length(heightMm)} high`;
  return `row ${nth + 1}, bag ${letter}: ${what}, ${where} (about ${say.mass(massG)})`;
}

const onBars = (rows: number, perBar: number): string =>
  rows > 1 ? `${rows} rows of ${perBar} to a bar` : `${perBar} to a bar`;

/** Everything on top of the loaf. */
export const onTopWords: WordsFor<
  | 'mound'
  | 'dents'
  | 'begin-second'
  | 'fill-bags'
  | 'pipe'
  | 'press-pieces'
  | 'stand-straws'
  | 'strew-salt'
  | 'fill-ridges'
> = {
  mound: ({ runs, offMm, wideMm, heightMm, copies, mould }, say) => ({
    text: inMould(
      mould,
      `Heap ${say.pot} on top by the spoon${copies > 1 ? `, on each of ${copies} alike` : ''}: a mound ${say.length(heightMm)} high and ${say.length(wideMm)} wide ${runs === 'lengthwise' ? 'from end to end' : 'from side to side'}, its ridge ${runs === 'lengthwise' ? aside(offMm, 'to the right', 'to the left', say) : aside(offMm, 'beyond', 'short', say)}.`,
    ),
  }),
  dents: ({ rows, perBar, acrossMm, depthMm, mould }, say) => ({
    text: inMould(
      mould,
      `Press dents into the top with the back of a spoon, ${onBars(rows, perBar)}: ${say.length(acrossMm)} across, ${say.length(depthMm)} deep, clear of the cuts.`,
    ),
  }),
  'begin-second': ({ massG, superfatPercent }, say) => ({
    text: `Once the loaf is thick, make the batch for piping of the lye and the oils that stand ready for it: ${say.mass(massG)} in one vessel, superfat ${formatPercent(superfatPercent)} as weighed. It has a recipe and weights of its own: the loaf’s are not used for it.`,
    caution: 'Fresh batter again: goggles and gloves on.',
  }),
  'fill-bags': ({ bags }) => ({
    text: `Fill the bags: ${bags.map((b) => `${b.letter}, ${lowerFirst(b.name)}, when it is ${stagePhrase(b.stage)}`).join('; ')}. Try each on a plate first: batter sets in the bag.`,
    caution: 'The batter is caustic: gloves stay on, and a bag that is pressed too hard bursts.',
  }),
  pipe: ({ rows, mould }, say) => ({
    text: inMould(
      mould,
      `Pipe ${rows.map((r, i) => rowText(r, i, say)).join('; ')}. Keep clear of the cut marks.`,
    ),
  }),
  'press-pieces': ({ name, all, rows, perBar, massG, mould }, say) => ({
    text: inMould(
      mould,
      `Press ${all} of ${lowerFirst(name)} into the top, ${onBars(rows, perBar)}, clear of the cuts (${say.fine(massG)} in all).`,
    ),
  }),
  'stand-straws': ({ all, rows, perBar, acrossMm, deepMm, mould }, say) => ({
    text: inMould(
      mould,
      `Stand ${plural(all, 'straw')} ${say.length(acrossMm)} thick in the top, ${onBars(rows, perBar)}, ${say.length(deepMm)} deep, clear of the cuts. They are taken out before a bar is used: say so on its label.`,
    ),
  }),
  'fill-ridges': ({ reliefMm }, say) => ({
    text: `Fill the hollows of the mat with ${say.pot}: they are ${say.length(reliefMm)} deep. Draw it off level with a flat scraper; a thin coat in a hollow that stays empty is a hole in the top of the bar.`,
  }),
  'strew-salt': ({ massG, mould }, say) => ({
    text: inMould(
      mould,
      `Strew ${say.fine(massG)} of coarse salt over the top and press it in lightly. Part of it falls off at the cut; in damp air it weeps.`,
    ),
  }),
};
