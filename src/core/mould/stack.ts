import { finish, type Task } from '../task/task.ts';
import { clip } from '../geometry/clip.ts';
import { openProfile } from '../geometry/openProfile.ts';
import type { Polyhedron } from '../geometry/polyhedron.ts';
import { volumeOf } from '../geometry/volume.ts';
import { dot, type Vec3 } from '../geometry/vec.ts';
import { NotConverged } from '../numeric/notConverged.ts';
import { findRoot } from '../numeric/findRoot.ts';
import type { Millilitres, Millimetres } from '../units/quantity.ts';
import { MM3_PER_ML } from './geometry.ts';
import type { Room } from './rooms.ts';
import { LEVEL, upOf, type Tilt } from './tilt.ts';

/** What a pour asks for, once masses and percents are volumes. */
export type Wish =
  | { readonly kind: 'volume'; readonly volumeMl: Millilitres }
  | { readonly kind: 'height'; readonly heightMm: Millimetres }
  | { readonly kind: 'rest'; readonly parts: number }
  /** up to a point of a wall, mould frame */
  | { readonly kind: 'point'; readonly point: Vec3 };

export interface WishedPour {
  readonly tilt: Tilt;
  readonly wish: Wish;
  /** it runs level with those next to it that have the same, once they are all in */
  readonly runsLevel?: string;
  /** what stood in the mould is out by then, and its holes are filled up to the surface there was */
  readonly pulled?: true;
}

/** One pour as it lies in the mould. */
export interface Layer extends Lie {
  readonly volumeMl: Millilitres;
  /** how it lay before it ran level */
  readonly before?: Lie;
}

/** Where a pour lies. */
export interface Lie {
  readonly tilt: Tilt;
  /** unit normal of the surface and its offset: the surface is `up . x = offset`, mm */
  readonly up: Vec3;
  readonly offset: number;
  /** rise of the surface over the lowest point that was open, square to the surface */
  readonly riseMm: Millimetres;
  /** the region it fills; a column standing in it is part of the region and filled once it is pulled */
  readonly solid: Polyhedron;
  /** what the set layers left open before this pour */
  readonly space: Polyhedron;
  /** the parts of that space that columns take up */
  readonly blocked: readonly Polyhedron[];
}

export interface StackFault {
  readonly kind: 'overfull' | 'nothing-left' | 'not-solved';
  /** position among the pours */
  readonly pour: number;
  /** batter that finds no room, or that is missing before anything is left */
  readonly shortfallMl: Millilitres;
}

export interface Stack {
  readonly layers: readonly Layer[];
  readonly filledMl: Millilitres;
  /** what the pours ask for, also beyond the room there is */
  readonly wantedMl: Millilitres;
  readonly fault?: StackFault;
}

/** Relative slack when a wanted volume meets the room left: the rounding of a dozen sums of volumes. */
const ROOM_SLACK = 1e-9;

/** The surface offset that a wish names outright; -Infinity when it names a volume. */
function levelWanted(wish: Wish, up: Vec3, lowest: Millimetres): Millimetres {
  if (wish.kind === 'height') return lowest + wish.heightMm;
  return wish.kind === 'point' ? dot(up, wish.point) : -Infinity;
}

type Open = Pick<Lie, 'space' | 'blocked'>;

/** What is open filled up to a surface, and what stays open above it. */
function laidUpTo(
  { space, blocked }: Open,
  surface: Pick<Lie, 'tilt' | 'up' | 'offset'>,
  lowest: Millimetres,
): { readonly lie: Lie; readonly above: Open } {
  const { up: normal, offset } = surface;
  const parts = clip(space, { normal, offset });
  return {
    lie: { ...surface, riseMm: offset - lowest, solid: parts.below, space, blocked },
    above: {
      space: parts.above,
      blocked: blocked.map((b) => clip(b, { normal, offset }).above).filter((b) => b.faces.length > 0),
    },
  };
}

/** Pours that were fluid together as they lie once the mould is set level: each keeps its volume. */
export function runLevel(
  layers: readonly Layer[],
  under: Open,
): Open & { readonly layers: readonly Layer[] } {
  let { space, blocked } = under;
  const up = upOf(LEVEL);
  const level = layers.map(({ volumeMl, before: _before, ...lie }): Layer => {
    if (lie.blocked.length === 0) blocked = [];
    const profile = openProfile([{ solid: space, blocked }], up);
    const offset = profile.levelOf(Math.min(profile.total, volumeMl * MM3_PER_ML));
    const laid = laidUpTo({ space, blocked }, { tilt: LEVEL, up, offset }, profile.lowest);
    ({ space, blocked } = laid.above);
    return { ...laid.lie, volumeMl, before: lie };
  });
  return { layers: level, space, blocked };
}

