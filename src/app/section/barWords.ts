import type { SingleBar } from '../../core/cut/singleBars.ts';
import type { Side } from '../../core/face/barFaces.ts';

/** What each side of a bar is called; a disc of a standing tube has a foot and a head. */
export const sideWords = (bar: SingleBar): Readonly<Partial<Record<Side, string>>> =>
  bar.place.piece.axis === 'z'
    ? { near: 'foot', far: 'head' }
    : { near: 'near face', far: 'far face', top: 'top' };

/** Where in the loaf a bar comes from: "near end, left wall", "centre"; nothing for one in between. */
export const whereFrom = ({ beside, centre }: SingleBar): string =>
  [...beside, ...(centre ? ['centre'] : [])].join(', ');
