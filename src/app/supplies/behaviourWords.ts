import type { Speed } from '../../core/batter/schema.ts';
import type { Tan } from '../../core/supplies/schema.ts';

/** After "it". */
export const SPEED_WORDS: Readonly<Record<Speed, string>> = {
  slows: 'slows the batter',
  none: 'leaves the speed as it is',
  quickens: 'quickens the batter',
  'quickens-much': 'quickens the batter much',
  seizes: 'seizes',
};

export const TAN_WORDS: Readonly<Record<Tan, string>> = {
  none: 'does not tan',
  'a little': 'tans a little',
  much: 'tans much',
};
