import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { evenRounds, halvingRounds, holdBackOfEach, setRoundPart } from '../../../../core/edit/pattern.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import { potsOf } from '../../../../core/plan/sources.ts';
import { roundsOf } from '../../../../core/weigh/rounds.ts';
import { Gesture } from '../../../../store/gesture.ts';
import { useBench } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

/** px */
const HIGH = 72;
const LABEL = 18;

/** What is usually held back of each pot for a column's hole, ml. Common practice, no source. */
const USUAL_HELD_ML = 30;

/** More rounds than this are not drawn one by one. */
const MOST_BARS = 16;

/** What each round takes of a pot, as bars to drag; and the usual ways to share them out. */
export function RoundBars({ layer }: { readonly layer: ScaledLayer }) {
  const { plan, edit, show } = useBench();
  const { pour } = layer;
  const parts = pour.pattern?.rounds ?? [];
  const dragged = useRef<{
    readonly gesture: Gesture;
    readonly from: number;
    readonly part: number;
    readonly high: number;
  } | null>(null);
  const [first] = layer.parts;
  const massOf = new Map(layer.parts.map((p) => [p.pot.id, p.pouredG] as const));
  const rounds = roundsOf(pour, (pot) => massOf.get(pot) ?? 0, plan.units.scaleStepG);
  const most = Math.max(...parts);
  const pots = potsOf(pour);
  const heldG = plan.fill.top.reduce((s, t) => s + (pots.includes(t.pot) ? t.massG : 0), 0);
  /** a round against the largest of the others */
  const against = (i: number): number => (parts[i] ?? 1) / Math.max(...parts.filter((_, k) => k !== i), 1e-6);
  const move = (i: number, event: PointerEvent): void => {
    const start = dragged.current;
    if (!start) return;
    const part = start.part * (1 + (start.from - event.clientY) / start.high);
    edit((p) => setRoundPart(p, pour.id, i, part), start.gesture);
  };
  const key = (i: number, event: KeyboardEvent): void => {
    const by = { ArrowUp: 0.05, ArrowDown: -0.05, ArrowRight: 0.05, ArrowLeft: -0.05 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    edit((p) => setRoundPart(p, pour.id, i, against(i) + by));
  };
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-1.5">
        <Button onClick={() => edit((p) => evenRounds(p, pour.id))}>Even</Button>
        <Button disabled={parts.length < 2} onClick={() => edit((p) => halvingRounds(p, pour.id))}>
          Half of what is left
        </Button>
        <Button
          onClick={() =>
            edit((p) => holdBackOfEach(p, pour, USUAL_HELD_ML * layer.densityGMl * plan.fill.copies))
          }
        >
          All but {USUAL_HELD_ML} ml
        </Button>
      </div>
      {parts.length > 1 && parts.length <= MOST_BARS && (
        <ol className="flex items-end gap-1" style={{ height: HIGH + 2 * LABEL }}>
          {parts.map((part, i) => {
            const turn = rounds[i]?.find((t) => t.pot === first?.pot.id);
            return (
              <li key={i} className="grid flex-1 justify-items-center text-xs">
                <span className="font-bold tabular-nums">{show.massFigure(turn?.massG ?? 0)}</span>
                <button
                  type="button"
                  role="slider"
                  aria-label={`Round ${i + 1}`}
                  aria-orientation="vertical"
                  aria-valuemin={0}
                  aria-valuemax={100}
                  aria-valuenow={Math.round((part / most) * 100)}
                  aria-valuetext={`${show.mass(turn?.massG ?? 0)} of each pot`}
                  className="w-full cursor-ns-resize touch-none rounded-t-sm border border-secondary bg-secondary/15 hover:bg-secondary/25"
                  style={{ height: Math.max(6, (part / most) * HIGH) }}
                  onPointerDown={(event) => {
                    event.currentTarget.setPointerCapture(event.pointerId);
                    dragged.current = {
                      gesture: new Gesture(),
                      from: event.clientY,
                      part: against(i),
                      high: event.currentTarget.clientHeight,
                    };
                  }}
                  onPointerMove={(event) => move(i, event)}
                  onPointerUp={() => (dragged.current = null)}
                  onKeyDown={(event) => key(i, event)}
                />
                <span className="quiet">{i + 1}</span>
              </li>
            );
          })}
        </ol>
      )}
      <p className="quiet text-sm">
        {heldG > 0 && `${show.mass(heldG)} more of these pots are held back, see “Held back for the top”. `}
        {parts.length === 1
          ? `All of it in one round: ${show.mass(first?.pouredG ?? 0)} of pot ${first?.pot.letter ?? ''}.`
          : `Of pot ${first?.pot.letter ?? ''} in each round. Drag a bar, or use the arrow keys.`}
      </p>
    </div>
  );
}
