import type { Band } from '../../core/face/face.ts';
import { memo } from 'react';
import { isOpen } from '../../core/pattern/body.ts';
import type { ViewPoint } from '../../core/mould/sectionView.ts';
import { inkOn } from '../parts/ink.ts';
import { middle, pathOf, type Scale } from './frame.ts';

interface LayerShapeProps {
  readonly band: Band;
  readonly colour: string;
  readonly frame: Scale;
  readonly chosen: boolean;
  /** shown without its letter, where there is no room for one */
  readonly bare?: boolean;
  /** with a line round it: not where what is drawn over it hides a part of it */
  readonly lined?: boolean;
  readonly onChoose?: (id: string) => void;
}

const isClear = ({ swirl }: Band): boolean => swirl !== undefined && isOpen(swirl.content);

/** Height of a convex polygon through its middle, mm: what its letter has to fit into. */
function heightAtMiddle(polygon: readonly ViewPoint[], h: number): number {
  const zs = polygon.flatMap((p, i) => {
    const q = polygon[(i + 1) % polygon.length] as ViewPoint;
    if (p.h > h === q.h > h) return [];
    return [p.z + ((q.z - p.z) * (h - p.h)) / (q.h - p.h)];
  });
  return zs.length < 2 ? 0 : Math.max(...zs) - Math.min(...zs);
}

interface DrawnProps {
  readonly id: string;
  readonly path: string;
  /** where its letter stands, px, and how large it may be; no letter where there is no room */
  readonly x: number;
  readonly y: number;
  readonly size: number | undefined;
  readonly letter: string;
  readonly colour: string;
  readonly chosen: boolean;
  readonly lined: boolean;
  readonly clear: boolean;
  readonly onChoose: ((id: string) => void) | undefined;
}

/** What is drawn of a layer, in plain figures: one that a drag does not change is not drawn again. */
const Drawn = memo(function Drawn({
  id,
  path,
  x,
  y,
  size,
  letter,
  colour,
  chosen,
  lined,
  clear,
  onChoose,
}: DrawnProps) {
  return (
    <g
      className={onChoose ? 'cursor-pointer' : undefined}
      onClick={
        onChoose &&
        (() => {
          onChoose(id);
        })
      }
    >
      {clear ? (
        <path d={path} fill="transparent" />
      ) : (
        <path d={path} fill={colour} stroke={lined ? '#1c272755' : colour} strokeWidth="0.7" />
      )}
      {size !== undefined && (
        <text x={x} y={y} textAnchor="middle" fontSize={size} fontWeight="700" fill={inkOn(colour)}>
          {letter}
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
});

/** One layer where the loaf is cut: its colour and its letter. */
export function LayerShape({ band, colour, frame, chosen, bare, lined = true, onChoose }: LayerShapeProps) {
  const { outline } = band;
  if (outline.length === 0) return null;
  const at = middle(outline);
  const tall = heightAtMiddle(outline, at.h) * frame.scale;
  return (
    <Drawn
      id={band.pourId}
      path={pathOf(outline, frame)}
      x={Math.round(frame.x(at.h) * 10) / 10}
      y={Math.round((frame.y(at.z) + 6) * 10) / 10}
      size={!bare && tall > 13 ? Math.round(Math.min(19, tall * 0.85) * 10) / 10 : undefined}
      letter={band.letters}
      colour={colour}
      chosen={chosen}
      lined={lined}
      clear={isClear(band)}
      onChoose={onChoose}
    />
  );
}
