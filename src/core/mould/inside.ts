import type { Rectangle } from '../geometry/frustum.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { Mould, Shape } from './schema.ts';

/** The lined inside of a mould: centred rectangles at the lined floor (z = 0) and at the rim. */
export interface Inside {
  readonly floor: Rectangle;
  readonly rim: Rectangle;
  readonly heightMm: Millimetres;
}

const bareInside = (shape: Shape): Inside =>
  shape.kind === 'box'
    ? {
        floor: { width: shape.widthMm, length: shape.lengthMm },
        rim: { width: shape.widthMm, length: shape.lengthMm },
        heightMm: shape.heightMm,
      }
    : {
        floor: { width: shape.floorWidthMm, length: shape.floorLengthMm },
        rim: { width: shape.rimWidthMm, length: shape.rimLengthMm },
        heightMm: shape.heightMm,
      };

/** How far a liner of thickness t on a leaning wall reaches in, measured level. */
const reach = (floor: number, rim: number, height: number, liner: number): number =>
  liner * Math.hypot(1, (rim - floor) / 2 / height);

/**
 * The space left inside the liner. The liner has its full thickness square to each wall and on the floor,
 * so on a tapered wall it reaches in a little more than its thickness when measured level.
 */
export function insideOf(mould: Mould): Inside {
  const bare = bareInside(mould.shape);
  const liner = mould.linerMm;
  const { floor, rim, heightMm } = bare;
  const dx = 2 * reach(floor.width, rim.width, heightMm, liner);
  const dy = 2 * reach(floor.length, rim.length, heightMm, liner);
  const up = liner / heightMm;
  return {
    floor: {
      width: floor.width + (rim.width - floor.width) * up - dx,
      length: floor.length + (rim.length - floor.length) * up - dy,
    },
    rim: { width: rim.width - dx, length: rim.length - dy },
    heightMm: heightMm - liner,
  };
}
