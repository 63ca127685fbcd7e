import { fragranceForLimit, fragranceInBarPercent } from '../batter/fragranceLimit.ts';
import { superfatOf, naohPerOil } from '../batter/lye.ts';
import type { Recipe } from '../batter/recipe.ts';
import { oilOf, percentSum } from '../batter/usedOils.ts';
import { scaleOilsTo100 } from '../edit/batter.ts';
import type { Plan } from '../plan/planSchema.ts';
import { formatApart, formatNumber, formatPercent } from '../units/format.ts';
import type { Warning } from './warning.ts';
import type { Facts } from './facts.ts';
import { superfatWarnings } from './superfat.ts';

/** Above this lye concentration batter thickens fast and the solution is near what stays dissolved. */
const STRONG_LYE_PERCENT = 40;

const inBatter = (
  code: string,
  level: Warning['level'],
  message: string,
  remedies?: Warning['remedies'],
): Warning => ({ code, level, station: 'batter', message, ...(remedies ? { remedies } : {}) });

const withBatter =
  (change: Partial<Plan['batter']>) =>
  (p: Plan): Plan => ({ ...p, batter: { ...p.batter, ...change } });

function oilWarnings({ batter }: Plan): Warning[] {
  const sum = percentSum(batter);
  const unknown = batter.oils.filter((line) => !oilOf(line));
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
          inBatter(
            'recipe-not-100',
            'warn',
            `The oils add up to ${formatPercent(sum, 2)}. Weights are in proportion; lye is right for them.`,
            [{ label: 'Scale to 100 %', apply: scaleOilsTo100 }],
          ),
        ]
      : []),
    ...batter.oils.flatMap((line) => {
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
        superfatPercent < 5
          ? [{ label: 'Set superfat to 5 %', apply: withBatter({ superfatPercent: 5 }) }]
          : undefined,
      ),
    ];
  return [];
}

/** Common practice, no source: what makers say of lye in frozen milk. */
const FROZEN_CARE =
  'a spoonful at a time over a quarter of an hour or more, in a bowl of ice, cool throughout, and strained. Too fast and it scorches, foams over and smells of ammonia.';

function waterWarnings({ batter }: Plan, recipe: Recipe): Warning[] {
  const dissolving = recipe.dissolvingWater / recipe.lye;
  const twoParts = {
    label: 'Use two parts water to one of lye',
    apply: withBatter({ water: { school: 'water-to-lye', value: 2 }, partLiquids: [] }),
  };
  const frozen = batter.partLiquids.filter((l) => l.frozen && l.percentOfWater > 0);
  const names = (list: readonly { readonly name: string }[]): string =>
    list.map((l) => l.name.toLowerCase()).join(' and ');
  if (recipe.schools.waterToLye < 1 || dissolving < 1) {
    const fresh = batter.partLiquids.filter((l) => !l.frozen && l.percentOfWater > 0);
    return [
      inBatter(
        'water-too-low',
        'refuse',
        `Only ${formatNumber(dissolving, 2)} of water to 1 of lye${fresh.length > 0 ? `, the ${names(fresh)} going in later` : ''}: the lye cannot dissolve. At least 1 : 1 is needed.`,
        [
          ...(fresh.length > 0 && recipe.schools.waterToLye >= 1
            ? [
                {
                  label: `Dissolve it slowly in frozen ${names(fresh)}, on ice`,
                  apply: withBatter({
                    partLiquids: batter.partLiquids.map((l) => ({ ...l, frozen: true })),
                  }),
                },
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

function fragranceWarnings(plan: Plan, recipe: Recipe): Warning[] {
  const { fragrance } = plan.batter;
  if (!fragrance || fragrance.percentOfOils === 0) return [];
  if (fragrance.limitPercent === undefined)
    return [
      inBatter(
        'fragrance-limit-missing',
        'note',
        `Enter the limit for rinse-off bar soap from the supplier's certificate for "${fragrance.name}".`,
      ),
    ];
  const inBar = fragranceInBarPercent(recipe);
  if (inBar <= fragrance.limitPercent) return [];
  const [is, allowed] = formatApart(inBar, fragrance.limitPercent);
  const most = Math.floor(fragranceForLimit(recipe, fragrance.limitPercent) * 100) / 100;
  return [
    inBatter(
      'fragrance-over-limit',
      'warn',
      `"${fragrance.name}" is ≈ ${is} of the cured bar; its certificate allows ${allowed}.`,
      [
        {
          label: `Use ${formatPercent(most, 2)} of oils`,
          apply: withBatter({ fragrance: { ...fragrance, percentOfOils: most } }),
        },
      ],
    ),
  ];
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
      ...oilWarnings(plan),
      inBatter('no-oils', 'refuse', 'There are no oils in the recipe yet: nothing can be weighed.'),
    ];
  return [
    ...oilWarnings(plan),
    ...lyeWarnings(plan, recipe),
    ...waterWarnings(plan, recipe),
    ...fragranceWarnings(plan, recipe),
    ...scaleWarnings(facts),
    ...superfatWarnings(facts),
  ];
}
