import { superfatOf, naohPerOil } from '../batter/lye.ts';
import type { Recipe } from '../batter/recipe.ts';
import { oilOf, percentSum } from '../batter/usedOils.ts';
import type { RecipeOil } from '../batter/schema.ts';
import { oilsTo100, scaleOilsTo100 } from '../edit/batter.ts';
import { setOwnOils, setOwnWater } from '../edit/ownRecipe.ts';
import { hasOwn } from '../plan/recipes.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { formatNumber, formatPercent } from '../units/format.ts';
import type { Remedy, Warning } from './warning.ts';
import type { WarningCode } from '../result/warningCodes.ts';
import type { Facts } from './facts.ts';
import { additionWarnings } from './additions.ts';
import { fragranceWarnings } from './fragrance.ts';
import { superfatWarnings } from './superfat.ts';
import { remedy } from './/warning.ts';

/** Above this lye concentration batter thickens fast and the solution is near what stays dissolved. */
const STRONG_LYE_PERCENT = 40;

const inBatter = (
  code: WarningCode,
  level: Warning['level'],
  message: string,
  remedies?: Warning['remedies'],
): Warning => ({ code, level, station: 'batter', message, ...(remedies ? { remedies } : {}) });

const withBatter =
  (change: Partial<Plan['batter']>) =>
  (p: Plan): Plan => ({ ...p, batter: { ...p.batter, ...change } });

/** The recipe's oils, or those of one pot. */
interface OilsOf {
  readonly oils: readonly RecipeOil[];
  readonly pot?: Pot;
  readonly scale: Remedy;
}

const ownOilsOf = (plan: Plan): readonly OilsOf[] =>
  plan.pots.flatMap((pot): OilsOf[] => {
    const oils = pot.own?.oils;
    return oils && hasOwn(plan, pot)
      ? [
          {
            oils,
            pot,
            scale: remedy(`Scale pot ${pot.letter} to 100 %`, (p) => setOwnOils(p, pot.id, oilsTo100(oils))),
          },
        ]
      : [];
  });

const recipeOils = ({ batter }: Plan): OilsOf => ({
  oils: batter.oils,
  scale: remedy('Scale to 100 %', scaleOilsTo100),
});

function oilWarnings({ oils, pot, scale }: OilsOf): Warning[] {
  const sum = percentSum({ oils });
  const unknown = oils.filter((line) => !oilOf(line));
  const the = pot ? `The oils of pot ${pot.letter}` : 'The oils';
  return [
    ...unknown.map((line) =>
      inBatter(
        'unknown-oil',
        'refuse',
        `The oil "${line.oil}" is not in the library and is not described: its lye cannot be computed.`,
      ),
    ),
    ...(sum > 0 && Math.abs(sum - 100) > 0.005
      ? [
          {
            ...inBatter(
              'recipe-not-100',
              'warn',
              `${the} add up to ${formatPercent(sum, 2)}. Weights are in proportion; lye is right for them.`,
              [scale],
            ),
            // a pot's own oils are typed with the pot
            ...(pot ? { station: 'colour' as const, pot: pot.id } : {}),
          },
        ]
      : []),
    ...oils.flatMap((line) => {
      const oil = oilOf(line);
      if (!oil || line.svMgG === undefined || (line.svMgG >= oil.svLow && line.svMgG <= oil.svHigh))
        return [];
      return [
        inBatter(
          'sv-outside-range',
          'warn',
          `${oil.name}: ${line.svMgG} mg KOH/g is outside ${oil.svLow} to ${oil.svHigh}. Check it against the supplier's sheet.`,
        ),
      ];
    }),
  ];
}

/**
 * The superfat that would be left at the high end of every range. It is only negative when a typed
 * saponification value is above what the oil can use at all: that is refused.
 */
function lyeWarnings(plan: Plan, recipe: Recipe): Warning[] {
  const { purityPercent, superfatPercent } = plan.batter;
  const atHigh = superfatOf(
    naohPerOil(recipe.oils, (o) => o.oil.svHigh),
    recipe.lye,
    purityPercent,
  );
  if (atHigh < 0)
    return [
      inBatter(
        'superfat-negative',
        'refuse',
        `There is more lye than these oils can use: superfat ${formatPercent(atHigh)} even at the high end of their ranges.`,
      ),
    ];
  if (recipe.superfatAtLowEnd < 0)
    return [
      inBatter(
        'superfat-thin',
        'warn',
        `Superfat is ${formatPercent(superfatPercent)}, but oils at the low end of their published ranges would leave ${formatPercent(recipe.superfatAtLowEnd)}: lye unspent. Use the supplier's saponification values, or more superfat.`,
        superfatPercent < 5 ? [remedy('Set superfat to 5 %', withBatter({ superfatPercent: 5 }))] : undefined,
      ),
    ];
  return [];
}

