import { formatNumber } from '../../units/format.ts';
import { STIRRER_WORDS } from '../../plan/habits.ts';
import { lowerFirst } from '../../units/words.ts';
import type { Millilitres } from '../../units/quantity.ts';
import type { Deed } from '../deeds.ts';
import type { WordsFor } from './says.ts';

type Dispersing = Extract<Deed, { does: 'disperse' }>;

/** So little is told by the drop. */
const mlOf = (ml: Millilitres): string => (ml < 1 ? 'a few drops' : `${formatNumber(ml, 0)} ml`);

function dispersing({ colorant, how }: Dispersing): string {
  switch (how.kind) {
    case 'jar':
      return `Shake up the jar "${how.jar}" until nothing sits on its floor, and weigh out ${colorant}, dispersed as it is.`;
    case 'dry':
      return `Weigh out ${colorant}, to be sifted in dry: it may speckle.`;
    case 'undescribed':
      return `Disperse ${colorant} in a little light oil or water: crush out every lump.`;
    case 'oil-set-aside':
      return `Disperse ${colorant} in ${mlOf(how.ml)} of the oil set aside: crush out every lump.`;
    case 'carrier':
      return `Disperse ${colorant} in ${mlOf(how.ml)} of ${how.name}: crush out every lump.`;
  }
}

export const colourWords: WordsFor<'set-oil-aside' | 'weigh-oils' | 'disperse' | 'make-stock'> = {
  'set-oil-aside': ({ massG }, { fine }) => ({
    text: `Set aside, in a small cup, oil to disperse the colorants in: ${fine(massG)} in all. It is part of the recipe’s oils, taken out here once.`,
  }),
  'weigh-oils': ({ massG, aside, toC }, { mass, temperature }) => ({
    text: `Weigh the oils into one pot, ${mass(massG)} in all${aside ? ' without what was set aside' : ''}; melt the hard ones, mix and bring to ${temperature(toC)}.`,
  }),
  disperse: (deed) => ({
    text: `${dispersing(deed)} For ${deed.into.map((n) => (n.endsWith('stock') ? `the ${n}` : `pot ${n}`)).join(', ')}.`,
  }),
  'make-stock': ({ ombre, stock, coloured, stirrer, ofOils }) => ({
    text: `${ombre}: weigh out the ${lowerFirst(stock)}${coloured ? ` and stir in its dispersed colorant${ofOils ? '' : `, with a clean ${STIRRER_WORDS[stirrer]}`}` : ''}. Label it.${ofOils ? ' Stir it again before every draw: colorant settles.' : ''}`,
  }),
};
