import { coloursEach } from '../clock/habits.ts';
import { CARRIER_DENSITY, CARRIER_NAMES } from '../colorant/dispersion.ts';
import { labOfBody, type Body } from '../colour/body.ts';
import { gentlestOrder, type Table } from '../colour/order.ts';
import { carryOver } from '../colour/stirring.ts';
import { bodiesOf } from '../ombre/coloursOf.ts';
import { paintboxOf } from '../look/paintbox.ts';
import { plannedState } from '../look/state.ts';
import type { Nature } from '../colorant/schema.ts';
import type { PlanColorant } from '../colorant/schema.ts';
import type { Pot } from '../plan/planSchema.ts';
import { pouredPots } from '../plan/sources.ts';
import type { Grams, Millilitres } from '../units/quantity.ts';
import { teaspoons } from '../units/spoons.ts';
import { massOfContents } from '../ledger/contents.ts';
import { everIn } from '../ledger/ledger.ts';
import { VESSEL } from '../weigh/acts.ts';
import { clean } from '../weigh/ingredients.ts';
import { SUBSTANCE } from '../weigh/substances.ts';
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

/** What stays on a whisk that is wiped but not washed. An estimate; common practice, no source. */
export const ON_WHISK_G = 2;

/** A shift smaller than this is no reason to leave the makers' order, CIEDE2000. */
const UNSEEN = 0.5;

/** What a step of one L* back towards the light counts against a shift: an unwiped whisk carries more than is reckoned. */
const BACK_TO_LIGHT = 0.02;

/**
 * The way from the lightest whose carry-over is least: the whisk goes from one to the next unwashed. Where no shift would be
 * seen it goes from light to dark, as makers do.
 */
function whiskOrder(bodies: readonly Body[], massG: Grams): readonly number[] {
  if (bodies.length === 0) return [];
  const light = bodies.map((b) => labOfBody(b)[0]);
  const table: Table = bodies.map((left, i) =>
    bodies.map(
      (next, j) =>
        Math.max(0, carryOver(left, ON_WHISK_G, next, massG) - UNSEEN) +
        BACK_TO_LIGHT * Math.max(0, (light[j] ?? 0) - (light[i] ?? 0)),
    ),
  );
  return gentlestOrder(table, light.indexOf(Math.max(...light)));
}

/** g of each colorant that each pot takes; stocks of blends are named by what they are. */
function needs(w: Weights): readonly { readonly id: string; readonly into: string; readonly massG: Grams }[] {
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
}

/** Everything to disperse, in the order in which the whisk never needs washing. */
export function dispersals({ plan }: Computed, w: Weights): readonly Dispersal[] {
  const wanted = needs(w);
  const list = plan.colorants.flatMap((colorant): Dispersal[] => {
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
  });
  const paints = paintboxOf(plan, plannedState(plan, 'cured'));
  const bodies = list.map(({ colorant }) =>
    paints.bodyOf([{ colorant: colorant.id, doseGPerKg: colorant.nature?.doseGPerKg ?? 0 }]),
  );
  return whiskOrder(bodies, 20).flatMap((i) => list[i] ?? []);
}

/** Where something stands in a list; last where it is not in it. */
const placeIn = <T>(list: readonly T[], what: T | undefined): number =>
  what !== undefined && list.includes(what) ? list.indexOf(what) : list.length;

export interface WhiskStep {
  readonly pot: Pot;
  /** shift (CIEDE2000) from what the whisk brings from the pot before; 0 for the first */
  readonly shift: number;
}

/** The pots in the order to colour them with one whisk: as they are poured, where each is coloured then. */
export function pottingOrder({ plan, graded }: Computed, w: Weights): readonly WhiskStep[] {
  const { pots: bodies } = bodiesOf(plan, plannedState(plan, 'cured'), graded);
  const list = w.pots.flatMap((p) => {
    const body = bodies.get(p.pot.id);
    return body && p.batterG > 0 ? [{ pot: p.pot, body, massG: p.batterG }] : [];
  });
  const mean = list.reduce((sum, p) => sum + p.massG, 0) / Math.max(1, list.length);
  const poured = [...pouredPots(plan)];
  const order = coloursEach(plan)
    ? [...list.keys()].toSorted((a, b) => placeIn(poured, list[a]?.pot.id) - placeIn(poured, list[b]?.pot.id))
    : whiskOrder(
        list.map((p) => p.body),
        mean,
      );
  return order.flatMap((i, k): WhiskStep[] => {
    const here = list[i];
    const before = list[order[k - 1] ?? -1];
    return here
      ? [{ pot: here.pot, shift: before ? carryOver(before.body, ON_WHISK_G, here.body, here.massG) : 0 }]
      : [];
  });
}
