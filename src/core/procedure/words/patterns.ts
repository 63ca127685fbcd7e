import type { CORNERS } from '../../mould/cornerProp.ts';
import type { Place, StickPath } from '../../plan/patternSchema.ts';
import type { Stroke } from '../../plan/stepSchema.ts';
import type { PatternDeed } from '../deeds.ts';
import { inMould, type Saying, type WordsFor } from './says.ts';

const CORNER_WORDS: Readonly<Record<(typeof CORNERS)[number], string>> = {
  'left-near': 'the near left corner',
  'right-near': 'the near right corner',
  'left-far': 'the far left corner',
  'right-far': 'the far right corner',
};

const off = (mm: number, words: readonly [string, string], { length }: Pick<Saying, 'length'>): string =>
  mm === 0 ? '' : `, ${length(Math.abs(mm))} ${mm > 0 ? words[1] : words[0]} the middle`;

/** Where a pour that pushes others aside goes in. */
export function placeText(place: Place, say: Pick<Saying, 'length'>): string {
  switch (place.at) {
    case 'column':
      return 'over the column, so that it runs down all its sides';
    case 'corner':
      return `into ${CORNER_WORDS[place.corner]}`;
    case 'line':
      return place.runs === 'lengthwise'
        ? `in a line from end to end${off(place.offMm, ['left of', 'right of'], say)}`
        : `in a line from side to side${off(place.offMm, ['on the near side of', 'beyond'], say)}`;
    case 'wall':
      return place.wall === 'left' || place.wall === 'right'
        ? `down the ${place.wall} wall`
        : `down the ${place.wall} end`;
    case 'two-walls':
      return place.walls === 'long'
        ? `down both long walls at once${place.firstPercent === 50 ? '' : `, ${place.firstPercent} % of it on the left`}`
        : `down both ends at once${place.firstPercent === 50 ? '' : `, ${place.firstPercent} % of it at the near end`}`;
    case 'drops':
      return place.spots.length === 1 ? 'in one place' : `in ${place.spots.length} places in turn`;
  }
}

/** What rounds there are, before they are listed. */
export function roundsText({ rounds, place, fallMm }: PatternDeed, say: Saying): string {
  const order = rounds[0]?.turns.map((t) => t.letter).join(', ') ?? '';
  const how = `from ${say.length(fallMm)} high, ${placeText(place, say)}`;
  return rounds.length === 1 ? `${order}, ${how}` : `${rounds.length} rounds of ${order}, ${how}`;
}

/** A stick's way. */
export function pathText(path: StickPath, say: Pick<Saying, 'length'>): string {
  switch (path.kind) {
    case 'fan':
      return `${path.strokes} strokes ${path.way === 'out' ? 'from the middle outward' : 'from the walls inward'}${path.doubled ? ', another between each two from half way out' : ''}`;
    case 'spiral':
      return `a spiral ${path.way === 'out' ? 'outward' : 'inward'}, ${say.length(path.pitchMm)} from turn to turn`;
    case 'rings':
      return `rings ${say.length(path.spacingMm)} apart`;
    case 'lines':
      return `lines ${path.runs === 'lengthwise' ? 'from end to end' : 'from side to side'}, ${say.length(path.spacingMm)} apart${path.turns ? ', there and back' : ', all the same way'}`;
    case 'free':
      return 'along the path that is drawn';
  }
}

export const strokeText = (
  { path, end, depthMm }: Pick<Stroke, 'path' | 'end' | 'depthMm'>,
  say: Saying,
): string => `With the ${end} end of the stick, ${say.length(depthMm)} deep: ${pathText(path, say)}.`;

export const patternWords: WordsFor<'pull-column' | 'stroke'> = {
  'pull-column': ({ holeG, mould }, say) => ({
    text: inMould(
      mould,
      holeG > 0
        ? `Pull the column straight up and fill its hole at once with ${say.mass(holeG)} of what is held back.`
        : 'Pull the column straight up. Nothing is held back for its hole: the soap runs in.',
    ),
    caution: 'The column is covered in raw batter: keep gloves on, and set it into a bowl.',
  }),
  stroke: (deed, say) => ({ text: inMould(deed.mould, strokeText(deed, say)) }),
};
