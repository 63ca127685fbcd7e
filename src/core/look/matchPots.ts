import type { Colorant } from '../colorant/schema.ts';
import { hexOfBody, labOfBody } from '../colour/body.ts';
import { difference } from '../colour/difference.ts';
import { labOfHex } from '../colour/lab.ts';
import type { Plan, Pot } from '../plan/planSchema.ts';
import { isFrom } from '../plan/sources.ts';
import type { Task } from '../task/task.ts';
import type { PotId } from '../validate/ids.ts';
import { matchesFor, type ColourMatch } from './matchColour.ts';
import { paintboxOf } from './paintbox.ts';
import { plannedState } from './state.ts';

interface WantedColour {
  readonly pot: PotId;
  /** "#rrggbb" */
  readonly hex: string;
}

export interface ColoursWanted {
  readonly plan: Plan;
  /** what is at hand beside the plan's own */
  readonly library: readonly Colorant[];
  readonly wanted: readonly WantedColour[];
}

/** What comes near a colour that is wanted of a pot. */
export interface FoundColour extends WantedColour {
  /** the plain soap of that pot, "#rrggbb", and how far it is from what is wanted, CIEDE2000 */
  readonly plainHex: string;
  readonly plainAway: number;
  /** the best first; none where no colorant is at hand */
  readonly matches: readonly ColourMatch[];
}

/** Pots that are poured in a colour given by hand and take no colorant to make it. */
export const drawnPots = ({ pots, steps }: Pick<Plan, 'pots' | 'steps'>): readonly Pot[] => {
  const graded = (s: Plan['steps'][number]): boolean => s.kind === 'pour' && s.ombre !== undefined;
  return pots.filter(
    (p) =>
      p.colour !== undefined &&
      p.colorants.length === 0 &&
      steps.some((s) => isFrom(s, p.id)) &&
      !steps.some((s) => graded(s) && isFrom(s, p.id)),
  );
};

/** Colorants and doses for the colours that are wanted of some pots, cured as it is planned; pot by pot. */
export function* matchPots({ plan, library, wanted }: ColoursWanted): Task<never, readonly FoundColour[]> {
  const state = plannedState(plan, 'cured');
  const own = plan.colorants.flatMap((c) => (c.nature ? [{ ...c, nature: c.nature }] : []));
  const all = [...own, ...library.filter((c) => !own.some((o) => o.id === c.id))];
  const found: FoundColour[] = [];
  for (const { pot, hex } of wanted) {
    yield { done: found.length / wanted.length };
    const { base } = paintboxOf(plan, state, pot);
    const lab = labOfHex(hex);
    found.push({
      pot,
      hex,
      plainHex: hexOfBody(base),
      plainAway: difference(labOfBody(base), lab),
      matches: matchesFor(lab, base, all, { ...state, scented: true }),
    });
  }
  return found;
}
