import type { PouredLayer } from '../fill/layers.ts';
import { clip } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { volumeOf } from '../geometry/volume.ts';
import { remembered } from '../task/remembered.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Grams, Millilitres } from '../units/quantity.ts';

/** The parts of a layer that columns stood in: its holes, filled from what is held back, in convex pieces. */
export const holesOf = remembered(({ blocked, up, offset }: PouredLayer): readonly Polyhedron[] =>
  blocked.map((b) => clip(b, { normal: up, offset }).below).filter((b) => b.faces.length > 0),
);

const holeIn = remembered(
  (layer: PouredLayer): Millilitres => holesOf(layer).reduce((sum, b) => sum + volumeOf(b), 0) / MM3_PER_ML,
);

/** The holes that columns leave when they are pulled after these layers. */
export const holeVolumeMl = (layers: readonly PouredLayer[]): Millilitres =>
  layers.reduce((sum, l) => sum + holeIn(l), 0);

export const holeMassG = (layers: readonly PouredLayer[]): Grams =>
  layers.reduce((sum, l) => sum + holeIn(l) * l.densityGMl, 0);
