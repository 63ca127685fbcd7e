import { remembered } from '../task/remembered.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { potNamed, potsByPour, UNTOLD_RIDGES } from './sources.ts';
import { recipeOf, type Recipe } from '../batter/recipe.ts';
import { wholeBatch, type Scope } from '../batter/additions.ts';
import type { Batter, Dose } from '../batter/schema.ts';
import type { Plan, Pot } from './planSchema.ts';

/**
 * The recipe of the batch, and what becomes of it in each pot: its own doses, in portions its own oils and
 * water too.
 */
export interface Recipes {
  /** with what goes into the whole batch; undefined when there is no oil to weigh */
  readonly batch: Recipe | undefined;
  /** with all that is stirred into the pot before its last pour */
  readonly ofPot: (potId: PotId) => Recipe | undefined;
  /** with all that is in what is poured, of its first pot or of another one that it takes from */
  readonly ofPour: (pourId: StepId, potId?: PotId) => Recipe | undefined;
}

/** A pot's oils and water take the place of the recipe's only where each jug has its own lye. */
export const hasOwn = (plan: Pick<Plan, 'divide'>, pot: Pot): boolean =>
  plan.divide.kind === 'before-lye' && (pot.own?.oils !== undefined || pot.own?.water !== undefined);

/** The batter of one pot. A colour given for the plain soap is that of the recipe's oils. */
export function batterIn(plan: Pick<Plan, 'batter' | 'divide'>, pot: Pot): Batter {
  if (!hasOwn(plan, pot)) return plan.batter;
  const { oils, water } = pot.own ?? {};
  const { colour, ...batter } = { ...plan.batter, ...(water ? { water } : {}) };
  if (oils) return { ...batter, oils };
  return colour === undefined ? batter : { ...batter, colour };
}

const allDoses = ({ additives, lateOils, fragrances }: Batter): readonly Dose[] =>
  [...additives, ...lateOils, ...fragrances].flatMap((a) => a.doses);

/** A plan in which every pot is the same needs one recipe, whatever else changes while a line is dragged. */
const recipeOfBatch = remembered((batter: Batter) => recipeOf(batter));

/** Layers, looks and weights of one plan all ask for its recipes. */
export const recipesOf = remembered(recipesFor);

/**
 * Where every step that takes of a jug stands among the pours: hollows of a mat before all, a column's hole
 * between two.
 */
function placesOf({ steps }: Pick<Plan, 'steps'>): ReadonlyMap<StepId, number> {
  const places = new Map<StepId, number>([[UNTOLD_RIDGES, -1]]);
  let pours = 0;
  for (const { id, kind } of steps) {
    if (kind === 'ridges') places.set(id, -1);
    if (kind === 'pull') places.set(id, pours - 0.5);
    if (kind === 'pour') places.set(id, pours++);
  }
  return places;
}

function recipesFor(plan: Plan): Recipes {
  const batch = recipeOfBatch(plan.batter);
  const special = allDoses(plan.batter).filter((d) => d.pots !== undefined);
  const differs = (pot: Pot): boolean =>
    hasOwn(plan, pot) || special.some((d) => d.pots?.includes(pot.id) ?? false);
  const potOf = potsByPour(plan);
  const places = placesOf(plan);
  const made = new Map<string, Recipe | undefined>();
  /** with the doses that are in by the pour at `place` */
  const at = (potId: PotId, place: number): Recipe | undefined => {
    const pot = potNamed(plan, potId);
    if (!pot || !differs(pot)) return batch;
    const later = special.filter((d) => d.fromPour !== undefined && (places.get(d.fromPour) ?? 0) > place);
    const key = `${potId} ${later.map((d) => special.indexOf(d)).join(' ')}`;
    if (!made.has(key)) {
      const scope: Scope = (d) => wholeBatch(d) || ((d.pots?.includes(potId) ?? false) && !later.includes(d));
      made.set(key, recipeOf(batterIn(plan, pot), scope));
    }
    return made.get(key);
  };
  return {
    batch,
    ofPot: (potId) => at(potId, Infinity),
    ofPour: (pourId, potId) => at(potId ?? potOf.get(pourId) ?? '', places.get(pourId) ?? Infinity),
  };
}
