import { rememberedLast } from '../task/remembered.ts';
import { potNamed } from '../plan/sources.ts';
import type { PotId } from '../validate/ids.ts';
import { fragrancePerOil } from '../batter/fragranceLimit.ts';
import type { Recipe } from '../batter/recipe.ts';
import type { Fragrance } from '../batter/schema.ts';
import { bodyOfHex, type Body } from '../colour/body.ts';
import { tint, type Pigment } from '../colour/pigment.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { batterIn, recipesOf, type Recipes } from '../plan/recipes.ts';
import { shiftedBase, shiftedPigment } from './shifts.ts';
import { plainSoap } from './soapColour.ts';
import type { SoapState } from './state.ts';

/** Everything needed to look at a mix of a plan's colorants in one state. */
export interface Paintbox {
  readonly base: Body;
  /** a colorant that is not described adds nothing */
  readonly bodyOf: (mix: Mix) => Body;
  readonly pigments: ReadonlyMap<string, Pigment>;
}

/** Vanillin in what a recipe makes, g/kg. */
export function vanillinGPerKg(recipe: Recipe | undefined, fragrances: readonly Fragrance[]): number {
  if (!recipe) return 0;
  const perOil = fragrances.reduce(
    (s, f) => s + (fragrancePerOil(recipe, f.id) * (f.vanillinPercent ?? 0)) / 100,
    0,
  );
  return (perOil * 1000) / recipe.batterPerOil;
}

/** Whether any fragrance of the plan tans. */
export const tans = ({ batter }: Pick<Plan, 'batter'>): boolean =>
  batter.fragrances.some((f) => (f.vanillinPercent ?? 0) > 0);

/** The plain soap of a pot, or of the batch, in a state. */
function baseOf(plan: Plan, recipes: Recipes, state: SoapState, pot: Pot | undefined): Body {
  const recipe = pot ? recipes.ofPot(pot.id) : recipes.batch;
  const batter = pot ? batterIn(plan, pot) : plan.batter;
  return shiftedBase(plainSoap(batter), state, vanillinGPerKg(recipe, plan.batter.fragrances));
}

const paintbox = (base: Body, pigments: Paintbox['pigments']): Paintbox => ({
  base,
  pigments,
  bodyOf: (mix) =>
    tint(
      base,
      mix.flatMap(({ colorant, doseGPerKg }) => {
        const pigment = pigments.get(colorant);
        return pigment ? [{ pigment, doseGPerKg }] : [];
      }),
    ),
});

/** Neither colorants, pots nor batter change while a line is dragged: their paints are kept with them. */
const byState = rememberedLast<Map<string, Paintbox>>();

/** The paints of the batch, or those of one pot where it has oils or fragrance of its own. */
export function paintboxOf(plan: Plan, state: SoapState, potId?: PotId): Paintbox {
  const recipes = recipesOf(plan);
  const pot = potNamed(plan, potId);
  const differs = pot !== undefined && recipes.ofPot(pot.id) !== recipes.batch;
  const known = byState(plan.colorants, [plan.batter, plan.pots, plan.divide], () => new Map());
  const key = `${state.age} ${state.heat} ${String(state.scented)} ${differs ? pot.id : ''}`;
  const before = known.get(key);
  if (before) return before;
  let pigments: Paintbox['pigments'];
  if (differs) ({ pigments } = paintboxOf(plan, state));
  else {
    pigments = new Map(
      plan.colorants.flatMap(({ id, nature }) =>
        nature ? [[id, shiftedPigment(nature, state)] as const] : [],
      ),
    );
  }
  const paints = paintbox(baseOf(plan, recipes, state, differs ? pot : undefined), pigments);
  known.set(key, paints);
  return paints;
}

/** A pot's body: as it is mixed, or of the colour given by hand, which is then the same in every state. */
export const bodyOfPot = (paints: Paintbox, pot: Pot): Body =>
  pot.colour === undefined ? paints.bodyOf(pot.colorants) : bodyOfHex(pot.colour);
