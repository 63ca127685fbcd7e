import { readFileSync, readdirSync } from 'node:fs';
import { readPlanFile } from '../../src/core/exchange/planFile.ts';
import { newPlan } from '../../src/core/plan/newPlan.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import type { Amount, Pour } from '../../src/core/plan/stepSchema.ts';

export const WHEN = '2026-01-02T03:04:05.000Z';

export const basePlan = (change: Partial<Plan> = {}): Plan => ({ ...newPlan('test', WHEN), ...change });

export const pour = (id: string, pot: string, amount: Amount, locked = false): Pour => ({
  id,
  kind: 'pour',
  pot,
  compartment: 0,
  amount,
  locked,
  landing: { how: 'spatula', fallMm: 7 },
});

export const rest = (parts = 1): Amount => ({ kind: 'rest', parts });

/**
 * A box of 100 x 80 x 60 mm without a liner, filled to the rim with these pours of pots p1 and p2 in turn.
 */
export const boxPlan = (amounts: readonly Amount[], change: Partial<Plan> = {}): Plan =>
  basePlan({
    mould: {
      name: 'Test box',
      material: 'wood',
      shape: { kind: 'box', lengthMm: 100, widthMm: 80, heightMm: 60 },
      wallMm: 10,
      bowMm: 0,
      linerMm: 0,
    },
    fill: { to: { kind: 'headspace', headspaceMm: 0 }, copies: 1, overagePercent: 0, top: [] },
    steps: amounts.map((amount, i) => pour(`s${i + 1}`, i % 2 === 0 ? 'p1' : 'p2', amount)),
    ...change,
  });

export const taperedPlan = (amounts: readonly Amount[]): Plan =>
  boxPlan(amounts, {
    mould: {
      name: 'Test taper',
      material: 'silicone',
      shape: {
        kind: 'tapered',
        floorLengthMm: 200,
        floorWidthMm: 60,
        rimLengthMm: 220,
        rimWidthMm: 90,
        heightMm: 70,
      },
      wallMm: 10,
      bowMm: 0,
      linerMm: 0,
    },
  });

export const demoPlans = (): readonly Plan[] =>
  readdirSync('demo/plans').map((file) => {
    const read = readPlanFile(readFileSync(`demo/plans/${file}`, 'utf8'));
    if (!read.ok) throw new Error(`${file}: ${read.faults[0].at ?? ''} ${read.faults[0].message}`);
    return read.plan;
  });

/** One of the demo's plans, by its name. */
export function demo(name: string): Plan {
  const found = demoPlans().find((p) => p.name === name);
  if (!found) throw new Error(`the demo has no ${name}`);
  return found;
}
