import type { ViewPoint } from '../../core/mould/sectionView.ts';
import type { Pot } from '../../core/plan/planSchema.ts';
import { inkOn } from '../parts/ink.ts';
import { middle, pathOf, type Frame } from './frame.ts';

interface LayerShapeProps {
  readonly polygon: readonly ViewPoint[];
  readonly pot: Pot;
  readonly colour: string;
  readonly frame: Frame;
  readonly chosen: boolean;
  /** shown without its letter, where there is no room for one */
  readonly bare?: boolean;
  readonly onChoose?: () => void;
}

/** Height of a convex polygon through its middle, mm: what its letter has to fit into. */
function heightAtMiddle(polygon: readonly ViewPoint[], h: number): number {
  const zs = polygon.flatMap((p, i) => {
    const q = polygon[(i + 1) % polygon.length] as ViewPoint;
    if (p.h > h === q.h > h) return [];
    return [p.z + ((q.z - p.z) * (h - p.h)) / (q.h - p.h)];
  });
  return zs.length < 2 ? 0 : Math.max(...zs) - Math.min(...zs);
}

/** One layer in a flat view: its colour and its letter. */
export function LayerShape({ polygon, pot, colour, frame, chosen, bare, onChoose }: LayerShapeProps) {
  if (polygon.length === 0) return null;
  const at = middle(polygon);
  const tall = heightAtMiddle(polygon, at.h) * frame.scale;
  const path = pathOf(polygon, frame);
  return (
    <g className={onChoose ? 'cursor-pointer' : undefined} onClick={onChoose}>
      <path d={path} fill={colour} stroke="#1c272755" strokeWidth="0.7" />
      {!bare && tall > 13 && (
        <text
          x={frame.x(at.h)}
          y={frame.y(at.z) + 6}
          textAnchor="middle"
          fontSize={Math.min(19, tall * 0.85)}
          fontWeight="700"
          fill={inkOn(colour)}
        >
          {pot.letter}
        </text>
      )}
      {chosen && (
        <path
          d={path}
          fill="none"
          stroke="var(--color-base-content)"
          strokeWidth="2.2"
          strokeLinejoin="round"
        />
      )}
    </g>
  );
}
