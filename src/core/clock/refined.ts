import type { Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';
import { Run } from '../timing/run.ts';
import type { Laid } from './course/draft.ts';
import { courseOf } from './courseOf.ts';
import { likely, worth } from './likely.ts';
import type { Option } from './option.ts';

export const applied = (plan: Plan, options: readonly Option[]): Plan =>
  options.reduce((p, o) => o.apply(p), plan);

/**
 * A way without what it can do without: what is done to each jug or pour is left out, one after another,
 * wherever the way is worth as much.
 */
export function* refined(
  plan: Plan,
  laid: Laid,
  options: readonly Option[],
  done: number,
): Task<never, readonly Option[]> {
  const valueOf = (of: readonly Option[]): number => {
    const course = courseOf(applied(plan, of), laid)?.course;
    if (!course) return -Infinity;
    const run = new Run(course);
    run.go();
    return worth(likely(run), of, run.ends.at(-1) ?? 0);
  };
  let best = options;
  let value = valueOf(best);
  for (const k of options.keys())
    for (const id of options[k]?.each?.ids ?? []) {
      const each = best[k]?.each;
      if (!each || each.ids.length < 2) continue;
      yield { done };
      const fewer = best.with(k, each.alone(each.ids.filter((i) => i !== id)));
      const now = valueOf(fewer);
      if (now < value) continue;
      best = fewer;
      value = now;
    }
  return best;
}
