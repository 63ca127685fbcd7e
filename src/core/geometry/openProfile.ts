import { findRoot } from '../numeric/findRoot.ts';
import { fillProfile, type FillProfile } from './fillProfile.ts';
import type { Polyhedron } from './polyhedron.ts';
import type { Vec3 } from './vec.ts';

/** A convex room, and convex parts of it, side by side, that are taken up by what stands there. */
export interface OpenSpace {
  readonly solid: Polyhedron;
  readonly blocked: readonly Polyhedron[];
}

/** Several fills at once, less what is blocked: the volume below a common surface. Exact, like its parts. */
function combined(rooms: readonly FillProfile[], blocked: readonly FillProfile[]): FillProfile {
  const sum = (of: (p: FillProfile) => number): number =>
    rooms.reduce((s, p) => s + of(p), 0) - blocked.reduce((s, p) => s + of(p), 0);
  const lowest = Math.min(...rooms.map((p) => p.lowest));
  const highest = Math.max(...rooms.map((p) => p.highest));
  const total = sum((p) => p.total);
  const volumeBelow = (d: number): number => sum((p) => p.volumeBelow(d));
  return {
    lowest,
    highest,
    total,
    volumeBelow,
    levelOf: (volume) => {
      if (volume <= 0) return lowest;
      if (volume >= total) return highest;
      // a sum of cubics: the tolerance is the rounding of the sum itself
      return findRoot((d) => volumeBelow(d) - volume, lowest, highest, total * 1e-14);
    },
  };
}

/** The volume open below a surface in one or more spaces, as `fillProfile` gives it for a bare solid. */
export function openProfile(spaces: readonly OpenSpace[], normal: Vec3): FillProfile {
  const [only] = spaces;
  if (only && spaces.length === 1 && only.blocked.length === 0) return fillProfile(only.solid, normal);
  return combined(
    spaces.map((s) => fillProfile(s.solid, normal)),
    spaces.flatMap((s) => s.blocked.map((b) => fillProfile(b, normal))),
  );
}
