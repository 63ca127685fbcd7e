import { remembered } from '../task/remembered.ts';
import type { FillProfile } from '../geometry/fillProfile.ts';
import { openProfile } from '../geometry/openProfile.ts';
import { UP } from './geometry.ts';
import type { Room } from './rooms.ts';

/** The open volume of a compartment below a level surface. */
export const levelProfile = remembered((room: Room): FillProfile => openProfile([room], UP));
