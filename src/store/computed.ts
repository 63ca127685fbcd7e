import { createSelector } from '@reduxjs/toolkit';
import { dequal } from 'dequal';
import { factsIn, type PlanInBars } from '../core/advice/facts.ts';
import { asTimed } from '../core/clock/asTimed.ts';
import { AS_PLANNED, happenedIn, type HappenedByPour } from '../core/batch/happened.ts';
import { computePlan, type Computed } from '../core/computed/compute.ts';
import { movingPlan, movingTimes, type Times } from '../core/computed/moving.ts';
import { seenWith } from '../core/colour/deficiency.ts';
import { plannedHeat, type SoapState } from '../core/look/state.ts';
import { coloursOf, type PlanColours } from '../core/ombre/coloursOf.ts';
import { FIRST, type MouldUse } from '../core/plan/moulds.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import { WORDS } from '../core/plan/words.ts';
import { asShown } from './batchShown.ts';
import { goneOn } from './turns.ts';
import { AT_ONCE_MS, WorkedOut, type Work } from './workedOut.ts';
import type { Look } from './deskSlice.ts';
import type { RootState } from './store.ts';

/** Nothing but words differs. Parts that did not change are the same objects, so this costs nothing. */
const sameWork = (a: Plan, b: Plan): boolean =>
  (Object.keys({ ...a, ...b }) as (keyof Plan)[]).every(
    (key) => (WORDS as readonly string[]).includes(key) || a[key] === b[key],
  );

let last: Plan | null = null;

/** The open plan, the same object until something changes that counts. */
const workIn = ({ plan }: RootState): Plan | null => {
  const { present } = plan;
  if (!last || !present || !sameWork(last, present)) last = present;
  return last;
};

/**
 * What was really done of the open plan, with what is typed of it in a field that is open: the same object
 * while it says the same.
 */
const happenedNow = createSelector(
  workIn,
  (state: RootState) => state.batch,
  (plan, state): HappenedByPour => {
    const batch = plan && asShown(state, plan);
    return batch ? happenedIn(batch, plan) : AS_PLANNED;
  },
  { memoizeOptions: { resultEqualityCheck: dequal } },
);

const workedOut = new WorkedOut(() => hear());
let hear: () => void = () => undefined;

/** `heard` is called when a work that took longer can be shown. */
export function onWorkedOut(heard: () => void): void {
  hear = heard;
}

const moved = createSelector(workIn, happenedNow, (plan, happened) =>
  plan ? goneOn(movingPlan(plan, happened), AT_ONCE_MS)?.value : undefined,
);

/** What moves of the open plan while something is dragged, where it is worked out at once. */
const selectMoved = (state: RootState): PlanInBars | undefined =>
  state.plan.moving ? moved(state) : undefined;

const selectShown = (state: RootState): Work | null => {
  const plan = workIn(state);
  return plan && workedOut.shownFor({ plan, happened: happenedNow(state) }, selectMoved(state) !== undefined);
};

/**
 * The open plan as there is work in it: the same object until something changes that counts. A keystroke in
 * the notes is none of that, so nothing is computed for it, and nothing drawn but what shows the words; its
 * words may be older than those of `present`. While a large plan is worked out it is as it was before.
 */
export const selectWork = (state: RootState): Plan | null => selectShown(state)?.plan ?? null;

const selectHappened = (state: RootState): HappenedByPour => selectShown(state)?.happened ?? AS_PLANNED;

/** What is shown is older than the plan: it is being worked out. */
export const selectBehind = (state: RootState): boolean => {
  const shown = selectShown(state);
  if (shown === null || selectMoved(state)) return false;
  return shown.plan !== workIn(state) || shown.happened !== happenedNow(state);
};

/** The open plan as the page shows it, where that is older than the plan. */
export const selectOlder = (state: RootState): Plan | undefined =>
  selectBehind(state) ? (selectWork(state) ?? undefined) : undefined;

/** Everything computed from the open plan; computed once for each state of the work. */
export const selectComputed = createSelector(
  selectWork,
  selectHappened,
  (plan, happened): Computed | undefined => (plan ? computePlan(plan, happened) : undefined),
);

const movedTimes = createSelector(moved, (moving) => moving && movingTimes(moving));

/** The minutes of the open plan, also while a pour is dragged to another one. */
export const selectTimes = (state: RootState): Times | undefined =>
  selectMoved(state) ? movedTimes(state) : selectComputed(state);

/** The mould on the bench; the first where the one that was there is gone, or not yet worked out. */
export const selectMouldId = (state: RootState): string => {
  const { mould } = state.desk;
  return selectWork(state)?.others.some((o) => o.id === mould) ? mould : FIRST;
};

const selectMould = createSelector(selectComputed, selectMouldId, (computed, id) =>
  computed?.moulds.find((m) => m.use.id === id),
);

/** The open plan as it comes out when it is poured as it is timed, or late: for looks. */
const selectTimed = createSelector(
  selectComputed,
  (state: RootState) => state.desk.lateMin,
  (computed, lateMin): Computed | undefined =>
    computed && lateMin !== null
      ? computePlan(asTimed(computed.plan, computed, lateMin), computed.happened)
      : computed,
);

export const selectMouldUse = (state: RootState): MouldUse | undefined => selectMould(state)?.use;

export interface OnBench {
  readonly hand?: number;
}

/** With the mould on the bench in the place of the first. */
function onBench<F extends PlanInBars>(
  of: F | undefined,
  id: string,
  hand: number,
): (F & OnBench) | undefined {
  const mould = of?.moulds.find((m) => m.use.id === id);
  const facts = of && mould ? factsIn(of, mould) : of;
  return facts && hand > 0 ? { ...facts, hand } : facts;
}

const selectHand = (state: RootState): number => state.desk.look.hand;

/** Everything computed from the open plan, with the mould on the bench in the place of the first. */
export const selectBench = createSelector(selectTimed, selectMouldId, selectHand, onBench<Computed>);

const movedOnBench = createSelector(moved, selectMouldId, selectHand, onBench<PlanInBars>);

/**
 * What is drawn of the mould on the bench: what moves of it while something is dragged. A loaf that is looked
 * at as poured late is not followed meanwhile.
 */
export const selectDrawn = (state: RootState): (PlanInBars & OnBench) | undefined =>
  state.desk.lateMin === null && selectMoved(state) ? movedOnBench(state) : selectBench(state);

/** Heat of a loaf that gels although the plan does not mean it to: a warm wrap. */
const GELS = 0.5;

export const stateOfLook = (plan: Plan, { when, gelled, scented }: Look): SoapState => {
  const planned = plannedHeat(plan);
  const heat = gelled === 'as-planned' ? planned : gelled === 'no' ? 0 : Math.max(planned, GELS);
  return { age: when, heat, scented };
};

/** How every pot and pour of the open plan looks, the way the maker looks at it. */
export const selectColours = createSelector(
  selectComputed,
  (state: RootState) => state.desk.look,
  (computed, look): PlanColours | undefined => {
    if (!computed) return undefined;
    const usual = look.when === 'cured' && look.gelled === 'as-planned' && look.scented;
    const colours = usual
      ? computed.colours
      : coloursOf(computed.plan, stateOfLook(computed.plan, look), computed.graded);
    const { eyes } = look;
    if (eyes === 'all') return colours;
    const seen = (hexes: ReadonlyMap<string, string>): Map<string, string> =>
      new Map([...hexes].map(([id, hex]) => [id, seenWith(eyes, hex)]));
    return { pots: seen(colours.pots), pours: seen(colours.pours) };
  },
);
