import { settingOils, type Setting } from '../batter/setsAt.ts';
import type { Plan } from '../plan/planSchema.ts';

type Mixed = Pick<Plan, 'batter'>;

/** So far below where it sets, all of an oil counts. A judgement. */
const COUNTS_C = 10;

/**
 * How often false trace comes within the hour, by the share of fats that are solid by then: between these in
 * straight lines. Judgements, wide.
 */
const CHANCES = [
  { share: 0.1, chance: 0 },
  { share: 0.25, chance: 0.2 },
  { share: 0.4, chance: 0.5 },
  { share: 0.7, chance: 0.9 },
] as const;

/**
 * The oil that sets first at the temperature that the oils are mixed at: that looks like trace and is none;
 * undefined where all stay melted.
 */
export function oilThatSets({ batter }: Mixed): Setting | undefined {
  const [first] = settingOils(batter);
  return first && batter.temperatures.oilsC < first.atC ? first : undefined;
}

/**
 * How likely it is that fat sets in the cool batter, and false trace is taken for trace: 0 to 0.9. Melted
 * well and stirred, it is less.
 */
export function falseTraceOf({ batter }: Mixed): number {
  const solid = settingOils(batter).reduce(
    (s, { share, atC }) => s + share * Math.min(1, Math.max(0, (atC - batter.temperatures.oilsC) / COUNTS_C)),
    0,
  );
  const [next] = CHANCES.flatMap((to, i) => {
    const from = CHANCES[i - 1];
    return from && solid < to.share ? [{ from, to }] : [];
  });
  if (!next) return CHANCES[3].chance;
  const { from, to } = next;
  return (
    from.chance + Math.max(0, (solid - from.share) / (to.share - from.share)) * (to.chance - from.chance)
  );
}
