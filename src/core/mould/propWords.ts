import type { Under } from './propped.ts';

/** Where a prop stands, after "under". */
export const UNDER_WORDS: Readonly<Record<Under, string>> = {
  'right-edge': 'the right edge',
  'left-edge': 'the left edge',
  'far-end': 'the far end',
  'near-end': 'the near end',
  'right-far': 'the right far corner',
  'left-far': 'the left far corner',
  'right-near': 'the right near corner',
  'left-near': 'the left near corner',
};
