import { layPlan } from '../fill/layPlan.ts';
import { plannedState } from '../look/state.ts';
import { viewPolygon, type ViewPoint } from '../mould/sectionView.ts';
import { coloursOf, depositColours, gradedMixes } from '../ombre/coloursOf.ts';
import { bodiesOf } from '../pattern/blocks.ts';
import { highestIn } from '../pattern/body.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Task } from '../task/task.ts';
import type { Millimetres } from '../units/quantity.ts';
import { faceAt, type Face } from './face.ts';

/** A plan's first mould cut through its middle: all that a small picture of it takes. Can be posted. */
export interface Picture {
  readonly face: Face;
  /** "#rrggbb" by pour, cured */
  readonly colours: ReadonlyMap<string, string>;
  /** the lined inside where it is cut */
  readonly inside: readonly ViewPoint[];
  readonly wideMm: Millimetres;
  readonly highMm: Millimetres;
}

/** A plan as its shelf shows it. */
export function* picture(plan: Plan): Task<never, Picture> {
  const whole = layPlan(plan);
  const [laid] = whole.moulds;
  const { geometry } = laid;
  const bodies = bodiesOf(laid);
  yield { done: 0.6 };
  return {
    face: faceAt(bodies, 'section', 0, plan.cut.thicknessMm),
    colours: depositColours(
      coloursOf(plan, plannedState(plan, 'cured'), new Map([...gradedMixes(plan), ...whole.stirred])),
    ),
    inside: viewPolygon(geometry.solid, 'section'),
    wideMm: geometry.most.width,
    highMm: highestIn(bodies, geometry.heightMm),
  };
}
