import { isInPot } from '../../src/core/batter/additions.ts';
import type { Dose } from '../../src/core/batter/schema.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { followLines, type Followed } from './lineByLine.ts';
import { printed } from './printed.ts';

interface Recounted extends Followed {
  /** codes of what is refused with its number; then there is no sheet to follow */
  readonly refused: readonly string[];
}

/** Doses that all of a pot's batter gets alike, each time something is poured of it. */
const everyTime = (doses: readonly Dose[], pot: string): readonly Dose[] =>
  doses.filter((d) => isInPot(d.moment) && d.fromPour === undefined && (d.pots?.includes(pot) ?? true));

/**
 * What goes into the pots by themselves is in what leaves them as it was dosed, g in each gram of the recipe's oils: to a step of the
 * fine scale, and to what rounding a cup or a jug to the bench scale's step makes of it. Not asked where batter of several pots, or
 * plain batter, comes together in a jug.
 */
function doseFaults(plan: Plan, { out }: Followed): readonly string[] {
  const mixes = plan.ombres.length > 0 || plan.steps.some((s) => s.kind === 'scrape');
  // an oil of the recipe's name that is stirred in late cannot be told from it in a jug
  const early = new Set(
    [plan.batter.oils, ...plan.pots.map((p) => p.own?.oils ?? [])].flat().map((o) => o.oil),
  );
  if (mixes || plan.batter.lateOils.some((o) => early.has(o.oil))) return [];
  const { scaleStepG, fineStepG } = plan.units;
  return [...plan.batter.fragrances, ...plan.batter.additives].flatMap(({ name, doses }) =>
    out.flatMap(({ act, from, to, massG, perOil }) => {
      const pot = /^(?:pot|cup):([^:]*)/.exec(from)?.[1];
      const own = pot === undefined ? [] : everyTime(doses, pot);
      if (pot === undefined || to.startsWith('cup') || own.length === 0 || own.length < doses.length)
        return [];
      const wanted = own.reduce((s, d) => s + d.gPerKgOils, 0) / 1000;
      const is = perOil.get(name) ?? 0;
      const oilG = massG * 0.5;
      const off = (own.length * fineStepG) / oilG + wanted * ((3 * scaleStepG) / oilG + 0.02);
      return Math.abs(is - wanted) <= off
        ? []
        : [
            `${act}: ${name} is ${is.toFixed(4)} of the oils out of ${from}, where ${wanted.toFixed(4)} is dosed`,
          ];
    }),
  );
}

/** One plan's day done line by line, as its sheet says. */
export function recountDay(plan: Plan): Recounted {
  const { procedure, warnings } = printed(plan);
  const refused = warnings.filter((w) => w.level === 'refuse').map((w) => w.code);
  const found = followLines(procedure, plan);
  const silent = procedure.length === 0 && refused.length === 0 ? ['no sheet, and nothing is refused'] : [];
  return { ...found, refused, faults: [...found.faults, ...doseFaults(plan, found), ...silent] };
}
