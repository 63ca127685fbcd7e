import { recipeOf } from '../batter/recipe.ts';
import { superfatOf } from '../batter/lye.ts';
import { percentSum } from '../batter/usedOils.ts';
import { fail, ok, type Result } from '../result/result.ts';
import { formatNumber, formatPercent } from '../units/format.ts';
import type { RecipeOil, Water } from '../batter/schema.ts';
import { waterAs } from '../batter/water.ts';
import type { Plan } from '../plan/planSchema.ts';

/** The oils in the same proportion, adding up to 100 %. The last oil takes the rounding of the others. */
export function oilsTo100(oils: readonly RecipeOil[]): readonly RecipeOil[] {
  const sum = percentSum({ oils });
  if (sum <= 0) return oils;
  const scaled = oils.map((o) => Math.round((o.percent / sum) * 10000) / 100);
  const others = scaled.slice(0, -1).reduce((a, b) => a + b, 0);
  return oils.map((o, i) => ({
    ...o,
    percent: i === scaled.length - 1 ? Math.round((100 - others) * 100) / 100 : (scaled[i] ?? 0),
  }));
}

export const scaleOilsTo100 = (plan: Plan): Plan => ({
  ...plan,
  batter: { ...plan.batter, oils: [...oilsTo100(plan.batter.oils)] },
});

/**
 * One oil by weight, g: the others keep theirs, and the batch is as much as its oils come to. Only of a batch
 * whose oils are given; refused where nothing would be left of them ('no-oils').
 */
export function setOilWeight(plan: Plan, index: number, massG: number): Result<Plan> {
  const { to } = plan.fill;
  const sum = percentSum(plan.batter);
  if (to.kind !== 'oils' || sum <= 0) return ok(plan);
  const masses = plan.batter.oils.map((o, i) => (i === index ? massG : (o.percent / sum) * to.massG));
  const totalG = masses.reduce((a, b) => a + b, 0);
  if (totalG <= 0) return fail('no-oils', 'Nothing would be left of the oils');
  return ok({
    ...plan,
    fill: { ...plan.fill, to: { kind: 'oils', massG: Number(totalG.toPrecision(12)) } },
    batter: {
      ...plan.batter,
      oils: plan.batter.oils.map((o, i) => ({
        ...o,
        percent: Number((((masses[i] ?? 0) / totalG) * 100).toPrecision(12)),
      })),
    },
  });
}

/** The same solution said in another school, to two decimals. */
export function switchWaterSchool(plan: Plan, school: Water['school']): Plan {
  const schools = recipeOf(plan.batter)?.schools;
  if (!schools || school === plan.batter.water.school) return plan;
  return { ...plan, batter: { ...plan.batter, water: waterAs(schools, school) } };
}

/**
 * Take the lye that a written recipe gives for `oilsG` of these oils and set the superfat it leaves.
 * Refused, with the number, when there is more lye than the oils can use ('superfat-negative') or so
 * little that more than 30 % of the oils stay as they are ('superfat-high').
 */
export function adoptLye(plan: Plan, lyeG: number, oilsG: number): Result<Plan> {
  const recipe = recipeOf(plan.batter);
  if (!recipe) return fail('no-oils', 'Enter the oils first');
  const superfat = superfatOf(recipe.fullNeed, lyeG / oilsG, plan.batter.purityPercent);
  if (superfat < 0) {
    const tooMuch = lyeG - (recipe.fullNeed * oilsG * 100) / plan.batter.purityPercent;
    return fail(
      'superfat-negative',
      `Refused: ${formatNumber(lyeG, 1)} g is ${formatNumber(tooMuch, 1)} g more lye than these oils can use (superfat ${formatPercent(superfat)}). Unspent lye burns skin.`,
    );
  }
  if (superfat > 30)
    return fail(
      'superfat-high',
      `${formatNumber(lyeG, 1)} g of lye would leave ${formatPercent(superfat)} of the oils unsaponified`,
    );
  return ok({ ...plan, batter: { ...plan.batter, superfatPercent: Math.round(superfat * 100) / 100 } });
}

/** With these temperatures otherwise. */
export const setTemperatures = (plan: Plan, change: Partial<Plan['batter']['temperatures']>): Plan => ({
  ...plan,
  batter: { ...plan.batter, temperatures: { ...plan.batter.temperatures, ...change } },
});
