import type { MouldFacts } from '../advice/facts.ts';
import type { Computed } from '../computed/compute.ts';
import { propsFor } from '../mould/props.ts';
import type { PutUnder } from '../mould/propped.ts';
import { mouldOfStep } from '../plan/moulds.ts';
import { depositKey, leadPot, potsOf } from '../plan/sources.ts';
import type { Pour, Step } from '../plan/stepSchema.ts';
import type { ScaledLayer } from '../weigh/scaled.ts';
import type { PourWeight } from '../weigh/weights.ts';
import { minutesJson } from './clockJson.ts';
import { layerJson } from './mouldJson.ts';
import { patternJson } from './patternJson.ts';
import { snaked } from './snaked.ts';

/** What a pour of several pots, or of one, is weighed at, by its deposit. */
type Weighed = ReadonlyMap<string, PourWeight>;

/** What is put under a mould: by its maker, or as the angles ask for it. */
type Under = ReturnType<typeof propsFor>[number] | PutUnder;

const propJson = (under: Under): object =>
  snaked({ name: undefined, fromCornerMm: undefined, ...under }, 'under', 'heightMm', 'name', 'fromCornerMm');

/** Where a tilt is propped. */
function proppedJson(step: Step, own: MouldFacts | undefined): object {
  if (step.kind !== 'tilt' || !own) return {};
  const props: readonly Under[] = step.props ?? propsFor(own.use.mould, own.geometry, step);
  return props.length > 0 ? { props: props.map(propJson) } : {};
}

function pourJson(computed: Computed, step: Pour, into: readonly MouldFacts[], massOf: Weighed): object {
  const layerIn = (m: MouldFacts): ScaledLayer | undefined =>
    m.stack.layers.find((l) => l.pour.id === step.id);
  const layer = into.map(layerIn)[0];
  const weight = massOf.get(step.id);
  const all = computed.moulds.filter((m) => layerIn(m));
  return {
    ...snaked(step, 'id', 'kind', 'mould'),
    pot: leadPot(step),
    landing: step.landing.how,
    ...minutesJson(computed, step.id),
    tilt: layer ? snaked(layer.tilt, 'rollDeg', 'pitchDeg') : null,
    ...(weight && {
      mass_g: potsOf(step).reduce((s, pot) => s + (massOf.get(depositKey(step, pot))?.massG ?? 0), 0),
      each_mould_g: layer?.pouredG ?? 0,
      superfat_percent: weight.superfatPercent ?? null,
      colorants: weight.colorants.map((c) => snaked(c, 'id', 'massG')),
    }),
    ...(layer && layerJson(layer)),
    ...(layer && step.pattern && patternJson(computed.plan, step, layer, massOf)),
    into: all.length > 1 ? all.map((m) => inMouldJson(m, layerIn(m), weight)) : undefined,
  };
}

const inMouldJson = (
  { use }: MouldFacts,
  laid: ScaledLayer | undefined,
  weight: PourWeight | undefined,
): object => ({
  mould: use.id,
  copies: use.copies,
  each_mould_g: (weight && laid?.pouredG) ?? null,
  ...(laid && layerJson(laid)),
});

/** Every step of the plan: what it does, when, and what it pours where. */
export function stepsJson(computed: Computed): object[] {
  const { plan, moulds, weights } = computed;
  const massOf = new Map(weights?.pots.flatMap((p) => p.pours.map((q) => [q.key, q] as const)));
  return plan.steps.map((step, index) => {
    const into = moulds.filter((m) => m.use.id === mouldOfStep(step));
    if (step.kind === 'pour') return { index, ...pourJson(computed, step, into, massOf) };
    const { id, ...rest } = step;
    return { index, id, ...rest, ...minutesJson(computed, id), ...proppedJson(step, into[0]) };
  });
}
