import { coloursEach } from '../../plan/habits.ts';
import { heldPots } from '../../plan/held.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import { pouredPots } from '../../plan/sources.ts';
import type { Grams } from '../../units/quantity.ts';
import type { ColorantId, PotId } from '../../validate/ids.ts';
import { WHOLE_STIRS, type Into, type WholeStir } from '../../batter/moments.ts';
import type { DayAct } from '../act.ts';
import { combined, waitsForJug, weighOut } from './ready.ts';
import { colouringOrder, dispersingOrder } from './whisk.ts';

/** Pots that anything is poured or taken of. */
export function usedPots(plan: Plan): readonly Pot[] {
  const used = new Set([...pouredPots(plan), ...heldPots(plan)]);
  return plan.pots.filter((p) => used.has(p.id));
}

/**
 * Pots that are made ready before anything is poured; the others wait for a jug, or for their turn to get
 * lye.
 */
export function madeAtFirst(plan: Plan): readonly Pot[] {
  const { divide } = plan;
  if (divide.kind === 'before-lye') return divide.lye === 'together' ? usedPots(plan) : [];
  return usedPots(plan).filter((p) => !waitsForJug(plan, p));
}

/** Chapters in which something is stirred into all of a batch. */
const STIRRED_IN = {
  'weigh-water': 'lye',
  'dissolve-lye': 'lye',
  'weigh-oils': 'oils',
  emulsify: 'emulsify',
} as const;

/** What is stirred into all of a batch once this is done, in order. */
const stirsAfter = (after: WholeStir['after']): readonly DayAct[] =>
  (Object.keys(WHOLE_STIRS) as Into[])
    .filter((into) => WHOLE_STIRS[into].after === after)
    .map((into) => ({ id: WHOLE_STIRS[into].act, does: 'stir-in', into, chapter: STIRRED_IN[after] }));

const LYE: readonly DayAct[] = [
  { id: 'water', does: 'weigh-water', chapter: 'lye' },
  ...stirsAfter('weigh-water'),
  { id: 'lye', does: 'weigh-lye', chapter: 'lye' },
  { id: 'stir-lye', does: 'dissolve-lye', chapter: 'lye' },
  ...stirsAfter('dissolve-lye'),
  { id: 'strain', does: 'strain-lye', chapter: 'lye' },
];

const OILS: readonly DayAct[] = [
  { id: 'carrier-oil', does: 'set-oil-aside', chapter: 'oils' },
  { id: 'oils', does: 'weigh-oils', chapter: 'oils' },
  ...stirsAfter('weigh-oils'),
];

/** Colorants that anything is coloured with. */
function usedColorants({ ombres }: Plan, pots: readonly Pot[]): ReadonlySet<ColorantId> {
  return new Set([
    ...pots.flatMap((p) => p.colorants.map((c) => c.colorant)),
    ...ombres.flatMap((o) => [...o.from, ...o.to].map((c) => c.colorant)),
  ]);
}

const disperseAll = (plan: Plan): readonly DayAct[] =>
  dispersingOrder(plan, usedColorants(plan, plan.pots)).map((colorant) => ({
    id: `disperse:${colorant}`,
    does: 'disperse',
    chapter: 'colour',
    colorant,
  }));

const stocks = ({ ombres }: Plan): readonly DayAct[] =>
  ombres
    .filter((o) => o.school === 'master-blends')
    .flatMap((o) =>
      (['first', 'last'] as const).map((which): DayAct => ({
        id: `stock:${o.id}:${which}`,
        does: 'make-stock',
        chapter: 'divide',
        ombre: o.id,
        which,
      })),
    );

/** One batch: its lye, its oils, emulsified and divided into its pots. */
function oneBatch(plan: Plan, massOf: (pot: PotId) => Grams): readonly DayAct[] {
  const pots = madeAtFirst(plan);
  return [
    ...LYE,
    ...OILS,
    ...disperseAll(plan),
    { id: 'emulsify', does: 'emulsify', chapter: 'emulsify' },
    ...stirsAfter('emulsify'),
    ...stocks(plan),
    ...(coloursEach(plan) ? pots : colouringOrder(plan, pots, massOf)).map((p) =>
      weighOut(plan, p, 'divide'),
    ),
    { id: 'spare', does: 'keep-spare', chapter: 'divide' },
  ];
}

/**
 * Portions made ready before the lye, which they get all at first, the largest first, or each when it is
 * wanted.
 */
function portions(plan: Plan, massOf: (pot: PotId) => Grams): readonly DayAct[] {
  return [
    ...OILS,
    ...disperseAll(plan),
    ...stocks(plan),
    ...usedPots(plan).map((pot): DayAct => ({
      id: `pot:${pot.id}`,
      does: 'make-portion',
      chapter: 'divide',
      pot,
    })),
    ...LYE,
    ...madeAtFirst(plan)
      .toSorted((a, b) => massOf(b.id) - massOf(a.id))
      .flatMap((pot) => combined(pot, false, 'emulsify')),
  ];
}

/**
 * Everything from the first weighing to jugs that stand ready. `massOf`: what is poured of a pot as it is
 * planned.
 */
export const making = (plan: Plan, massOf: (pot: PotId) => Grams): readonly DayAct[] =>
  plan.divide.kind === 'before-lye' ? portions(plan, massOf) : oneBatch(plan, massOf);
