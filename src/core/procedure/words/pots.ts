import { stageFigure } from '../../setting/stage.ts';
import { STIRRER_WORDS } from '../../plan/habits.ts';
import type { Deed } from '../deeds.ts';
import { blendedTo, type Saying, type WordsFor } from './says.ts';

type WeighingOut = Extract<Deed, { does: 'weigh-out' }>;

function weighingOut({ school, coloured, more }: WeighingOut, { pot }: Saying): string {
  if (school === 'master-blends')
    return `Blend ${pot} from the stocks${more ? ', and stir in what is its own' : ''}.`;
  const stirred = [
    ...(coloured ? [`its dispersed colorant, with a clean ${STIRRER_WORDS[coloured]}`] : []),
    ...(more ? ['what else is its own'] : []),
  ];
  return `Weigh out ${pot}${stirred.length > 0 ? `, and stir in ${stirred.join(' and ')}` : ''}.`;
}

type StirringIn = Extract<Deed, { does: 'stir-into-pot' }>;

function stirringIn(deed: StirringIn, { pot, mass }: Saying): string {
  switch (deed.at) {
    case 'emulsion':
      return `Stir into ${pot} as soon as it holds as an emulsion, then blend it on ${blendedTo(deed.blendTo)}.`;
    case 'trace':
      return deed.sinks === undefined
        ? `Stir the scent into ${pot}.`
        : `Stir into ${pot}. What is heavy sinks in batter thinner than ${stageFigure(deed.sinks)}.`;
    case 'pass':
      return `Stir into ${pot}, which holds ${mass(deed.holdsG)}: all through, to the floor of the jug.`;
    case 'pour':
      return deed.cup
        ? `Weigh batter of ${pot} into a clean cup for ${deed.pour} alone, just before it is poured, and stir in:`
        : `Just before ${deed.pour}, stir into ${pot}, which holds ${mass(deed.holdsG)}:`;
  }
}

export const potWords: WordsFor<
  | 'emulsify'
  | 'weigh-out'
  | 'colour-pot'
  | 'make-portion'
  | 'combine'
  | 'keep-plain'
  | 'keep-spare'
  | 'stir-into-pot'
> = {
  emulsify: ({ meetsC, blendTo }, { temperature }) => ({
    text: `Pour the cooled lye solution into the oils and blend in short bursts ${blendedTo(blendTo)}. They meet at about ${temperature(meetsC)} (estimate).`,
    caution: 'Keep the blender head under the surface: spatters burn.',
  }),
  'weigh-out': (deed, say) => {
    const letter = say.letterOf(deed.jugOf);
    const jug = letter === undefined ? '' : ` Into the jug of pot ${letter}, emptied and wiped out.`;
    return {
      text: weighingOut(deed, say) + jug,
    };
  },
  'colour-pot': ({ coloured, more }, { pot }) => ({
    text: coloured
      ? `Colour ${pot}, with a clean ${STIRRER_WORDS[coloured]}: stir in its dispersed colorant${more ? ' and what else is its own' : ''}.`
      : `Stir into ${pot} what is its own.`,
  }),
  'make-portion': ({ fromStocks, ownOils, coloured }, { pot }) => ({
    text: fromStocks
      ? `Make ready ${pot}: into its own jug draw from the stocks of oils, stirred first.`
      : `Make ready ${pot}: into its own jug weigh ${ownOils ? 'its own oils, melted' : 'the mixed oils'}${coloured ? ', then stir in its dispersed colorant' : ''}.`,
  }),
  combine: ({ blendTo }, { pot }) => ({
    text: `Stir the lye solution, weigh its part into ${pot}, and blend ${blendedTo(blendTo)}.`,
    caution: 'The lye solution is caustic: pour low and slowly, gloves and goggles on.',
  }),
  'keep-plain': ({ massG }, { pot, mass }) => ({
    text: `Set ${mass(massG)} of ${pot} aside, plain, before any colour goes in.`,
  }),
  'keep-spare': () => ({ text: 'Batter that goes into no pour: keep a small mould ready for it.' }),
  'stir-into-pot': (deed, say) => ({ text: stirringIn(deed, say) }),
};
