import type { FillProfile } from '../geometry/fillProfile.ts';
import { openProfile } from '../geometry/openProfile.ts';
import { UP } from './geometry.ts';
import type { Room } from './rooms.ts';

const levels = new WeakMap<Room, FillProfile>();

/** The open volume of a compartment below a level surface. */
export function levelProfile(room: Room): FillProfile {
  const before = levels.get(room);
  if (before) return before;
  const profile = openProfile([room], UP);
  levels.set(room, profile);
  return profile;
}
