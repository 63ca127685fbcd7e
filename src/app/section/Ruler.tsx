import { memo } from 'react';
import type { LengthUnit } from '../../core/units/format.ts';
import { MM_PER_INCH } from '../../core/units/factors.ts';
import type { Frame } from './frame.ts';

/** Heights above the lined floor, up the left of the drawing. */
export const Ruler = memo(function Ruler({
  frame,
  x,
  heightMm,
  unit,
}: {
  readonly frame: Frame;
  readonly x: number;
  readonly heightMm: number;
  readonly unit: LengthUnit;
}) {
  const inch = unit === 'in';
  const step = inch ? MM_PER_INCH / 2 : 10;
  const every = step * frame.scale < 17 ? 2 : 1;
  const marks = Array.from({ length: Math.floor(heightMm / step) + 1 }, (_, i) => i).filter(
    (i) => i % every === 0,
  );
  return (
    <g className="quiet" fontSize="12.5" fill="currentColor" stroke="none">
      <text x={x} y={frame.y(heightMm) - 14} textAnchor="end">
        {unit}
      </text>
      {marks.map((i) => (
        <g key={i}>
          <text x={x - 8} y={frame.y(i * step) + 4} textAnchor="end">
            {inch ? (i / 2).toString() : i * 10}
          </text>
          <path d={`M${x - 4},${frame.y(i * step)}h6`} stroke="currentColor" />
        </g>
      ))}
    </g>
  );
});
