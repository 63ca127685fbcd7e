import { useCallback } from 'react';
import { lettersOf } from '../../core/fill/layers.ts';
import { potNamed } from '../../core/plan/sources.ts';
import type { ScaledLayer } from '../../core/weigh/scaled.ts';
import { surfaceAcross, viewPolygon, type View } from '../../core/mould/sectionView.ts';
import type { StepId } from '../../core/validate/ids.ts';
import { selectBench } from '../../store/computed.ts';
import { pourChosen } from '../../store/deskSlice.ts';
import type { Gesture } from '../../store/gesture.ts';
import { store, useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useDrawn } from '../parts/usePlan.ts';
import type { Frame } from './frame.ts';
import { Line } from './Line.tsx';
import { movableLines, useLineMoves } from './useLineMoves.ts';

interface SurfaceLinesProps {
  readonly layers: readonly ScaledLayer[];
  /** of those whose surface is no more where it was poured: they were pushed about */
  readonly pushed: ReadonlySet<StepId>;
  readonly view: View;
  /** where the loaf is cut for this view, mm */
  readonly at: number;
  readonly frame: Frame;
}

/** The surfaces of the layers that can be moved, each a line to drag. */
export function SurfaceLines({ layers, pushed, view, at, frame }: SurfaceLinesProps) {
  const { plan, computed, show } = useDrawn('geometry', 'fill', 'stack');
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const moves = useLineMoves();
  const movable = movableLines(computed);
  const across = view === 'section';
  const [one, other] = across ? (['left', 'right'] as const) : (['near', 'far'] as const);
  const start = useCallback(
    (index: number): void => {
      const layer = selectBench(store.getState())?.stack.layers[index];
      if (layer) dispatch(pourChosen(layer.pour.id));
    },
    [dispatch],
  );
  const drag = useCallback(
    (index: number, px: number, py: number, gesture: Gesture): void => {
      const layer = selectBench(store.getState())?.stack.layers[index];
      if (!layer) return;
      const { h, z } = frame.under(px, py);
      const [alongView, intoView] = across ? [layer.up[0], layer.up[1]] : [layer.up[1], layer.up[0]];
      moves.toOffset(index, alongView * h + layer.up[2] * z + intoView * at, gesture);
    },
    [frame, across, at, moves],
  );
  return layers.map((layer, i) => {
    const ends = surfaceAcross(viewPolygon(layer.space, view, at), view, layer.up, layer.offset, at);
    const pot = potNamed(plan, layer.pots[0]?.id);
    if (!ends || !pot || !movable(i)) return null;
    const [a, b] = ends;
    return (
      <Line
        key={layer.pour.id}
        index={i}
        label={`Top of pour ${i + 1}, ${lettersOf(layer)} ${pot.name}`}
        valueText={`${show.length(a.z)} at the ${one}, ${show.length(b.z)} at the ${other}, ${show.mass(layer.pouredG)}`}
        value={tenth(a.z)}
        max={computed.geometry.heightMm}
        x0={tenth(frame.x(a.h))}
        x1={tenth(frame.x(b.h))}
        y0={tenth(frame.y(a.z))}
        y1={tenth(frame.y(b.z))}
        chosen={layer.pour.id === chosen}
        faint={pushed.has(layer.pour.id)}
        onStart={start}
        onDrag={drag}
        onNudge={moves.bySteps}
      />
    );
  });
}

/** A tenth of a pixel is not seen. */
const tenth = (x: number): number => Math.round(x * 10) / 10;
