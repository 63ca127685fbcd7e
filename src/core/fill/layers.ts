import { depositKey, potsIn, sharesOf } from '../plan/sources.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { MM3_PER_ML, volumeToHeight, type MouldGeometry } from '../mould/geometry.ts';
import { levelProfile } from '../mould/levelProfile.ts';
import type { Room } from '../mould/rooms.ts';
import { onWalls, type OnWalls } from './onWalls.ts';
import { pressedIn } from './pressed.ts';
import { roughnessOf, type Roughness } from './roughness.ts';
import type { Dents } from '../flow/uneven.ts';
import { scrapingOf, type Below, type NotScraped, type Scraping } from './scraped.ts';
import { wallPoint } from './wallPoints.ts';
import { stacking, type Layer, type Lie, type StackFault, type Wish } from '../mould/stack.ts';
import { poursOf, type TiltedPour } from '../plan/pours.ts';
import { scrapesOf } from '../plan/scrapes.ts';
import type { Task } from '../task/task.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import type { Amount, Pour } from '../plan/stepSchema.ts';
import type { Grams, Millilitres, Millimetres, Percent } from '../units/quantity.ts';

/** What of a pot matters for where its batter lies. What it is called does not, so that a name is no work. */
export type LaidPot = Pick<Pot, 'id' | 'letter' | 'stage'>;

/** What a layer has of one pot. */
export interface LayerPart {
  readonly pot: LaidPot;
  /** by which it has its colour and its weight */
  readonly key: string;
  /** of the layer's volume, 0..1 */
  readonly share: number;
  /** as it is laid, before any scale rounds it */
  readonly plannedG: Grams;
}

/** A pour as planned: where it lies, what it takes and what it is made of. */
export interface PouredLayer extends Layer, OnWalls {
  readonly pour: Pour;
  /** in the order they go in */
  readonly pots: readonly LaidPot[];
  readonly parts: readonly LayerPart[];
  /** place among all pours, 0 the first */
  readonly nth: number;
  /** the compartment it lies in */
  readonly room: Room;
  /** as it is laid, before any scale rounds it */
  readonly plannedG: Grams;
  /** of this batter, colorant and carrier counted; the mean where it is from several pots */
  readonly densityGMl: number;
  /** of the batter that goes into the mould */
  readonly sharePercent: Percent;
  /** how it lay in a tilted mould until that was set level while it was fluid, and by which step */
  readonly settled?: Lie & OnWalls & { readonly by: StepId };
  /** what a scraper takes of it: that is poured too, and in none of the figures above */
  readonly scraping?: Scraping;
  /** why the scraping that is asked for cannot be done */
  readonly notScraped?: NotScraped;
  /** how rough it is left */
  readonly rough?: Roughness;
}

export interface PouredStack {
  readonly layers: readonly PouredLayer[];
  readonly filledMl: Millilitres;
  readonly fault: StackFault | undefined;
}

/** Density of the batter that a pour takes from one of its pots, g/ml. */
export type DensityOf = (pour: Pour, pot: PotId) => number;

/** Of all that a pour takes. */
const meanDensity = (pour: Pour, densityOf: DensityOf): number => {
  let sum = 0;
  for (const [pot, share] of sharesOf(pour)) sum += share * densityOf(pour, pot);
  return sum;
};

const wishOf = (amount: Amount, room: Room, fillMl: Millilitres, densityGMl: number): Wish => {
  switch (amount.kind) {
    case 'height':
      return amount;
    case 'rest':
      return amount;
    case 'mass':
      return { kind: 'volume', volumeMl: amount.massG / densityGMl };
    case 'line':
      return { kind: 'point', point: wallPoint(room, amount.wall, amount.heightMm) };
    case 'percent':
      return { kind: 'volume', volumeMl: (fillMl * amount.percent) / 100 };
  }
};

/** A layer as it lay in the mould that it was poured in, before that was set level. */
export function beforeSettling<L extends PouredLayer>(layer: L): L {
  if (!layer.settled) return layer;
  const { by: _by, ...lie } = layer.settled;
  return { ...layer, ...lie };
}

/**
 * Layers of one compartment with what is scraped off them, and how rough they are left; what is pressed into
 * the last of them.
 */
