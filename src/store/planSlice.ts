import { createAction, type Reducer, type UnknownAction } from '@reduxjs/toolkit';
import type { Plan } from '../core/plan/planSchema.ts';

/**
 * The plans before and after the one on screen, oldest first. Lists are only ever replaced, never changed.
 */
export interface PastAndFuture {
  readonly past: readonly Plan[];
  readonly future: readonly Plan[];
}

export interface Moment extends PastAndFuture {
  readonly present: Plan | null;
}

/** The open plan with its history, and the history as it was when the gesture that is going on began. */
export interface PlanHistory extends Moment {
  /**
   * how often a plan was opened, or another tab's writing of it was taken over: what a field shows may be
   * somebody else's since
   */
  readonly opened: number;
  /** something of it is dragged: until it rests only what moves is worked out */
  readonly moving: boolean;
  /** how often a plan that took longer has been worked out: what is shown of it is newer since */
  readonly worked: number;
  readonly gesture?: { readonly id: string; readonly before: Moment };
  /** it is the plan of a batch that is made: nothing of it is changed, and nothing stored */
  readonly frozen: boolean;
}

export interface Opened extends Partial<PastAndFuture> {
  readonly plan: Plan;
  /** it is the plan of a batch that is made */
  readonly frozen?: boolean;
}

export interface Edited {
  readonly plan: Plan;
  /** edits of one gesture undo as one (a drag, the keystrokes of one visit to a field) */
  readonly gesture: string | null;
  /** by dragging, which goes on */
  readonly moving?: boolean;
}

/** a plan read from storage, with the history it was left with */
export const planOpened = createAction<Opened>('plan/opened');
export const planEdited = createAction<Edited>('plan/edited');
/** all that a gesture has changed is as it was before; one undo brings it back */
export const gestureTakenBack = createAction<string>('plan/gestureTakenBack');
export const undone = createAction('plan/undone');
export const redone = createAction('plan/redone');
/** what was dragged rests, or is let go of */
export const rested = createAction('plan/rested');
/** a plan that took longer than a moment is worked out */
export const workedOut = createAction('plan/workedOut');
export const planClosed = createAction('plan/closed');

const MOST_STEPS_BACK = 300;

type Work = Omit<PlanHistory, 'opened' | 'worked' | 'moving' | 'frozen'>;

const NOTHING: Work = { past: [], present: null, future: [] };

const CLOSED: PlanHistory = { ...NOTHING, opened: 0, worked: 0, moving: false, frozen: false };

const edited = ({ past, present }: Moment, plan: Plan): Moment => ({
  past: present ? [...past, present].slice(-MOST_STEPS_BACK) : past,
  present: plan,
  future: [],
});

/** Undo and redo end a gesture. */
function moved({ past, present, future }: Moment, way: 'back' | 'on'): Work | undefined {
  const next = way === 'back' ? past.at(-1) : future[0];
  if (!next || !present) return undefined;
  return way === 'back'
    ? { past: past.slice(0, -1), present: next, future: [present, ...future] }
    : { past: [...past, present], present: next, future: future.slice(1) };
}

/**
 * As it was before a gesture. What the gesture had made was shown, and may have been stored: it stays one
 * undo away. Going on, the gesture starts from where it began, and leaves no such trace.
 */
function takenBack(state: Work, id: string): Work {
  const { gesture, present } = state;
  if (gesture?.id !== id || !present || present === gesture.before.present) return state;
  const { past } = edited(edited(gesture.before, present), present);
  return { ...gesture.before, past, gesture };
}

/** The open plan and its history. Opening and closing start the history anew. */
export const planReducer: Reducer<PlanHistory> = (state = CLOSED, action) => {
  if (workedOut.match(action)) return { ...state, worked: state.worked + 1 };
  if (rested.match(action)) return state.moving ? { ...state, moving: false } : state;
  const isOpening = planOpened.match(action);
  if (state.frozen && !isOpening && !planClosed.match(action)) return state;
  const next = worked(state, action);
  const opened = state.opened + (isOpening ? 1 : 0);
  const frozen = isOpening && action.payload.frozen === true;
  const moving = planEdited.match(action) && !!action.payload.moving;
  return next === state ? state : { ...next, opened, moving, frozen, worked: state.worked };
};

function worked(state: Work, action: UnknownAction): Work {
  if (planOpened.match(action)) {
    const { plan, past = [], future = [] } = action.payload;
    return { past, present: plan, future };
  }
  if (planClosed.match(action)) return NOTHING;
  if (planEdited.match(action)) {
    const { plan, gesture } = action.payload;
    const { past, present, future } = state;
    const before =
      gesture !== null && state.gesture?.id === gesture ? state.gesture.before : { past, present, future };
    const next = edited(before, plan);
    return gesture === null ? next : { ...next, gesture: { id: gesture, before } };
  }
  if (gestureTakenBack.match(action)) return takenBack(state, action.payload);
  if (undone.match(action)) return moved(state, 'back') ?? state;
  if (redone.match(action)) return moved(state, 'on') ?? state;
  return state;
}

/** The plan that an edit of this gesture starts from: as it was when the gesture began. */
export const startOf = (state: Work, gesture: string | null): Plan | null => beforeOf(state, gesture).present;

const beforeOf = (state: Work, gesture: string | null): Moment =>
  gesture !== null && state.gesture?.id === gesture ? state.gesture.before : state;

/** A plan that was on screen before this gesture, or this single edit, began, and is not where it began. */
export function isFromBefore(state: Work, gesture: string | null, plan: Plan): boolean {
  const { past, present, future } = beforeOf(state, gesture);
  return plan !== present && (past.includes(plan) || future.includes(plan));
}
