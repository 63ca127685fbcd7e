import type { Dents } from '../flow/uneven.ts';
import type { MouldGeometry } from '../mould/geometry.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Millimetres } from '../units/quantity.ts';
import { barGrid } from './barGrid.ts';
import { onEachBar } from './onEachBar.ts';

/** What is pressed into the top of one compartment with the back of a spoon, on every bar. */
export function pressedIn(
  plan: Pick<Plan, 'steps' | 'mould' | 'cut'>,
  geometry: MouldGeometry,
  fillMm: Millimetres,
  room: number,
): Dents['hollows'] {
  return plan.steps.flatMap((step): Dents['hollows'] => {
    if (step.kind !== 'top' || step.way.top !== 'dents') return [];
    const { rows, perBar, acrossMm, depthMm } = step.way;
    const half = acrossMm / 2;
    return barGrid(plan.mould, geometry, plan.cut, fillMm)
      .filter((f) => f.room === room)
      .flatMap((f) => onEachBar(f, rows, perBar))
      .map(({ x, y }) => ({ x, y, halfX: half, halfY: half, deepMm: depthMm }));
  });
}
