import { potsOf } from './sources.ts';
import type { Fault } from '../result/result.ts';
import { clockFaults } from './checkClock.ts';
import { doseFaults } from './checkDoses.ts';
import { mouldFaults } from './checkMoulds.ts';
import { propFaults } from './checkProps.ts';
import { repeats, unknown } from './faults.ts';
import type { Mix } from './ombreSchema.ts';
import type { Plan } from './planSchema.ts';
import { secondAsPlan, secondPot } from './second.ts';

const unknownPots = (plan: Plan): Fault[] => {
  const pots = new Set(plan.pots.map((p) => p.id));
  const fault = (pot: string, at: string): Fault[] =>
    pots.has(pot) ? [] : [{ code: 'unknown-pot' as const, message: `there is no pot "${pot}"`, at }];
  return [
    ...plan.steps.flatMap((s, i) =>
      s.kind === 'pour' ? potsOf(s).flatMap((pot) => fault(pot, `steps.${i}.pot`)) : [],
    ),
    ...plan.steps.flatMap((s, i) =>
      s.kind === 'top' && s.way.top === 'mound' ? fault(s.way.pot, `steps.${i}.way.pot`) : [],
    ),
    ...plan.steps.flatMap((s, i) => (s.kind === 'ridges' ? fault(s.pot, `steps.${i}.pot`) : [])),
    ...plan.fill.top.flatMap((t, i) => fault(t.pot, `fill.top.${i}.pot`)),
  ];
};

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
        ? [{ code: 'repeated-colorant' as const, message: `"${line.colorant}" is in it twice`, at: here }]
        : [];
    });
  return [
    ...plan.pots.flatMap((p, i): Fault[] => [
      ...mixFaults(p.colorants, `pots.${i}.colorants`),
      ...(p.jugOf !== undefined && (!pots.has(p.jugOf) || p.jugOf === p.id)
        ? [unknown('pot', `pots.${i}.jugOf`, p.jugOf)]
        : []),
    ]),
    ...plan.ombres.flatMap((o, i): Fault[] => {
      const falls =
        o.spacing.kind === 'curve' && o.spacing.heights.some((h, k, all) => k > 0 && h < (all[k - 1] ?? 0));
      return [
        ...mixFaults(o.from, `ombres.${i}.from`),
        ...mixFaults(o.to, `ombres.${i}.to`),
        ...(falls
          ? [
              {
                code: 'curve-falls' as const,
                message: 'a curve rises all the way',
                at: `ombres.${i}.spacing.heights`,
              },
            ]
          : []),
      ];
    }),
    ...plan.steps.flatMap((s, i) =>
      s.kind === 'mica' && !colorants.has(s.colorant)
        ? [unknown('colorant', `steps.${i}.colorant`, s.colorant)]
        : [],
    ),
    ...plan.steps.flatMap((s, i) =>
      s.kind === 'pour' && s.ombre && !ombres.has(s.ombre.id)
        ? [unknown('ombre', `steps.${i}.ombre.id`, s.ombre.id)]
        : [],
    ),
  ];
}

/** A layer of an ombre is of one pot; a pour in rounds is of several. */
const ombresInRounds = (plan: Plan): Fault[] =>
  plan.steps.flatMap((s, i) =>
    s.kind === 'pour' && s.ombre && s.pattern
      ? [
          {
            code: 'pattern-of-ombre' as const,
            message: 'a layer of an ombre cannot be poured in rounds',
            at: `steps.${i}.pattern`,
          },
        ]
      : [],
  );

/** Fluid batter is set level, not turned over to another slope. */
const fluidTurns = (plan: Plan): Fault[] =>
  plan.steps.flatMap((s, i) =>
    s.kind === 'tilt' && s.fluid && (s.rollDeg !== 0 || s.pitchDeg !== 0)
      ? [
          {
            code: 'fluid-not-level' as const,
            message: `only a mould that is set level has batter run level in it, and this one is turned by ${s.rollDeg || s.pitchDeg}°`,
            at: `steps.${i}.fluid`,
          },
        ]
      : [],
  );

/** A scraper's edge has one height at each place. */
const edges = (plan: Plan): Fault[] =>
  plan.steps.flatMap((s, i) => {
    if (s.kind !== 'scrape' || s.edge.kind !== 'drawn') return [];
    const { points } = s.edge;
    const back = points.findIndex((p, k) => k > 0 && p.acrossMm <= (points[k - 1]?.acrossMm ?? -Infinity));
    return back < 0
      ? []
      : [
          {
            code: 'edge-turns-back' as const,
            message: `point ${back + 1} of the edge does not lie to the right of the one before it`,
            at: `steps.${i}.edge.points.${back}.acrossMm`,
          },
        ];
  });

const letters = (plan: Plan): Fault[] =>
  plan.pots.flatMap((p, i) =>
    plan.pots.findIndex((q) => q.letter === p.letter) < i
      ? [
          {
            code: 'repeated-letter' as const,
            message: `letter ${p.letter} is on two pots`,
            at: `pots.${i}.letter`,
          },
        ]
      : [],
  );

/**
 * What is piped is of a pot of the second batch; that is whole by itself, and none of its pots is called as
 * one of the loaf's.
 */
function secondFaults(plan: Plan): Fault[] {
  const { second } = plan;
  const rows = plan.steps.flatMap((s, i) =>
    s.kind === 'top' && s.way.top === 'piping'
      ? s.way.rows.flatMap((row, k): Fault[] =>
          secondPot(plan, row.pot) ? [] : [unknown('pot', `steps.${i}.way.rows.${k}.pot`, row.pot)],
        )
      : [],
  );
  const part = secondAsPlan(plan, () => 1);
  if (!second || !part) return rows;
  const taken = second.pots.flatMap((p, i): Fault[] => {
    const other = plan.pots.find((q) => q.id === p.id || q.letter === p.letter);
    if (!other) return [];
    const sameId = other.id === p.id;
    return [
      {
        code: sameId ? 'repeated-id' : 'repeated-letter',
        message: sameId
          ? `the loaf has a pot "${p.id}" too`
          : `letter ${p.letter} is on a pot of the loaf too`,
        at: `second.pots.${i}.${sameId ? 'id' : 'letter'}`,
      },
    ];
  });
  const own = rules(part).filter((f) => f.at?.startsWith('batter') || f.at?.startsWith('pots'));
  return [...rows, ...taken, ...own.map((f) => ({ ...f, at: `second.${f.at ?? ''}` }))];
}

/** The rules between fields that make a plan whole: ids, references, letters, room in the mould. */
export function checkPlan(plan: Plan): Fault[] {
  const moulds = mouldFaults(plan);
  return [...moulds, ...rules(plan), ...secondFaults(plan), ...(moulds.length === 0 ? propFaults(plan) : [])];
}

const rules = (plan: Plan): Fault[] => [
  ...repeats(plan.pots, 'pots'),
  ...repeats(plan.steps, 'steps'),
  ...repeats(plan.batter.additives, 'batter.additives'),
  ...repeats(plan.batter.lateOils, 'batter.lateOils'),
  ...repeats(plan.batter.fragrances, 'batter.fragrances'),
  ...repeats(plan.batter.partLiquids, 'batter.partLiquids'),
  ...doseFaults(plan),
  ...repeats(plan.colorants, 'colorants'),
  ...repeats(plan.ombres, 'ombres'),
  ...colours(plan),
  ...ombresInRounds(plan),
  ...edges(plan),
  ...fluidTurns(plan),
  ...clockFaults(plan),
  ...letters(plan),
  ...unknownPots(plan),
];