function* asTheyAreLeft(
  plan: Plan,
  room: Room,
  layers: readonly PouredLayer[],
  pressed: Dents['hollows'],
): Task<never, readonly PouredLayer[]> {
  const scrapes = scrapesOf(plan);
  if (scrapes.size === 0 && pressed.length === 0 && layers.every((l) => l.pour.roughMm === undefined))
    return layers;
  const below: Below[] = [];
  const left = (layer: PouredLayer): PouredLayer => {
    const scrape = scrapes.get(layer.pour.id);
    const scraped = scrape && scrapingOf(room, layer, below, scrape);
    below.push({ layer, scraping: typeof scraped === 'object' ? scraped : undefined });
    if (!scraped) {
      const { roughMm, id } = layer.pour;
      const under = below.slice(0, -1);
      const hollows = layer === layers.at(-1) ? pressed : [];
      const rough = roughnessOf(room, layer, under, { roughMm, hollows, name: id });
      return rough ? { ...layer, rough } : layer;
    }
    return typeof scraped === 'object' ? { ...layer, scraping: scraped } : { ...layer, notScraped: scraped };
  };
  const all: PouredLayer[] = [];
  for (const layer of layers) {
    all.push(left(layer));
    yield { done: all.length / layers.length };
  }
  return all;
}

/** The pours of one compartment, in order, with their places among all pours. */
function* layRoom(
  plan: Plan,
  room: Room,
  pours: readonly (TiltedPour & { readonly nth: number })[],
  heightMm: Millimetres,
  fillMl: Millilitres,
  densityOf: DensityOf,
  pressed: Dents['hollows'],
): Task<never, { readonly layers: readonly PouredLayer[]; readonly fault: StackFault | undefined }> {
  const roomFillMl = levelProfile(room).volumeBelow(heightMm) / MM3_PER_ML;
  const stack = yield* stacking(
    room,
    pours.map(({ pour, tilt, settledBy, pulled }) => ({
      tilt,
      ...(pulled ? { pulled } : {}),
      ...(settledBy === undefined ? {} : { runsLevel: settledBy }),
      wish: wishOf(pour.amount, room, fillMl, meanDensity(pour, densityOf)),
    })),
    roomFillMl,
  );
  const layers = stack.layers.map((layer, i): PouredLayer => {
    const own = pours[i] as (typeof pours)[number];
    const { pour } = own;
    const densityGMl = meanDensity(pour, densityOf);
    const shares = sharesOf(pour);
    const pots = potsIn(plan, pour).map(({ id, letter, stage }): LaidPot => ({ id, letter, stage }));
    return {
      ...layer,
      room,
      pour,
      pots,
      parts: pots.map((pot): LayerPart => {
        const share = shares.get(pot.id) ?? 0;
        const plannedG = layer.volumeMl * share * densityOf(pour, pot.id);
        return { pot, key: depositKey(pour, pot.id), share, plannedG };
      }),
      nth: own.nth,
      plannedG: layer.volumeMl * densityGMl,
      densityGMl,
      sharePercent: fillMl > 0 ? (layer.volumeMl / fillMl) * 100 : 0,
      ...onWalls(room, layer),
      ...(layer.before && own.settledBy !== undefined
        ? { settled: { by: own.settledBy, ...layer.before, ...onWalls(room, layer.before) } }
        : {}),
    };
  });
  const { fault } = stack;
  return {
    layers: yield* asTheyAreLeft(plan, room, layers, pressed),
    fault: fault && { ...fault, pour: pours[fault.pour]?.nth ?? 0 },
  };
}

/** Lay all pours, each in its own compartment; the layers come back in the order they are poured. */
export function* layingPours(
  plan: Plan,
  geometry: MouldGeometry,
  heightMm: Millimetres,
  densityOf: DensityOf,
): Task<never, PouredStack> {
  const fillMl = volumeToHeight(geometry, heightMm);
  const pours = poursOf(plan).map((p, nth) => ({ ...p, nth }));
  const last = geometry.rooms.length - 1;
  const laid: { readonly layers: readonly PouredLayer[]; readonly fault: StackFault | undefined }[] = [];
  for (const [r, room] of geometry.rooms.entries()) {
    const own = pours.filter((p) => Math.min(p.pour.compartment, last) === r);
    const pressed = pressedIn(plan, geometry, heightMm, r);
    laid.push(yield* layRoom(plan, room, own, heightMm, fillMl, densityOf, pressed));
  }
  const layers = laid.flatMap((l) => l.layers).sort((a, b) => a.nth - b.nth);
  return {
    layers,
    filledMl: layers.reduce((s, l) => s + l.volumeMl, 0),
    fault: laid.find((l) => l.fault)?.fault,
  };
}

/** The letters of what a layer is made of, in the order it goes in: "A", "A+B". */
export const lettersOf = ({ pots }: Pick<PouredLayer, 'pots'>): string => pots.map((p) => p.letter).join('+');
