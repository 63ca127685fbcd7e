import type { Place } from '../plan/patternSchema.ts';
import type { Landing, Pour } from '../plan/stepSchema.ts';
import type { Millimetres, Stage } from '../units/quantity.ts';

/** From which stage to which batter is right for something; doubtful beyond, and half a stage on it fails. */
export interface StageWindow {
  readonly least: Stage;
  readonly most: Stage;
}

/*
 * Every window of this product stands here: read off jobs that came out, stages by words good to 0.4. Common practice, no source, but where something else is said.
 */

/** What lies down on what is there: it runs level with a little tapping. Spooned on, there is nothing too thin. */
export const LANDS: Readonly<Record<Landing['how'], StageWindow>> = {
  stream: { least: 0, most: 2.4 },
  low: { least: 0, most: 2.6 },
  spatula: { least: 0, most: 2.8 },
  spoon: { least: 0, most: 4.2 },
};

/** What pushes aside what is fluid, and what is mixed in its jug. */
const PLACES: Readonly<Record<Exclude<Place['at'], 'drops'>, StageWindow>> = {
  column: { least: 0.2, most: 1.4 },
  corner: { least: 0.2, most: 1.4 },
  wall: { least: 0.2, most: 1.4 },
  'two-walls': { least: 0.2, most: 1.4 },
  line: { least: 0.2, most: 1.4 },
  // sharp spires want both above 1.3; thicker than 3.4 they lie on top as ropes
  'close-lines': { least: 1.3, most: 3.4 },
  'in-the-pot': { least: 0.8, most: 2.2 },
  'split-jug': { least: 0.8, most: 2.2 },
};

/** Thin streams that are to go in: from up high, thicker ones too. */
const DROPS: StageWindow = { least: 0.7, most: 1.2 };
const FROM_HIGH: Stage = 2;
const LOW_MM: Millimetres = 40;
const HIGH_MM: Millimetres = 120;

/** What a way of pouring takes; `fallMm`: how high its jug is held, in effect. */
export function placeWindow(at: Place['at'], fallMm: Millimetres): StageWindow {
  if (at !== 'drops') return PLACES[at];
  const high = Math.min(1, Math.max(0, (fallMm - LOW_MM) / (HIGH_MM - LOW_MM)));
  return { ...DROPS, most: DROPS.most + high * (FROM_HIGH - DROPS.most) };
}

/** Thin passes of an ombre in one pot, each into the one before. */
const PASSES: StageWindow = { least: 0.2, most: 1.4 };

/** How thick the pots of a pour may be that is left level. */
export function pourWindow({ pattern, landing, ombre, onFluid }: Pour, inOnePot: boolean): StageWindow {
  if (pattern) return placeWindow(pattern.place.at, landing.fallMm);
  return ombre && inOnePot && onFluid ? PASSES : LANDS[landing.how];
}

/** A wire, and a stick, go through what is fluid. */
export const WIRE_GOES: StageWindow = { least: 1, most: 2.3 };
export const STICK_GOES: StageWindow = { least: 0.7, most: 2.5 };

/** A scraper leaves a profile on what bears it, and what is thicker crumbles. */
export const SCRAPES: StageWindow = { least: 3.3, most: 4.3 };

/** Batter heaped by the spoon, and a top that something is pressed into. */
export const HEAPS: StageWindow = { least: 2.7, most: 3.8 };

/** Batter that is piped. */
export const PIPES: StageWindow = { least: 3.7, most: 4.6 };

/** Hollows of a mat fill with batter that is no thicker than this. */
export const RUNS_IN: StageWindow = { least: 0, most: 1.5 };

/** A line of colorant, and salt, stay on what is about medium. */
export const STREWN_ON: Stage = 2;
