import { recipeLines } from '../batter/assessed.ts';
import { originOfName, originOfOil, type Origin } from '../batter/origins.ts';
import type { OilLine, Promised } from '../batter/schema.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { note, warn, remedy } from './/warning.ts';

interface Ingredient {
  readonly name: string;
  /** undefined: nothing tells */
  readonly origin: Origin | undefined;
}

const ofOil = (line: OilLine): Ingredient =>
  line.custom
    ? { name: line.custom.name, origin: originOfName(line.custom.name) }
    : { name: line.oil.replaceAll('-', ' '), origin: originOfOil(line.oil) };

const ofName = ({ name }: { readonly name: string }): Ingredient => ({ name, origin: originOfName(name) });

/** Everything that goes into the soap, by name. */
function ingredientsOf(plan: Plan): readonly Ingredient[] {
  const { batter } = plan;
  const pots = plan.divide.kind === 'before-lye' ? plan.pots.flatMap((p) => p.own?.oils ?? []) : [];
  return [
    ...batter.oils.filter((o) => o.percent > 0).map(ofOil),
    ...pots.map(ofOil),
    ...batter.lateOils.map(ofOil),
    ...batter.partLiquids.map(ofName),
    ...batter.additives.map(ofName),
    ...plan.colorants.map(ofName),
  ];
}

const BROKEN_BY: Readonly<Record<Promised, keyof Origin>> = {
  vegan: 'animal',
  'palm-free': 'palm',
  'milk-free': 'milk',
};

const quoted = (list: readonly Ingredient[]): string =>
  [...new Set(list.map((i) => `"${i.name}"`))].join(', ');

/** What is promised of the soap against every ingredient, additives and part-liquids included. */
function broken(plan: Plan): Warning[] {
  const all = ingredientsOf(plan);
  return (plan.batter.promises ?? []).flatMap((promise): Warning[] => {
    const against = all.filter((i) => i.origin?.[BROKEN_BY[promise]]);
    const unsure = all.filter(
      (i) => i.origin === undefined && !plan.colorants.some((c) => c.name === i.name),
    );
    return [
      ...(against.length > 0
        ? [
            warn(
              { station: 'batter' },
              'promise-broken',
              `This soap is promised to be ${promise}, and there is ${quoted(against)} in it.`,
              [
                remedy(`No longer promise ${promise}`, (p: Plan): Plan => ({
                  ...p,
                  batter: {
                    ...p.batter,
                    promises: (p.batter.promises ?? []).filter((x) => x !== promise),
                  },
                })),
              ],
            ),
          ]
        : []),
      ...(unsure.length > 0
        ? [
            note(
              { station: 'batter' },
              'promise-unsure',
              `Nothing is known here of ${quoted(unsure)}: ask the supplier whether it is ${promise}.`,
            ),
          ]
        : []),
    ];
  });
}

const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
});

/** A recipe that was assessed for sale, and is another one now. */
function assessed({ batter }: Plan): Warning[] {
  if (!batter.assessed) return [];
  const { on, lines } = batter.assessed;
  const now = recipeLines(batter);
  const gone = lines.filter((l) => !now.includes(l));
  const come = now.filter((l) => !lines.includes(l));
  if (gone.length + come.length === 0) return [];
  const list = (what: readonly string[]): string =>
    what.slice(0, 6).join('; ') + (what.length > 6 ? '; …' : '');
  return [
    warn(
      { station: 'batter' },
      'assessed-otherwise',
      `This is not the recipe that was assessed for sale on ${DAY.format(new Date(on))}. ${gone.length > 0 ? `Assessed: ${list(gone)}. ` : ''}${come.length > 0 ? `Now: ${list(come)}. ` : ''}Ask the assessor before it is sold.`,
    ),
  ];
}

export const promiseWarnings = ({ plan }: Facts): Warning[] => [...broken(plan), ...assessed(plan)];
