import { MOMENT } from '../batter/moments.ts';
import { fragranceForLimit, fragranceInBarPercent, fragrancePerOil } from '../batter/fragranceLimit.ts';
import type { Recipe } from '../batter/recipe.ts';
import type { Fragrance, Speed } from '../batter/schema.ts';
import { updateFragrance } from '../edit/additions.ts';
import type { Pot } from '../plan/planSchema.ts';
import { formatApart, formatPercent } from '../units/format.ts';
import type { Facts } from './facts.ts';
import type { Remedy, Warning } from './warning.ts';
import { note, remedy, warn } from './/warning.ts';

/** Where a fragrance is: in every pot alike, or in one. */
interface ScentedIn {
  readonly pot: Pot | undefined;
  readonly recipe: Recipe;
  readonly inBar: number;
}

/** Where there is most of a fragrance, batch and pots apart where they differ. */
function placesOf({ plan, recipes }: Facts, fragrance: string): readonly ScentedIn[] {
  const place = (recipe: Recipe | undefined, pot: Pot | undefined): ScentedIn[] =>
    recipe ? [{ pot, recipe, inBar: fragranceInBarPercent(recipe, fragrance) }] : [];
  const apart = plan.pots.filter((p) => recipes.ofPot(p.id) !== recipes.batch);
  const common = apart.length === plan.pots.length ? [] : place(recipes.batch, undefined);
  return [...common, ...apart.flatMap((p) => place(recipes.ofPot(p.id), p))];
}

/** Rounded down to a hundredth of a percent of the oils. */
const hundredths = (percent: number): number => Math.floor(percent * 100 + 1e-9) / 100;

/** Every dose of a fragrance less, in proportion, so that its fullest pot lands under the limit. */
function lessOf(fragrance: Fragrance, limitPercent: number, { recipe }: ScentedIn): Remedy {
  const most = hundredths(fragranceForLimit(recipe, fragrance.id, limitPercent));
  const part = most / (fragrancePerOil(recipe, fragrance.id) * 100);
  const one = fragrance.doses.length === 1;
  return remedy(
    one ? `Use ${formatPercent(most, 2)} of oils` : `Use ${formatPercent(part * 100, 0)} of every dose`,
    (p) =>
      updateFragrance(p, fragrance.id, (f) => ({
        ...f,
        doses: f.doses.map((d) => ({
          ...d,
          gPerKgOils: one ? Number((most * 10).toFixed(6)) : Math.floor(d.gPerKgOils * part * 100) / 100,
        })),
      })),
  );
}

/** What makes batter hard to pour in time. */
const QUICK: Readonly<Partial<Record<Speed, string>>> = {
  quickens: 'quickens the batter',
  'quickens-much': 'quickens the batter much',
  seizes: 'seizes the batter',
};

/**
 * What quickens is stirred into a jug as it is poured, so that it thickens in the mould. Common practice, no
 * source.
 */
function quick({ plan }: Facts): Warning[] {
  if (plan.pots.length < 2) return [];
  return plan.batter.fragrances.flatMap((f): Warning[] => {
    const says = f.speed && QUICK[f.speed];
    if (says === undefined) return [];
    const early = f.doses.filter((d) => d.gPerKgOils > 0 && d.moment !== 'pour');
    if (early.length === 0) return [];
    return [
      warn(
        { station: 'batter' },
        'fragrance-quick',
        `"${f.name}" ${says}, and it is stirred in ${MOMENT[early[0]?.moment ?? 'trace'].words}: with ${plan.pots.length} pots to pour the last may be too thick. It goes into each jug only as that is poured.`,
        [
          remedy('Stir it in just before each pour', (p) =>
            updateFragrance(p, f.id, (was) => ({
              ...was,
              doses: was.doses.map((d) => ({ ...d, moment: 'pour' })),
            })),
          ),
        ],
      ),
    ];
  });
}

/** Every fragrance against its certificate, in the pot that has most of it. */
export const fragranceWarnings = (facts: Facts): Warning[] => [...quick(facts), ...limits(facts)];

function limits(facts: Facts): Warning[] {
  return facts.plan.batter.fragrances.flatMap((fragrance): Warning[] => {
    const { limitPercent, name } = fragrance;
    if (fragrance.doses.every((d) => d.gPerKgOils === 0)) return [];
    if (limitPercent === undefined)
      return [
        note(
          { station: 'batter' },
          'fragrance-limit-missing',
          `Enter the limit for rinse-off bar soap from the supplier's certificate for "${name}".`,
        ),
      ];
    const over = placesOf(facts, fragrance.id).filter((p) => p.inBar > limitPercent);
    const worst = over.toSorted((a, b) => b.inBar - a.inBar)[0];
    if (!worst) return [];
    return over.map((place): Warning => {
      const [is, allowed] = formatApart(place.inBar, limitPercent);
      const where = place.pot ? `pot ${place.pot.letter} (${place.pot.name}), cured` : 'the cured bar';
      return warn(
        { station: 'batter', ...(place.pot ? { pot: place.pot.id } : {}) },
        'fragrance-over-limit',
        `"${name}" is ≈ ${is} of ${where}; its certificate allows ${allowed}.`,
        [lessOf(fragrance, limitPercent, worst)],
      );
    });
  });
}
