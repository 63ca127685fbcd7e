import { falseTraceOf } from '../ask/falseTrace.ts';
import type { Day, DayAct } from '../day/act.ts';
import { runningOf } from '../day/order/dayOf.ts';
import { mouldOfStep } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import { REST, REST_DOUBLES_MIN, REST_SD, WARM_FACTOR } from '../timing/estimates.ts';
import { addLine, addPull, addScrape, addStroke, addTilt, addWait, addWire } from './course/between.ts';
import { CourseDraft, type Laid } from './course/draft.ts';
import { Jugs } from './course/jugs.ts';
import { addRidges, addTop } from './course/onTop.ts';
import { Piping } from './course/piping.ts';
import { addPour } from './course/pour.ts';
import type { PlanCourse } from './planCourse.ts';
import { knownSd } from './scents.ts';

/** A course being written from the acts of a day. */
interface Writing {
  readonly draft: CourseDraft;
  readonly jugs: Jugs;
  readonly piping: Piping;
}

/** What is done to jugs by itself; the rest of what they need is done right before they are drawn on. */
function addToJugs({ jugs, piping }: Writing, act: DayAct): boolean {
  switch (act.does) {
    case 'weigh-out':
      jugs.share([act.id]);
      if (act.coloured) jugs.colour(act.id, act.pot);
      return true;
    case 'combine':
      if (!act.late) jugs.make(act.id, act.pot);
      return true;
    case 'colour-pot':
      jugs.colour(act.id, act.pot);
      return true;
    case 'stir-at-pass':
      jugs.darken(act);
      return true;
    case 'of-second':
      if (act.act.does === 'begin-second') piping.begin(act.id);
      else if (act.act.does === 'colour-pot') piping.colour(act.id, act.act.pot);
      else piping.makes(act.id);
      return true;
    default:
      return false;
  }
}

/** What is done to moulds: to all that a step is about at once. */
function addToMoulds({ draft, jugs, piping }: Writing, act: DayAct): void {
  switch (act.does) {
    case 'pour':
      addPour(draft, jugs, act);
      return;
    case 'wait':
      addWait(draft, act);
      return;
    case 'stroke':
      addStroke(draft, act);
      return;
    case 'wire':
      addWire(draft, act);
      return;
    case 'scrape':
      addScrape(draft, act);
      return;
    case 'line':
      addLine(draft, act);
      return;
    case 'fill-ridges':
      addRidges(draft, jugs, act);
      return;
    case 'tilt':
      if (act.mould === mouldOfStep(act.step)) addTilt(draft, act);
      else draft.alsoDone(act.step, act.id);
      return;
    case 'pull':
      if (act.mould === mouldOfStep(act.step)) addPull(draft, act);
      else draft.alsoDone(act.step, act.id);
      return;
    case 'put-on-top': {
      const { step, id, mould } = act;
      if (mould !== mouldOfStep(step)) draft.alsoDone(step, id);
      else if (step.way.top === 'piping') piping.pipe(id, step, step.way.rows);
      else addTop(draft, jugs, act);
    }
  }
}

/** Pots weighed out one after another are one job. */
function addAll(writing: Writing, day: Day): void {
  let sharing: string[] = [];
  for (const act of day) {
    if (act.does === 'weigh-out' && !act.coloured) {
      sharing.push(act.id);
      continue;
    }
    if (sharing.length > 0) writing.jugs.share(sharing);
    sharing = [];
    if (!addToJugs(writing, act)) addToMoulds(writing, act);
  }
}

/**
 * The course of a plan's day as it is taken to be before anything is learned of its batter. Undefined while
 * there is no recipe: nothing is known of its speed then.
 */
export function priorCourse(
  plan: Plan,
  laid: Laid,
  day = runningOf(plan, laid.moulds),
): PlanCourse | undefined {
  const draft = new CourseDraft(plan, laid);
  const jugs = new Jugs(draft);
  if (!jugs.known) return undefined;
  jugs.begin();
  addAll({ draft, jugs, piping: new Piping(draft) }, day);
  const { knownRest } = plan.clock;
  return {
    course: {
      pots: draft.coursePots,
      acts: draft.acts,
      doubts: [...draft.doubts, { name: REST, sd: knownRest ? knownSd(knownRest, REST_SD) : REST_SD }],
      layers: draft.layerCount,
      falseTrace: falseTraceOf(plan),
      inMould: plan.clock.warm ? WARM_FACTOR : 1,
      rest: { tcMin: knownRest?.value ?? REST_DOUBLES_MIN, doubt: draft.doubts.length },
    },
    acts: draft.about,
    pots: draft.pots,
  };
}
