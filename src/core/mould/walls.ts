/** Walls of a mould as it is looked at from its near end: right is +x, far is +y. */
export const WALLS = ['left', 'right', 'near', 'far'] as const;
