import { slice } from '../geometry/clip.ts';
import { corners } from '../geometry/polyhedron.ts';
import { cross, dot, type Vec3 } from '../geometry/vec.ts';
import { bodiesOf } from '../pattern/blocks.ts';
import type { Degrees } from '../units/quantity.ts';
import { cutEach } from './face.ts';
import { framed, type FramedFace } from './framed.ts';
import type { LaidFace } from './laid.ts';

/**
 * A cut by hand: turned about the upright (0 across the loaf, 90 along it), leant over (0 upright, 90 level),
 * and moved through the loaf, 0 to 1.
 */
export interface HandCut {
  readonly turnDeg: Degrees;
  readonly leanDeg: Degrees;
  readonly at: number;
}

const RADIANS = Math.PI / 180;

/** Square to the cut, pointing away from who looks at it. */
function normalOf({ turnDeg, leanDeg }: HandCut): Vec3 {
  const [t, l] = [turnDeg * RADIANS, leanDeg * RADIANS];
  return [0 - Math.sin(t) * Math.cos(l), Math.cos(t) * Math.cos(l), 0 - Math.sin(l)];
}

/**
 * A loaf cut by any plane and looked at square on: upright cuts from the near end or the right, a level one
 * from above.
 */
export function planeFace(laid: LaidFace, cut: HandCut): FramedFace {
  const normal = normalOf(cut);
  const t = cut.turnDeg * RADIANS;
  const across: Vec3 = [Math.cos(t), Math.sin(t), 0];
  const up = cross(across, normal);
  const points = laid.stack.layers.flatMap((l) => corners(l.solid));
  if (points.length === 0) return framed({ face: [], left: -1, right: 1, foot: 0, head: 1 });
  const depths = points.map((p) => dot(normal, p));
  const [low, high] = [Math.min(...depths), Math.max(...depths)];
  const offset = low + (high - low) * Math.min(0.999, Math.max(0.001, cut.at));
  const origin: Vec3 = [normal[0] * offset, normal[1] * offset, normal[2] * offset];
  const face = cutEach(
    bodiesOf(laid),
    (solid) => slice(solid, { normal, offset }).map((p) => ({ h: dot(across, p), z: dot(up, p) })),
    { origin, across, up },
  );
  const hs = points.map((p) => dot(across, p));
  const zs = points.map((p) => dot(up, p));
  return framed({
    face,
    left: Math.min(...hs),
    right: Math.max(...hs),
    foot: Math.min(...zs),
    head: Math.max(...zs),
  });
}
