import type { StepId } from '../validate/ids.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Amount, Pour, Step } from '../plan/stepSchema.ts';
import type { Landing } from '../setting/landing.ts';
import { freshId } from './freshId.ts';
import { heldPots } from '../plan/held.ts';
import { layerUnder } from '../plan/scrapes.ts';
import { removePot } from './pots.ts';
import { repot } from './repot.ts';
import { mapStep } from './step.ts';

export const mapPour = (plan: Plan, stepId: StepId, change: (pour: Pour) => Pour): Plan =>
  mapStep(plan, 'pour', stepId, change);

export const setAmount = (plan: Plan, stepId: StepId, amount: Amount): Plan =>
  mapPour(plan, stepId, (pour) => ({ ...pour, amount }));

export const setLanding = (plan: Plan, stepId: StepId, landing: Landing): Plan =>
  mapPour(plan, stepId, (pour) => ({ ...pour, landing }));

export const setPourPot = (plan: Plan, stepId: StepId, pot: string): Plan =>
  mapPour(plan, stepId, (pour) => ({ ...pour, pot }));

/** Effective falls in mm for the ways a pour can land (models: common practice, no source). */
export const LANDING_FALL_MM = { stream: 50, low: 20, spatula: 7, spoon: 3 } as const;

/** Put a step after another; at the very start when `afterId` is not there. */
export function insertAfter(plan: Plan, afterId: string | undefined, step: Step): Plan {
  const at = plan.steps.findIndex((s) => s.id === afterId) + 1;
  return { ...plan, steps: plan.steps.toSpliced(at, 0, step) };
}

/** Spooned in and left so rough; 0: smoothed level. */
export const setRough = (plan: Plan, pourId: StepId, roughMm: number): Plan =>
  mapPour(plan, pourId, ({ roughMm: _was, ...pour }) => (roughMm > 0 ? { ...pour, roughMm } : pour));

/** What the pours that share what is left take on the mean, in parts. */
export const meanParts = (plan: Plan): number => {
  const parts = plan.steps.flatMap((s) =>
    s.kind === 'pour' && s.amount.kind === 'rest' ? [s.amount.parts] : [],
  );
  return parts.length === 0 ? 1 : parts.reduce((a, b) => a + b, 0) / parts.length;
};

/** A new pour of `pot` on top of all others, taking an average part of what is left. */
export function addPour(
  plan: Plan,
  pot: string,
  compartment = 0,
): { readonly plan: Plan; readonly stepId: StepId } {
  const lastPour = plan.steps.findLast((s) => s.kind === 'pour');
  const stepId = freshId('s', plan.steps);
  const pour: Pour = {
    id: stepId,
    kind: 'pour',
    pot,
    compartment,
    amount: { kind: 'rest', parts: meanParts(plan) },
    locked: false,
    landing: { how: 'spatula', fallMm: LANDING_FALL_MM.spatula },
  };
  const afterId = lastPour?.id ?? plan.steps.findLast((s) => s.kind !== 'finish')?.id;
  return { plan: insertAfter(plan, afterId, pour), stepId };
}

/** Every pour of the first compartment poured into another one too, right after it. */
export function pourAlso(plan: Plan, compartment: number): Plan {
  let steps: readonly Step[] = plan.steps;
  for (const step of plan.steps) {
    if (step.kind !== 'pour' || step.compartment !== 0) continue;
    const also: Pour = { ...step, id: freshId('s', steps), compartment };
    steps = steps.toSpliced(steps.indexOf(step) + 1, 0, also);
  }
  return { ...plan, steps: [...steps] };
}

export function duplicatePour(plan: Plan, stepId: StepId): { readonly plan: Plan; readonly stepId: StepId } {
  const source = plan.steps.find((s) => s.id === stepId);
  if (source?.kind !== 'pour') return { plan, stepId };
  const id = freshId('s', plan.steps);
  const copy: Pour = { ...source, id, locked: false };
  if (!source.ombre) return { plan: insertAfter(plan, stepId, copy), stepId: id };
  const goesOn: Pour = { ...copy, ombre: { id: source.ombre.id } };
  return { plan: repot(insertAfter(plan, stepId, goesOn), source.ombre.id), stepId: id };
}

/**
 * Take a layer of an ombre out: the shades after it close up, a run that began with it begins with the next,
 * and a pot that only it was poured from goes.
 */
function removeLayer(plan: Plan, layer: Pour, ombre: NonNullable<Pour['ombre']>): Plan {
  const next = plan.steps
    .slice(plan.steps.indexOf(layer) + 1)
    .find((s) => s.kind === 'pour' && s.ombre?.id === ombre.id);
  const steps = plan.steps
    .filter((s) => s !== layer)
    .map((s) =>
      s === next && s.kind === 'pour' && ombre.turn && s.ombre && !s.ombre.turn
        ? { ...s, ombre: { ...s.ombre, turn: ombre.turn } }
        : s,
    );
  const sorted = repot({ ...plan, steps }, ombre.id);
  return heldPots(plan).has(layer.pot) ? sorted : removePot(sorted, layer.pot);
}

/**
 * What is done to a layer goes with it: its scraping, and the line on it, would else be the layer's below.
 */
const withoutItsOwn = (plan: Plan, pour: Pour): Step[] =>
  plan.steps.filter((s) => (s.kind !== 'scrape' && s.kind !== 'mica') || layerUnder(plan, s) !== pour);

export function removeStep(plan: Plan, stepId: StepId): Plan {
  const step = plan.steps.find((s) => s.id === stepId);
  const alone = step?.kind === 'pour' ? { ...plan, steps: withoutItsOwn(plan, step) } : plan;
  if (step?.kind === 'pour' && step.ombre) return removeLayer(alone, step, step.ombre);
  return { ...alone, steps: alone.steps.filter((s) => s.id !== stepId) };
}

/** Move a step so that it stands where `targetId` stands now; the others close up. */
export function moveStep(plan: Plan, stepId: StepId, targetId: string): Plan {
  const from = plan.steps.findIndex((s) => s.id === stepId);
  const to = plan.steps.findIndex((s) => s.id === targetId);
  const step = plan.steps[from];
  if (!step || to < 0 || from === to) return plan;
  const moved = { ...plan, steps: plan.steps.toSpliced(from, 1).toSpliced(to, 0, step) };
  return step.kind === 'pour' && step.ombre ? repot(moved, step.ombre.id) : moved;
}

/** Move a pour one place up (+1, poured later) or down (-1) among the pours. */
export function shiftPour(plan: Plan, stepId: StepId, by: 1 | -1): Plan {
  const pours = plan.steps.filter((s) => s.kind === 'pour');
  const target = pours[pours.findIndex((s) => s.id === stepId) + by];
  return target ? moveStep(plan, stepId, target.id) : plan;
}
