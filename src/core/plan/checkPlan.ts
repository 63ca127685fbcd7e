import { insideOf, type Inside } from '../mould/inside.ts';
import type { Fault } from '../result/result.ts';
import type { Plan } from './planSchema.ts';

const repeats = (list: readonly { readonly id: string }[], at: string): Fault[] =>
  list.flatMap((item, i) =>
    list.findIndex((other) => other.id === item.id) < i
      ? [{ code: 'repeated-id', message: `"${item.id}" is used twice`, at: `${at}.${i}.id` }]
      : [],
  );

const unknownPots = (plan: Plan): Fault[] => {
  const pots = new Set(plan.pots.map((p) => p.id));
  const fault = (pot: string, at: string): Fault[] =>
    pots.has(pot) ? [] : [{ code: 'unknown-pot', message: `there is no pot "${pot}"`, at }];
  return [
    ...plan.steps.flatMap((s, i) => (s.kind === 'pour' ? fault(s.pot, `steps.${i}.pot`) : [])),
    ...plan.fill.top.flatMap((t, i) => fault(t.pot, `fill.top.${i}.pot`)),
  ];
};

const letters = (plan: Plan): Fault[] =>
  plan.pots.flatMap((p, i) =>
    plan.pots.findIndex((q) => q.letter === p.letter) < i
      ? [{ code: 'repeated-letter', message: `letter ${p.letter} is on two pots`, at: `pots.${i}.letter` }]
      : [],
  );

const leastInside = ({ floor, rim, heightMm }: Inside): number =>
  Math.min(floor.width, floor.length, rim.width, rim.length, heightMm);

/** What a schema cannot say about a mould: a liner must leave room inside. */
export function checkMould(mould: Plan['mould']): Fault[] {
  const { shape } = mould;
  const least =
    shape.kind === 'half-round' || shape.kind === 'tube'
      ? Math.min(shape.diameterMm, shape.lengthMm) - 2 * mould.linerMm
      : leastInside(insideOf(shape, mould));
  return least >= 5
    ? []
    : [
        {
          code: 'mould-closed',
          message: `a ${mould.linerMm} mm liner leaves only ${least.toFixed(1)} mm inside; 5 mm at least is needed`,
          at: 'mould.linerMm',
        },
      ];
}

/** The rules between fields that make a plan whole: ids, references, letters, room in the mould. */
export const checkPlan = (plan: Plan): Fault[] => [
  ...checkMould(plan.mould),
  ...repeats(plan.pots, 'pots'),
  ...repeats(plan.steps, 'steps'),
  ...repeats(plan.batter.additives, 'batter.additives'),
  ...repeats(plan.batter.partLiquids, 'batter.partLiquids'),
  ...plan.pots.flatMap((p, i) => repeats(p.colorants, `pots.${i}.colorants`)),
  ...letters(plan),
  ...unknownPots(plan),
];
