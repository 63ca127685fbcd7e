import type { Plan } from '../../plan/planSchema.ts';
import { isPiped } from '../../plan/second.ts';
import { formatPercent } from '../../units/format.ts';
import { lowerFirst } from '../../units/words.ts';
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

/**
 * Said where a vessel has more lye than its oils can use: until when, and what is left out at one's peril.
 */
function lyeHeavyWords({ lyeHeavy = [] }: Act): string | undefined {
  const [worst] = lyeHeavy.toSorted((a, b) => a.superfatPercent - b.superfatPercent);
  if (!worst) return undefined;
  const now = `More lye than the oils can use, superfat ${formatPercent(worst.superfatPercent, 2)},`;
  return worst.cure === undefined
    ? `${now} and nothing more comes in: it is no soap, keep none of it.`
    : `${now} until ${worst.cure}: leave nothing out.`;
}

/** Two lyes stand ready where something is piped: said where either meets oils. */
function twoLyesWords({ deed, ofSecond }: Act, plan: Plan): string | undefined {
  if (!isPiped(plan) || (deed.does !== 'emulsify' && deed.does !== 'combine')) return undefined;
  return `Two jugs of lye were made, each weighed for its own oils: read the label, and take the one ${ofSecond ? 'for piping' : 'of the loaf'}.`;
}

/** An act in words, in the plan's units: what to do, and what to beware of. */
export function wordsOf(act: Act, plan: Plan): Words {
  const { deed, pot } = act;
  const words = (WORDS[deed.does] as (deed: Deed, say: Saying) => Words)(deed, sayingOf(plan, pot));
  const cautions = [words.caution, twoLyesWords(act, plan), lyeHeavyWords(act)].filter(
    (c) => c !== undefined,
  );
  const text =
    act.ofSecond && deed.does !== 'begin-second' ? `For piping: ${lowerFirst(words.text)}` : words.text;
  return {
    ...words,
    text,
    ...(cautions.length > 0 ? { caution: cautions.join(' ') } : {}),
    ...timingWords(act),
  };
}
