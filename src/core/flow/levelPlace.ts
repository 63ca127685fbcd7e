/** A place on its way back, in the reference rectangle, mm, and how far up in its level it is, 0 to 1. */
export interface LevelPlace {
  x: number;
  y: number;
  through: number;
}
