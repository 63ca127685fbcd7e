import type { Plan } from '../../plan/planSchema.ts';
import type { Act } from '../act.ts';
import type { Deed } from '../deeds.ts';
import { beforeWords } from './before.ts';
import { colourWords } from './colours.ts';
import { endingWords } from './ending.ts';
import { lyeWords } from './lye.ts';
import { onTopWords } from './onTop.ts';
import { patternWords } from './patterns.ts';
import { potWords } from './pots.ts';
import { pouringWords } from './pouring.ts';
import { timingWords } from './timing.ts';
import { sayingOf, type Saying, type Words, type WordsFor } from './says.ts';

const WORDS: WordsFor<Deed['does']> = {
  ...beforeWords,
  ...lyeWords,
  ...colourWords,
  ...potWords,
  ...pouringWords,
  ...patternWords,
  ...onTopWords,
  ...endingWords,
};

/** An act in words, in the plan's units: what to do, and what to beware of. */
export function wordsOf(act: Act, plan: Plan): Words {
  const { deed, pot } = act;
  const words = WORDS[deed.does] as (deed: Deed, say: Saying) => Words;
  return { ...words(deed, sayingOf(plan, pot)), ...timingWords(act) };
}
