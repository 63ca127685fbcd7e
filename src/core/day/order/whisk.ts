import { rememberedBy } from '../../task/remembered.ts';
import { labOfBody, type Body } from '../../colour/body.ts';
import { gentlestOrder, type Table } from '../../colour/order.ts';
import { carryOver } from '../../colour/stirring.ts';
import { paintboxOf } from '../../look/paintbox.ts';
import { plannedState } from '../../look/state.ts';
import { bodiesOf, gradedMixes } from '../../ombre/coloursOf.ts';
import type { Plan, Pot } from '../../plan/planSchema.ts';
import type { Grams } from '../../units/quantity.ts';
import type { ColorantId, PotId } from '../../validate/ids.ts';

/** What stays on a whisk that is wiped but not washed. An estimate; common practice, no source. */
export const ON_WHISK_G = 2;

/** A shift smaller than this is no reason to leave the makers' order, CIEDE2000. */
const UNSEEN = 0.5;

/**
 * What a step of one L* back towards the light counts against a shift: an unwiped whisk carries more than is
 * reckoned.
 */
const BACK_TO_LIGHT = 0.02;

/** Each colorant is dispersed in about so much. */
const DISPERSED_G: Grams = 20;

/** Among more than so many no way is looked for: they go from light to dark. */
const LOOKED_AMONG = 48;

/**
 * The way from the lightest whose carry-over is least: the whisk goes from one to the next unwashed. Where no
 * shift would be seen it goes from light to dark, as makers do.
 */
function whiskOrder(bodies: readonly Body[], massG: Grams): readonly number[] {
  if (bodies.length === 0) return [];
  const light = bodies.map((b) => labOfBody(b)[0]);
  if (bodies.length > LOOKED_AMONG)
    return bodies.map((_, i) => i).sort((a, b) => (light[b] ?? 0) - (light[a] ?? 0));
  const table: Table = bodies.map((left, i) =>
    bodies.map(
      (next, j) =>
        Math.max(0, carryOver(left, ON_WHISK_G, next, massG) - UNSEEN) +
        BACK_TO_LIGHT * Math.max(0, (light[j] ?? 0) - (light[i] ?? 0)),
    ),
  );
  return gentlestOrder(table, light.indexOf(Math.max(...light)));
}

/** Orders that were found, by what they are of: a line that is dragged changes no colour. */
const orderOf = rememberedBy<readonly number[]>();

/** Colorants in the order to disperse them with one whisk. */
export function dispersingOrder(plan: Plan, used: ReadonlySet<ColorantId>): readonly ColorantId[] {
  const list = plan.colorants.filter((c) => used.has(c.id));
  const order = orderOf(plan.colorants, list.map((c) => c.id).join(), () => {
    const paints = paintboxOf(plan, plannedState(plan, 'cured'));
    return whiskOrder(
      list.map((c) => paints.bodyOf([{ colorant: c.id, doseGPerKg: c.nature?.doseGPerKg ?? 0 }])),
      DISPERSED_G,
    );
  });
  return order.flatMap((i) => list[i]?.id ?? []);
}

/** To so many figures the size of a jug makes a difference to the order. */
const FIGURES = 2;

/**
 * Pots in the order to colour them all with one whisk, as they are planned; those of no known colour last.
 */
export function colouringOrder(
  plan: Plan,
  pots: readonly Pot[],
  massOf: (pot: PotId) => Grams,
): readonly Pot[] {
  const { pots: bodies } = bodiesOf(plan, plannedState(plan, 'cured'), gradedMixes(plan));
  const list = pots.flatMap((pot) => {
    const body = bodies.get(pot.id);
    return body ? [{ pot, body }] : [];
  });
  const all = list.reduce((s, { pot }) => s + massOf(pot.id), 0);
  const meanG = Number((all / Math.max(1, list.length)).toPrecision(FIGURES));
  const seen = list.map(({ body }) => labOfBody(body).map((x) => x.toFixed(FIGURES)));
  const order = orderOf(plan.colorants, JSON.stringify([meanG, seen]), () =>
    whiskOrder(
      list.map((p) => p.body),
      meanG,
    ),
  ).flatMap((i) => list[i]?.pot ?? []);
  return [...order, ...pots.filter((p) => !order.includes(p))];
}
