import { fail, ok, type Result } from '../result/result.ts';
import type { Degrees, Millimetres } from '../units/quantity.ts';
import { STEEPEST_DEG, type Tilt } from './tilt.ts';

/** Corners of a mould as it is looked at from its near end: right is +x, far is +y. */
export const CORNERS = ['left-near', 'right-near', 'left-far', 'right-far'] as const;
export type Corner = (typeof CORNERS)[number];

/** A rod, as a spoon's handle, laid across under a corner. */
export interface CornerProp {
  readonly corner: Corner;
  readonly heightMm: Millimetres;
  /** how far from the corner it meets the end, and the long edge */
  readonly alongEndMm: Millimetres;
  readonly alongEdgeMm: Millimetres;
}

/** What the mould stands on: its outside width and length at the foot. */
interface Foot {
  readonly widthMm: Millimetres;
  readonly lengthMm: Millimetres;
}

/** Where a rod is laid when nobody says otherwise, from the corner. */
export const USUAL_FROM_CORNER_MM = 60;

/** Nearer to the corner than this the mould rocks on its diagonal. A judgement, no source. */
export const ROCKS_BELOW_MM = 10;

const SIGNS: Readonly<Record<Corner, readonly [x: 1 | -1, y: 1 | -1]>> = {
  'left-near': [-1, -1],
  'right-near': [1, -1],
  'left-far': [-1, 1],
  'right-far': [1, 1],
};

/** How much the floor rises per mm across and along, from the corner on the bench. */
interface Rise {
  readonly across: number;
  readonly along: number;
}

/**
 * The rod touches the end at `alongEndMm` from the corner and the long edge at `alongEdgeMm`; with the
 * opposite corner on the bench that is a plane through three points: alpha (B - a) + beta L = h and alpha B +
 * beta (L - b) = h. For a = b: alpha = beta = h / (B + L - a).
 */
function riseOf({ widthMm: B, lengthMm: L }: Foot, prop: CornerProp): Rise {
  const { heightMm: h, alongEndMm: a, alongEdgeMm: b } = prop;
  const determinant = (B - a) * (L - b) - B * L;
  return { across: (h * (L - b) - h * L) / determinant, along: (h * (B - a) - h * B) / determinant };
}

/**
 * The tilt of a floor that rises so: u = (alpha, beta, sqrt(1 - alpha^2 - beta^2)) is up in the mould's
 * frame.
 */
function tiltOfRise({ across, along }: Rise, [x, y]: readonly [1 | -1, 1 | -1]): Tilt {
  const up = Math.sqrt(Math.max(0, 1 - across ** 2 - along ** 2));
  const degrees = (radians: number): Degrees => (radians * 180) / Math.PI;
  return {
    rollDeg: x * degrees(Math.atan2(across, up)),
    pitchDeg: y * degrees(Math.asin(Math.min(1, along))),
  };
}

/**
 * Both angles at once that a rod under a corner gives. Refused: 'prop-rocks' nearer than a finger's width to
 * the corner, where the mould is free to rock on its diagonal; 'prop-outside' where it does not lie under the
 * mould; 'too-steep'.
 */
export function tiltOfCorner(foot: Foot, prop: CornerProp): Result<Tilt> {
  const { widthMm, lengthMm } = foot;
  const { heightMm, alongEndMm, alongEdgeMm } = prop;
  if (alongEndMm < ROCKS_BELOW_MM || alongEdgeMm < ROCKS_BELOW_MM)
    return fail(
      'prop-rocks',
      `${Math.min(alongEndMm, alongEdgeMm).toFixed(0)} mm from the corner the mould is free to rock on its diagonal: ${ROCKS_BELOW_MM} mm at least`,
    );
  if (alongEndMm > widthMm || alongEdgeMm > lengthMm)
    return fail(
      'prop-outside',
      `it does not lie under the mould, which is ${widthMm.toFixed(0)} mm wide and ${lengthMm.toFixed(0)} mm long outside`,
    );
  if (heightMm >= widthMm)
    return fail(
      'prop-too-high',
      `${heightMm.toFixed(0)} mm is higher than the mould is wide (${widthMm.toFixed(0)} mm)`,
    );
  const rise = riseOf(foot, prop);
  const tilt = tiltOfRise(rise, SIGNS[prop.corner]);
  return rise.across ** 2 + rise.along ** 2 >= 1 || Math.abs(tilt.rollDeg) > STEEPEST_DEG
    ? fail('too-steep', `a prop of ${heightMm.toFixed(0)} mm turns the mould over`)
    : ok(tilt);
}
