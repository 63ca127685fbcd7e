import { cutLines } from '../../core/cut/cutLines.ts';
import { setPlace } from '../../core/edit/pattern.ts';
import { strokePaths } from '../../core/pattern/blocks.ts';
import { useAppSelector } from '../../store/store.ts';
import { useDrawn, useMouldUse } from '../parts/usePlan.ts';
import { ColumnMarks } from './ColumnMarks.tsx';
import { MoveHandle } from './MoveHandle.tsx';
import { pointsText, type Spotted } from './plan.ts';

/**
 * Over the loaf from above: where it is cut, where the column stands, where drops fall, and the way of the
 * stick that is chosen.
 */
export function PlanMarks({ spot, scale }: Spotted) {
  const { plan, computed, edit } = useDrawn('geometry', 'stack', 'cut');
  const { follows } = useMouldUse();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const step = plan.steps.find((s) => s.id === chosen);
  const place = step?.kind === 'pour' ? step.pattern?.place : undefined;
  const stroke = step?.kind === 'stroke' ? strokePaths(computed, step) : [];
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
          <polyline points={pointsText(path, spot)} stroke="#fafbf8" strokeWidth="3.4" opacity="0.8" />
          <polyline points={pointsText(path, spot)} stroke="var(--color-accent)" strokeWidth="1.6" />
          <circle
            cx={spot(path.at(-1) ?? [0, 0])[0]}
            cy={spot(path.at(-1) ?? [0, 0])[1]}
            r="2.6"
            fill="var(--color-accent)"
          />
        </g>
      ))}
      {!follows && <ColumnMarks spot={spot} scale={scale} />}
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
