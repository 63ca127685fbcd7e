import type { MouldFacts } from '../../core/advice/facts.ts';
import type { SingleBar } from '../../core/cut/singleBars.ts';
import { sideOfBar, type Side } from '../../core/face/barFaces.ts';
import type { FramedFace } from '../../core/face/framed.ts';

/** A side of one of a mould's bars. */
export function sideIn(
  { stack, geometry, fill }: Pick<MouldFacts, 'stack' | 'geometry' | 'fill'>,
  bar: SingleBar,
  side: Side,
): FramedFace {
  const room = geometry.rooms[bar.place.piece.room];
  return sideOfBar({ layers: stack.layers.filter((l) => l.room === room), fillMm: fill.heightMm }, bar, side);
}
