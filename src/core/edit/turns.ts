import { leadPot, potNamed } from '../plan/sources.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { dot } from '../geometry/vec.ts';
import { isLevel, upOf } from '../mould/tilt.ts';
import { rememberedLast } from '../task/remembered.ts';
import type { Plan } from '../plan/planSchema.ts';
import { stageToHoldSlope } from '../setting/stage.ts';
import type { Degrees, Stage } from '../units/quantity.ts';
import { waitBefore } from './waits.ts';

/** A change of tilt while the layer poured last has yet to hold its slope. */
export interface Turn {
  readonly layer: PouredLayer;
  /** the tilt step that turns the mould */
  readonly tiltId: string;
  readonly degrees: Degrees;
  /** it is set level */
  readonly toLevel: boolean;
  readonly neededStage: Stage;
  /** its pot's stage at the pour, or what the plan waits for before turning */
  readonly heldStage: Stage;
}

const known = rememberedLast<readonly Turn[]>();

/** Every turn of the mould, with the stage that the last layer needs to hold and the one it has by plan. */
export const turnsOf = (plan: Plan, layers: readonly PouredLayer[]): readonly Turn[] =>
  known(layers, [plan.steps, plan.pots], () => turnsAmong(plan, layers));

function turnsAmong(plan: Plan, layers: readonly PouredLayer[]): readonly Turn[] {
  const turns: Turn[] = [];
  const laid = new Map(layers.map((l) => [l.pour.id, l]));
  let last: PouredLayer | undefined;
  let heldStage = 0;
  for (const step of plan.steps) {
    if (step.kind === 'pour') {
      last = laid.get(step.id);
      heldStage = potNamed(plan, leadPot(step))?.stage ?? 0;
    }
    if (step.kind === 'wait' && step.until.kind === 'stage')
      heldStage = Math.max(heldStage, step.until.stage);
    if (step.kind !== 'tilt' || step.fluid || !last) continue;
    const cosine = Math.min(1, Math.max(-1, dot(last.up, upOf(step))));
    const degrees = (Math.acos(cosine) * 180) / Math.PI;
    const neededStage = Math.min(5, stageToHoldSlope(last.riseMm, degrees, last.densityGMl));
    turns.push({ layer: last, tiltId: step.id, degrees, toLevel: isLevel(step), neededStage, heldStage });
  }
  return turns;
}

/** Less short of what is needed than this is as good as held. */
const NEARLY = 0.05;

/** The turns that come before what was poured last holds its slope. */
export const earlyTurns = (plan: Plan, layers: readonly PouredLayer[]): readonly Turn[] =>
  turnsOf(plan, layers).filter((t) => t.heldStage + NEARLY < t.neededStage);

/** The stage that is waited for before a turn: to a tenth, never short of what is needed. */
export const waitedStage = ({ neededStage }: Turn): Stage =>
  Math.min(5, Math.ceil(neededStage * 10 - 1e-9) / 10);

/** Waits, each until its layer holds, put right before these turns. */
export const waitsBeforeTurns = (plan: Plan, turns: readonly Turn[]): Plan =>
  turns.reduce((p, turn) => waitBefore(p, turn.tiltId, waitedStage(turn)), plan);
