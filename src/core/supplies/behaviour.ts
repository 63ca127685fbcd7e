import { SPEEDS, type Speed } from '../batter/schema.ts';
import type { FragranceStock } from './schema.ts';

/** The quickest that was seen of a fragrance: what is planned for. Undefined while nothing was seen. */
export const seenSpeed = ({ observed }: FragranceStock): Speed | undefined =>
  observed.map((o) => o.speed).toSorted((a, b) => SPEEDS.indexOf(b) - SPEEDS.indexOf(a))[0];

/** How it behaves as far as is known: what was seen comes before what its supplier says. */
export const knownSpeed = (fragrance: FragranceStock): Speed | undefined =>
  seenSpeed(fragrance) ?? fragrance.claimed?.speed;
