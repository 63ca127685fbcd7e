import type { Dents } from '../flow/uneven.ts';
import type { MouldGeometry } from '../mould/geometry.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Top } from '../plan/stepSchema.ts';
import type { TopWay } from '../plan/topSchema.ts';
import type { Millimetres } from '../units/quantity.ts';
import { barGrid, type Footprint } from './barGrid.ts';
import { onEachBar } from './onEachBar.ts';

/**
 * No spoon is pressed into a top oftener than this, nor into each place of it so many times: what is asked
 * for beyond it is not laid.
 */
const MOST_PRESSED = 20_000;
const MOST_TIMES = 40;

type DentsWay = Extract<TopWay, { top: 'dents' }>;
type Dented = Top & { readonly way: DentsWay };

interface Pressed {
  readonly step: Dented;
  /** the bars that it is pressed into */
  readonly bars: readonly Footprint[];
  /** not laid: the top has been pressed as often as it can be */
  readonly tooMany: boolean;
}

const isDented = (step: Plan['steps'][number]): step is Dented =>
  step.kind === 'top' && step.way.top === 'dents';

/** What is to be pressed into the top of one compartment, in order. */
function pressings(
  plan: Pick<Plan, 'steps' | 'mould' | 'cut'>,
  geometry: MouldGeometry,
  fillMm: Millimetres,
  room: number,
): readonly Pressed[] {
  const steps = plan.steps.filter(isDented);
  if (steps.length === 0) return [];
  const bars = barGrid(plan.mould, geometry, plan.cut, fillMm).filter((f) => f.room === room);
  const roomMm2 = geometry.rooms[room]?.openingMm2 ?? 0;
  let [count, mm2] = [0, 0];
  return steps.map((step) => {
    const { rows, perBar, acrossMm } = step.way;
    const more = rows * perBar * bars.length;
    const moreMm2 = (more * Math.PI * acrossMm ** 2) / 4;
    const tooMany = count + more > MOST_PRESSED || mm2 + moreMm2 > MOST_TIMES * roomMm2;
    if (!tooMany) [count, mm2] = [count + more, mm2 + moreMm2];
    return { step, bars, tooMany };
  });
}

/** What is pressed into the top of one compartment with the back of a spoon, on every bar. */
export const pressedIn = (
  plan: Pick<Plan, 'steps' | 'mould' | 'cut'>,
  geometry: MouldGeometry,
  fillMm: Millimetres,
  room: number,
): Dents['hollows'] =>
  pressings(plan, geometry, fillMm, room).flatMap(({ step, bars, tooMany }) => {
    if (tooMany) return [];
    const { rows, perBar, acrossMm, depthMm: deepMm } = step.way;
    const half = acrossMm / 2;
    return bars
      .flatMap((f) => onEachBar(f, rows, perBar))
      .map(({ x, y }) => ({ x, y, halfX: half, halfY: half, deepMm }));
  });

/** It is asked for oftener than the top can be pressed, and left out. */
export const isLeftOut = (
  plan: Pick<Plan, 'steps' | 'mould' | 'cut'>,
  geometry: MouldGeometry,
  fillMm: Millimetres,
  step: Top,
): boolean =>
  geometry.rooms.some((_, room) =>
    pressings(plan, geometry, fillMm, room).some((p) => p.step.id === step.id && p.tooMany),
  );
