import type { Stage } from '../units/quantity.ts';

/** From which stage to which batter is right for something; doubtful beyond, and half a stage on it fails. */
export interface StageWindow {
  readonly least: Stage;
  readonly most: Stage;
}
