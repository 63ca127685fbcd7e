import { MOMENT, type MomentOfDay } from '../batter/moments.ts';
import type { Dose, Fragrance, KnownRate, Speed } from '../batter/schema.ts';
import type { Doubt, Quickens } from '../timing/course.ts';
import type { PotId, StepId } from '../validate/ids.ts';

/** How many times as fast batter thickens with a fragrance in it. Estimates. */
export const FACTORS: Readonly<Record<Speed, number>> = {
  slows: 0.8,
  none: 1,
  quickens: 1.7,
  'quickens-much': 4,
  seizes: 10,
};

/**
 * How far each is out, standard deviation of its logarithm. Estimates: one that is feared for its speed often
 * does nothing.
 */
const SDS: Readonly<Record<Speed, number>> = {
  slows: 0.3,
  none: 0.25,
  quickens: 0.4,
  'quickens-much': 0.6,
  seizes: 0.6,
};

/** One of which nothing is known: a little quicker, and much in doubt. A judgement, no source. */
const UNKNOWN = { factor: 1.5, sd: 0.6 } as const;

/**
 * How far a rate is out that was told once, standard deviation of its logarithm: a minute that was looked at,
 * a figure that was given. An estimate.
 */
export const TOLD_SD = 0.25;

/** The doubt of how fast a recipe thickens. */
export const RECIPE = 'recipe';

const SCENT = 'fragrance ';

/** The fragrance that a doubt is about, by its id; undefined where it is about something else. */
export const idOfScent = (doubt: string): string | undefined =>
  doubt.startsWith(SCENT) ? doubt.slice(SCENT.length) : undefined;

export const scentDoubt = (id: string): string => `${SCENT}${id}`;

export interface ScentSpeed {
  readonly factor: number;
  readonly sd: number;
}

/** What is known of it by so many readings is in doubt by less: the first guess counts as about three. */
const sdAfter = (readings: number, sd: number): number => sd * Math.sqrt(3 / (3 + readings));

/** What was learned before rest was reckoned with is in doubt by so much besides. A judgement. */
const BEFORE_REST_SD = 0.25;

export const knownSd = ({ readings, rested }: KnownRate, sd = TOLD_SD): number =>
  Math.hypot(sdAfter(readings, sd), rested ? 0 : BEFORE_REST_SD);

export function scentSpeed({ speed, known }: Pick<Fragrance, 'speed' | 'known'>): ScentSpeed {
  if (known) return { factor: known.value, sd: knownSd(known) };
  if (speed === undefined) return UNKNOWN;
  return { factor: FACTORS[speed], sd: SDS[speed] };
}

/** Where a dose of a fragrance meets the batter. */
export interface ScentDose {
  /**
   * what it does to a pot, where that gets it: a part of a fragrance's doses does a part of what the whole
   * does
   */
  readonly quickens: (pot: PotId) => Quickens;
  readonly when: MomentOfDay['scent'];
  /** the pots it is for; undefined: all */
  readonly pots: readonly PotId[] | undefined;
  /** with `pour`: into all that is left from this pour on; undefined: into each pour's own cup */
  readonly fromPour: StepId | undefined;
}

/** It goes into this pot: every pot where none are named. */
export const isFor = ({ pots }: { readonly pots?: readonly PotId[] | undefined }, pot: PotId): boolean =>
  pots?.includes(pot) ?? true;

const isIn = (d: Dose): boolean => d.gPerKgOils > 0;

/**
 * All fragrances of a batter as what they do to its speed; their doubts are numbered on from `from`. Those
 * that change nothing for sure are left out.
 */
export function scentsOf(
  fragrances: readonly Fragrance[],
  from: number,
): { readonly doses: readonly ScentDose[]; readonly doubts: readonly Doubt[] } {
  const used = fragrances.filter((f) => f.doses.some(isIn));
  return {
    doubts: used.map((f) => ({ name: scentDoubt(f.id), sd: scentSpeed(f).sd })),
    doses: used.flatMap((f, i) =>
      f.doses.filter(isIn).map((d): ScentDose => ({
        quickens: (pot) => {
          const { factor } = scentSpeed(f);
          const share = d.gPerKgOils / f.doses.reduce((s, o) => s + (isFor(o, pot) ? o.gPerKgOils : 0), 0);
          return share > 1 - 1e-9
            ? { factor, doubt: from + i }
            : { factor: factor ** share, doubt: from + i, share };
        },
        when: MOMENT[d.moment].scent,
        pots: d.pots,
        fromPour: d.fromPour,
      })),
    ),
  };
}
