import { insideOf, type Inside } from '../mould/inside.ts';
import type { Mould } from '../mould/schema.ts';
import type { Fault } from '../result/result.ts';
import type { Mix } from './ombreSchema.ts';
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

const unknown = (what: string, at: string, id: string): Fault => ({
  code: `unknown-${what}`,
  message: `there is no ${what} "${id}"`,
  at,
});

/** Every colorant, ombre and jug that is named must be there; a curve must rise. */
function colours(plan: Plan): Fault[] {
  const colorants = new Set(plan.colorants.map((c) => c.id));
  const ombres = new Set(plan.ombres.map((o) => o.id));
  const pots = new Set(plan.pots.map((p) => p.id));
  const mixFaults = (mix: Mix, at: string): Fault[] =>
    mix.flatMap((line, i) => {
      const here = `${at}.${i}.colorant`;
      if (!colorants.has(line.colorant)) return [unknown('colorant', here, line.colorant)];
      return mix.findIndex((other) => other.colorant === line.colorant) < i
        ? [{ code: 'repeated-colorant', message: `"${line.colorant}" is in it twice`, at: here }]
        : [];
    });
  return [
    ...plan.pots.flatMap((p, i) => [
      ...mixFaults(p.colorants, `pots.${i}.colorants`),
      ...(p.jugOf !== undefined && (!pots.has(p.jugOf) || p.jugOf === p.id)
        ? [unknown('pot', `pots.${i}.jugOf`, p.jugOf)]
        : []),
    ]),
    ...plan.ombres.flatMap((o, i) => {
      const falls =
        o.spacing.kind === 'curve' && o.spacing.heights.some((h, k, all) => k > 0 && h < (all[k - 1] ?? 0));
      return [
        ...mixFaults(o.from, `ombres.${i}.from`),
        ...mixFaults(o.to, `ombres.${i}.to`),
        ...(falls
          ? [{ code: 'curve-falls', message: 'a curve rises all the way', at: `ombres.${i}.spacing.heights` }]
          : []),
      ];
    }),
    ...plan.steps.flatMap((s, i) =>
      s.kind === 'pour' && s.ombre && !ombres.has(s.ombre.id)
        ? [unknown('ombre', `steps.${i}.ombre.id`, s.ombre.id)]
        : [],
    ),
  ];
}

const letters = (plan: Plan): Fault[] =>
  plan.pots.flatMap((p, i) =>
    plan.pots.findIndex((q) => q.letter === p.letter) < i
      ? [{ code: 'repeated-letter', message: `letter ${p.letter} is on two pots`, at: `pots.${i}.letter` }]
      : [],
  );

const leastInside = ({ floor, rim, heightMm }: Inside): number =>
  Math.min(floor.width, floor.length, rim.width, rim.length, heightMm);

/** Floor of the lined inside, mm: what a divider or a column has to fit into. */
function floorOf(mould: Mould): { readonly width: number; readonly length: number; readonly least: number } {
  const { shape, linerMm } = mould;
  if (shape.kind !== 'half-round' && shape.kind !== 'tube') {
    const inside = insideOf(shape, mould);
    return { ...inside.floor, least: leastInside(inside) };
  }
  const width = shape.diameterMm - 2 * linerMm;
  const length = shape.lengthMm - 2 * linerMm;
  const stands = shape.kind === 'tube' && shape.stands === 'standing';
  return { width, length: stands ? width : length, least: Math.min(width, length) };
}

const mm = (x: number): string => `${Number(x.toFixed(1))} mm`;

function checkColumn({ column }: Mould, floor: { readonly width: number; readonly length: number }): Fault[] {
  if (!column) return [];
  const wide = column.acrossMm + 2 * Math.abs(column.xMm);
  const long = column.acrossMm + 2 * Math.abs(column.yMm);
  const fault = (message: string): Fault[] => [
    { code: 'column-outside', message, at: 'mould.column.acrossMm' },
  ];
  if (wide >= floor.width)
    return fault(
      `a column ${mm(column.acrossMm)} across does not fit there: the floor is ${mm(floor.width)} wide`,
    );
  if (long >= floor.length)
    return fault(
      `a column ${mm(column.acrossMm)} across does not fit there: the floor is ${mm(floor.length)} long`,
    );
  return [];
}

/** A compartment narrower than this is no compartment. */
const NARROWEST_MM = 8;

function checkDivider(
  { divider }: Mould,
  floor: { readonly width: number; readonly length: number },
): Fault[] {
  if (!divider) return [];
  const whole = divider.runs === 'lengthwise' ? floor.width : floor.length;
  let from = 0;
  for (const at of [...divider.atMm.toSorted((a, b) => a - b), whole + divider.thicknessMm / 2]) {
    if (at - divider.thicknessMm / 2 - from < NARROWEST_MM)
      return [
        {
          code: 'divider-outside',
          message: `walls at ${divider.atMm.map(mm).join(', ')} do not leave ${mm(NARROWEST_MM)} on each side in ${mm(whole)}`,
          at: 'mould.divider.atMm',
        },
      ];
    from = at + divider.thicknessMm / 2;
  }
  return [];
}

/** What a schema cannot say about a mould: a liner, a divider and a column must leave room inside. */
export function checkMould(mould: Mould): Fault[] {
  const floor = floorOf(mould);
  if (floor.least < 5)
    return [
      {
        code: 'mould-closed',
        message: `a ${mould.linerMm} mm liner leaves only ${floor.least.toFixed(1)} mm inside; 5 mm at least is needed`,
        at: 'mould.linerMm',
      },
    ];
  return [...checkDivider(mould, floor), ...checkColumn(mould, floor)];
}

/** The rules between fields that make a plan whole: ids, references, letters, room in the mould. */
export const checkPlan = (plan: Plan): Fault[] => [
  ...checkMould(plan.mould),
  ...repeats(plan.pots, 'pots'),
  ...repeats(plan.steps, 'steps'),
  ...repeats(plan.batter.additives, 'batter.additives'),
  ...repeats(plan.batter.partLiquids, 'batter.partLiquids'),
  ...repeats(plan.colorants, 'colorants'),
  ...repeats(plan.ombres, 'ombres'),
  ...colours(plan),
  ...letters(plan),
  ...unknownPots(plan),
];
