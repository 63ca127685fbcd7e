import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Step } from '../../src/core/plan/stepSchema.ts';
import { basePlan, pour } from './plans.ts';

/**
 * As large as a plan can be: 200 steps, 48 pots of six colorants each, 300 colorants, tilts between the
 * pours.
 */
export function largePlan(): Plan {
  const colorants = Array.from({ length: 300 }, (_, i) => {
    const { nature, name } = STARTER_COLORANTS[i % STARTER_COLORANTS.length]!;
    return { id: `k${i}`, name: `${name} ${i}`, nature };
  });
  const pots = Array.from({ length: 48 }, (_, i) => ({
    id: `p${i}`,
    letter: String.fromCharCode(65 + (i % 26)) + (i < 26 ? '' : '2'),
    name: `Pot ${i}`,
    stage: 2,
    colorants: Array.from({ length: 6 }, (_, k) => ({
      colorant: `k${(i * 6 + k) % 300}`,
      doseGPerKg: 0.5 + k / 4,
    })),
  }));
  const steps = Array.from({ length: 200 }, (_, i): Step =>
    i % 4 === 3
      ? { id: `t${i}`, kind: 'tilt', rollDeg: i % 8 === 3 ? 2 : 0, pitchDeg: 0 }
      : pour(`s${i}`, `p${i % 48}`, { kind: 'rest', parts: 1 + (i % 3) }),
  );
  const read = readPlanValue({
    ...basePlan(),
    id: 'large',
    name: 'Large',
    mould: {
      name: 'Deep box',
      material: 'wood',
      shape: { kind: 'box', lengthMm: 400, widthMm: 120, heightMm: 300 },
      wallMm: 12,
      bowMm: 0,
      linerMm: 0,
    },
    fill: { to: { kind: 'headspace', headspaceMm: 20 }, copies: 1, overagePercent: 2, top: [] },
    colorants,
    pots,
    steps,
  });
  if (!read.ok) throw new Error(`${read.faults[0].at ?? ''}: ${read.faults[0].message}`);
  return read.plan;
}
