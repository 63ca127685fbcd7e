import {
  isEarly,
  isInLye,
  LIQUID_MOMENT,
  MOMENT,
  MOMENTS,
  type LiquidMoment,
  type Moment,
} from '../../../core/batter/moments.ts';
import type { AdditionList } from '../../../core/edit/additions.ts';
import type { Divide } from '../../../core/plan/planSchema.ts';

interface Option<T extends string> {
  readonly value: T;
  readonly label: string;
}

/**
 * The moments at which a dose can go in: an oil after the lye, one pot's once it is by itself. `now` is
 * always among them.
 */
export function momentOptions(
  list: AdditionList,
  inPots: boolean,
  divide: Divide['kind'],
  now?: Moment,
): readonly Option<Moment>[] {
  const inCommon = divide === 'before-lye' ? isInLye : isEarly;
  return MOMENTS.filter(
    (m) => m === now || ((list !== 'lateOils' || !isEarly(m)) && (!inPots || !inCommon(m))),
  ).map((m) => ({ value: m, label: MOMENT[m].label }));
}

export const LIQUID_OPTIONS: readonly Option<LiquidMoment>[] = (
  Object.keys(LIQUID_MOMENT) as LiquidMoment[]
).map((m) => ({ value: m, label: LIQUID_MOMENT[m].label }));
