import type { Computed } from '../computed/compute.ts';
import type { Act } from './act.ts';
import { layOut, safety } from './chapters/before.ts';
import { colouring } from './chapters/colouring.ts';
import { colours } from './chapters/colours.ts';
import { cutting, finishing } from './chapters/ending.ts';
import { lye } from './chapters/lye.ts';
import { lyeHeavyAt } from './chapters/lyeHeavy.ts';
import { oils } from './chapters/oils.ts';
import { oneBatch } from './chapters/oneBatch.ts';
import { combineAll, portions } from './chapters/portions.ts';
import { pouring } from './chapters/pouring.ts';
import { onTop } from './chapters/onTop.ts';
import { timing } from './chapters/timing.ts';
import { topping } from './chapters/topping.ts';

/** The whole job in order, from goggles to the cut. Empty while something in the plan is refused. */
export function procedureOf(computed: Computed): readonly Act[] {
  const w = computed.weights;
  if (!w) return [];
  const ahead = computed.plan.divide.kind === 'before-lye';
  const poured = pouring(computed, w);
  const drafts = timing(
    computed,
    colouring(computed, w, [
      ...safety(computed, w),
      ...layOut(computed, w),
      ...(ahead ? [...oils(computed, w), ...colours(computed, w), ...portions(computed, w)] : []),
      ...lye(computed, w),
      ...(ahead
        ? combineAll(computed, w)
        : [...oils(computed, w), ...colours(computed, w), ...oneBatch(computed, w)]),
      ...poured,
      ...topping(computed, w, new Set(poured.map((d) => d.id))),
      ...onTop(computed, w),
      ...finishing(computed),
      ...cutting(computed),
    ]),
  );
  return lyeHeavyAt(computed, w, drafts).map((d) => ({ lines: [], ...d }));
}
