import { differenceCiede2000 } from 'culori/fn';
import type { Lab } from './lab.ts';

// given in L*a*b* both colours are taken as they are: no mode has to be made known to culori
const ciede2000 = differenceCiede2000();

/** Colour difference CIEDE2000 (CIE 142; Sharma, Wu & Dalal 2005), by culori. About 1 can just be seen. */
export const difference = (one: Lab, other: Lab): number =>
  ciede2000(
    { mode: 'lab65', l: one[0], a: one[1], b: one[2] },
    { mode: 'lab65', l: other[0], a: other[1], b: other[2] },
  );
