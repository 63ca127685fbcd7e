import { labOfBody } from '../../colour/body.ts';
import { difference } from '../../colour/difference.ts';
import { labOfHex } from '../../colour/lab.ts';
import { mixPot } from '../../edit/colorants.ts';
import { drawnPots } from '../../look/matchPots.ts';
import { paintboxOf } from '../../look/paintbox.ts';
import { plannedState } from '../../look/state.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import type { Facts } from '../facts.ts';
import { remedy, warn, type Warning } from '../warning.ts';

/** A painted colour this near to plain soap is plain soap, CIEDE2000. A judgement, no source. */
const AS_PLAIN = 9;

/** Pots that are drawn in another colour than plain soap and take no colorant: they are poured plain. */
const paintedPots = (plan: Plan): readonly Pot[] =>
  drawnPots(plan).filter(
    (p) =>
      difference(
        labOfBody(paintboxOf(plan, plannedState(plan, 'cured'), p.id).base),
        labOfHex(p.colour ?? ''),
      ) > AS_PLAIN,
  );

export function paintedOnly({ plan }: Facts): Warning[] {
  const painted = paintedPots(plan);
  if (painted.length === 0) return [];
  const letters = painted.map((p) => p.letter).join(', ');
  const [are, take, them] = painted.length === 1 ? ['is', 'takes', 'It'] : ['are', 'take', 'They'];
  return [
    warn(
      { station: 'colour', ...(painted.length === 1 && painted[0] ? { pot: painted[0].id } : {}) },
      'painted-only',
      `${painted.length === 1 ? 'Pot' : 'Pots'} ${letters} ${are} drawn in a colour given by hand but ${take} no colorant. ${them} will be poured plain: the sheet weighs no colour for ${painted.length === 1 ? 'it' : 'them'}.`,
      [
        remedy(painted.length === 1 ? 'Draw it plain, as it is' : 'Draw them plain, as they are', (p) =>
          painted.reduce((now, pot) => mixPot(now, pot.id), p),
        ),
      ],
    ),
  ];
}
