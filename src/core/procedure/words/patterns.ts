import type { StickPath } from '../../plan/patternSchema.ts';
import type { RepeatedEdge, ScraperEdge } from '../../plan/scrapeSchema.ts';
import { stagePhrase } from '../../setting/stage.ts';
import { formatShort } from '../../units/format.ts';
import { firstLine, spotText, type FromAbove } from '../../ways/fromAbove.ts';
import { wayOf } from '../../ways/ways.ts';
import { lowerFirst, plural } from '../../units/words.ts';
import type { Deed, PatternDeed } from '../deeds.ts';
import { inMould, type Saying, type WordsFor } from './says.ts';

/** What rounds there are, before they are listed. */
export function roundsText(pattern: PatternDeed, say: Saying): string {
  const { rounds, place, fallMm } = pattern;
  const way = wayOf(place);
  const where = way.text(place, { ...pattern, length: (mm) => say.length(mm) });
  const letters = rounds[0]?.turns.map((t) => t.letter) ?? [];
  if ('accent' in place && place.accent && letters.length > 1)
    return `${letters.slice(0, -1).join(', ')}, from ${say.length(fallMm)} high, ${where}, and ${letters.at(-1) ?? ''} out of a jug of its own in a thin line between them`;
  const order = letters.join(', ');
  const how = `from ${say.length(fallMm)} high, ${where}`;
  return rounds.length === 1 ? `${order}, ${how}` : `${rounds.length} rounds of ${order}, ${how}`;
}

/** A fan's strokes: those of them that fall into the mould, where it is drawn round a corner or a wall. */
function fanText({ strokes, doubled, way }: Extract<StickPath, { kind: 'fan' }>, pieces: number): string {
  const all = strokes * (doubled ? 2 : 1);
  const part = pieces < all;
  const from = part ? 'where they meet' : 'the middle';
  const drawn = way === 'out' ? `from ${from} outward` : `from the walls in to ${from}`;
  return `${part ? pieces : strokes} strokes ${drawn}${doubled ? (part ? ', every second one from half way out' : ', another between each two from half way out') : ''}`;
}

/** What something is drawn round. */
const aboutText = (
  { xMm, yMm }: { readonly xMm: number; readonly yMm: number },
  say: Pick<Saying, 'length'>,
): string => (Math.hypot(xMm, yMm) < 0.5 ? 'the middle' : `a place ${spotText([xMm, yMm], say.length)}`);

/** A stick's way in a mould: how many strokes, from where, how far apart. */
export function pathText(path: StickPath, above: FromAbove, say: Pick<Saying, 'length'>): string {
  const { paths } = above;
  const start = paths[0]?.[0];
  switch (path.kind) {
    case 'fan': {
      const apart = 360 / (path.strokes * (path.doubled ? 2 : 1));
      return `${fanText(path, paths.length)}, ${formatShort(apart, 1)}° apart, about ${aboutText(path.about, say)}`;
    }
    case 'spiral':
      return `a spiral ${path.way === 'out' ? 'outward' : 'inward'} about ${aboutText(path.about, say)}, ${say.length(path.pitchMm)} from turn to turn${start ? `, beginning ${spotText(start, say.length)}` : ''}`;
    case 'rings':
      return `rings ${say.length(path.spacingMm)} apart, the smallest first, about ${aboutText(path.about, say)}`;
    case 'lines':
      return `${plural(paths.length, 'line')} ${path.runs === 'lengthwise' ? 'from end to end' : 'from side to side'}, ${say.length(path.spacingMm)} apart, ${firstLine(above, path.runs, say.length)}${path.turns ? ', there and back' : ', all the same way'}`;
    case 'free': {
      const end = paths[0]?.at(-1);
      return `along the path that is drawn${start && end ? `: from ${spotText(start, say.length)} to ${spotText(end, say.length)}` : ''}`;
    }
  }
}

const strokeText = ({ path, end, depthMm, above }: Extract<Deed, { does: 'stroke' }>, say: Saying): string =>
  `With the ${end} end of the stick, ${say.length(depthMm)} deep: ${pathText(path, above, say)}.`;

const TIMES = ['', 'once', 'twice'];

/** A wire's way, as it is gone. */
function wireText({ lies, girthMm, longMm, told }: Extract<Deed, { does: 'wire' }>, say: Saying): string {
  const which = `With a wire ${say.length(girthMm)} thick and ${say.length(longMm)} long, held from ${lies === 'lengthwise' ? 'end to end' : 'side to side'}`;
  if (!told) return `${which}: it stays above the batter.`;
  const [low, high] = lies === 'lengthwise' ? ['left of', 'right of'] : ['on the near side of', 'beyond'];
  const at = (mm: number): string =>
    Math.abs(mm) < 0.5 ? 'in the middle' : `${say.length(Math.abs(mm))} ${mm < 0 ? low : high} the middle`;
  const lifted =
    told.lifts === 0
      ? ''
      : `, lifted ${TIMES[told.lifts] ?? `${told.lifts} times`} on the way to ${say.length(told.highestMm)} at most, never through the top`;
  return `${which}: down ${at(told.inAtMm)} to ${say.length(Math.max(0, told.lowestMm))} above the floor${lifted}, and straight up and out ${at(told.outAtMm)}.`;
}

