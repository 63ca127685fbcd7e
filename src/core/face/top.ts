import type { PouredLayer } from '../fill/layers.ts';
import { facetsOf } from './facets.ts';
import { bandOf, type Face } from './face.ts';

/** The loaf from straight above, as it is poured: x to the right, the near end at the foot. */
export function topOf(layers: readonly PouredLayer[]): Face {
  const named = new Map(layers.map((l) => [l.pour.id, l] as const));
  return facetsOf(layers, { azimuth: 0, elevation: 90 }, undefined).flatMap(({ pourId, points }) => {
    const layer = named.get(pourId);
    return layer
      ? [
          bandOf(
            layer,
            points.map(([h, z]) => ({ h, z })),
          ),
        ]
      : [];
  });
}
