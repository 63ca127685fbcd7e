import type { Pour } from '../../../../core/plan/stepSchema.ts';
import type { Fault } from '../../../../core/result/result.ts';
import type { Place, PlaceKind, PlaceOf } from '../../../../core/ways/ways.ts';
import type { Gesture } from '../../../../store/gesture.ts';

/**
 * What the fields of a way of pouring are given: its pour, where that goes in, and how it is put elsewhere.
 */
export interface WayFieldsProps<K extends PlaceKind> {
  readonly pour: Pour;
  readonly place: PlaceOf<K>;
  readonly put: (place: Place, gesture?: Gesture) => Fault | undefined;
}
