import type { Pour } from '../plan/stepSchema.ts';
import type { Landing } from '../setting/landing.ts';
import { wayOf } from '../ways/ways.ts';
import type { StageWindow } from '../setting/window.ts';
import type { Stage } from '../units/quantity.ts';

/*
 * Every window of this product stands here, but for those of the ways of pouring, which stand with each way:
 * read off jobs that came out, stages by words good to 0.4. Common practice, no source, but where something
 * else is said.
 */

/**
 * What lies down on what is there: it runs level with a little tapping. Spooned on, there is nothing too
 * thin.
 */
export const LANDS: Readonly<Record<Landing['how'], StageWindow>> = {
  stream: { least: 0, most: 2.4 },
  low: { least: 0, most: 2.6 },
  spatula: { least: 0, most: 2.8 },
  spoon: { least: 0, most: 4.2 },
};

/** Thin passes of an ombre in one pot, each into the one before. */
const PASSES: StageWindow = { least: 0.2, most: 1.4 };

/** How thick the pots of a pour may be that is left level. */
export function pourWindow({ pattern, landing, ombre, onFluid }: Pour, inOnePot: boolean): StageWindow {
  if (pattern) return wayOf(pattern.place).window(landing.fallMm);
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

/** Seeds and the like sink in anything thinner. */
export const HOLDS_SEEDS: Stage = 2;
