import { dequal } from 'dequal/lite';
import type { KnownRate } from '../batter/schema.ts';
import { usedOils } from '../batter/usedOils.ts';
import type { Recipe } from '../batter/recipe.ts';
import type { Plan } from '../plan/planSchema.ts';
import { REST, REST_DOUBLES_MIN } from '../timing/estimates.ts';
import { RECIPE, scentDoubt, scentSpeed } from './scents.ts';
import { speedOf } from './speed.ts';
import type { LearnedRate } from './learned.ts';

/** One rate of a plan: what it is taken to be, and what is known of it from before. */
export interface RateOf {
  /** 'recipe', 'rest', or a fragrance by its id */
  readonly id: string;
  readonly doubt: string;
  readonly was: number;
  readonly known: KnownRate | undefined;
}

/** The rates of a plan that readings can tell of. */
export function ratesOf({ batter, clock }: Plan, recipe: Recipe | undefined): readonly RateOf[] {
  const speed = recipe && speedOf(batter, recipe, clock);
  if (!speed) return [];
  const { knownRest } = clock;
  return [
    { id: RECIPE, doubt: RECIPE, was: speed.atRest, known: clock.known },
    ...batter.fragrances.map((f) => ({
      id: f.id,
      doubt: scentDoubt(f.id),
      was: scentSpeed(f).factor,
      known: f.known,
    })),
    { id: REST, doubt: REST, was: knownRest?.value ?? REST_DOUBLES_MIN, known: knownRest },
  ];
}

/**
 * A rate as it is kept once its readings are done with; undefined where they say nothing of it, or it is left
 * as it was.
 */
export const keptAs = ({ was, known }: RateOf, rate: LearnedRate | undefined): KnownRate | undefined =>
  !rate || rate.refused || rate.readings === 0
    ? undefined
    : {
        value: Number((was * rate.factor).toPrecision(4)),
        readings: (known?.readings ?? 0) + rate.readings,
        rested: true,
      };

/** The same oils in the same shares: what one batch tells of its rate holds for the other. */
export const sameOils = (a: Pick<Plan, 'batter'>, b: Pick<Plan, 'batter'>): boolean => {
  const of = ({ batter }: Pick<Plan, 'batter'>): unknown =>
    usedOils(batter)
      .map((o) => [o.oil.id, Math.round(o.share * 1000)])
      .toSorted((x, y) => String(x).localeCompare(String(y)));
  return dequal(of(a), of(b));
};

/**
 * What another batch of the same oils tells that is not known here yet, kept or read there: of the recipe and
 * of rest, and of fragrances of the same name and lot, by their ids here.
 */
export function toldBy(
  plan: Plan,
  other: Plan,
  recipe: Recipe | undefined,
  learned: readonly LearnedRate[],
): ReadonlyMap<string, KnownRate> {
  const here = (id: string): string | undefined => {
    const f = other.batter.fragrances.find((o) => o.id === id);
    return f ? plan.batter.fragrances.find((o) => o.name === f.name && o.version === f.version)?.id : id;
  };
  // of the same oils: the other's recipe does for both
  const known = new Map(ratesOf(plan, recipe).map((r) => [r.id, r.known]));
  return new Map(
    ratesOf(other, recipe).flatMap((rate) => {
      const kept =
        keptAs(
          rate,
          learned.find((l) => l.name === rate.doubt),
        ) ?? rate.known;
      const id = here(rate.id);
      return kept && id !== undefined && !dequal(kept, known.get(id)) ? [[id, kept] as const] : [];
    }),
  );
}
