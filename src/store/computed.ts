import { createSelector } from '@reduxjs/toolkit';
import { dequal } from 'dequal';
import { factsIn } from '../core/advice/facts.ts';
import { asTimed } from '../core/clock/asTimed.ts';
import { AS_PLANNED, happenedIn, type HappenedByPour } from '../core/batch/happened.ts';
import { computePlan, type Computed } from '../core/computed/compute.ts';
import { seenWith } from '../core/colour/deficiency.ts';
import { plannedHeat, type SoapState } from '../core/look/state.ts';
import { coloursOf, type PlanColours } from '../core/ombre/coloursOf.ts';
import { FIRST, type MouldUse } from '../core/plan/moulds.ts';
import type { Plan } from '../core/plan/planSchema.ts';
import { asShown } from './batchShown.ts';
import { WorkedOut, type Work } from './workedOut.ts';
import type { Look } from './deskSlice.ts';
import type { RootState } from './store.ts';

/** What nothing is computed from: words, and when they were written. */
const WORDS = ['name', 'notes', 'created', 'changed'] as const satisfies readonly (keyof Plan)[];

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

const selectShown = (state: RootState): Work | null => {
  const plan = workIn(state);
  return plan && workedOut.shownFor({ plan, happened: happenedNow(state) });
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
  return shown !== null && (shown.plan !== workIn(state) || shown.happened !== happenedNow(state));
};

/** Everything computed from the open plan; computed once for each state of the work. */
export const selectComputed = createSelector(
  selectWork,
  selectHappened,
  (plan, happened): Computed | undefined => (plan ? computePlan(plan, happened) : undefined),
);

/** The mould on the bench; the first where the one that was there is gone. */
export const selectMouldId = (state: RootState): string => {
  const { mould } = state.desk;
  return state.plan.present?.others.some((o) => o.id === mould) ? mould : FIRST;
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

/** Everything computed from the open plan, with the mould on the bench in the place of the first. */
export const selectBench = createSelector(
  selectTimed,
  selectMouldId,
  (state: RootState) => state.desk.look.hand,
  (computed, id, hand): (Computed & { readonly hand?: number }) | undefined => {
    const mould = computed?.moulds.find((m) => m.use.id === id);
    const facts = computed && mould ? factsIn(computed, mould) : computed;
    return facts && hand > 0 ? { ...facts, hand } : facts;
  },
);

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
