import { PencilLine } from 'lucide-react';
import { useRef, useState, type PointerEvent } from 'react';
import { updateStroke } from '../../core/edit/pattern.ts';
import { MOST_POINTS } from '../../core/plan/patternSchema.ts';
import { useAppSelector } from '../../store/store.ts';
import { useDrawn } from '../parts/usePlan.ts';
import { Button } from '../kit/Button.tsx';

type Spot = readonly [x: number, y: number];

interface FreePathProps {
  readonly width: number;
  readonly height: number;
  /** mm of a place on the screen, px from the corner of the drawing */
  readonly under: (px: number, py: number) => Spot;
  readonly spot: (p: Spot) => Spot;
}

/** Points of a drawn path are at least so far apart, mm. */
const APART = 2;

/** For a path of one's own: a sheet over the plan to draw it on, in one go. */
export function FreePath({ width, height, under, spot }: FreePathProps) {
  const { plan, edit } = useDrawn();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const [drawing, setDrawing] = useState(false);
  const [path, setPath] = useState<readonly Spot[]>([]);
  const pressed = useRef(false);
  const step = plan.steps.find((s) => s.id === chosen);
  if (step?.kind !== 'stroke' || step.path.kind !== 'free') return null;
  const at = (event: PointerEvent): Spot => {
    const box = event.currentTarget.getBoundingClientRect();
    return under(event.clientX - box.left, event.clientY - box.top);
  };
  const move = (event: PointerEvent): void => {
    if (!pressed.current) return;
    const p = at(event);
    setPath((now) => {
      const last = now.at(-1);
      return last && Math.hypot(p[0] - last[0], p[1] - last[1]) < APART
        ? now
        : [...now, p].slice(0, MOST_POINTS);
    });
  };
  const end = (): void => {
    pressed.current = false;
    setDrawing(false);
    if (path.length > 1)
      edit((p) =>
        updateStroke(p, step.id, {
          path: {
            kind: 'free',
            points: path.map(([x, y]) => ({ xMm: Math.round(x * 10) / 10, yMm: Math.round(y * 10) / 10 })),
          },
        }),
      );
    setPath([]);
  };
  return (
    <>
      {drawing && (
        <svg
          width={width}
          height={height}
          className="absolute inset-x-0 top-0 cursor-crosshair touch-none"
          aria-label="Draw the path here"
          role="img"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            pressed.current = true;
            setPath([at(event)]);
          }}
          onPointerMove={move}
          onPointerUp={end}
        >
          <polyline
            points={path.map((p) => spot(p).join(',')).join(' ')}
            fill="none"
            stroke="var(--color-accent)"
            strokeWidth="2.5"
          />
        </svg>
      )}
      <Button
        icon={PencilLine}
        className="absolute top-2 right-4"
        aria-pressed={drawing}
        onClick={() => setDrawing(!drawing)}
      >
        {drawing ? 'Draw it in one go' : 'Draw the path'}
      </Button>
    </>
  );
}
