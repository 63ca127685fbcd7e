import type { SingleBar } from '../../core/cut/singleBars.ts';
import type { Side } from '../../core/face/barFaces.ts';

/** What a side of a bar is called; a disc of a standing tube has a foot and a head. */
export function sideWord({ place }: SingleBar, side: Side): string {
  if (side === 'top') return 'top';
  if (place.slice?.by === 'floor') return side === 'near' ? 'lower face' : 'upper face';
  if (place.slice) return side === 'near' ? 'left face' : 'right face';
  if (place.piece.axis === 'z') return side === 'near' ? 'foot' : 'head';
  return `${side} face`;
}

/** Where in the loaf a bar comes from: "near end, left wall", "centre"; nothing for one in between. */
export const whereFrom = ({ beside, centre }: SingleBar): string =>
  [...beside, ...(centre ? ['centre'] : [])].join(', ');
