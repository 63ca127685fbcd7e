import type { Plan } from '../plan/planSchema.ts';
import { recipesOf, type Recipes } from '../plan/recipes.ts';
import { secondPlan, secondPot } from '../plan/second.ts';
import type { Mix } from '../plan/ombreSchema.ts';
import { gradedMixes } from '../ombre/coloursOf.ts';
import { potNamed, poursFrom } from '../plan/sources.ts';
import type { Ridges, Top } from '../plan/stepSchema.ts';
import type { PotId } from '../validate/ids.ts';
import { remembered } from '../task/remembered.ts';
import type { Grams, Millimetres } from '../units/quantity.ts';
import type { LaidMould } from './laid.ts';
import { makeupOf } from './makeup.ts';
import { topsOf } from './tops.ts';
import type { TopPart, TopThing } from './laidTop.ts';

/** What of a top is of one kind, with its weight on one mould. */
export interface WeighedPart extends TopPart {
  readonly step: Top | Ridges;
  readonly massG: Grams;
}

/** What a pot holds when all is poured of it: an ombre's last shade. */
const lastMix = (plan: Plan, pot: PotId): Mix => {
  const graded = gradedMixes(plan);
  const last = poursFrom(plan, pot).findLast((p) => graded.has(p.id));
  return (last && graded.get(last.id)) ?? potNamed(plan, pot)?.colorants ?? [];
};

/** Density of the batter in a pot of the loaf's batch, or of the second one, g/ml. */
export function topDensity(plan: Plan, recipes: Recipes): (pot: PotId) => number {
  const second = secondPlan(plan, () => 1);
  const seconds = second && recipesOf(second);
  return (pot) =>
    second && secondPot(plan, pot)
      ? makeupOf(second, seconds?.ofPot(pot), secondPot(plan, pot)?.colorants ?? []).densityGMl
      : makeupOf(plan, recipes.ofPot(pot), lastMix(plan, pot)).densityGMl;
}

/** All that is on top of one mould with its weight, in order. */
export const weighedTops = (
  laid: Pick<LaidMould, 'plan' | 'geometry' | 'stack'>,
  densityOf: (pot: PotId) => number,
): readonly WeighedPart[] =>
  topsOf(laid).flatMap(({ step, parts }) =>
    parts.map((part) => ({
      ...part,
      step,
      massG: part.massG ?? (part.pot === undefined ? 0 : part.volumeMl * densityOf(part.pot)),
    })),
  );

interface Rectangle {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

const overlap = (middle: number, half: number, from: number, to: number): number =>
  Math.max(0, Math.min(middle + half, to) - Math.max(middle - half, from)) / (2 * half);

/** How much of a parabola about 0 from -1 to 1 lies between two places, 0..1. */
function ofParabola(from: number, to: number): number {
  const upTo = (u: number): number => {
    const c = Math.min(1, Math.max(-1, u));
    return (c - c ** 3 / 3 + 2 / 3) / (4 / 3);
  };
  return Math.max(0, upTo(to) - upTo(from));
}

/**
 * What of a thing lies on a rectangle of the plan, 0..1. A ridge that reaches over the walls is shared by
 * what of its parabola is on it.
 */
function shareOn(thing: TopThing, { x0, x1, y0, y1 }: Rectangle): number {
  const { x, y, halfX, halfY } = thing;
  switch (thing.form) {
    case 'dome':
    case 'ball':
    case 'rod':
      return x >= x0 && x < x1 && y >= y0 && y < y1 ? 1 : 0;
    case 'rope':
      return x >= x0 && x < x1 ? overlap(y, halfY, y0, y1) : 0;
    case 'grains':
    case 'relief':
      return overlap(x, halfX, x0, x1) * overlap(y, halfY, y0, y1);
    case 'ridge':
      return thing.axis === 0
        ? ofParabola((x0 - x) / halfX, (x1 - x) / halfX) * overlap(y, halfY - 1, y0, y1)
        : overlap(x, halfX - 1, x0, x1) * ofParabola((y0 - y) / halfY, (y1 - y) / halfY);
  }
}

/** By its volume, or by its count, a thing has its share of what all of its kind weigh. */
const bulkOf = ({ volumeMl }: TopThing): number => (volumeMl > 0 ? volumeMl : 1);

/** Things of one kind in the order of their places along the loaf, with how far one of them reaches. */
const inOrder = remembered((things: readonly TopThing[]) => ({
  along: things.toSorted((a, b) => a.y - b.y),
  reachMm: things.reduce((most, t) => Math.max(most, t.halfY), 0),
  bulk: things.reduce((s, t) => s + bulkOf(t), 0),
}));

/** How many of some things, which are in order, lie before a place along the loaf. */
function before(along: readonly TopThing[], y: Millimetres): number {
  let [low, high] = [0, along.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((along[middle] as TopThing).y < y) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * What of all that is on top lies on a rectangle of the plan, g: each kind in proportion to its volume, or to
 * its count.
 */
export function massOnG(tops: readonly WeighedPart[], on: Rectangle, room: number): Grams {
  let massG = 0;
  for (const { things, massG: all } of tops) {
    const { along, reachMm, bulk } = inOrder(things);
    let here = 0;
    for (let i = before(along, on.y0 - reachMm); i < along.length; i += 1) {
      const thing = along[i] as TopThing;
      if (thing.y > on.y1 + reachMm) break;
      if (thing.room === room) here += bulkOf(thing) * shareOn(thing, on);
    }
    if (here > 0) massG += (all * here) / bulk;
  }
  return massG;
}
