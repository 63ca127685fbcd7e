import { cutLines } from '../../core/cut/cutLines.ts';
import { setPlace } from '../../core/edit/pattern.ts';
import { columnIn, strokePaths } from '../../core/pattern/blocks.ts';
import { useAppSelector } from '../../store/store.ts';
import { useBench } from '../parts/usePlan.ts';
import { MoveHandle } from './MoveHandle.tsx';

type Px = readonly [x: number, y: number];

interface PlanMarksProps {
  /** px of a place of the plan, mm */
  readonly spot: (p: readonly [number, number]) => Px;
  /** px a mm */
  readonly scale: number;
}

const points = (list: readonly (readonly [number, number])[], spot: PlanMarksProps['spot']): string =>
  list
    .map((p) =>
      spot(p)
        .map((v) => v.toFixed(1))
        .join(','),
    )
    .join(' ');

/** Over the loaf from above: where it is cut, where the column stands, where drops fall, and the way of the stick that is chosen. */
export function PlanMarks({ spot, scale }: PlanMarksProps) {
  const { plan, computed, edit, show, follows } = useBench();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const step = plan.steps.find((s) => s.id === chosen);
  const column = computed.geometry.rooms.flatMap((room) => columnIn(plan, room) ?? []);
  const place = step?.kind === 'pour' ? step.pattern?.place : undefined;
  const stroke = step?.kind === 'stroke' ? strokePaths(computed, step) : [];
  const { column: standing } = plan.mould;
  return (
    <g>
      {cutLines(computed).map(({ from, to }, i) => {
        const [[x1, y1], [x2, y2]] = [spot(from), spot(to)];
        return (
          <g key={i} className="pointer-events-none" strokeWidth="1.1">
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#fafbf8" opacity="0.75" />
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke="#1c2727" strokeDasharray="3 4" />
          </g>
        );
      })}
      {stroke.map((path, i) => (
        <g key={i} fill="none" strokeLinecap="round" className="pointer-events-none">
          <polyline points={points(path, spot)} stroke="#fafbf8" strokeWidth="3.4" opacity="0.8" />
          <polyline points={points(path, spot)} stroke="var(--color-accent)" strokeWidth="1.6" />
          <circle
            cx={spot(path.at(-1) ?? [0, 0])[0]}
            cy={spot(path.at(-1) ?? [0, 0])[1]}
            r="2.6"
            fill="var(--color-accent)"
          />
        </g>
      ))}
      {standing && column.length > 0 && !follows && (
        <MoveHandle
          scale={scale}
          at={[standing.xMm, standing.yMm]}
          label={`The column, ${show.length(standing.xMm)} right of the middle and ${show.length(standing.yMm)} beyond it: arrow keys move it`}
          onMove={(xMm, yMm, gesture) =>
            edit(
              (p) =>
                p.mould.column ? { ...p, mould: { ...p.mould, column: { ...p.mould.column, xMm, yMm } } } : p,
              gesture,
            )
          }
        >
          <polygon
            points={points(column, spot)}
            fill="#fafbf8"
            fillOpacity="0.12"
            stroke="#fafbf8"
            strokeWidth="3"
          />
          <polygon
            points={points(column, spot)}
            fill="none"
            stroke="#1c2727"
            strokeWidth="1.4"
            strokeDasharray="5 4"
          />
        </MoveHandle>
      )}
      {place?.at === 'drops' &&
        !follows &&
        place.spots.map((s, i) => {
          const [x, y] = spot([s.xMm, s.yMm]);
          return (
            <MoveHandle
              key={i}
              scale={scale}
              at={[s.xMm, s.yMm]}
              label={`Place ${i + 1}: arrow keys move it`}
              onMove={(xMm, yMm, gesture) =>
                edit(
                  (p) => setPlace(p, step?.id ?? '', { ...place, spots: place.spots.with(i, { xMm, yMm }) }),
                  gesture,
                )
              }
            >
              <circle
                cx={x}
                cy={y}
                r="13"
                fill="#fafbf8"
                fillOpacity="0.85"
                stroke="#1c2727"
                strokeWidth="1.4"
              />
              <text x={x} y={y + 4.5} textAnchor="middle" fontSize="13" fontWeight="700" fill="#1c2727">
                {i + 1}
              </text>
            </MoveHandle>
          );
        })}
    </g>
  );
}
