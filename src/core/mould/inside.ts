import type { Rectangle } from '../geometry/frustum.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { Mould, Shape } from './schema.ts';

/** The lined inside of a straight-walled mould: centred rectangles at the lined floor (z = 0) and the rim. */
export interface Inside {
  readonly floor: Rectangle;
  readonly rim: Rectangle;
  readonly heightMm: Millimetres;
}

type Straight = Extract<Shape, { kind: 'box' | 'tapered' | 'measured' }>;

/** Water at 20 C, g/ml. */
const WATER_DENSITY = 0.9982;

function bareInside(shape: Straight): Inside {
  const { heightMm } = shape;
  if (shape.kind === 'tapered')
    return {
      floor: { width: shape.floorWidthMm, length: shape.floorLengthMm },
      rim: { width: shape.rimWidthMm, length: shape.rimLengthMm },
      heightMm,
    };
  const width =
    shape.kind === 'box'
      ? shape.widthMm
      : ((shape.waterG / WATER_DENSITY) * 1000) / (shape.lengthMm * shape.heightMm);
  const both = { width, length: shape.lengthMm };
  return { floor: both, rim: both, heightMm };
}

/** How far a liner of thickness t on a leaning wall reaches in, measured level. */
const reach = (floor: number, rim: number, height: number, liner: number): number =>
  liner * Math.hypot(1, (rim - floor) / 2 / height);

/**
 * A wall that bulges by `bow` at mid-length and at the rim, as a parabola along the loaf and in proportion to
 * the height, holds as much as a wall that leans out evenly by two thirds of it. An assumed shape: said where
 * shown.
 */
const BOW_MEAN = 2 / 3;

/**
 * The space left inside the liner, above the flat of a mat that lies on the floor. The liner has its full
 * thickness square to each wall and on the floor, so on a leaning wall it reaches in a little more than its
 * thickness when measured level.
 */
export function insideOf(
  shape: Straight,
  { linerMm, bowMm, mat }: Pick<Mould, 'linerMm' | 'bowMm' | 'mat'>,
): Inside {
  const bare = bareInside(shape);
  const { floor, heightMm } = bare;
  const rim = { width: bare.rim.width + 2 * BOW_MEAN * bowMm, length: bare.rim.length };
  const dx = 2 * reach(floor.width, rim.width, heightMm, linerMm);
  const dy = 2 * reach(floor.length, rim.length, heightMm, linerMm);
  const under = linerMm + (mat?.thicknessMm ?? 0);
  const up = under / heightMm;
  return {
    floor: {
      width: floor.width + (rim.width - floor.width) * up - dx,
      length: floor.length + (rim.length - floor.length) * up - dy,
    },
    rim: { width: rim.width - dx, length: rim.length - dy },
    heightMm: heightMm - under,
  };
}
