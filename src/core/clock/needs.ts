import { wayOf } from '../ways/ways.ts';
import type { Plan } from '../plan/planSchema.ts';
import { potsIn } from '../plan/sources.ts';
import { fallFor } from '../setting/plunge.ts';
import type { Millimetres, Minutes, Stage } from '../units/quantity.ts';
import type { StepId } from '../validate/ids.ts';
import type { TimedAct, Timetable } from './timetable.ts';
import { actName } from './words.ts';

/** What a way of pouring, or a tool, needs of the batter, and how long it has that. */
export interface Need {
  readonly step: StepId;
  readonly name: string;
  readonly least: Stage;
  readonly most: Stage;
  /** it is drawn on, or gone through, for the last time */
  readonly untilMin: Minutes;
  /** the batter is right until then */
  readonly hasMin: Minutes;
  /** how high the jug is held, to go as deep as was drawn: as it begins, and at the end */
  readonly jug?: {
    readonly plannedMm: Millimetres;
    readonly firstMm: Millimetres;
    readonly lastMm: Millimetres;
  };
}

/** Nobody holds a jug higher, mm. */
const HIGHEST: Millimetres = 400;

const jugOf = (plan: Plan, { about, firstStage, stage }: TimedAct): Need['jug'] => {
  const { step } = about;
  if (step?.kind !== 'pour' || !step.pattern || !wayOf(step.pattern.place).byHeight) return undefined;
  if (firstStage === undefined || stage === undefined) return undefined;
  const pots = potsIn(plan, step);
  const planned = pots.reduce((s, p) => s + p.stage, 0) / Math.max(1, pots.length);
  const { fallMm } = step.landing;
  const held = (at: Stage): Millimetres => Math.min(HIGHEST, fallFor(fallMm, planned, at));
  return { plannedMm: fallMm, firstMm: held(firstStage), lastMm: held(stage) };
};

/** Every pour that pushes others aside, and every tool that goes through fluid batter. */
export function needsOf(plan: Plan, { acts }: Timetable): readonly Need[] {
  return acts.flatMap((timed): Need[] => {
    const { act, about, startMin, endMin } = timed;
    const { step } = about;
    if (!step) return [];
    if (step.kind === 'pour' && step.pattern && act.window && timed.pourableUntilMin !== undefined) {
      const during = (endMin - startMin) * (act.lastAt ?? 0);
      const jug = jugOf(plan, timed);
      return [
        {
          step: step.id,
          name: wayOf(step.pattern.place).know.name,
          ...act.window,
          untilMin: startMin + during,
          hasMin: timed.pourableUntilMin + during,
          ...(jug ? { jug } : {}),
        },
      ];
    }
    if (act.fluid && timed.fluidUntilMin !== undefined)
      return [
        {
          step: step.id,
          name: actName(plan, timed),
          least: act.fluid.least,
          most: act.fluid.most,
          untilMin: startMin,
          hasMin: timed.fluidUntilMin,
        },
      ];
    return [];
  });
}
