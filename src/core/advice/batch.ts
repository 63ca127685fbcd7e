import { setCopies } from '../edit/moulds.ts';
import { pouredIn } from '../weigh/scaled.ts';
import { inAll, mouldNames } from '../plan/moulds.ts';
import { MOST_COPIES } from '../plan/otherMould.ts';
import { totalHeldBack } from '../plan/pours.ts';
import { formatMass } from '../units/format.ts';
import { lowerFirst } from '../units/words.ts';
import { spareFromRoundingG } from '../weigh/targets.ts';
import type { Facts, MouldFacts } from './facts.ts';
import type { Remedy, Warning } from './warning.ts';
import { refuse, remedy, warn } from './/warning.ts';

/** Batter that one more of a mould takes out of the batch, its part of the overage with it, g. */
const oneTakesG = ({ plan }: Facts, { stack }: MouldFacts): number =>
  pouredIn({ stack }) * (1 + plan.fill.overagePercent / 100);

/** More of the moulds that what is over fills, the largest first. */
function more(facts: Facts, spareG: number): Remedy[] {
  const names = mouldNames(facts.plan);
  return facts.moulds
    .map((m) => ({ m, eachG: oneTakesG(facts, m) }))
    .filter(({ m, eachG }) => !m.use.takesRest && eachG > 0 && m.use.copies < MOST_COPIES)
    .toSorted((a, b) => b.eachG - a.eachG)
    .flatMap(({ m: { use }, eachG }): Remedy[] => {
      const n = Math.min(MOST_COPIES - use.copies, Math.floor(spareG / eachG));
      const name = names.get(use.id) ?? '';
      return n > 0
        ? [
            remedy(n === 1 ? `One more ${name}` : `${n} more ${name}`, (p) =>
              setCopies(p, use.id, use.copies + n),
            ),
          ]
        : [];
    });
}

/** A batch of given size against what its moulds take: what is over, or what is short. */
export function batchWarnings(facts: Facts): Warning[] {
  const { plan, weights, givenBatchG, moulds } = facts;
  if (!weights) return [];
  const mass = (g: number): string => formatMass(g, plan.units.mass, plan.units.scaleStepG);
  const tolerance = spareFromRoundingG(plan);
  const shortG = givenBatchG === undefined ? 0 : weights.batterG - givenBatchG;
  // pours of given masses that ask for more than the one mould has are told where they are
  if (shortG > tolerance && (moulds.length > 1 || plan.fill.upTo)) {
    const takenG = inAll(moulds, pouredIn);
    return [
      refuse(
        { station: 'mould' },
        'batch-short',
        `The batch of ${mass(givenBatchG ?? 0)} is ${mass(shortG)} short: the moulds take ${mass(takenG)}, ${mass(totalHeldBack(plan))} is held back, and ${plan.fill.overagePercent} % is mixed beyond.`,
        [
          remedy(`A batch of ${mass(Math.ceil(weights.batterG))}`, (p) => ({
            ...p,
            fill: { ...p.fill, to: { kind: 'batter', massG: Math.ceil(weights.batterG) } },
          })),
          ...moulds
            .filter((m) => m.use.copies > 1 && oneTakesG(facts, m) * (m.use.copies - 1) >= shortG)
            .map((m): Remedy => {
              const fewer = Math.ceil(shortG / oneTakesG(facts, m));
              return remedy(
                `${fewer === 1 ? 'One' : String(fewer)} fewer of ${mouldNames(plan).get(m.use.id) ?? ''}`,
                (p) => setCopies(p, m.use.id, m.use.copies - fewer),
              );
            }),
        ],
      ),
    ];
  }
  if (weights.spareG <= tolerance) return [];
  const remedies = more(facts, weights.spareG);
  const [first] = remedies;
  return [
    warn(
      { station: 'design' },
      'batter-spare',
      `${mass(weights.spareG)} of the batch goes into no pour${first ? `: ${lowerFirst(first.label)}` : ''}${plan.divide.kind === 'before-lye' ? ', and is not mixed' : ''}.`,
      remedies,
    ),
  ];
}
