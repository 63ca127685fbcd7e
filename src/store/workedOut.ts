import type { HappenedByPour } from '../core/batch/happened.ts';
import { computePlan, computing } from '../core/computed/compute.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import type { Task } from '../core/task/task.ts';
import { goneOn, TURN_MS } from './turns.ts';

/**
 * So long the page is held for a plan, ms: nearly every plan is worked out by then. One that is not is gone
 * on with in turns.
 */
export const AT_ONCE_MS = 180;

/** A plan with what has happened of it: what everything is worked out from. */
export interface Work {
  readonly plan: Plan;
  readonly happened: HappenedByPour;
}

const isSame = (a: Work | undefined, b: Work): boolean => a?.plan === b.plan && a.happened === b.happened;

/** Gone on with for so long; whether it is done. What fails is done: it fails again where it is shown. */
function isDone(task: Task<unknown, unknown>, forMs: number): boolean {
  try {
    return goneOn(task, forMs) !== undefined;
  } catch {
    return true;
  }
}

const begun = ({ plan, happened }: Work): Task<unknown, unknown> => computing(plan, happened);

/** In turns, with everything else that the page has to do between them. */
async function inTurns(task: Task<unknown, unknown>): Promise<void> {
  while (!isDone(task, TURN_MS)) await new Promise((go) => setTimeout(go));
}

/** What the loaf is drawn from and what troubles are told with, where the work could be worked out. */
async function madeVisible({ plan, happened }: Work): Promise<void> {
  try {
    const { moulds, warnings } = computePlan(plan, happened);
    for (const { seeking } of warnings) if (seeking) await inTurns(seeking);
    // only with a plan that is open, not with the shelf
    const { makingBodies } = await import('../core/pattern/blocks.ts');
    await inTurns(makingBodies(moulds[0]));
  } catch {
    // it fails again where it is shown, and is told of there
  }
}

/** What is shown of the open plan: the work as it was worked out last, while a newer one is under way. */
export class WorkedOut {
  private shown: Work | undefined;
  private wanted: Work | undefined;
  private under = false;
  private readonly changed: () => void;

  /** `changed` is called when what was under way can be shown */
  constructor(changed: () => void) {
    this.changed = changed;
  }

  /**
   * What is to be shown for a work: itself, or what there was of that plan before it, also while that is
   * wanted.
   */
  shownFor(work: Work, asBefore: boolean): Work {
    if (this.shown && isSame(this.shown, work)) return this.shown;
    if (asBefore && this.shown?.plan.id === work.plan.id) return this.shown;
    this.wanted = work;
    if (!this.under) this.begin();
    // another plan is not shown in its place
    if (this.shown?.plan.id !== work.plan.id) this.shown = work;
    return this.shown;
  }

  private begin(): void {
    const work = this.wanted;
    if (!work) return;
    const task = begun(work);
    if (isDone(task, AT_ONCE_MS)) {
      this.shown = work;
      return;
    }
    this.under = true;
    void inTurns(task)
      .then(() => madeVisible(work))
      .then(() => {
        this.under = false;
        if (this.wanted?.plan.id === work.plan.id) this.shown = work;
        this.changed();
      });
  }
}

/** Worked out ahead, in turns, so that it can be shown at once. */
export async function workOut(work: Work): Promise<void> {
  await inTurns(begun(work));
  await madeVisible(work);
}
