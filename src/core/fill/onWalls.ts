import type { Room } from '../mould/rooms.ts';
import { surfaceAcross } from '../mould/sectionView.ts';
import type { Lie } from '../mould/stack.ts';
import type { Wall } from '../plan/stepSchema.ts';
import type { Millimetres } from '../units/quantity.ts';

/** Heights of a surface at the left and right wall at mid-length, and at the near and far end. */
export interface OnWalls {
  readonly leftMm: Millimetres;
  readonly rightMm: Millimetres;
  readonly nearMm: Millimetres;
  readonly farMm: Millimetres;
}

export function onWalls(room: Room, { up, offset }: Pick<Lie, 'up' | 'offset'>): OnWalls {
  const wide = surfaceAcross(room.outline.section, 'section', up, offset, room.middle.y);
  const long = surfaceAcross(room.outline.side, 'side', up, offset, room.middle.x);
  const level = offset / up[2];
  return {
    leftMm: wide?.[0].z ?? level,
    rightMm: wide?.[1].z ?? level,
    nearMm: long?.[0].z ?? level,
    farMm: long?.[1].z ?? level,
  };
}

/** Level all round. */
export const levelOnWalls = (heightMm: Millimetres): OnWalls => ({
  leftMm: heightMm,
  rightMm: heightMm,
  nearMm: heightMm,
  farMm: heightMm,
});

interface PouredUpTo extends OnWalls {
  readonly settled?: OnWalls;
  readonly scraping?: { readonly pouredMm: Millimetres };
}

/** How high a layer is poured at the middle of each wall: before it is scraped, or the mould set level. */
export function pouredHeights(layer: PouredUpTo): Readonly<Record<Wall, Millimetres>> {
  const { scraping, settled } = layer;
  const { leftMm, rightMm, nearMm, farMm } = scraping ? levelOnWalls(scraping.pouredMm) : (settled ?? layer);
  return { left: leftMm, right: rightMm, near: nearMm, far: farMm };
}
