import type { Colorant } from '../colorant/schema.ts';
import type { PouredLayer } from '../fill/layers.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { MicaLine, Step } from '../plan/stepSchema.ts';
import type { Grams } from '../units/quantity.ts';
import type { StepId } from '../validate/ids.ts';
import { takeColorant, withoutUnused } from './colorants.ts';
import { freshId } from './freshId.ts';
import { updateStep } from './step.ts';

/**
 * A usual line, g on 100 cm2: it is seen, and the layers still hold to each other. Common practice, no
 * source.
 */
export const USUAL_G_PER_DM2 = 0.8;

const SQUARE_MM_PER_DM2 = 10_000;

/** So many square decimetres are dusted over. */
export const dustedDm2 = ({ room }: Pick<PouredLayer, 'room'>): number => room.openingMm2 / SQUARE_MM_PER_DM2;

const usualG = (layer: Pick<PouredLayer, 'room'>): Grams =>
  Math.max(0.1, Math.round(dustedDm2(layer) * USUAL_G_PER_DM2 * 10) / 10);

/** What is done to a layer before the next is poured: it is waited for, scraped, turned. */
const ofLayer = (step: Step): boolean =>
  step.kind === 'wait' || step.kind === 'scrape' || step.kind === 'stroke' || step.kind === 'wire';

/** A line of a colorant over a layer, once all else is done to it. */
export function addMicaLine(
  plan: Plan,
  layer: Pick<PouredLayer, 'room' | 'pour'>,
  colorant: Colorant,
): { readonly plan: Plan; readonly stepId: StepId } {
  const { pour } = layer;
  const taken = plan.colorants.some((c) => c.id === colorant.id) ? plan : takeColorant(plan, colorant);
  const stepId = freshId('m', plan.steps);
  const line: MicaLine = {
    id: stepId,
    kind: 'mica',
    ...(pour.mould === undefined ? {} : { mould: pour.mould }),
    colorant: colorant.id,
    massG: usualG(layer),
    how: 'dry',
  };
  let at = plan.steps.findIndex((s) => s.id === pour.id) + 1;
  while (at < plan.steps.length && ofLayer(plan.steps[at] as Step)) at += 1;
  return { plan: { ...taken, steps: taken.steps.toSpliced(at, 0, line) }, stepId };
}

export const updateMicaLine = (
  plan: Plan,
  stepId: StepId,
  change: Partial<Omit<MicaLine, 'id' | 'kind' | 'colorant'>>,
): Plan => updateStep(plan, 'mica', stepId, change);

/** Of another colorant. */
export function setLineColorant(plan: Plan, stepId: StepId, colorant: Colorant): Plan {
  const taken = plan.colorants.some((c) => c.id === colorant.id) ? plan : takeColorant(plan, colorant);
  return withoutUnused(updateStep(taken, 'mica', stepId, { colorant: colorant.id }));
}
