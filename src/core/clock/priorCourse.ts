import type { Plan } from '../plan/planSchema.ts';
import type { Step } from '../plan/stepSchema.ts';
import { WARM_FACTOR } from '../timing/estimates.ts';
import { addLine, addPull, addScrape, addStroke, addTilt, addWait, addWire } from './course/between.ts';
import { Draft, type Laid } from './course/draft.ts';
import { Jugs } from './course/jugs.ts';
import type { PlanCourse } from './planCourse.ts';
import { addRidges, addTop } from './course/onTop.ts';
import { addPiping } from './course/piping.ts';
import { addPour } from './course/pour.ts';

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

/** The course of a plan as it is taken to be before anything is learned of its batter. Undefined while there is no recipe: nothing is known of its speed then. */
export function priorCourse(plan: Plan, laid: Laid): PlanCourse | undefined {
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
  };
}
