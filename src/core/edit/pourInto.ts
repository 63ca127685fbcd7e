import { openingOf } from '../fill/topShares.ts';
import { layPlan } from '../fill/layPlan.ts';
import type { LaidPlan } from '../fill/laid.ts';
import { mouldGeometry } from '../mould/geometry.ts';
import type { Mould } from '../mould/schema.ts';
import { FIRST, mouldOfStep } from '../plan/moulds.ts';
import type { FillTo, Plan } from '../plan/planSchema.ts';
import type { Step } from '../plan/stepSchema.ts';
import { takeMould } from './mould.ts';
import { settleProps } from './prop.ts';

const tenth = (x: number): number => Math.round(x * 10) / 10;

/**
 * A loaf left so far under its rim is left as far in another; a shallow mould keeps the part of its height
 * instead.
 */
function fillIn({ fill, geometry, plan }: LaidPlan, mould: Mould, byVolume: number): FillTo {
  const { to } = plan.fill;
  const next = mouldGeometry(mould);
  switch (to.kind) {
    case 'headspace':
      return {
        kind: 'headspace',
        headspaceMm: tenth(to.headspaceMm * Math.min(1, next.heightMm / geometry.heightMm)),
      };
    case 'height':
      return {
        kind: 'height',
        heightMm: Math.max(1, tenth((fill.heightMm / geometry.heightMm) * next.heightMm)),
      };
    case 'batter':
    case 'oils':
      return { kind: to.kind, massG: Math.round(to.massG * byVolume) };
  }
}

/**
 * The same design in another mould: every layer keeps its share of the loaf and its tilt its angle, the fill
 * stays as far under the rim, a batch of given size grows with what the mould holds, and what is held back
 * with the open top. Pours of given height, mass or line become parts of what is left, since those figures
 * were for the mould before; ones of percent or parts stay as they are.
 */
export function pourInto(plan: Plan, mould: Mould): Plan {
  const before = layPlan(plan);
  const volumes = new Map(before.stack.layers.map((l) => [l.pour.id, l.volumeMl] as const));
  const next = mouldGeometry(mould);
  const byVolume = next.rimVolumeMl / before.geometry.rimVolumeMl;
  const byTop = openingOf(next) / openingOf(before.geometry);
  const allRest = plan.steps.every(
    (s) =>
      s.kind !== 'pour' ||
      mouldOfStep(s) !== FIRST ||
      s.amount.kind === 'rest' ||
      s.amount.kind === 'percent',
  );
  const taken = takeMould(plan, mould);
  const steps = taken.steps.map((s): Step => {
    if (s.kind !== 'pour' || mouldOfStep(s) !== FIRST || allRest) return s;
    return { ...s, amount: { kind: 'rest', parts: Math.max(0.001, tenth(volumes.get(s.id) ?? 0)) } };
  });
  return settleProps({
    ...taken,
    steps,
    fill: {
      ...taken.fill,
      to: fillIn(before, mould, byVolume),
      top: taken.fill.top.map((t) => ({ ...t, massG: tenth(t.massG * byTop) })),
    },
  });
}
