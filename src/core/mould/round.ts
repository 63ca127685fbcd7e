import type { Shape } from './schema.ts';

type Round = Extract<Shape, { kind: 'half-round' | 'tube' }>;

/** A mould whose walls are round; a tube or half of one. */
export const isRound = (shape: Shape): shape is Round => shape.kind === 'half-round' || shape.kind === 'tube';

/** A tube that stands on its end, and is filled from there. */
export const standsOnEnd = (shape: Shape): boolean => shape.kind === 'tube' && shape.stands === 'standing';

/** A round mould that lies: its floor is round too. */
export const liesRound = (shape: Shape): boolean => isRound(shape) && !standsOnEnd(shape);
