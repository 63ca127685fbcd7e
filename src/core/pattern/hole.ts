import type { PouredLayer } from '../fill/layers.ts';
import { clip } from '../geometry/clip.ts';
import { volumeOf } from '../geometry/volume.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import type { Grams, Millilitres } from '../units/quantity.ts';

/** The hole that a column leaves when it is pulled after these layers: the part of each that it stood in. */
export const holeVolumeMl = (layers: readonly PouredLayer[]): Millilitres =>
  layers.reduce((sum, l) => sum + holeIn(l), 0);

export const holeMassG = (layers: readonly PouredLayer[]): Grams =>
  layers.reduce((sum, l) => sum + holeIn(l) * l.densityGMl, 0);

function holeIn({ blocked, up, offset }: PouredLayer): Millilitres {
  if (!blocked) return 0;
  const { below } = clip(blocked, { normal: up, offset });
  return below.faces.length > 0 ? volumeOf(below) / MM3_PER_ML : 0;
}
