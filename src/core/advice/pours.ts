import { evenAll } from '../edit/even.ts';
import { setAmount } from '../edit/pours.ts';
import { formatLength, formatMass } from '../units/format.ts';
import type { Warning } from './warning.ts';
import type { Facts } from './facts.ts';

/** Filled short of the mark by less than this is rounding, not a plan that needs a word: g. */
const WORTH_SAYING_G = 1;

const letterOf = ({ plan }: Facts, pot: string): string => plan.pots.find((p) => p.id === pot)?.letter ?? '?';

function faultWarning(facts: Facts): Warning[] {
  const { stack, densityGMl, plan } = facts;
  const { fault } = stack;
  if (!fault) return [];
  const pour = stack.layers[fault.pour]?.pour;
  if (!pour) return [];
  const mass = formatMass(fault.shortfallMl * densityGMl, plan.units.mass, 1);
  const nth = `Pour ${fault.pour + 1} (pot ${letterOf(facts, pour.pot)})`;
  return [
    {
      code: fault.kind,
      level: 'refuse',
      station: 'design',
      step: pour.id,
      message:
        fault.kind === 'overfull'
          ? `${nth} does not fit: ${mass} more than the room left under the rim.`
          : `Nothing is left for ${nth.toLowerCase()}: the other pours take ${mass} more than the fill already.`,
      remedies: [
        { label: 'Make all layers even', apply: (p) => evenAll(p) },
        ...(fault.kind === 'overfull'
          ? [
              {
                label: 'Let this pour take what is left',
                apply: (p: Facts['plan']) => setAmount(p, pour.id, { kind: 'rest', parts: 1 }),
              },
            ]
          : []),
      ],
    },
  ];
}

export function pourWarnings(facts: Facts): Warning[] {
  const { stack, fill, densityGMl, plan, geometry } = facts;
  const { units } = plan;
  const last = stack.layers.at(-1);
  if (!last)
    return [
      {
        code: 'no-pours',
        level: 'refuse',
        station: 'design',
        message: 'There are no layers yet: add one to begin.',
      },
    ];
  if (stack.fault) return faultWarning(facts);
  const differenceG = (stack.filledMl - fill.volumeMl) * densityGMl;
  if (Math.abs(differenceG) < WORTH_SAYING_G) return [];
  const reached = geometry.level.levelOf(stack.filledMl * 1000);
  const gap = formatLength(Math.abs(fill.heightMm - reached), units.length);
  const mass = formatMass(Math.abs(differenceG), units.mass, 1);
  const takeRest = {
    label: 'Let the last pour take what is left',
    apply: (p: typeof plan) => setAmount(p, last.pour.id, { kind: 'rest', parts: 1 }),
  };
  return [
    differenceG < 0
      ? {
          code: 'under-filled',
          level: 'warn',
          station: 'design',
          step: last.pour.id,
          message: `The pours stop ${gap} under the fill line: ${mass} short, and no pour takes the rest.`,
          remedies: [takeRest],
        }
      : {
          code: 'over-filled',
          level: 'warn',
          station: 'design',
          step: last.pour.id,
          message: `The pours go ${gap} over the fill line: ${mass} more than planned.`,
          remedies: [takeRest, { label: 'Make all layers even', apply: (p: typeof plan) => evenAll(p) }],
        },
  ];
}
