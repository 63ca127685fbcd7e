import { libraryOil } from './oilLibrary.ts';
import { midSv, type Oil } from './oil.ts';
import type { OilLine, RecipeOil } from './schema.ts';

/** What has oils by percent: a recipe, or a pot with its own. */
interface OilList {
  readonly oils: readonly RecipeOil[];
}

/** One oil of a recipe with everything settled: its record, its share of all oils, the value used. */
export interface UsedOil {
  /** the name of its line, which no other line of the list has: two lots of one oil are two lines */
  readonly line: string;
  readonly oil: Oil;
  /** 0..1, shares of all oils add up to 1 */
  readonly share: number;
  /** mg KOH/g */
  readonly svMgG: number;
}

/** The record behind a recipe line; undefined when the id is not in the library and not described. */
export const oilOf = (line: OilLine): Oil | undefined =>
  line.custom ? { id: line.oil, ...line.custom, origin: 'entered for this plan' } : libraryOil(line.oil);

/**
 * The name of every line of a list: its oil's id; where an earlier line is of the same oil, that with a
 * number after it. A sign that no id has stands between, so that no two lines are called the same.
 */
export function lineNames(oils: readonly { readonly oil: string }[]): readonly string[] {
  const met = new Map<string, number>();
  return oils.map(({ oil }) => {
    const nth = (met.get(oil) ?? 0) + 1;
    met.set(oil, nth);
    return nth === 1 ? oil : `${oil}#${nth}`;
  });
}

export const percentSum = (batter: OilList): number =>
  batter.oils.reduce((sum, line) => sum + line.percent, 0);

/**
 * The oils in use, their shares scaled to add up to 1 (a recipe at 97 % is still drawn and weighed in
 * proportion; the warning is made elsewhere). Empty when there is nothing to weigh.
 */
export function usedOils(batter: OilList): readonly UsedOil[] {
  const sum = percentSum(batter);
  if (sum <= 0) return [];
  const names = lineNames(batter.oils);
  return batter.oils.flatMap((line, i) => {
    const oil = oilOf(line);
    return oil && line.percent > 0
      ? [{ line: names[i] ?? line.oil, oil, share: line.percent / sum, svMgG: line.svMgG ?? midSv(oil) }]
      : [];
  });
}
