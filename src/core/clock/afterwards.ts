import { hardPart } from '../batter/hardPart.ts';
import type { Recipe } from '../batter/recipe.ts';
import { plannedHeat } from '../look/state.ts';
import type { Plan } from '../plan/planSchema.ts';

/** Hours and weeks after the pour, from one to another. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** When a loaf can be unmoulded, cut and used: estimates. */
export interface Afterwards {
  /** firm enough not to dent, h after the last pour */
  readonly unmouldH: Span;
  /** it neither drags nor cracks, h after the last pour */
  readonly cutH: Span;
  /** cured, weeks after it is cut */
  readonly cureWeeks: Span;
  /** what that rests on, in words */
  readonly because: readonly string[];
}

/** A common recipe, 33 % lye, half hard, not gelled. Common practice, no source. */
const USUAL_H = 30;
const USUAL_LYE = 33;

/** Bounds of common practice, h: sooner it dents, later it is none of these. Chilled it may take longer. */
const SOONEST_H = 18;
const LATEST_H = 72;
const CHILLED = 1.5;

/** Gelled it is firm sooner. A judgement, no source. */
const GELLED = 0.7;

/** With sodium lactate in it, sooner. A judgement, no source. */
const LACTATE = 0.75;

/** Fit to be cut for so long after it can be unmoulded: in part, and in all, h. */
const CUTS_FOR = { part: 0.5, h: 12 } as const;

/** A common cure, weeks; from three for a dry recipe to more for a wet one. */
const CURE = { usual: 4, least: 3, most: 10, spread: 2 } as const;

const within = (low: number, high: number, x: number): number => Math.min(high, Math.max(low, x));

/**
 * When a plan's loaf can be unmoulded, cut and used, from its lye, its heat, its hard oils and sodium
 * lactate. Estimates: what one feels comes first.
 */
export function afterwards(plan: Plan, recipe: Recipe): Afterwards {
  const lye = recipe.schools.lyeConcentrationPercent;
  const wet = (USUAL_LYE / lye) ** 1.5;
  const hard = hardPart(recipe.oils);
  const heat = plannedHeat(plan);
  const cool = plan.steps.some((s) => s.kind === 'finish' && s.what === 'leave-cool');
  const chilled = cool && heat === 0;
  const lactate = plan.batter.additives.some(
    (a) => /lactate/i.test(a.name) && a.doses.some((d) => d.gPerKgOils > 0),
  );
  const hours =
    USUAL_H *
    wet *
    (1.5 - hard) *
    (heat >= 0.5 ? GELLED : 1) *
    (chilled ? CHILLED : 1) *
    (lactate ? LACTATE : 1);
  const from = within(SOONEST_H, LATEST_H * (chilled ? CHILLED : 1), hours);
  const unmouldH = { from: Math.round(from), to: Math.round(from * 1.5) };
  const weeks = within(CURE.least, CURE.most, CURE.usual * (USUAL_LYE / lye) ** 1.6);
  return {
    unmouldH,
    cutH: { from: unmouldH.from, to: Math.round(from * (1 + CUTS_FOR.part) + CUTS_FOR.h) },
    cureWeeks: { from: Math.round(weeks), to: Math.round(weeks + CURE.spread) },
    because: [
      `lye of ${Math.round(lye)} %${wet > 1.1 ? ': wet, so slower' : wet < 0.9 ? ': dry, so sooner' : ''}`,
      `${Math.round(hard * 100)} % hard oils`,
      heat >= 0.5 ? 'it gels, and is firm sooner' : 'it does not gel',
      ...(chilled ? ['kept cool: soft for longer'] : []),
      ...(lactate ? ['sodium lactate: firm sooner'] : []),
    ],
  };
}
