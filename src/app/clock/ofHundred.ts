/** A share as so many of a hundred times: nobody is told never, or always. */
export const ofHundred = (share: number): string =>
  share > 0.985 ? 'over 98 of 100' : share < 0.01 ? 'under 1 of 100' : `${Math.round(share * 100)} of 100`;
