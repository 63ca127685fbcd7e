/** A share as so many of a hundred times; what is nearly never, or nearly always, is not told as never or always that it is not. */
export const ofHundred = (share: number): string =>
  share > 0.995
    ? '100 of 100'
    : share > 0 && share < 0.01
      ? 'under 1 of 100'
      : `${Math.round(share * 100)} of 100`;
