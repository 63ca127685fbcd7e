import type { PouredLayer } from '../../core/fill/layers.ts';
import { surfaceAcross, viewPolygon, type View } from '../../core/mould/sectionView.ts';
import { pourChosen } from '../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { usePlan } from '../parts/usePlan.ts';
import type { Frame } from './frame.ts';
import { Line } from './Line.tsx';
import { useLineMoves } from './useLineMoves.ts';

interface SurfaceLinesProps {
  readonly layers: readonly PouredLayer[];
  readonly view: View;
  /** where the loaf is cut for this view, mm */
  readonly at: number;
  readonly frame: Frame;
}

/** The surfaces of the layers that can be moved, each a line to drag. */
export function SurfaceLines({ layers, view, at, frame }: SurfaceLinesProps) {
  const { plan, computed, show } = usePlan();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const moves = useLineMoves();
  const across = view === 'section';
  const [one, other] = across ? (['left', 'right'] as const) : (['near', 'far'] as const);
  return layers.map((layer, i) => {
    const ends = surfaceAcross(viewPolygon(layer.space, view, at), view, layer.up, layer.offset, at);
    const pot = plan.pots.find((p) => p.id === layer.pour.pot);
    if (!ends || !pot || !moves.movable(i)) return null;
    const [a, b] = ends;
    const [alongView, intoView] = across ? [layer.up[0], layer.up[1]] : [layer.up[1], layer.up[0]];
    return (
      <Line
        key={layer.pour.id}
        label={`Top of pour ${i + 1}, ${pot.letter} ${pot.name}`}
        valueText={`${show.length(a.z)} at the ${one}, ${show.length(b.z)} at the ${other}, ${show.mass(layer.massG)}`}
        value={a.z}
        max={computed.geometry.heightMm}
        x0={frame.x(a.h)}
        x1={frame.x(b.h)}
        y0={frame.y(a.z)}
        y1={frame.y(b.z)}
        chosen={layer.pour.id === chosen}
        onStart={() => {
          dispatch(pourChosen(layer.pour.id));
        }}
        onDrag={(px, py, gesture) => {
          const { h, z } = frame.under(px, py);
          moves.toOffset(i, alongView * h + layer.up[2] * z + intoView * at, gesture);
        }}
        onNudge={(by) => {
          moves.bySteps(i, by);
        }}
      />
    );
  });
}
