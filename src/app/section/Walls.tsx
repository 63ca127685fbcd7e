import type { Inside } from '../../core/mould/inside.ts';
import type { Mould } from '../../core/mould/schema.ts';
import { pathOf, WALL_MM, type Frame } from './frame.ts';

/** The mould's cut walls: hatched wood, plain silicone or plastic. Tools and wood are drawn straight. */
export function Walls({
  mould,
  inside,
  frame,
}: {
  readonly mould: Mould;
  readonly inside: Inside;
  readonly frame: Frame;
}) {
  const t = WALL_MM[mould.material];
  const f = inside.floor.width / 2;
  const r = inside.rim.width / 2;
  const top = inside.heightMm;
  const outline = pathOf(
    [
      { h: -r - t, z: top },
      { h: -f - t, z: -t },
      { h: f + t, z: -t },
      { h: r + t, z: top },
      { h: r, z: top },
      { h: f, z: 0 },
      { h: -f, z: 0 },
      { h: -r, z: top },
    ],
    frame,
  );
  return (
    <g>
      <defs>
        <pattern id="wood" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(32)">
          <rect width="9" height="9" fill="var(--wood)" />
          <path d="M0 2.5H9M0 7H9" stroke="var(--wood-line)" strokeWidth="0.6" opacity="0.45" />
        </pattern>
      </defs>
      <path
        d={outline}
        fill={mould.material === 'wood' ? 'url(#wood)' : `var(--${mould.material})`}
        stroke={`var(--${mould.material}-line)`}
        strokeWidth="1.25"
        strokeLinejoin={mould.material === 'silicone' ? 'round' : 'miter'}
      />
    </g>
  );
}
