import type { Moment } from './schema.ts';

/** Where and when something goes, after "goes". */
export const MOMENT_WORDS: Readonly<Record<Moment, string>> = {
  water: 'into the water, before the lye',
  'hot-lye': 'into the hot lye',
  'cooled-lye': 'into the cooled lye',
  oils: 'into the oils',
  emulsion: 'in at emulsion',
  trace: 'in at trace',
  colour: 'in with the colour',
  pour: 'in just before the pour',
};
