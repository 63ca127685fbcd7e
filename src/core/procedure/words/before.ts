import type { WordsFor } from './says.ts';

export const beforeWords: WordsFor<
  | 'protect'
  | 'read-data-sheets'
  | 'lay-out-mould'
  | 'lay-mat'
  | 'set-divider'
  | 'stand-column'
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
  'stand-column': ({ form, acrossMm }, { length }) => ({
    text: `Column: ${form}, ${length(acrossMm)} across, weighted so that it stands while batter is poured round it.`,
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
