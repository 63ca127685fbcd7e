import type { Colorant } from '../../src/core/colorant/schema.ts';
import { STARTER_COLORANTS } from '../../src/core/colorant/starters.ts';
import { takeColorant, withDose } from '../../src/core/edit/colorants.ts';
import { startOmbre, updateOmbre } from '../../src/core/edit/ombre.ts';
import type { School } from '../../src/core/plan/ombreSchema.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { boxPlan, rest } from './plans.ts';

export const starter = (id: string): Colorant => {
  const found = STARTER_COLORANTS.find((c) => c.id === id);
  if (!found) throw new Error(`no starter ${id}`);
  return found;
};

/** A box whose layers are an ombre of heather, in a school. */
export const ombrePlan = (layers: number, school: School = 'one-pot', change: Partial<Plan> = {}): Plan => {
  const plan = boxPlan(
    Array.from({ length: layers }, () => rest()),
    { units: { ...boxPlan([]).units, fineStepG: 0.01 }, ...change },
  );
  const { plan: started, ombreId } = startOmbre(plan, 'these-layers', starter('heather'));
  return updateOmbre(started, ombreId, { school });
};

/** The first pot of a plan mixed from these doses. */
export const potMixed = (plan: Plan, doses: Readonly<Record<string, number>>): Plan => {
  const taken = Object.keys(doses).map(starter).reduce(takeColorant, plan);
  return {
    ...taken,
    pots: taken.pots.map((p, i) => {
      if (i > 0) return p;
      const { colour: _colour, ...own } = p;
      return {
        ...own,
        colorants: Object.entries(doses).reduce<Plan['pots'][number]['colorants']>(
          (mix, [id, dose]) => withDose(mix, id, dose),
          [],
        ),
      };
    }),
  };
};
