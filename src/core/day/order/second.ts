import { secondPlan } from '../../plan/second.ts';
import type { Plan } from '../../plan/planSchema.ts';
import { depositKey, potsIn } from '../../plan/sources.ts';
import type { Pour } from '../../plan/stepSchema.ts';
import { secondId, type Day, type DayAct } from '../act.ts';
import { madeAtFirst, making } from './making.ts';
import { Readying } from './ready.ts';

const isBag = (step: Plan['steps'][number]): step is Pour => step.kind === 'pour';

/** The day of a second batch by itself: from its lye to its bags. */
export function dayOfBags(second: Plan): Day {
  const jugs = new Readying(second, madeAtFirst(second));
  const bags = second.steps.filter(isBag);
  const pots = bags.flatMap((step) => potsIn(second, step).map((pot) => ({ step, pot })));
  return [
    { id: 'begin', does: 'begin-second', chapter: 'second' },
    ...making(second, () => 0),
    ...pots.flatMap(({ step, pot }): readonly DayAct[] => {
      const key = depositKey(step, pot.id);
      return [
        ...jugs.ready(pot, 'second'),
        { id: `stir:${key}`, does: 'stir-before', chapter: 'second', step, pot, key },
      ];
    }),
    { id: 'bags', does: 'fill-bags', chapter: 'second', steps: bags },
  ];
}

/** Oils and lye meet. */
export const meets = ({ does }: DayAct): boolean => does === 'emulsify' || does === 'combine';

/**
 * The acts of the batch that is piped on top, as they are told among those of the loaf's: its lye and oils
 * are made ready with the loaf's, since lye wants the better part of an hour to cool; the rest once it is
 * wanted.
 */
export function secondBatch(plan: Plan): {
  readonly ahead: readonly DayAct[];
  readonly later: readonly DayAct[];
} {
  const second = secondPlan(plan, () => 1);
  if (!second) return { ahead: [], later: [] };
  const day = dayOfBags(second);
  const told = day.map((act): DayAct => ({
    id: secondId(act.id),
    does: 'of-second',
    chapter: 'second',
    act,
  }));
  const at = day.findIndex(meets);
  const [begin, ...ready] = told.slice(0, at);
  return { ahead: ready, later: [...(begin ? [begin] : []), ...told.slice(at)] };
}
