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

/** The acts of the batch that is piped on top, as they are told among those of the loaf's. */
export function secondBatch(plan: Plan): readonly DayAct[] {
  const second = secondPlan(plan, () => 1);
  return second
    ? dayOfBags(second).map((act) => ({ id: secondId(act.id), does: 'of-second', chapter: 'second', act }))
    : [];
}