const EDGES: Readonly<Record<RepeatedEdge, string>> = {
  waves: 'waves',
  teeth: 'teeth',
  grooves: 'round grooves',
  ridges: 'round ridges',
  notches: 'square notches',
};

/** What a scraper's edge is like. */
export const edgeText = (edge: ScraperEdge, reliefMm: number, say: Pick<Saying, 'length'>): string =>
  edge.kind === 'drawn'
    ? `an edge of its own, ${say.length(reliefMm)} deep`
    : `${EDGES[edge.shape]} ${say.length(reliefMm)} deep and ${say.length(edge.pitchMm)} apart`;

function scrapingsText({ to, jug, beforeLye }: Extract<Deed, { does: 'scrape' }>, say: Saying): string {
  const letter = say.letterOf(jug) ?? '';
  if (to === 'spare') return 'Put the scrapings into a spare mould';
  if (to === 'pot') return `Put the scrapings back into jug ${letter}`;
  return beforeLye
    ? `Put the scrapings into the oils of jug ${letter} before its lye, and blend them in with it`
    : `Put the scrapings into jug ${letter} and stir until no streak of them is seen`;
}

function scrapeText(deed: Extract<Deed, { does: 'scrape' }>, say: Saying): string {
  const way = deed.pulled === 'lengthwise' ? 'from end to end' : 'from side to side';
  return `Pull the scraper (${edgeText(deed.edge, deed.reliefMm, say)}) over it ${way} in one go, its lowest tips ${say.length(deed.underRimMm)} below the rim, ${say.length(deed.depthMm)} below the surface. The layer has to be ${stagePhrase(deed.stage)} at least, or its ridges slump. ${scrapingsText(deed, say)}.`;
}

function pullText({ holeG, holesG, copies }: Extract<Deed, { does: 'pull-columns' }>, say: Saying): string {
  const several = holesG.length > 1;
  const pull = several ? 'Pull the columns straight up, one after another' : 'Pull the column straight up';
  if (holeG <= 0)
    return `${pull}. Nothing is held back for ${several ? 'their holes' : 'its hole'}: the soap runs in.`;
  const each = holesG.map((g, i) => `${say.mass(g)} into that of column ${i + 1}`).join(', ');
  const inEach = copies > 1 ? ' in each mould' : '';
  if (several)
    return `${pull}, and fill each hole at once: of ${say.mass(holeG)} that is held back, ${each}${inEach}.`;
  const apiece = copies > 1 ? `: ${say.mass(holesG[0] ?? 0)}${inEach}` : '';
  return `${pull} and fill its hole at once with ${say.mass(holeG)} of what is held back${apiece}.`;
}

export const patternWords: WordsFor<'pull-columns' | 'stroke' | 'wire' | 'scrape' | 'mica'> = {
  mica: ({ colorant, how, oilMl, mould }) => ({
    text: inMould(
      mould,
      how === 'dry'
        ? `Dust ${lowerFirst(colorant)} through a fine sieve over the whole layer, close above it, up to the walls.`
        : `Stir ${lowerFirst(colorant)} into about ${formatShort(oilMl, 1)} ml of a liquid oil and trail it over the layer in fine lines. That oil is beyond the recipe: it adds to the superfat.`,
    ),
    ...(how === 'dry' ? { caution: 'Fine dust: a mask on, no draught, and the sieve held low.' } : {}),
  }),
  scrape: (deed, say) => ({
    text: inMould(deed.mould, scrapeText(deed, say)),
    caution: 'Scrapings are raw batter: gloves and goggles stay on, and the scraper goes into a bowl.',
  }),
  wire: (deed, say) => ({
    text: inMould(deed.mould, wireText(deed, say)),
    caution:
      'The wire comes out covered in raw batter and can spring: draw it straight up, not towards you, and keep goggles on.',
  }),
  'pull-columns': (deed, say) => ({
    text: inMould(deed.mould, pullText(deed, say)),
    caution:
      deed.holesG.length > 1
        ? 'The columns are covered in raw batter: keep gloves on, and set them into a bowl.'
        : 'The column is covered in raw batter: keep gloves on, and set it into a bowl.',
  }),
  stroke: (deed, say) => ({ text: inMould(deed.mould, strokeText(deed, say)) }),
};
