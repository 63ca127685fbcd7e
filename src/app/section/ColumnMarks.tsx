import { useState } from 'react';
import { putColumn } from '../../core/edit/columns.ts';
import { columnOutline, columnsIn } from '../../core/mould/column.ts';
import type { Column } from '../../core/mould/schema.ts';
import { upperFirst } from '../../core/units/words.ts';
import type { Gesture } from '../../store/gesture.ts';
import { useDrawn } from '../parts/usePlan.ts';
import { MoveHandle } from './MoveHandle.tsx';
import { pointsText, type Spotted } from './plan.ts';

/** How far outside a column its turning handle is, px. */
const BEYOND = 26;

/** How near a handle is taken, px. */
const GRASP = 14;

const DEGREE = Math.PI / 180;

type Turned = Exclude<Column, { form: 'round' }>;

/** From -180 to 180, whole. */
const wrapped = (degrees: number): number => {
  const turn = Math.round(degrees) % 360;
  return turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
};

interface MarksProps extends Spotted {
  readonly column: Turned;
  readonly name: string;
  readonly onPut: (column: Column, gesture: Gesture | undefined) => void;
}

/** A handle at the end of an arm: dragged round, or turned with the arrow keys by a degree. */
function TurnHandle({ column, name, spot, scale, onPut }: MarksProps) {
  const { turnDeg = 0, xMm, yMm } = column;
  const outline = columnOutline(column);
  const far = Math.max(...outline.map(([x, y]) => Math.hypot(x - xMm, y - yMm))) + BEYOND / scale;
  const angle = (turnDeg + 90) * DEGREE;
  const at = [xMm + far * Math.cos(angle), yMm + far * Math.sin(angle)] as const;
  const [x, y] = spot(at);
  const [cx, cy] = spot([xMm, yMm]);
  const turnTo = (degrees: number, gesture: Gesture | undefined): void => {
    onPut({ ...column, turnDeg: wrapped(degrees) }, gesture);
  };
  return (
    <MoveHandle
      scale={scale}
      at={at}
      label={`${name} is turned ${turnDeg}°: arrow keys turn it`}
      onMove={(hx, hy, gesture) => turnTo(Math.atan2(hy - yMm, hx - xMm) / DEGREE - 90, gesture)}
      onArrow={(right, up) => turnTo(turnDeg - right + up, undefined)}
    >
      <g className="pointer-events-none">
        <line x1={cx} y1={cy} x2={x} y2={y} stroke="#fafbf8" strokeWidth="3" opacity="0.6" />
        <line x1={cx} y1={cy} x2={x} y2={y} stroke="#1c2727" strokeWidth="1.2" />
      </g>
      <circle cx={x} cy={y} r={GRASP} fill="transparent" />
      <circle cx={x} cy={y} r="7" fill="var(--color-accent)" stroke="#1c2727" strokeWidth="1.5" />
    </MoveHandle>
  );
}

/**
 * The corners of a column of own outline, each with a handle; Delete takes one out while more than three are
 * left.
 */
function Corners({
  column,
  name,
  spot,
  scale,
  onPut,
}: MarksProps & { readonly column: Extract<Column, { form: 'own' }> }) {
  const { points, turnDeg = 0, xMm, yMm } = column;
  const [c, s] = [Math.cos(turnDeg * DEGREE), Math.sin(turnDeg * DEGREE)];
  const tenth = (mm: number): number => Math.round(mm * 10) / 10;
  return (
    <>
      {points.map((p, i) => {
        const at = [xMm + p.xMm * c - p.yMm * s, yMm + p.xMm * s + p.yMm * c] as const;
        const [x, y] = spot(at);
        const remove = (): void => {
          onPut({ ...column, points: points.toSpliced(i, 1) }, undefined);
        };
        return (
          <MoveHandle
            key={i}
            scale={scale}
            at={at}
            label={`Corner ${i + 1} of ${name}: arrow keys move it, Delete takes it out`}
            {...(points.length > 3 ? { onRemove: remove } : {})}
            onMove={(px, py, gesture) => {
              const [dx, dy] = [px - xMm, py - yMm];
              const corner = { xMm: tenth(dx * c + dy * s), yMm: tenth(dy * c - dx * s) };
              onPut({ ...column, points: points.with(i, corner) }, gesture);
            }}
          >
            <circle cx={x} cy={y} r={GRASP} fill="transparent" />
            <circle cx={x} cy={y} r="5.5" fill="#fafbf8" stroke="#1c2727" strokeWidth="1.5" />
          </MoveHandle>
        );
      })}
    </>
  );
}

/** Where columns stand, seen from above: dragged, turned, and drawn at their corners. */
export function ColumnMarks({ spot, scale }: Spotted) {
  const { plan, edit, show } = useDrawn();
  const columns = columnsIn(plan.mould);
  const [picked, setPicked] = useState<string | null>(null);
  const shown = columns.find((c) => c.id === picked) ?? (columns.length === 1 ? columns[0] : undefined);
  const put = (column: Column, gesture: Gesture | undefined): void => {
    edit((p) => putColumn(p, column), gesture);
  };
  const nameOf = (column: Column): string =>
    columns.length === 1 ? 'the column' : `column ${columns.indexOf(column) + 1}`;
  return (
    <g>
      {columns.map((column, i) => {
        const text = pointsText(columnOutline(column), spot);
        const { xMm, yMm } = column;
        const [x, y] = spot([xMm, yMm]);
        return (
          <MoveHandle
            key={column.id}
            scale={scale}
            at={[xMm, yMm]}
            label={`${upperFirst(nameOf(column))}, ${show.length(xMm)} right of the middle and ${show.length(yMm)} beyond it: arrow keys move it`}
            onChoose={() => setPicked(column.id)}
            onMove={(mx, my, gesture) => put({ ...column, xMm: mx, yMm: my }, gesture)}
          >
            <polygon points={text} fill="#fafbf8" fillOpacity="0.12" stroke="#fafbf8" strokeWidth="3" />
            <polygon
              points={text}
              fill="none"
              stroke="#1c2727"
              strokeWidth={column === shown ? 1.8 : 1.4}
              strokeDasharray="5 4"
            />
            {columns.length > 1 && (
              <>
                <circle cx={x} cy={y} r="11" fill="#fafbf8" fillOpacity="0.85" stroke="#1c2727" />
                <text x={x} y={y + 4.5} textAnchor="middle" fontSize="13" fontWeight="700" fill="#1c2727">
                  {i + 1}
                </text>
              </>
            )}
          </MoveHandle>
        );
      })}
      {shown && shown.form !== 'round' && (
        <TurnHandle column={shown} name={upperFirst(nameOf(shown))} spot={spot} scale={scale} onPut={put} />
      )}
      {shown?.form === 'own' && (
        <Corners column={shown} name={nameOf(shown)} spot={spot} scale={scale} onPut={put} />
      )}
    </g>
  );
}
