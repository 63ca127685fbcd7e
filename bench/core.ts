import { demoPlans } from '../test/support/plans.ts';
import { largePlan } from '../test/support/largePlan.ts';
import { newColorant, STARTER_COLORANTS } from '../src/core/colorant/starters.ts';
import { newPlan } from '../src/core/plan/newPlan.ts';
import type { Plan } from '../src/core/plan/planSchema.ts';
import { computePlan } from '../src/core/computed/compute.ts';
import { sheetJson } from '../src/core/sheet/sheetJson.ts';
import { medianMs, ms, type Say } from './measure.ts';

export const HEATHER =
  STARTER_COLORANTS.find((c) => c.id === 'heather') ?? newColorant('heather', 'Heather mica', 'mica');

/** A plan of twelve level pours from six pots. */
export function twelveLayers(): Plan {
  const base = newPlan('bench', '2026-01-01T00:00:00.000Z');
  const pots = Array.from({ length: 6 }, (_, i) => ({
    id: `p${i + 1}`,
    letter: String.fromCharCode(65 + i),
    name: `Pot ${i + 1}`,
    stage: 1,
    colorants: [{ colorant: 'heather', doseGPerKg: 2 + i }],
  }));
  const steps = Array.from({ length: 12 }, (_, i) => ({
    id: `s${i + 1}`,
    kind: 'pour' as const,
    compartment: 0,
    pot: `p${(i % 6) + 1}`,
    amount: { kind: 'rest' as const, parts: 1 + (i % 3) },
    locked: false,
    landing: { how: 'spatula' as const, fallMm: 7 },
  }));
  return { ...base, colorants: [HEATHER], pots, steps };
}

export function benchCore(say: Say): void {
  const plan = twelveLayers();
  say('12-layer plan, full recomputation', ms(medianMs(() => computePlan(plan))));
  const large = largePlan();
  say(
    'the largest plan (200 steps, 48 pots, 300 colorants), full recomputation',
    ms(medianMs(() => computePlan(large))),
  );
  const several = demoPlans().find((p) => p.others.length > 0);
  if (several)
    say('a tilted loaf and six round cavities, full recomputation', ms(medianMs(() => computePlan(several))));
  say(
    '12-layer plan, whole sheet with its procedure as JSON',
    ms(medianMs(() => sheetJson(computePlan(plan)))),
  );
}
