import { useMemo } from 'react';
import type { Facet, FacetPlane } from '../../core/face/facets.ts';
import { isOpen } from '../../core/pattern/body.ts';
import { darker } from '../../core/face/shade.ts';
import { Swirls } from './Swirls.tsx';

interface SwirlFacetProps {
  readonly facet: Facet;
  readonly plane: FacetPlane;
  /** px of a point of the screen in mm */
  readonly spot: (p: readonly [number, number]) => readonly [number, number];
  /** px a mm */
  readonly scale: number;
  readonly colours: ReadonlyMap<string, string>;
}

/** Every colour as it is in so much light. */
const lit = (colours: ReadonlyMap<string, string>, light: number): ReadonlyMap<string, string> =>
  new Map([...colours].map(([key, hex]) => [key, darker(hex, light)]));

/**
 * A face of the loaf in three dimensions: under parallel projection it is its picture seen square on, under
 * one affine map. Turning the loaf moves the picture and draws nothing new. One that says where nothing is is
 * lit itself: what is behind it is seen through it.
 */
export function SwirlFacet({ facet, plane, spot, scale, colours }: SwirlFacetProps) {
  const [x0, y0] = spot(plane.origin);
  const [ax, ay] = plane.across;
  const [ux, uy] = plane.up;
  const { light } = facet;
  const clear = plane.band.swirl !== undefined && isOpen(plane.band.swirl.content);
  const painted = useMemo(() => (clear ? lit(colours, light) : colours), [clear, colours, light]);
  return (
    <g>
      <g transform={`matrix(${ax} ${0 - ay} ${0 - ux} ${uy} ${x0} ${y0})`}>
        <Swirls
          face={[plane.band]}
          frame={{ scale, x: (h) => h * scale, y: (z) => 0 - z * scale }}
          colours={painted}
          edged={false}
        />
      </g>
      {!clear && (
        <polygon
          points={facet.points
            .map((p) =>
              spot(p)
                .map((v) => v.toFixed(1))
                .join(','),
            )
            .join(' ')}
          fill="#000000"
          fillOpacity={0.58 * (1 - light)}
          stroke="#1c2727"
          strokeOpacity={0.25}
          strokeWidth="0.8"
        />
      )}
    </g>
  );
}
