import type { Plan } from '../plan/planSchema.ts';
import type { Step } from '../plan/stepSchema.ts';
import { WARM_FACTOR } from '../timing/estimates.ts';
import type { Course } from '../timing/course.ts';
import type { StepId } from '../validate/ids.ts';
import { addLine, addPull, addScrape, addStroke, addTilt, addWait, addWire } from './course/between.ts';
import { Draft, type About, type Laid, type PotAbout } from './course/draft.ts';
import { Jugs } from './course/jugs.ts';
import { addRidges, addTop } from './course/onTop.ts';
import { addPiping } from './course/piping.ts';
import { addPour } from './course/pour.ts';

/** A plan as a course of acts by one pair of hands, with what each act, and each pot, is in the plan. */
export interface PlanCourse {
  readonly course: Course;
  readonly acts: readonly About[];
  readonly pots: readonly PotAbout[];
  /** the layers of a pour, by its step, one for each kind of mould it goes into */
  readonly layers: ReadonlyMap<StepId, readonly number[]>;
}

function addStep(draft: Draft, jugs: Jugs, step: Step): void {
  switch (step.kind) {
    case 'pour':
      addPour(draft, jugs, step);
      return;
    case 'wait':
      addWait(draft, step);
      return;
    case 'tilt':
      addTilt(draft, step);
      return;
    case 'stroke':
      addStroke(draft, step);
      return;
    case 'wire':
      addWire(draft, step);
      return;
    case 'scrape':
      addScrape(draft, step);
      return;
    case 'mica':
      addLine(draft, step);
      return;
    case 'pull':
      addPull(draft, step);
      return;
    case 'ridges':
      addRidges(draft, jugs, step);
      return;
    case 'top':
      addTop(draft, jugs, step);
      return;
    case 'finish':
  }
}

/** The course of a plan. Undefined while there is no recipe: nothing is known of its speed then. */
export function courseOf(plan: Plan, laid: Laid): PlanCourse | undefined {
  const draft = new Draft(plan, laid);
  const jugs = new Jugs(draft);
  if (!jugs.known) return undefined;
  jugs.begin();
  for (const step of plan.steps) addStep(draft, jugs, step);
  addPiping(draft);
  return {
    course: {
      pots: draft.coursePots,
      acts: draft.acts,
      doubts: draft.doubts,
      layers: draft.layerCount,
      inMould: plan.clock.warm ? WARM_FACTOR : 1,
    },
    acts: draft.about,
    pots: draft.pots,
    layers: draft.layers,
  };
}
