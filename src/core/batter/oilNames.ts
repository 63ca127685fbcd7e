import { OIL_LIBRARY } from './oilLibrary.ts';
import type { Oil } from './oil.ts';

/** Words that say how an oil was made or sold, not which one it is. */
const NOT_THE_NAME = new Set([
  'oil',
  'oils',
  'of',
  'the',
  'and',
  'butter',
  'fat',
  'pure',
  'raw',
  'refined',
  'unrefined',
  'organic',
  'virgin',
  'extra',
  'light',
  'pomace',
  'cold',
  'pressed',
  'deodorised',
  'deodorized',
  'melted',
  'flakes',
  'sweet',
  'low',
  'erucic',
  'beef',
  'seed',
  'bean',
  'sustainable',
]);

/** Other names of oils in the library, by what is left once the words above are taken out. */
const ALSO: Readonly<Record<string, string>> = {
  canola: 'rapeseed',
  rape: 'rapeseed',
  soy: 'soya',
  soybean: 'soya',
  corn: 'maize',
  peanut: 'groundnut',
  flax: 'linseed',
  flaxseed: 'linseed',
  evoo: 'olive',
  cacao: 'cocoa',
  'ho sunflower': 'sunflower-high-oleic',
  pko: 'palm-kernel',
};

/** The words of a name that tell oils apart, in order of the alphabet. */
const wordsOf = (name: string): readonly string[] =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .split(/[^a-z0-9]+/)
    .filter((w) => w !== '' && !NOT_THE_NAME.has(w));

const keyOf = (name: string): string => wordsOf(name).toSorted().join(' ');

const BY_KEY = new Map(OIL_LIBRARY.flatMap((o) => [[keyOf(o.name), o] as const, [keyOf(o.id), o] as const]));

/** The library's oil that a maker's words name; undefined where none does, or more than one could. */
export function oilNamed(written: string): Oil | undefined {
  const key = keyOf(written);
  if (key === '') return undefined;
  const also = ALSO[wordsOf(written).join(' ')] ?? ALSO[key];
  if (also !== undefined) return OIL_LIBRARY.find((o) => o.id === also);
  return BY_KEY.get(key);
}
