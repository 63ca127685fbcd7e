import { memo, useId } from 'react';
import type { Mould } from '../../core/mould/schema.ts';
import type { ViewPoint } from '../../core/mould/sectionView.ts';
import { drawnWallMm, type Frame } from './frame.ts';

interface WallsProps {
  readonly mould: Mould;
  /** the lined inside in this view */
  readonly outline: readonly ViewPoint[];
  readonly frame: Frame;
}

/** The outline from the left rim down round the floor to the right rim: the wall without the opening. */
function wallLine(outline: readonly ViewPoint[]): readonly ViewPoint[] {
  const top = Math.max(...outline.map((p) => p.z)) - 1e-6;
  const n = outline.length;
  const rimLeft = outline.reduce(
    (best, p, i) => (p.z >= top && (best < 0 || p.h < (outline[best] as ViewPoint).h) ? i : best),
    -1,
  );
  const at = (i: number): ViewPoint => outline[((i % n) + n) % n] as ViewPoint;
  const step = at(rimLeft + 1).z < top ? 1 : -1;
  const line = Array.from({ length: n }, (_, k) => at(rimLeft + step * k));
  // a lying tube is closed: its wall runs all the way round
  return line.filter((p) => p.z >= top).length === 1 ? [...line, at(rimLeft)] : line;
}

/** The mould's cut walls: hatched wood, plain silicone or plastic. Tools and wood are drawn straight. */
export const Walls = memo(function Walls({ mould, outline, frame }: WallsProps) {
  // several loaves can stand on one page, some of them hidden: each has a grain of its own
  const wood = useId();
  const path = `M${wallLine(outline)
    .map((p) => `${frame.x(p.h).toFixed(2)},${frame.y(p.z).toFixed(2)}`)
    .join('L')}`;
  const thick = 2 * drawnWallMm(mould) * frame.scale;
  const round = mould.material === 'silicone' ? 'round' : 'miter';
  return (
    <g fill="none" strokeLinejoin={round}>
      <defs>
        <pattern id={wood} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(32)">
          <rect width="9" height="9" fill="var(--wood)" />
          <path d="M0 2.5H9M0 7H9" stroke="var(--wood-line)" strokeWidth="0.6" opacity="0.45" />
        </pattern>
      </defs>
      <path d={path} stroke={`var(--${mould.material}-line)`} strokeWidth={thick + 2.4} />
      <path
        d={path}
        stroke={mould.material === 'wood' ? `url(#${wood})` : `var(--${mould.material})`}
        strokeWidth={thick}
      />
      <path d={`${path}Z`} fill="var(--mould-air)" stroke="var(--mould-air)" strokeWidth="1.6" />
      <path d={path} stroke={`var(--${mould.material}-line)`} strokeWidth="1.2" />
    </g>
  );
});
