import { memo } from 'react';
import type { MouldGeometry } from '../../core/mould/geometry.ts';
import type { Mould } from '../../core/mould/schema.ts';
import type { View } from '../../core/mould/sectionView.ts';
import type { Frame } from './frame.ts';

interface DividersProps {
  readonly mould: Mould;
  readonly geometry: MouldGeometry;
  readonly view: View;
  readonly frame: Frame;
}

/** The removable walls, where they are cut by this view. */
export const Dividers = memo(function Dividers({ mould, geometry, view, frame }: DividersProps) {
  const { divider } = mould;
  if (!divider || (divider.runs === 'lengthwise') !== (view === 'section')) return null;
  const start = (view === 'section' ? geometry.floor.width : geometry.floor.length) / -2;
  return (
    <g className="pointer-events-none">
      {divider.atMm.map((at) => (
        <rect
          key={at}
          x={frame.x(start + at - divider.thicknessMm / 2)}
          y={frame.y(geometry.heightMm)}
          width={Math.max(1.5, divider.thicknessMm * frame.scale)}
          height={geometry.heightMm * frame.scale}
          fill="var(--plastic-line)"
        />
      ))}
    </g>
  );
});
