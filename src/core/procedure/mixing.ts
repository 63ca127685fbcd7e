import { CARRIER_DENSITY, CARRIER_NAMES } from '../colorant/dispersion.ts';
import { carryOver } from '../colour/stirring.ts';
import { bodiesOf } from '../ombre/coloursOf.ts';
import { plannedState } from '../look/state.ts';
import type { Nature } from '../colorant/schema.ts';
import type { PlanColorant } from '../colorant/schema.ts';
import type { Pot } from '../plan/planSchema.ts';
import type { Grams, Millilitres } from '../units/quantity.ts';
import { teaspoons } from '../units/spoons.ts';
import { massOfContents } from '../ledger/contents.ts';
import { everIn } from '../ledger/ledger.ts';
import type { DayAct } from '../day/act.ts';
import { ON_WHISK_G } from '../day/order/whisk.ts';
import { VESSEL } from '../day/vessel.ts';
import { clean } from '../weigh/ingredients.ts';
import { SUBSTANCE } from '../weigh/substances.ts';
import { remembered } from '../task/remembered.ts';
import type { Weights } from '../weigh/weights.ts';
import type { Computed } from '../computed/compute.ts';

/** One colorant to disperse, all of it at once. */
export interface Dispersal {
  readonly colorant: PlanColorant;
  readonly massG: Grams;
  /** letters of the pots it goes into */
  readonly into: readonly string[];
  /** how, where the colorant is described */
  readonly spoons: string | undefined;
  readonly carrier:
    | {
        readonly name: string;
        readonly kind: Nature['carrier'];
        readonly massG: Grams;
        readonly ml: Millilitres;
      }
    | undefined;
}

/** g of each colorant that each pot takes; stocks of blends are named by what they are. */
const needs = remembered(
  (
    w: Weights,
  ): readonly {
    readonly id: string;
    readonly into: string;
    readonly massG: Grams;
  }[] => {
    const blended = new Set(
      w.ombres.flatMap((o) => (o.school === 'master-blends' ? o.draws.map((d) => d.pot.id) : [])),
    );
    return [
      ...w.pots
        .filter((p) => !blended.has(p.pot.id))
        .flatMap((p) => p.colorants.map((c) => ({ id: c.id, into: p.pot.letter, massG: c.massG }))),
      ...w.ombres.flatMap((o) =>
        o.school === 'master-blends'
          ? (['first', 'last'] as const).flatMap((which) =>
              o[which].colorants.map((c) => ({
                id: c.id,
                into: o[which].name,
                massG: c.massG,
              })),
            )
          : [],
      ),
    ].filter((n) => n.massG > 0);
  },
);

/** Everything to disperse, in the order of the day: so that the whisk never needs washing. */
export const dispersals = (
  { plan, day }: Pick<Computed, 'plan' | 'day'>,
  w: Weights,
): readonly Dispersal[] => {
  const wanted = needs(w);
  return day.flatMap((act): readonly Dispersal[] => {
    const colorant = act.does === 'disperse' ? plan.colorants.find((c) => c.id === act.colorant) : undefined;
    return colorant ? dispersalOf(w, colorant, wanted) : [];
  });
};

/** One colorant as it is dispersed; nothing of one that no pot takes. */
export function dispersalOf(w: Weights, colorant: PlanColorant, wanted = needs(w)): readonly Dispersal[] {
  const own = wanted.filter((n) => n.id === colorant.id);
  const jar = everIn(w.ledger, VESSEL.jar(colorant.id));
  const massG = clean(jar.get(SUBSTANCE.colorant(colorant.id)) ?? 0);
  if (massG <= 0) return [];
  const { nature } = colorant;
  const carrierG = clean(massOfContents(jar) - massG);
  return [
    {
      colorant,
      massG,
      into: [...new Set(own.map((n) => n.into))],
      spoons: nature && teaspoons(massG, nature.gPerTsp),
      carrier:
        nature && nature.carrier !== 'none'
          ? {
              name: CARRIER_NAMES[nature.carrier],
              kind: nature.carrier,
              massG: carrierG,
              ml: carrierG / CARRIER_DENSITY[nature.carrier],
            }
          : undefined,
    },
  ];
}

export interface WhiskStep {
  readonly pot: Pot;
  /** shift (CIEDE2000) from what the whisk brings from the pot before; 0 for the first */
  readonly shift: number;
}

/** A pot gets its colour in this act. */
const coloured = (act: DayAct): Pot | undefined =>
  act.does === 'colour-pot' || act.does === 'make-portion' || (act.does === 'weigh-out' && act.coloured)
    ? act.pot
    : undefined;

/** The pots in the order in which they are coloured on the day. */
export function pottingOrder(
  { plan, graded, day }: Pick<Computed, 'plan' | 'graded' | 'day'>,
  w: Weights,
): readonly WhiskStep[] {
  const { pots: bodies } = bodiesOf(plan, plannedState(plan, 'cured'), graded);
  const list = day.flatMap((act) => {
    const pot = coloured(act);
    const body = pot && bodies.get(pot.id);
    const massG = w.pots.find((p) => p.pot.id === pot?.id)?.batterG ?? 0;
    return pot && body && massG > 0 ? [{ pot, body, massG }] : [];
  });
  return list.map(({ pot, body, massG }, i): WhiskStep => {
    const before = list[i - 1];
    return { pot, shift: before ? carryOver(before.body, ON_WHISK_G, body, massG) : 0 };
  });
}
