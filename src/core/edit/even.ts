import { NOMINAL_DENSITY, recipeOf } from '../batter/recipe.ts';
import { mouldGeometry, volumeToHeight } from '../mould/geometry.ts';
import { fillTarget } from '../fill/fillTarget.ts';
import { layPours } from '../fill/layers.ts';
import { poursOf } from '../plan/pours.ts';
import type { Plan } from '../plan/planSchema.ts';

/**
 * Share the room between the chosen pours so that they look even: equal thickness where every pour is level,
 * equal volume where the mould is tilted. Locked pours keep what they have. The pours become `rest` pours
 * whose parts are their volumes in ml, so the design keeps its proportions when the mould changes.
 */
function even(plan: Plan, firstPour: number): Plan {
  const geometry = mouldGeometry(plan.mould);
  const recipe = recipeOf(plan.batter);
  const density = recipe?.densityGMl ?? NOMINAL_DENSITY;
  const fill = fillTarget(plan, geometry, recipe, density);
  const pours = poursOf(plan);
  const level = pours.every((p) => p.tilt.rollDeg === 0 && p.tilt.pitchDeg === 0);
  const free = pours.map((p, i) => i >= firstPour && !p.pour.locked);
  const count = free.filter(Boolean).length;
  if (count === 0) return plan;
  const layers = layPours(plan, geometry, fill.volumeMl, density).layers;
  const kept = layers.reduce((s, l, i) => s + (free[i] ? 0 : level ? l.riseMm : l.volumeMl), 0);
  const each = ((level ? fill.heightMm : fill.volumeMl) - kept) / count;
  if (each <= 0) return plan;
  let height = 0;
  const parts = new Map<string, number>();
  for (const [i, layer] of layers.entries()) {
    const rise = free[i] ? each : layer.riseMm;
    const volume = level ? volumeToHeight(geometry, height + rise) - volumeToHeight(geometry, height) : each;
    height += rise;
    if (free[i]) parts.set(layer.pour.id, volume);
  }
  return {
    ...plan,
    steps: plan.steps.map((s) => {
      if (s.kind !== 'pour') return s;
      const own = parts.get(s.id);
      if (own !== undefined) return { ...s, amount: { kind: 'rest', parts: own } };
      // a pour below that shared the rest keeps the volume it has now
      const layer = layers.find((l) => l.pour.id === s.id);
      return s.amount.kind === 'rest' && layer
        ? { ...s, amount: { kind: 'rest', parts: layer.volumeMl } }
        : s;
    }),
  };
}

export const evenAll = (plan: Plan): Plan => even(plan, 0);

/** Even out this pour and every pour above it. */
export const evenFrom = (plan: Plan, stepId: string): Plan =>
  even(
    plan,
    poursOf(plan).findIndex((p) => p.pour.id === stepId),
  );