/** Common practice, no source: what makers say of lye in frozen milk. */
const FROZEN_CARE =
  'a spoonful at a time over a quarter of an hour or more, in a bowl of ice, cool throughout, and strained. Too fast and it scorches, foams over and smells of ammonia.';

function waterWarnings({ batter }: Plan, recipe: Recipe): Warning[] {
  const dissolving = recipe.dissolvingWater / recipe.lye;
  const twoParts = remedy(
    'Use two parts water to one of lye',
    withBatter({ water: { school: 'water-to-lye', value: 2 }, partLiquids: [] }),
  );
  const frozen = batter.partLiquids.filter((l) => l.moment === 'frozen' && l.percentOfWater > 0);
  const names = (list: readonly { readonly name: string }[]): string =>
    list.map((l) => l.name.toLowerCase()).join(' and ');
  if (recipe.schools.waterToLye < 1 || dissolving < 1) {
    const fresh = batter.partLiquids.filter(
      (l) => l.moment !== 'frozen' && l.moment !== 'water' && l.percentOfWater > 0,
    );
    return [
      inBatter(
        'water-too-low',
        'refuse',
        `Only ${formatNumber(dissolving, 2)} of water to 1 of lye${fresh.length > 0 ? `, the ${names(fresh)} going in later` : ''}: the lye cannot dissolve. At least 1 : 1 is needed.`,
        [
          ...(fresh.length > 0 && recipe.schools.waterToLye >= 1
            ? [
                remedy(
                  `Dissolve it slowly in frozen ${names(fresh)}, on ice`,
                  withBatter({
                    partLiquids: batter.partLiquids.map((l) => ({ ...l, moment: 'frozen' as const })),
                  }),
                ),
              ]
            : []),
          twoParts,
        ],
      ),
    ];
  }
  const care =
    frozen.length > 0
      ? [
          inBatter(
            'lye-into-frozen',
            'warn',
            `The lye is dissolved in frozen ${names(frozen)}: ${FROZEN_CARE}`,
          ),
        ]
      : [];
  if (recipe.schools.lyeConcentrationPercent > STRONG_LYE_PERCENT)
    return [
      ...care,
      inBatter(
        'lye-strong',
        'warn',
        `${formatPercent(recipe.schools.lyeConcentrationPercent)} lye is stronger than the usual 25 to 40 %: batter thickens fast.`,
        [twoParts],
      ),
    ];
  return care;
}

/**
 * A jug can have no less water than its lye dissolves in: the solution that all draw from is as strong as it
 * asks.
 */
function ownWaterWarnings({ plan, recipes }: Facts): Warning[] {
  return plan.pots.flatMap((pot): Warning[] => {
    const recipe = recipes.ofPot(pot.id);
    if (!hasOwn(plan, pot) || !recipe) return [];
    const dissolving = recipe.dissolvingWater / recipe.lye;
    return dissolving >= 1
      ? []
      : [
          {
            ...inBatter(
              'water-too-low',
              'refuse',
              `Pot ${pot.letter} has only ${formatNumber(dissolving, 2)} of water to 1 of lye: the lye cannot dissolve. At least 1 : 1 is needed.`,
              [
                remedy(`Take the recipe’s water in pot ${pot.letter}`, (p) =>
                  setOwnWater(p, pot.id, undefined),
                ),
              ],
            ),
            pot: pot.id,
          },
        ];
  });
}

function scaleWarnings({ plan, weights }: Facts): Warning[] {
  if (!weights) return [];
  const { scaleStepG } = plan.units;
  if (weights.lyeG < 50 * scaleStepG)
    return [
      inBatter(
        'scale-coarse',
        'warn',
        `A ${scaleStepG} g scale is coarse for ${weights.lyeG} g of lye: a step is ${formatPercent((scaleStepG / Math.max(weights.lyeG, scaleStepG)) * 100)} of it. Use a finer scale or make a larger batch.`,
      ),
    ];
  return [];
}

export function batterWarnings(facts: Facts): Warning[] {
  const { plan, recipe } = facts;
  if (!recipe)
    return [
      ...oilWarnings(recipeOils(plan)),
      inBatter('no-oils', 'refuse', 'There are no oils in the recipe yet: nothing can be weighed.'),
    ];
  return [
    ...oilWarnings(recipeOils(plan)),
    ...ownOilsOf(plan).flatMap(oilWarnings),
    ...lyeWarnings(plan, recipe),
    ...waterWarnings(plan, recipe),
    ...ownWaterWarnings(facts),
    ...additionWarnings(facts),
    ...fragranceWarnings(facts),
    ...scaleWarnings(facts),
    ...superfatWarnings(facts),
  ];
}
