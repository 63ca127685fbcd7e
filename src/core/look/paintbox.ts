import { recipeOf } from '../batter/recipe.ts';
import type { Batter } from '../batter/schema.ts';
import { bodyOfHex, type Body } from '../colour/body.ts';
import { tint, type Pigment } from '../colour/pigment.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
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

/** Vanillin in the batter, g/kg. */
export function vanillinGPerKg(plan: Pick<Plan, 'batter'>): number {
  const { fragrance } = plan.batter;
  const recipe = recipeOf(plan.batter);
  if (!fragrance?.vanillinPercent || !recipe) return 0;
  return ((recipe.fragrance * 1000) / recipe.batterPerOil) * (fragrance.vanillinPercent / 100);
}

function mixPaints(plan: Pick<Plan, 'batter' | 'colorants'>, state: SoapState): Paintbox {
  const base = shiftedBase(plainSoap(plan.batter), state, vanillinGPerKg(plan));
  const pigments = new Map<string, Pigment>();
  for (const { id, nature } of plan.colorants) if (nature) pigments.set(id, shiftedPigment(nature, state));
  const bodyOf = (mix: Mix): Body =>
    tint(
      base,
      mix.flatMap(({ colorant, doseGPerKg }) => {
        const pigment = pigments.get(colorant);
        return pigment ? [{ pigment, doseGPerKg }] : [];
      }),
    );
  return { base, bodyOf, pigments };
}

interface Remembered {
  readonly batter: Batter;
  readonly byState: Map<string, Paintbox>;
}

/** Neither colorants nor batter change while a line is dragged: their paints are kept with them. */
const remembered = new WeakMap<Plan['colorants'], Remembered>();

export function paintboxOf(plan: Pick<Plan, 'batter' | 'colorants'>, state: SoapState): Paintbox {
  const before = remembered.get(plan.colorants);
  const known =
    before?.batter === plan.batter ? before : { batter: plan.batter, byState: new Map<string, Paintbox>() };
  remembered.set(plan.colorants, known);
  const key = `${state.moment} ${state.heat} ${String(state.scented)}`;
  const paints = known.byState.get(key) ?? mixPaints(plan, state);
  known.byState.set(key, paints);
  return paints;
}

/** A pot's body: as it is mixed, or of the colour given by hand, which is then the same in every state. */
export const bodyOfPot = (paints: Paintbox, pot: Pot): Body =>
  pot.colour === undefined ? paints.bodyOf(pot.colorants) : bodyOfHex(pot.colour);
