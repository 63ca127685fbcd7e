import { settled } from '../core/edit/settled.ts';
import { readPlanValue } from '../core/exchange/planValue.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import { withWordsOf } from '../core/plan/words.ts';
import { ontoNow } from '../core/edit/ontoNow.ts';
import { ok, type Fault, type Result } from '../core/result/result.ts';
import type { Gesture } from './gesture.ts';
import { selectOlder } from './computed.ts';
import { gestureTakenBack, isFromBefore, planEdited, rested, startOf } from './planSlice.ts';
import type { AppDispatch, RootState } from './store.ts';

/** So long what is dragged stands still before everything is worked out, ms. */
const STANDS_MS = 120;

let standing: ReturnType<typeof setTimeout> | undefined;

function restsSoon(gesture: Gesture, dispatch: AppDispatch): void {
  const rest = (): void => {
    clearTimeout(standing);
    dispatch(rested());
  };
  gesture.moves(rest);
  clearTimeout(standing);
  standing = setTimeout(rest, STANDS_MS);
}

function madeTo(plan: Plan, edit: (plan: Plan) => Plan | Result<Plan>): Result<Plan> {
  const outcome = edit(plan);
  return 'ok' in outcome ? outcome : ok(outcome);
}

/**
 * Apply an edit to the open plan. Where the page shows it as it was some edits ago, because it is still being
 * worked out, what was changed since is kept. An edit that says why it cannot be, or that would make an
 * invalid plan, comes back as its first fault, for the field to show, and changes nothing. With a gesture it
 * starts from the plan as it was when that gesture began; refused, the gesture's earlier edits are taken back
 * too.
 */
export const editPlan =
  (edit: (plan: Plan) => Plan | Result<Plan>, gesture?: Gesture) =>
  (dispatch: AppDispatch, getState: () => RootState): Fault | undefined => {
    const id = gesture?.id ?? null;
    const { plan: history } = getState();
    const plan = gesture?.builds === 'on-itself' ? history.present : startOf(history, id);
    if (!plan) return undefined;
    const takeBack = (): void => {
      if (id !== null && gesture?.builds === 'from-start') dispatch(gestureTakenBack(id));
    };
    const older = selectOlder(getState());
    // words are shown as they are, whatever is being worked out
    const shown = older && isFromBefore(history, id, older) ? withWordsOf(older, plan) : undefined;
    const meant = shown && madeTo(shown, edit);
    const outcome = madeTo(plan, edit);
    if (!outcome.ok) {
      takeBack();
      return outcome.fault;
    }
    const madeToNow = outcome.value;
    const edited =
      shown && meant?.ok ? ontoNow({ shown, madeToShown: meant.value, now: plan, madeToNow }) : madeToNow;
    if (edited === plan) {
      takeBack();
      return undefined;
    }
    const stamped = { ...settled(edited), changed: new Date().toISOString() };
    const read = readPlanValue(stamped);
    if (!read.ok) {
      takeBack();
      return read.faults[0];
    }
    gesture?.changes(takeBack);
    // the edit's own objects, not the reader's copies: what did not change is still the same object
    dispatch(planEdited({ plan: stamped, gesture: id, moving: gesture?.drags ?? false }));
    if (gesture?.drags) restsSoon(gesture, dispatch);
    return undefined;
  };
