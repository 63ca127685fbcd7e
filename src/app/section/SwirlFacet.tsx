import type { Facet, FacetPlane } from '../../core/face/facets.ts';
import { isOpen } from '../../core/pattern/body.ts';
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

/**
 * A face of the loaf in three dimensions: under parallel projection it is its picture seen square on, under one affine map. Turning the loaf moves the picture and draws
 * nothing new.
 */
export function SwirlFacet({ facet, plane, spot, scale, colours }: SwirlFacetProps) {
  const [x0, y0] = spot(plane.origin);
  const [ax, ay] = plane.across;
  const [ux, uy] = plane.up;
  const dark = 0.58 * (1 - facet.light);
  return (
    <g>
      <g transform={`matrix(${ax} ${0 - ay} ${0 - ux} ${uy} ${x0} ${y0})`}>
        <Swirls
          face={[plane.band]}
          frame={{ scale, x: (h) => h * scale, y: (z) => 0 - z * scale }}
          colours={colours}
        />
      </g>
      <polygon
        points={facet.points
          .map((p) =>
            spot(p)
              .map((v) => v.toFixed(1))
              .join(','),
          )
          .join(' ')}
        fill="#000000"
        fillOpacity={dark}
        stroke={plane.band.swirl && isOpen(plane.band.swirl.content) ? 'none' : '#1c2727'}
        strokeOpacity={0.25}
        strokeWidth="0.8"
      />
    </g>
  );
}
