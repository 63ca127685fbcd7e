import type { StepId } from '../validate/ids.ts';
import { clip } from '../geometry/clip.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { cross, dot, sub, type Vec3 } from '../geometry/vec.ts';
import { solidOf, type Block, type Body } from '../pattern/body.ts';
import { openFrom } from './levels.ts';
import { bandOf, swirlBand, type Band, type Swirl } from './face.ts';

/** Where the loaf is seen from: azimuth about z (0 from the near end), elevation above the bench, degrees. */
export interface Eye {
  readonly azimuth: number;
  readonly elevation: number;
}

type Flat = readonly [x: number, y: number];

/** A facet of a block seen square on; a point h, z of it is on the screen at origin + h across + z up, mm. */
export interface FacetPlane {
  readonly band: Band;
  readonly origin: Flat;
  readonly across: Flat;
  readonly up: Flat;
}

export interface Facet {
  readonly pourId: StepId;
  /** screen points in mm, x right, y up */
  readonly points: readonly (readonly [number, number])[];
  /** 0 dark to 1 light */
  readonly light: number;
  readonly nth: number;
  readonly letters: string;
  /** its corners, mould frame */
  readonly corners: readonly Vec3[];
  /** where it is simulated: seen square on, and how its plane lies on the screen */
  readonly plane?: FacetPlane;
}

const RADIANS = Math.PI / 180;

interface Camera {
  readonly right: Vec3;
  readonly up: Vec3;
  readonly towards: Vec3;
}

function cameraOf({ azimuth, elevation }: Eye): Camera {
  const [ca, sa] = [Math.cos(azimuth * RADIANS), Math.sin(azimuth * RADIANS)];
  const [ce, se] = [Math.cos(elevation * RADIANS), Math.sin(elevation * RADIANS)];
  return {
    right: [ca, sa, 0],
    up: [-sa * se, ca * se, ce],
    towards: [sa * ce, -ca * ce, se],
  };
}

/** How a loaf is turned before it is looked at: where its places come to, and which way its ways then go. */
interface Turn {
  readonly place: (p: Vec3) => Vec3;
  readonly way: (v: Vec3) => Vec3;
}

const AS_POURED: Turn = { place: (p) => p, way: (v) => v };

/** By half a turn about its length: what was its floor is so high. */
const turnedBy = (highMm: number): Turn => ({
  place: ([x, y, z]) => [0 - x, y, highMm - z],
  way: ([x, y, z]) => [0 - x, y, 0 - z],
});

/** Where on the screen a place of the loaf is, and which way a way of it goes there, mm. */
export interface OnScreen {
  readonly place: (p: Vec3) => Flat;
  readonly way: (v: Vec3) => Flat;
}

/** How a loaf is seen: as it was poured, or so high and turned over. */
export function onScreen(eye: Eye, overMm?: number): OnScreen {
  const { right, up } = cameraOf(eye);
  const turn = overMm === undefined ? AS_POURED : turnedBy(overMm);
  const flat = (v: Vec3): Flat => [dot(right, v), dot(up, v)];
  return { place: (p) => flat(turn.place(p)), way: (v) => flat(turn.way(v)) };
}

/** Lying level: nothing is read off it. */
const FLAT: Omit<Swirl, 'content'> = { origin: [0, 0, 0], across: [1, 0, 0], up: [0, 1, 0] };

/** A facet's plane: its longest edge across, and square to that. Seen from outside, up is up. */
function planeOf(face: readonly Vec3[], normal: Vec3): Omit<Swirl, 'content'> {
  const [a, b] = [face[0] as Vec3, face[1] as Vec3];
  const along = sub(b, a);
  const length = Math.hypot(...along);
  const across: Vec3 = [along[0] / length, along[1] / length, along[2] / length];
  return { origin: a, across, up: cross(normal, across) };
}

function facetPlane(
  block: Block,
  face: readonly Vec3[],
  normal: Vec3,
  camera: Camera,
  turn: Turn,
): FacetPlane {
  const plane = planeOf(face, normal);
  const onScreen = (v: Vec3): Flat => [dot(camera.right, v), dot(camera.up, v)];
  const outline = face.map((p) => {
    const from = sub(p, plane.origin);
    return { h: dot(plane.across, from), z: dot(plane.up, from) };
  });
  return {
    band: swirlBand(block, outline, plane),
    origin: onScreen(turn.place(plane.origin)),
    across: onScreen(turn.way(plane.across)),
    up: onScreen(turn.way(plane.up)),
  };
}

const normalOf = (face: readonly Vec3[]): Vec3 => {
  const n = cross(sub(face[1] as Vec3, face[0] as Vec3), sub(face[2] as Vec3, face[0] as Vec3));
  const length = Math.hypot(...n);
  return length === 0 ? [0, 0, 0] : [n[0] / length, n[1] / length, n[2] / length];
};

/** A face that starts with very short edges has no sure normal; start it at its longest edge. */
function steady(face: readonly Vec3[]): readonly Vec3[] {
  let best = 0;
  let most = 0;
  for (const [i, p] of face.entries()) {
    const q = face[(i + 1) % face.length] as Vec3;
    const length = Math.hypot(...sub(q, p));
    if (length > most) [best, most] = [i, length];
  }
  return [...face.slice(best), ...face.slice(0, best)];
}

/** A face that looks up: its normal leans less than this from upright. */
const UPWARDS = 0.999;

/**
 * The faces of the poured loaf that look towards the eye, drawn back to front. Layers and blocks are convex
 * and each lies on the upper side of those poured before it, so drawing them in the order they were poured is
 * right for an eye above the surfaces. `keep` cuts the loaf away in front of a plane across it (y >= keep
 * stays). One that stands on its top is `overMm` high and turned over, and drawn from what was poured last.
 */
export function facetsOf(
  bodies: readonly Body[],
  eye: Eye,
  keep: number | undefined,
  overMm?: number,
): readonly Facet[] {
  const camera = cameraOf(eye);
  const turn = overMm === undefined ? AS_POURED : turnedBy(overMm);
  const isOver = overMm !== undefined;
  return (isOver ? bodies.toReversed() : bodies).flatMap((body) => {
    const whole = solidOf(body);
    const solid: Polyhedron =
      keep === undefined ? whole : clip(whole, { normal: [0, 1, 0], offset: keep }).above;
    const { pourId, nth, letters } =
      body.kind === 'layer' ? bandOf(body.layer, []) : swirlBand(body.block, [], FLAT);
    const facetOf = (face: readonly Vec3[], normal: Vec3, light: number): Facet => ({
      pourId,
      nth,
      letters,
      points: face.map(turn.place).map((p) => [dot(camera.right, p), dot(camera.up, p)] as const),
      light,
      corners: face,
      ...(block ? { plane: facetPlane(block, face, normal, camera, turn) } : {}),
    });
    const block = body.kind === 'block' ? body.block : undefined;
    // what is no plane is drawn by its levels
    if (block?.content.kind === 'heaped') return [];
    const open = isOver ? undefined : openFrom(body);
    return solid.faces.flatMap((raw): Facet[] => {
      const face = steady(raw);
      const normal = normalOf(face);
      const towards = turn.way(normal);
      if (dot(towards, camera.towards) <= 1e-9 || (open !== undefined && normal[2] > UPWARDS)) return [];
      return [facetOf(face, normal, 0.62 + 0.38 * Math.max(0, dot(towards, [0.35, -0.45, 0.82])))];
    });
  });
}
