import { contrastsOf, type ContrastWanted } from '../core/face/cutWays.ts';
import { pictureOrders } from '../core/face/pictureOrder.ts';
import { facePicture, noneReady, type Wanted } from '../core/face/ready.ts';

/** Draws what was pushed about; blocks that were made ready are kept between pictures. */
export function patternTasks() {
  const shelf = noneReady();
  return {
    orders: pictureOrders,
    face: (wanted: Wanted) => facePicture(shelf, wanted),
    contrasts: (wanted: ContrastWanted) => contrastsOf(shelf, wanted),
  };
}
export type PatternTasks = ReturnType<typeof patternTasks>;
