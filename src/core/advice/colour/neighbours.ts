import { difference } from '../../colour/difference.ts';
import { READS_AS_LINE, stepWord } from '../../colour/thresholds.ts';
import { labOfBody, type Body } from '../../colour/body.ts';
import type { Lab } from '../../colour/lab.ts';
import { contrastChoice } from '../../edit/contrast.ts';
import { freshId } from '../../edit/freshId.ts';
import { insertAfter, LANDING_FALL_MM } from '../../edit/pours.ts';
import { lettersOf, type PouredLayer } from '../../fill/layers.ts';
import { leadPot } from '../../plan/sources.ts';
import type { Plan } from '../../plan/planSchema.ts';
import { formatShort } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { note, remedy, type Remedy, type Warning } from '../warning.ts';
import type { PlanBodies } from '../../ombre/coloursOf.ts';

/** A line that parts two layers differs from both by this, CIEDE2000. A judgement, no source. */
const PARTS_WELL = 15;

/** Height of a separating line. */
const LINE_MM = 3;

/**
 * So many pours and their best order is looked for at every change; more are left to the Colour station's
 * button.
 */
const ORDER_AT_ONCE = 9;

interface Pair {
  readonly below: PouredLayer;
  readonly above: PouredLayer;
}

/** Layers of one compartment that touch, out of different pots and not of one ombre. */
export function touching({ stack, geometry }: Facts): readonly Pair[] {
  return geometry.rooms.flatMap((room) => {
    const layers = stack.layers.filter((l) => l.room === room);
    return layers.slice(1).flatMap((above, i): Pair[] => {
      const below = layers[i];
      // what is pushed aside has other neighbours than the pours before and after
      if (!below || below.pour.pattern || above.pour.pattern) return [];
      if (leadPot(below.pour) === leadPot(above.pour)) return [];
      const same = below.pour.ombre && below.pour.ombre.id === above.pour.ombre?.id;
      return same ? [] : [{ below, above }];
    });
  });
}

const bodyOf = (bodies: PlanBodies, layer: PouredLayer): Body | undefined => bodies.pours.get(layer.pour.id);

type Pot = Plan['pots'][number];

interface PotLab {
  readonly pot: Pot;
  readonly lab: Lab;
}

const potLabs = ({ plan }: Facts, bodies: PlanBodies): readonly PotLab[] =>
  plan.pots.flatMap((pot) => {
    const body = bodies.pots.get(pot.id);
    return body ? [{ pot, lab: labOfBody(body) }] : [];
  });

/** The pot whose colour stands out most from both. */
function partingPot(pots: readonly PotLab[], one: Lab, other: Lab): Pot | undefined {
  let best: Pot | undefined;
  let most = PARTS_WELL;
  for (const { pot, lab } of pots) {
    const apart = Math.min(difference(lab, one), difference(lab, other));
    if (apart < most) continue;
    best = pot;
    most = apart;
  }
  return best;
}

const lineBetween =
  (below: PouredLayer, pot: string) =>
  (plan: Plan): Plan =>
    insertAfter(plan, below.pour.id, {
      id: freshId('s', plan.steps),
      kind: 'pour',
      pot,
      compartment: below.pour.compartment,
      amount: { kind: 'height', heightMm: LINE_MM },
      locked: false,
      landing: { how: 'spatula', fallMm: LANDING_FALL_MM.spatula },
    });

export function closeNeighbours(facts: Facts, bodies: PlanBodies): Warning[] {
  const { plan, stack } = facts;
  const order = stack.layers.length <= ORDER_AT_ONCE ? contrastChoice(plan, facts.colours.pours) : undefined;
  let pots: readonly PotLab[] | undefined;
  return touching(facts).flatMap(({ below, above }): Warning[] => {
    const one = bodyOf(bodies, below);
    const other = bodyOf(bodies, above);
    if (!one || !other) return [];
    const [lab, otherLab] = [labOfBody(one), labOfBody(other)];
    const apart = difference(lab, otherLab);
    if (apart >= READS_AS_LINE) return [];
    pots ??= potLabs(facts, bodies);
    const parting = partingPot(pots, lab, otherLab);
    const remedies: Remedy[] = [
      ...(order && order.best > order.now + 1 && order.best >= READS_AS_LINE
        ? [
            remedy(
              `Pour in the order of most contrast: smallest difference ${formatShort(order.best, 1)}`,
              order.apply,
            ),
          ]
        : []),
      ...(parting
        ? [
            remedy(
              `A ${LINE_MM} mm line of pot ${parting.letter} between them`,
              lineBetween(below, parting.id),
            ),
          ]
        : []),
    ];
    return [
      note(
        { station: 'colour', step: above.pour.id },
        'neighbours-close',
        `Between pours ${below.nth + 1} and ${above.nth + 1} (pots ${lettersOf(below)} and ${lettersOf(above)}) the step is ${stepWord(apart)} when cured (${formatShort(apart, 1)}; from ${READS_AS_LINE} on it is a line): they read as one layer.`,
        remedies,
      ),
    ];
  });
}
