import type { PouredLayer } from '../fill/layers.ts';
import type { LaidPlan } from '../fill/laid.ts';
import type { Plan } from '../plan/planSchema.ts';
import { potsOf } from '../plan/sources.ts';
import type { Pour, Step } from '../plan/stepSchema.ts';
import { LANDS } from '../pattern/windows.ts';
import type { StageWindow } from '../setting/window.ts';
import { ridgesAt } from '../setting/ridge.ts';
import { Run } from '../timing/run.ts';
import type { Millimetres, Minutes, Stage } from '../units/quantity.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { courseOf } from './courseOf.ts';
import { timetableOf } from './timetable.ts';

/** Lumps of a layer that was poured too thick go no deeper than this part of it. A judgement. */
const OF_THE_LAYER = 0.5;

/** How lumpy a level pour of a stage is left: what stands by itself, beyond what tapping levels. */
function lumpsMm(
  stage: Stage,
  { most }: StageWindow,
  { riseMm, densityGMl }: Pick<PouredLayer, 'riseMm' | 'densityGMl'>,
): Millimetres | undefined {
  if (stage <= most) return undefined;
  const stands = ridgesAt(stage, densityGMl) - ridgesAt(most, densityGMl);
  const lumps = Math.min(60, OF_THE_LAYER * riseMm, stands);
  return lumps < 0.5 ? undefined : lumps;
}

/**
 * A plan as it comes out when it is poured as it is timed, or so much later: pours that push others aside
 * plunge as far as their batter then lets them, and layers that have grown too thick are lumpy. For looks:
 * nothing is weighed by it. The plan itself while nothing is known of its batter.
 */
export function asTimed(
  plan: Plan,
  laid: Pick<LaidPlan, 'moulds' | 'recipes' | 'stack'>,
  lateMin: Minutes,
): Plan {
  const of = courseOf(plan, laid);
  if (!of) return plan;
  const run = new Run(of.course);
  run.go();
  const first = of.course.acts.findIndex((a) => a.window);
  const kept = Array.from(run.starts, (s, i) => (i >= first ? s + lateMin : s));
  const late = timetableOf(of, { kept });
  const stages = new Map<StepId, Stage>();
  for (const { about, act, stage } of late.acts)
    if (about.step && act.does === 'pour' && stage !== undefined) stages.set(about.step.id, stage);
  const thickest = new Map<PotId, Stage>();
  const step = (s: Step): Step => {
    const stage = stages.get(s.id);
    if (s.kind !== 'pour' || stage === undefined) return s;
    for (const pot of potsOf(s)) thickest.set(pot, Math.max(thickest.get(pot) ?? 0, stage));
    return s.pattern ? s : withLumps(s, stage, laid);
  };
  const steps = plan.steps.map(step);
  const pots = plan.pots.map((p) => {
    const stage = thickest.get(p.id);
    return stage === undefined ? p : { ...p, stage: Math.min(5, stage) };
  });
  return { ...plan, steps, pots };
}

function withLumps(step: Pour, stage: Stage, { stack }: Pick<LaidPlan, 'stack'>): Pour {
  const layer = stack.layers.find((l) => l.pour.id === step.id);
  const lumps = layer && lumpsMm(stage, LANDS[step.landing.how], layer);
  return lumps === undefined || step.roughMm !== undefined ? step : { ...step, roughMm: lumps };
}
