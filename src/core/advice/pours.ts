import { pouredOtherwise } from '../batch/happened.ts';
import { lettersOf } from '../fill/layers.ts';
import { evenAll } from '../edit/even.ts';
import { pourAlso, setAmount } from '../edit/pours.ts';
import { levelProfile } from '../mould/levelProfile.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import { VOLUME_AGREES, volumeErrorMl } from '../fill/volumeError.ts';
import { formatLength, formatMass, formatVolume } from '../units/format.ts';
import { lowerFirst } from '../units/words.ts';
import type { Remedy, Warning } from './warning.ts';
import type { Facts } from './facts.ts';
import { refuse, warn, remedy } from './/warning.ts';

/** Filled short of the mark by less than this is rounding, not a plan that needs a word: g. */
const WORTH_SAYING_G = 1;

function faultWarning(facts: Facts): Warning[] {
  const { stack, densityGMl, plan, happened } = facts;
  const { fault } = stack;
  if (!fault) return [];
  const layer = stack.layers[fault.pour];
  if (!layer) return [];
  const { pour } = layer;
  const mass = formatMass(fault.shortfallMl * densityGMl, plan.units.mass, 1);
  const nth = `Pour ${fault.pour + 1} (pot ${lettersOf(layer)})`;
  return [
    (pouredOtherwise(happened) ? warn : refuse)(
      { station: 'design', step: pour.id },
      fault.kind,
      fault.kind === 'not-solved'
        ? `The pours that share what is left could not be laid out: ${mass} is unaccounted for from ${lowerFirst(nth)} on. Give one of them a mass.`
        : fault.kind === 'overfull'
          ? `${nth} does not fit: ${mass} more than the room left under the rim.`
          : `Nothing is left for ${lowerFirst(nth)}: the other pours take ${mass} more than the fill already.`,
      [
        remedy('Make all layers even', (p) => evenAll(p)),
        ...(fault.kind === 'overfull'
          ? [
              remedy('Let this pour take what is left', (p: Facts['plan']) =>
                setAmount(p, pour.id, { kind: 'rest', parts: 1 }),
              ),
            ]
          : []),
      ],
    ),
  ];
}

/** A compartment whose pours stop short of the fill line or go over it, or that has none. */
function roomWarnings(facts: Facts, index: number): Warning[] {
  const { stack, fill, densityGMl, plan, geometry } = facts;
  const room = geometry.rooms[index];
  if (!room) return [];
  const layers = stack.layers.filter((l) => l.room === room);
  const profile = levelProfile(room);
  const filledMl = layers.reduce((s, l) => s + l.volumeMl, 0);
  const wantedMl = profile.volumeBelow(fill.heightMm) / MM3_PER_ML;
  const differenceG = (filledMl - wantedMl) * densityGMl;
  const mass = formatMass(Math.abs(differenceG), plan.units.mass, 1);
  const where = geometry.rooms.length > 1 ? ` in compartment ${index + 1}` : '';
  const last = layers.at(-1);
  if (!last)
    return [
      warn(
        { station: 'design' },
        'compartment-empty',
        `Nothing is poured into compartment ${index + 1}: ${mass} would fill it.`,
        [remedy('Pour the same layers there as in the first', (p) => pourAlso(p, index))],
      ),
    ];
  if (Math.abs(differenceG) < WORTH_SAYING_G) return [];
  const reached = profile.levelOf(filledMl * MM3_PER_ML);
  const gap = formatLength(Math.abs(fill.heightMm - reached), plan.units.length);
  const takeRest: Remedy = remedy('Let the last pour take what is left', (p) =>
    setAmount(p, last.pour.id, { kind: 'rest', parts: 1 }),
  );
  const about = { station: 'design', step: last.pour.id } as const;
  return [
    differenceG < 0
      ? warn(
          about,
          'under-filled',
          `The pours${where} stop ${gap} under the fill line: ${mass} short, and no pour takes the rest.`,
          [takeRest],
        )
      : warn(
          about,
          'over-filled',
          `The pours${where} go ${gap} over the fill line: ${mass} more than planned.`,
          [takeRest, remedy('Make all layers even', (p) => evenAll(p))],
        ),
  ];
}

export function pourWarnings(facts: Facts): Warning[] {
  const { stack, geometry } = facts;
  if (stack.layers.length === 0)
    return [refuse({ station: 'design' }, 'no-pours', 'There are no layers yet: add one to begin.')];
  if (stack.fault) return faultWarning(facts);
  const errorMl = volumeErrorMl(stack.layers);
  if (errorMl > VOLUME_AGREES * geometry.rimVolumeMl + 1e-3)
    return [
      refuse(
        { station: 'design' },
        'volume-error',
        `The layers do not add up: one of them is drawn ${formatVolume(errorMl, facts.plan.units.length)} off what is poured. Change a tilt or an amount a little.`,
      ),
    ];
  return geometry.rooms.flatMap((_, index) => roomWarnings(facts, index));
}
