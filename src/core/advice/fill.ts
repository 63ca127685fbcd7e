import { formatMass, formatVolume } from '../units/format.ts';
import { holdBackEvenly } from '../edit/pots.ts';
import { totalHeldBack } from '../plan/pours.ts';
import { MOST_COPIES } from '../plan/otherMould.ts';
import { batterIn } from '../fill/batterIn.ts';
import { columnsIn } from '../mould/column.ts';
import { holeMl } from '../mould/geometry.ts';
import { holeMassG } from '../pattern/hole.ts';
import { inAll, type MouldUse } from '../plan/moulds.ts';
import type { Remedy, Warning } from './warning.ts';
import type { Facts } from './facts.ts';
import { refuse, remedy, warn } from './/warning.ts';

/** So many more of a mould that the batch is too large for. */
function oneMore({ fill, geometry, plan }: Facts, { copies }: MouldUse): Remedy[] {
  const wantedMl = (fill.volumeMl + fill.overRimMl) * copies;
  const more = Math.ceil(wantedMl / geometry.rimVolumeMl) - copies;
  return more > 0 && copies + more <= MOST_COPIES
    ? [
        remedy(`${more === 1 ? 'One' : more} more ${plan.mould.name}`, (p) => ({
          ...p,
          fill: { ...p.fill, copies: p.fill.copies + more },
        })),
      ]
    : [];
}

/** How much of a batch of given size the other moulds take. */
const takenByOthers = ({ moulds }: Facts, use: MouldUse): number =>
  inAll(
    moulds.filter((m) => m.use.id !== use.id),
    batterIn,
  );

export function fillWarnings(facts: Facts, use: MouldUse): Warning[] {
  const { plan, fill, densityGMl, geometry } = facts;
  const { units } = plan;
  const warnings: Warning[] = [];
  if (fill.overRimMl > 0.5)
    warnings.push(
      refuse(
        { station: 'mould' },
        'over-rim',
        `That is ${formatMass(fill.overRimMl * densityGMl, units.mass, 1)} (${formatVolume(fill.overRimMl, units.length)}) more than the mould holds to the rim.`,
        [
          // what is left of a batch can go into more of the same
          ...(fill.givenBatchG === undefined ? [] : oneMore(facts, use)),
          remedy('Fill to 3 mm under the rim', (p) => ({
            ...p,
            fill: { ...p.fill, to: { kind: 'headspace', headspaceMm: 3 } },
          })),
        ],
      ),
    );
  if (fill.volumeMl <= 0)
    warnings.push(
      refuse(
        { station: 'mould' },
        'nothing-to-fill',
        fill.givenBatchG === undefined
          ? `The headspace leaves nothing to fill: the lined mould is ${geometry.heightMm.toFixed(1)} mm high.`
          : facts.moulds.length > 1
            ? `The other moulds take ${formatMass(takenByOthers(facts, use), units.mass, 1)} of the batch of ${formatMass(fill.givenBatchG, units.mass, 1)}: with what is held back and the overage nothing is left for this one.`
            : 'The batch is used up by what is held back and the overage: nothing is left to pour.',
      ),
    );
  const { layers } = facts.stack;
  const holeG = layers.length > 0 ? holeMassG(layers) : holeMl(geometry, fill.heightMm) * densityGMl;
  const heldG = totalHeldBack(plan) / plan.fill.copies;
  if (holeG > heldG + 1)
    warnings.push(
      warn(
        { station: 'mould' },
        'column-hole',
        columnsIn(use.mould).length > 1
          ? `Pulling the columns leaves holes of ${formatMass(holeG, units.mass, 1)} in all, and ${formatMass(heldG, units.mass, 1)} is held back to fill them.`
          : `Pulling the column leaves a hole of ${formatMass(holeG, units.mass, 1)}, and ${formatMass(heldG, units.mass, 1)} is held back to fill it.`,
        [
          remedy(`Hold back ${formatMass(Math.ceil(holeG), units.mass, 1)} from the pots poured`, (p) =>
            holdBackEvenly(p, Math.ceil(holeG) * p.fill.copies),
          ),
        ],
      ),
    );
  return warnings;
}
