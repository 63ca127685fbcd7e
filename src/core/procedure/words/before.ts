import { boxAbout, long, wide } from '../../flow/box.ts';
import { columnOutline } from '../../mould/column.ts';
import type { Column } from '../../mould/schema.ts';
import { listed, plural, upperFirst } from '../../units/words.ts';
import { STIRRER_WORDS } from '../../plan/habits.ts';
import type { PlainTool, Tool } from '../deeds.ts';
import { edgeText } from './patterns.ts';
import type { Saying, WordsFor } from './says.ts';

type Length = Saying['length'];

/** What a column is, and how large. */
function columnText(column: Column, length: Length): string {
  const turned = (deg: number | undefined): string => (deg ? `, turned ${deg}°` : '');
  if (column.form === 'round') return `round, ${length(column.acrossMm)} across`;
  if (column.form === 'square') return `square, ${length(column.acrossMm)} across${turned(column.turnDeg)}`;
  const box = boxAbout(columnOutline({ ...column, turnDeg: 0 }));
  return `of own outline, ${column.points.length} corners, ${length(wide(box))} wide and ${length(long(box))} long${turned(column.turnDeg)}`;
}

/** Where it stands. */
const columnPlace = ({ xMm, yMm }: Column, length: Length): string => {
  const aside = (mm: number, low: string, high: string): string =>
    mm === 0 ? '' : `${length(Math.abs(mm))} ${mm < 0 ? low : high}`;
  const parts = [aside(xMm, 'left', 'right'), aside(yMm, 'nearer', 'further')].filter((p) => p !== '');
  return parts.length === 0 ? 'in the middle' : `${parts.join(' and ')} of the middle`;
};

const PLAIN: Readonly<Record<PlainTool, string>> = {
  spoon: 'a spoon',
  spatula: 'a spatula to pour over',
  sieve: 'a fine sieve and a mask',
  'lye-sieve': 'a sieve of steel or plastic for the lye, and a second heat-safe jug',
  'squeeze-bottle': 'a bottle with a fine tip',
  'ice-bowl': 'a bowl of ice for the lye jug',
  'spare-mould': 'a small spare mould',
  'flat-scraper': 'a flat scraper',
  straws: 'straws',
  'scrap-bowl': 'a bowl for what comes out covered in batter',
  cutter: 'a cutter for later',
};

/** One thing to lay out. */
export function toolText(t: Tool, say: Saying): string {
  switch (t.tool) {
    case 'stick':
      return t.ends.length > 1
        ? 'a stick with a thick and a thin end'
        : `a stick, its ${t.ends.join('')} end`;
    case 'wire':
      return `a wire ${say.length(t.girthMm)} thick and ${say.length(t.longMm)} long`;
    case 'scraper':
      return `a scraper with ${listed(t.edges.map((e) => edgeText(e.edge, e.reliefMm, say)))}`;
    case 'prop':
      return `something ${listed(t.heightsMm.map((h) => say.length(h)))} high to prop the mould, and wedges`;
    case 'stirrer':
      return `${plural(t.count, `clean ${STIRRER_WORDS[t.stirrer]}`)}, one a colour`;
    case 'dispersing-cups':
      return `${plural(t.count, 'small cup')} for the dispersed colorants, each with a spoon`;
    case 'cups':
      return `${plural(t.letters.length, 'clean cup')} for what is stirred into one pour alone (${[...new Set(t.letters)].join(', ')})`;
    case 'bags':
      return `piping bags with nozzles, ${t.letters.join(', ')}`;
    case 'second-jug':
      return `for ${t.pour} a second jug of ${t.letters.join(', ')}, as it is poured down two walls at once: ${say.mass(t.firstG)} in one and ${say.mass(t.secondG)} in the other`;
    default:
      return PLAIN[t.tool];
  }
}

/** Three things that protect whoever makes it, each to be seen to. */
export const PROTECTS = {
  wear: 'Goggles, gloves, long sleeves on.',
  room: 'Room aired. No children, no pets.',
  spill: 'Running water within reach, and known where a spill goes.',
} as const;

export const beforeWords: WordsFor<
  | 'protect'
  | 'read-data-sheets'
  | 'lay-out-mould'
  | 'lay-mat'
  | 'set-divider'
  | 'stand-columns'
  | 'lay-out-jugs'
  | 'lay-out-scales'
  | 'lay-out-tools'
  | 'lay-out-fragrance'
> = {
  protect: () => ({
    text: Object.values(PROTECTS).join(' '),
    caution:
      'Sodium hydroxide burns skin and eyes, and raw batter is caustic too: keep the gloves on to the cut. On skin or in eyes: rinse at once with plenty of running water and get medical help.',
  }),
  'read-data-sheets': ({ fragrance, colorants }) => ({
    text: `Read the ${fragrance ? 'suppliers’ data sheets for the lye and the fragrance' : 'supplier’s data sheet for the lye'}${colorants ? ', and what is said of the colorants' : ''}. They and your local rules come before this sheet.`,
  }),
  'lay-out-mould': ({ name, copies, lined, wideMm, highMm }, { length }) => ({
    text: `${copies > 1 ? `${copies} moulds` : 'Mould'}: ${name}${lined ? ', lined' : ''}, ${length(wideMm)} wide and ${length(highMm)} high inside.`,
  }),
  'lay-mat': ({ thicknessMm, reliefMm }, { length }) => ({
    text: `Texture mat on the floor, its relief up: ${length(thicknessMm)} thick, hollows ${length(reliefMm)} deep, tight to the walls so that nothing runs under it. What is poured first is the top of the bars.`,
  }),
  'set-divider': ({ walls, runs }) => ({
    text: `Divider in: ${walls} ${runs} ${walls === 1 ? 'wall' : 'walls'}, tight to the floor.`,
  }),
  'stand-columns': ({ columns }, { length }) => ({
    text:
      columns.length === 1
        ? `Column: ${columns.map((c) => columnText(c, length)).join('')}, weighted so that it stands while batter is poured round it.`
        : `${columns.length} columns: ${columns.map((c, i) => `${i + 1} ${columnText(c, length)}, ${columnPlace(c, length)}`).join('; ')}. Weighted so that they stand while batter is poured round them.`,
  }),
  'lay-out-jugs': ({ letters, stocks, known, piped }, { mass }) => ({
    text: `Jugs labelled ${letters.join(', ')}${stocks ? ', one for each stock' : ''}, and one for the lye${piped ? `; for the batch that is piped ${piped.join(', ')}, and one more for its lye` : ''}.${known.map(({ letter, name, tareG }) => ` ${letter} is ${name}, ${mass(tareG)} empty.`).join('')}`,
  }),
  'lay-out-scales': (_deed, { units }) => ({
    text: `Scale to ${units.scaleStepG} g${units.fineStepG < units.scaleStepG ? `, fine scale to ${units.fineStepG} g` : ''}, two thermometers, stick blender, spatulas, paper towels.`,
    caution: 'No aluminium anywhere near lye or raw batter.',
  }),
  'lay-out-tools': ({ tools }, say) => ({
    text: `${upperFirst(tools.map((t) => toolText(t, say)).join('; '))}.`,
  }),
  'lay-out-fragrance': () => ({ text: 'Fragrance, weighed last, lid on until then.' }),
};
