import { boxAbout, long, wide } from '../../flow/box.ts';
import { columnOutline } from '../../mould/column.ts';
import type { Column } from '../../mould/schema.ts';
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

export const beforeWords: WordsFor<
  | 'protect'
  | 'read-data-sheets'
  | 'lay-out-mould'
  | 'lay-mat'
  | 'set-divider'
  | 'stand-columns'
  | 'lay-out-jugs'
  | 'lay-out-scales'
  | 'lay-out-fragrance'
> = {
  protect: () => ({
    text: 'Goggles, gloves, long sleeves on. Room aired. No children, no pets. Running water within reach.',
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
  'lay-out-jugs': ({ letters, stocks, known }, { mass }) => ({
    text: `Jugs labelled ${letters.join(', ')}${stocks ? ', one for each stock' : ''}, and one for the lye.${known.map(({ letter, name, tareG }) => ` ${letter} is ${name}, ${mass(tareG)} empty.`).join('')}`,
  }),
  'lay-out-scales': (_deed, { units }) => ({
    text: `Scale to ${units.scaleStepG} g${units.fineStepG < units.scaleStepG ? `, fine scale to ${units.fineStepG} g` : ''}, two thermometers, stick blender, spatulas, paper towels.`,
    caution: 'No aluminium anywhere near lye or raw batter.',
  }),
  'lay-out-fragrance': () => ({ text: 'Fragrance, weighed last, lid on until then.' }),
};
