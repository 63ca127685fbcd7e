import { slice } from '../geometry/clip.ts';
import { corners } from '../geometry/polyhedron.ts';
import type { Vec3 } from '../geometry/vec.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Block, Body } from '../pattern/body.ts';
import { faceLevel, swirlBand, type Band, type Face } from './face.ts';
import type { FramedFace } from './framed.ts';
import { litBlock } from './levels.ts';

/** Poured on a mat: once it is out it stands on what was poured last, and its top is what lay on the mat. */
export const standsOnItsTop = ({ mould }: Pick<Plan, 'mould'>): boolean => mould.mat !== undefined;

const back = (v: Vec3): Vec3 => [0 - v[0], 0 - v[1], 0 - v[2]];

/** The same seen from its other side. */
export const mirrored = (face: Face): Face =>
  face.map((band) => ({
    ...band,
    outline: band.outline.map((p) => ({ h: 0 - p.h, z: p.z })),
    ...(band.swirl ? { swirl: { ...band.swirl, across: back(band.swirl.across) } } : {}),
  }));

/** A face by half a turn, in the frame it stood in: left is right, and up is down. */
export function turnedOver({ face, left, right, foot, head }: FramedFace): FramedFace {
  const sum = foot + head;
  const turned = face.map((band): Band => {
    const outline = band.outline.map((p) => ({ h: 0 - p.h, z: sum - p.z }));
    const { swirl } = band;
    if (!swirl) return { ...band, outline };
    const { origin, across, up } = swirl;
    const moved: Vec3 = [origin[0] + up[0] * sum, origin[1] + up[1] * sum, origin[2] + up[2] * sum];
    return { ...band, outline, swirl: { ...swirl, origin: moved, across: back(across), up: back(up) } };
  });
  return { face: turned, left: 0 - right, right: 0 - left, foot, head };
}

/** Just above the flat of the mat, mm. */
const ON_THE_FLAT = 0.01;

export const hangs = (body: Body): body is Extract<Body, { kind: 'block' }> =>
  body.kind === 'block' && body.block.content.kind === 'heaped' && body.block.content.heap.hangs === true;

/** Ridges from the nearest to an eye below up to the flat of the mat. */
function ridgesFromBelow(block: Block): Band {
  const { solid } = block;
  const deep = Math.max(...corners(solid).map((p) => 0 - p[2]));
  const outline = slice(solid, { normal: [0, 0, 1], offset: deep / -2 }).map(([x, y]) => ({ h: x, z: y }));
  return swirlBand(litBlock(block), outline, {
    origin: [0, 0, ON_THE_FLAT - deep],
    across: [1, 0, 0],
    up: [0, 1, 0],
    behind: { way: [0, 0, 1], mm: deep - 2 * ON_THE_FLAT },
  });
}

/**
 * What lay on the mat, as it is seen from above the mould through all that is over it: x to the right, the
 * near end at the foot.
 */
export const undersideOf = (bodies: readonly Body[]): Face => [
  ...faceLevel(
    bodies.filter((b) => !hangs(b)),
    ON_THE_FLAT,
  ),
  ...bodies.filter(hangs).map((b) => ridgesFromBelow(b.block)),
];
