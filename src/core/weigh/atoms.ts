import type { PouredLayer } from '../fill/layers.ts';
import { poursOfOmbre } from '../ombre/runs.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Grams } from '../units/quantity.ts';
import { roundParts } from '../units/scaleStep.ts';

/**
 * One thing weighed out of the batch: a pour, what is held back, a pot's overage, what stays in the jugs of an ombre's stocks,
 * batter nobody takes.
 */
export interface Atom {
  readonly pot: string;
  readonly kind: 'pour' | 'top' | 'overage' | 'loss' | 'spare';
  readonly stepId: string;
  /** weighed out so many times: a pour once for each mould */
  readonly times: number;
  /** each time, at the scale's step */
  readonly massG: Grams;
}

const totalOf = (atoms: readonly Atom[]): Grams => atoms.reduce((s, a) => s + a.times * a.massG, 0);

/** Everything that is weighed out of the batch, unrounded. */
function rawAtoms(plan: Plan, layers: readonly PouredLayer[], givenBatchG: Grams | undefined): Atom[] {
  const once = { stepId: '', times: 1 };
  const atoms: Atom[] = [
    ...layers.map((l): Atom => ({
      pot: l.pour.pot,
      kind: 'pour',
      stepId: l.pour.id,
      times: plan.fill.copies,
      massG: l.massG,
    })),
    ...plan.fill.top.map((t): Atom => ({ ...once, pot: t.pot, kind: 'top', massG: t.massG })),
  ];
  const overage = plan.fill.overagePercent / 100;
  for (const pot of plan.pots) {
    const used = totalOf(atoms.filter((a) => a.pot === pot.id));
    atoms.push({ ...once, pot: pot.id, kind: 'overage', massG: used * overage });
  }
  for (const ombre of plan.ombres) {
    if (ombre.school !== 'master-blends') continue;
    const pots = new Set(poursOfOmbre(plan, ombre.id).map((p) => p.pot));
    const drawn = totalOf(atoms.filter((a) => pots.has(a.pot)));
    const massG = (drawn * ombre.stockLossPercent) / 100;
    if (massG > 0) atoms.push({ ...once, pot: '', kind: 'loss', massG });
  }
  const total = totalOf(atoms);
  const spare = (givenBatchG ?? total) - total;
  if (spare > 1e-6) atoms.push({ ...once, pot: '', kind: 'spare', massG: spare });
  return atoms;
}

/** What is weighed out of the batch, at the scale's step; the parts add up to their rounded whole. */
export function atomsOf(plan: Plan, layers: readonly PouredLayer[], givenBatchG: Grams | undefined): Atom[] {
  const raw = rawAtoms(plan, layers, givenBatchG);
  const rounded = roundParts(
    raw.map((a) => a.massG),
    plan.units.scaleStepG,
  );
  return raw.map((a, i) => ({ ...a, massG: rounded[i] ?? 0 }));
}
