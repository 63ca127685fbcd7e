import { naohNeed } from './lye.ts';
import { lotName, midSv } from './oil.ts';
import type { Batter, Dose } from './schema.ts';
import { oilOf } from './usedOils.ts';

/** What is stirred in besides oils, lye and water: an additive, an oil after the lye, a fragrance. */
export interface Addition {
  readonly kind: 'additive' | 'oil' | 'fragrance';
  readonly id: string;
  readonly name: string;
  readonly densityGMl: number;
  /** pure NaOH that it can use up, g/g: 0 for all but oils */
  readonly needsNaoh: number;
  readonly doses: readonly Dose[];
}

/** All additions of a batter, in the order a maker stirs them in at one moment: scents last. */
export const additionsOf = (batter: Batter): readonly Addition[] => [
  ...batter.additives.map((a): Addition => ({ ...a, kind: 'additive', needsNaoh: 0 })),
  ...batter.lateOils.flatMap((line): Addition[] => {
    const oil = oilOf(line);
    if (!oil) return [];
    const { id, doses, svMgG = midSv(oil) } = line;
    return [
      {
        kind: 'oil',
        id,
        name: lotName(oil, svMgG),
        densityGMl: oil.densityGMl,
        needsNaoh: naohNeed(svMgG),
        doses,
      },
    ];
  }),
  ...batter.fragrances.map((f): Addition => ({ ...f, kind: 'fragrance', needsNaoh: 0 })),
];

/** Which doses go into what is asked about. */
export type Scope = (dose: Dose) => boolean;

export const wholeBatch: Scope = (dose) => dose.pots === undefined;
