import type { Box } from '../flow/box.ts';
import type { slopeToLevel } from '../flow/settle.ts';
import type { Move, Spot } from '../flow/spec.ts';
import type { Millimetres } from '../units/quantity.ts';

/** Tells a place of a sloping block as it would lie level, mm, written over. */
export type ToLevel = ReturnType<typeof slopeToLevel>;

/** The same of a wire's way, half way along it. */
export function levelledWire(
  move: Extract<Move, { does: 'wire' }>,
  toLevel: ToLevel,
  { x0, x1, y0, y1 }: Box,
): Move {
  const path = move.path.map(([h, z]): Spot => {
    const place: [number, number, number] = move.axis === 0 ? [h, (y0 + y1) / 2, z] : [(x0 + x1) / 2, h, z];
    toLevel(place);
    return [place[move.axis], place[2]];
  });
  return { ...move, path };
}

/**
 * A stick's ways where they lie once the mould is level; they are on the surface, or as far below it as it
 * goes.
 */
export const levelledPaths = (
  paths: readonly (readonly Spot[])[],
  toLevel: ToLevel,
  surfaceAt: (x: number, y: number) => Millimetres,
): readonly (readonly Spot[])[] =>
  paths.map((path) =>
    path.map(([x, y]): Spot => {
      const place: [number, number, number] = [x, y, surfaceAt(x, y)];
      toLevel(place);
      return [place[0], place[1]];
    }),
  );
