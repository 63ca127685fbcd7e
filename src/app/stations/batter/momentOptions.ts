import type { Moment, PartLiquid } from '../../../core/batter/schema.ts';
import type { AdditionList } from '../../../core/edit/additions.ts';
import type { Divide } from '../../../core/plan/planSchema.ts';

interface Option<T extends string> {
  readonly value: T;
  readonly label: string;
}

const ALL: readonly Option<Moment>[] = [
  { value: 'water', label: 'in the water, before the lye' },
  { value: 'hot-lye', label: 'in the hot lye' },
  { value: 'cooled-lye', label: 'in the cooled lye' },
  { value: 'oils', label: 'in the oils' },
  { value: 'emulsion', label: 'at emulsion' },
  { value: 'trace', label: 'at trace' },
  { value: 'colour', label: 'with the colour' },
  { value: 'pour', label: 'just before each pour' },
];

/** The moments at which a dose can go in: an oil after the lye, one pot's once it is by itself. `now` is always among them. */
export function momentOptions(
  list: AdditionList,
  inPots: boolean,
  divide: Divide['kind'],
  now?: Moment,
): readonly Option<Moment>[] {
  const early: readonly Moment[] = ['water', 'hot-lye', 'cooled-lye', 'oils'];
  const inCommon = divide === 'before-lye' ? early.slice(0, 3) : early;
  return ALL.filter(
    ({ value }) =>
      value === now ||
      ((list !== 'lateOils' || !early.includes(value)) && (!inPots || !inCommon.includes(value))),
  );
}

export const LIQUID_OPTIONS: readonly Option<PartLiquid['moment']>[] = [
  { value: 'emulsion', label: 'at emulsion' },
  { value: 'oils', label: 'in the oils' },
  { value: 'water', label: 'with the water, before the lye' },
  { value: 'cooled-lye', label: 'in the cooled lye' },
  { value: 'frozen', label: 'frozen, the lye dissolved in it on ice' },
];