function* pouring(room: Room, pours: readonly WishedPour[], unitMl: Millilitres): Task<never, Stack> {
  const layers: Layer[] = [];
  let space = room.solid;
  let blocked = room.blocked;
  const whole = volumeOf(room.solid);
  let filled = 0;
  let asked = 0;
  let fault: StackFault | undefined;
  /** those that run level together, and what was open before the first of them */
  let fluid: Layer[] = [];
  let under = { space, blocked };
  for (const [index, { tilt, wish, runsLevel, pulled }] of pours.entries()) {
    yield { done: index / pours.length };
    if (pulled) blocked = [];
    if (fluid.length === 0) under = { space, blocked };
    const up = upOf(tilt);
    const profile = openProfile([{ solid: space, blocked }], up);
    const wantedLevel = levelWanted(wish, up, profile.lowest);
    const wanted =
      wish.kind === 'volume'
        ? wish.volumeMl * MM3_PER_ML
        : wish.kind === 'rest'
          ? wish.parts * unitMl * MM3_PER_ML
          : profile.volumeBelow(wantedLevel);
    const over = wantedLevel - profile.highest;
    const left = profile.total;
    if (!fault && (wanted > left + ROOM_SLACK * whole || over > 1e-6)) {
      // a line above the rim takes what it would if the opening went on upwards
      const missing = over > 1e-6 ? over * room.openingMm2 : wanted - left;
      fault = { kind: 'overfull', pour: index, shortfallMl: missing / MM3_PER_ML };
    }
    const volume = Math.min(wanted, left);
    const offset = profile.levelOf(volume);
    const laid = laidUpTo({ space, blocked }, { tilt, up, offset }, profile.lowest);
    const layer: Layer = { ...laid.lie, volumeMl: volume / MM3_PER_ML };
    layers.push(layer);
    ({ space, blocked } = laid.above);
    filled += volume;
    asked += wanted;
    fluid = runsLevel === undefined ? [] : [...fluid, layer];
    if (runsLevel !== undefined && pours[index + 1]?.runsLevel !== runsLevel) {
      const level = runLevel(fluid, under);
      layers.splice(layers.length - fluid.length, fluid.length, ...level.layers);
      ({ space, blocked } = level);
      fluid = [];
    }
  }
  const stack = { layers, filledMl: filled / MM3_PER_ML, wantedMl: asked / MM3_PER_ML };
  return fault ? { ...stack, fault } : stack;
}

/**
 * Lay the pours one on another: pour k fills `mould ∩ {up_k . x <= d_k} ∩ {up_j . x >= d_j, j < k}`, which
 * stays convex. `rest` pours share, by parts, what is left of `fillMl` after all the others.
 * A pour that finds no room is cut off at the room there is, and the fault says by how much.
 */
export function* stacking(room: Room, pours: readonly WishedPour[], fillMl: Millilitres): Task<never, Stack> {
  const rest = pours.flatMap((p, i) => (p.wish.kind === 'rest' ? [{ i, parts: p.wish.parts }] : []));
  const parts = rest.reduce((s, r) => s + r.parts, 0);
  if (parts === 0) return yield* pouring(room, pours, 0);
  const without = yield* pouring(room, pours, 0);
  const left = fillMl - without.filledMl;
  const first = rest[0]?.i ?? 0;
  if (without.fault) return without;
  if (left <= fillMl * ROOM_SLACK)
    return { ...without, fault: { kind: 'nothing-left', pour: first, shortfallMl: -left } };
  const lineAfterRest = pours.some(
    (p, i) => i > first && (p.wish.kind === 'height' || p.wish.kind === 'point'),
  );
  if (!lineAfterRest) return yield* pouring(room, pours, left / parts);
  // a height above a rest pour takes a volume that depends on where it lies: solve for the unit
  const pourAll = (unit: number): Stack => finish(pouring(room, pours, unit));
  const excess = (unit: number): number => pourAll(unit).wantedMl - fillMl;
  const most = fillMl / parts;
  if (excess(most) <= 0) return pourAll(most);
  try {
    return pourAll(findRoot(excess, 0, most, fillMl * 1e-13));
  } catch (error) {
    if (!(error instanceof NotConverged)) throw error;
    return {
      ...pourAll(error.x),
      fault: { kind: 'not-solved', pour: first, shortfallMl: Math.abs(error.residual) },
    };
  }
}

/** The same at once. */
export const stackPours = (room: Room, pours: readonly WishedPour[], fillMl: Millilitres): Stack =>
  finish(stacking(room, pours, fillMl));
