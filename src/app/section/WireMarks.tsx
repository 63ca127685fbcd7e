import { moveWirePoint, removeWirePoint } from '../../core/edit/wire.ts';
import { wireWay } from '../../core/pattern/wirePath.ts';
import type { Wire } from '../../core/plan/stepSchema.ts';
import { useBench } from '../parts/usePlan.ts';
import type { Scale } from './frame.ts';
import { MoveHandle } from './MoveHandle.tsx';

interface WireMarksProps {
  readonly wire: Wire;
  readonly frame: Scale;
  /** it can be moved here */
  readonly editable: boolean;
}

/** A wire's way over the section that it is seen in: its points are dragged, or moved with the arrow keys. */
export function WireMarks({ wire, frame, editable }: WireMarksProps) {
  const { edit, show } = useBench();
  const way = wireWay(wire.points)
    .map(([h, z]) => `${frame.x(h).toFixed(1)},${frame.y(z).toFixed(1)}`)
    .join(' ');
  const last = wire.points.length - 1;
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      <g className="pointer-events-none">
        <polyline
          points={way}
          stroke="#fafbf8"
          strokeWidth={Math.max(4, wire.girthMm * frame.scale)}
          opacity="0.22"
        />
        <polyline points={way} stroke="#1c2727" strokeWidth="1.6" />
      </g>
      {editable &&
        wire.points.map((p, i) => (
          <MoveHandle
            key={i}
            scale={frame.scale}
            at={[p.acrossMm, p.heightMm]}
            label={`Point ${i + 1} of the wire, ${show.length(p.acrossMm)} right of the middle and ${show.length(p.heightMm)} above the floor: arrow keys move it${last > 1 ? ', Delete takes it out' : ''}`}
            onMove={(acrossMm, heightMm, gesture) =>
              edit((plan) => moveWirePoint(plan, wire.id, i, { acrossMm, heightMm }), gesture)
            }
            {...(last > 1 ? { onRemove: () => edit((plan) => removeWirePoint(plan, wire.id, i)) } : {})}
          >
            <circle cx={frame.x(p.acrossMm)} cy={frame.y(p.heightMm)} r="14" fill="transparent" />
            <circle
              cx={frame.x(p.acrossMm)}
              cy={frame.y(p.heightMm)}
              r={i === 0 || i === last ? 7 : 5.5}
              fill={i === 0 ? 'var(--color-accent)' : '#fafbf8'}
              stroke="#1c2727"
              strokeWidth="1.5"
            />
          </MoveHandle>
        ))}
    </g>
  );
}
