import { useMemo } from 'react';
import { viewPolygon } from '../../core/mould/sectionView.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import { plannedState } from '../../core/look/state.ts';
import { coloursOf } from '../../core/ombre/coloursOf.ts';
import { layPlan } from '../../core/fill/layPlan.ts';
import { drawnWallMm, fitFrame, pathOf } from '../section/frame.ts';
import { Walls } from '../section/Walls.tsx';

const MARGINS = { left: 10, right: 10, top: 14, bottom: 0 };

/** A plan drawn as its little loaf section. */
export function LoafThumb({
  plan,
  width,
  height,
}: {
  readonly plan: Plan;
  readonly width: number;
  readonly height: number;
}) {
  const laid = useMemo(() => layPlan(plan), [plan]);
  const colours = useMemo(() => coloursOf(plan, plannedState(plan, 'cured')), [plan]);
  const { geometry } = laid;
  const frame = fitFrame({
    wide: geometry.most.width,
    high: geometry.heightMm,
    wall: drawnWallMm(plan.mould),
    width,
    height,
    margins: MARGINS,
    stands: 'foot',
  });
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <Walls mould={plan.mould} outline={viewPolygon(geometry.solid, 'section')} frame={frame} />
      {laid.stack.layers.map((layer) => (
        <path
          key={layer.pour.id}
          d={pathOf(viewPolygon(layer.solid, 'section'), frame)}
          fill={colours.pours.get(layer.pour.id)}
          stroke="#1c272766"
          strokeWidth="0.7"
        />
      ))}
    </svg>
  );
}
