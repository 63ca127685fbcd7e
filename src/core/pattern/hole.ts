import type { PouredLayer } from '../fill/layers.ts';
import { clip } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { volumeOf } from '../geometry/volume.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Grams, Millilitres } from '../units/quantity.ts';

/** The part of a layer that a column stood in: its hole, filled from what is held back. */
export const holeOf = ({ blocked, up, offset }: PouredLayer): Polyhedron | undefined =>
  blocked && clip(blocked, { normal: up, offset }).below;

function holeIn(layer: PouredLayer): Millilitres {
  const hole = holeOf(layer);
  return hole && hole.faces.length > 0 ? volumeOf(hole) / MM3_PER_ML : 0;
}

/** The hole that a column leaves when it is pulled after these layers. */
export const holeVolumeMl = (layers: readonly PouredLayer[]): Millilitres =>
  layers.reduce((sum, l) => sum + holeIn(l), 0);

export const holeMassG = (layers: readonly PouredLayer[]): Grams =>
  layers.reduce((sum, l) => sum + holeIn(l) * l.densityGMl, 0);
