import { MOMENT, isInLye, isEarly } from '../batter/moments.ts';
import { potNamed } from '../plan/sources.ts';
import { dosesPerOil, type Recipe } from '../batter/recipe.ts';
import type { Dose } from '../batter/schema.ts';
import { doseInto, updateDose, type AdditionList } from '../edit/additions.ts';
import { gradedBy } from '../ombre/runs.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { formatPercent } from '../units/format.ts';
import { portionsFirst } from './portionsFirst.ts';
import type { Facts } from './facts.ts';
import type { Remedy, Warning } from './warning.ts';
import { refuse, remedy, warn } from './/warning.ts';

/** More than this part of a pot is no addition any more. A judgement, no source. */
const MOST_ADDED = 0.4;

const LISTS = ['additives', 'lateOils', 'fragrances'] as const;

interface Listed {
  readonly list: AdditionList;
  readonly id: string;
  readonly name: string;
  readonly dose: Dose;
}

const listed = (plan: Plan): readonly Listed[] =>
  LISTS.flatMap((list) =>
    plan.batter[list].flatMap((a) =>
      a.doses.map((dose) => ({
        list,
        id: a.id,
        name: 'name' in a ? a.name : a.oil,
        dose,
      })),
    ),
  );

const lettersOf = (plan: Plan, ids: readonly string[]): string =>
  ids.flatMap((id) => potNamed(plan, id)?.letter ?? []).join(', ');

/** What named pots cannot get at that moment, as they are not yet apart. */
function notApart({ plan }: Facts): Warning[] {
  const portions = plan.divide.kind === 'before-lye';
  return listed(plan).flatMap(({ list, id, name, dose }): Warning[] => {
    if (dose.pots === undefined) return [];
    const inCommon = portions ? isInLye(dose.moment) : isEarly(dose.moment);
    if (!inCommon) return [];
    const why = portions
      ? 'all jugs draw from the same lye solution'
      : 'the pots are divided only once the batch is emulsified';
    return [
      refuse(
        { station: 'batter' },
        'dose-before-pots',
        `${name} is to go ${MOMENT[dose.moment].words} of pot ${lettersOf(plan, dose.pots)} alone, but ${why}.`,
        [
          remedy('Stir it in with the colour', (p) => updateDose(p, list, id, dose.id, { moment: 'colour' })),
          remedy('Give it to the whole batch', (p) => doseInto(p, list, id, dose.id, undefined)),
          ...(!portions && dose.moment === 'oils' ? [portionsFirst] : []),
        ],
      ),
    ];
  });
}

/** Pots that would be more of what is stirred in than of batter. */
function mostlyAdded({ plan, recipes }: Facts): Warning[] {
  const part = (recipe: Recipe | undefined): number =>
    recipe ? dosesPerOil(recipe) / recipe.batterPerOil : 0;
  return plan.pots.flatMap((pot): Warning[] => {
    const added = part(recipes.ofPot(pot.id));
    return added > MOST_ADDED
      ? [
          refuse(
            { station: 'batter', pot: pot.id },
            'mostly-added',
            `Pot ${pot.letter} (${pot.name}) would be ${formatPercent(added * 100, 0)} additions: no batter any more. ${formatPercent(MOST_ADDED * 100, 0)} at most.`,
          ),
        ]
      : [];
  });
}

const withoutOwn = (pot: Pot): Remedy =>
  remedy(`Take the recipe’s oils in pot ${pot.letter}`, (p) => ({
    ...p,
    pots: p.pots.map((q) => {
      if (q.id !== pot.id) return q;
      const { own: _own, ...rest } = q;
      return rest;
    }),
  }));

/** Oils or water of a pot's own where it cannot have them. */
function ownUnused({ plan }: Facts): Warning[] {
  return plan.pots.flatMap((pot): Warning[] => {
    if (pot.own?.oils === undefined && pot.own?.water === undefined) return [];
    if (plan.divide.kind === 'after-emulsion')
      return [
        warn(
          { station: 'colour', pot: pot.id },
          'own-oils-unused',
          `Pot ${pot.letter} (${pot.name}) has oils or water of its own, but is divided from one batch: it gets the recipe’s.`,
          [portionsFirst, withoutOwn(pot)],
        ),
      ];
    return gradedBy(plan, pot.id)?.school === 'master-blends'
      ? [
          refuse(
            { station: 'colour', pot: pot.id },
            'own-oils-in-blend',
            `Pot ${pot.letter} (${pot.name}) is blended from the stocks of an ombre: it cannot have oils or water of its own.`,
            [withoutOwn(pot)],
          ),
        ]
      : [];
  });
}

/** What is stirred in: whether it can be, and whether there is batter left. */
export const additionWarnings = (facts: Facts): Warning[] => [
  ...notApart(facts),
  ...mostlyAdded(facts),
  ...ownUnused(facts),
];
