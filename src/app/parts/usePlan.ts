import { createContext, useContext, useMemo } from 'react';
import { shallowEqual } from 'react-redux';
import type { PlanColours } from '../../core/ombre/coloursOf.ts';
import type { MouldUse } from '../../core/plan/moulds.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { Fault, Result } from '../../core/result/result.ts';
import type { Computed } from '../../core/computed/compute.ts';
import type { PlanInBars } from '../../core/advice/facts.ts';
import type { Times } from '../../core/computed/moving.ts';
import {
  selectBench,
  selectColours,
  selectComputed,
  selectDrawn,
  selectMouldUse,
  selectTimes,
  type OnBench,
} from '../../store/computed.ts';
import { editHere } from '../../store/editHere.ts';
import { editPlan } from '../../store/editPlan.ts';
import { editSecond } from '../../store/editSecond.ts';
import type { Gesture } from '../../store/gesture.ts';
import { useAppDispatch, useAppSelector, type RootState } from '../../store/store.ts';
import { useShow, type Show } from './useShow.ts';

export type Edit = (edit: (plan: Plan) => Plan | Result<Plan>, gesture?: Gesture) => Fault | undefined;

/**
 * The open plan with those stages of what is computed from it that were asked for, and how its units are
 * shown.
 */
interface OpenPlan<C extends { readonly plan: Plan }, Stage extends keyof C> {
  readonly plan: Plan;
  readonly computed: Pick<C, Stage | 'plan'>;
  readonly show: Show;
  readonly edit: Edit;
}

type Bench = Computed & OnBench;
type Drawn = PlanInBars & OnBench;

/** Inside it the open plan is the batch that is piped on top, where there is one. */
export const OfSecond = createContext(false);

/** The stages that a picture of the mould on the bench is drawn from. */
export const SEEN = ['geometry', 'fill', 'stack', 'hand'] as const satisfies readonly (keyof Drawn)[];

const selectSecond = (state: RootState): Computed | undefined => selectComputed(state)?.second;

function open<T>(found: T | undefined): T {
  if (found === undefined) throw new Error('no plan is open');
  return found;
}

const picked = <C extends object, Key extends keyof C>(of: C, keys: readonly Key[]): Pick<C, Key> =>
  Object.fromEntries(keys.map((k) => [k, of[k]])) as Pick<C, Key>;

/**
 * Some stages of a plan, and the plan. Who takes them is drawn again when one of them is another object, and
 * for nothing else.
 */
function useStages<C extends { readonly plan: Plan }, Stage extends keyof C>(
  of: (state: RootState) => C | undefined,
  stages: readonly Stage[],
): Pick<C, Stage | 'plan'> {
  return useAppSelector((state) => picked(open(of(state)), ['plan', ...stages]), shallowEqual);
}

/** One figure of what is computed from the open plan. Only inside the workbench. */
export const useFigure = <T>(pick: (computed: Computed) => T): T =>
  useAppSelector((state) => pick(open(selectComputed(state))));

/**
 * The open plan as it is now, with its words; while something of it is dragged, as it was before. Only inside
 * the workbench.
 */
export const usePresent = (): Plan =>
  useAppSelector(({ plan: { moving, gesture, present } }) =>
    open((moving ? gesture?.before.present : present) ?? undefined),
  );

/** All that is computed from the open plan, for a screen that tells all of it. Only inside the workbench. */
export const useComputed = (): Computed => useFigure((computed) => computed);

/**
 * How every pot and pour looks as the maker looks at it: at the pour, at the cut or cured. Only inside the
 * workbench.
 */
export const useColours = (): PlanColours => useAppSelector((state) => open(selectColours(state)));

/** An edit of the open plan, or of the batch that is piped on top where it is that. */
export function useEdit(): Edit {
  const dispatch = useAppDispatch();
  const ofSecond = useContext(OfSecond);
  return useMemo(
    (): Edit => (change, gesture) => dispatch((ofSecond ? editSecond : editPlan)(change, gesture)),
    [dispatch, ofSecond],
  );
}

/** An edit of the part of the plan that the mould on the bench is. */
export function useBenchEdit(): Edit {
  const dispatch = useAppDispatch();
  return useMemo((): Edit => (change, gesture) => dispatch(editHere(change, gesture)), [dispatch]);
}

/** What is seen as the open plan is the batch that is piped on top. */
export function useOfSecond(): boolean {
  const piped = useAppSelector((state) => selectComputed(state)?.second !== undefined);
  return useContext(OfSecond) && piped;
}

/**
 * The open plan's work, the named stages of what is computed from it, and how its units are shown; for its
 * name and notes ask `usePresent`. Only inside the workbench.
 */
export function usePlan<Stage extends keyof Computed = never>(
  ...stages: readonly Stage[]
): OpenPlan<Computed, Stage> {
  const ofSecond = useOfSecond();
  const computed = useStages(ofSecond ? selectSecond : selectComputed, stages);
  const show = useShow(computed.plan.units);
  return { plan: computed.plan, computed, show, edit: useEdit() };
}

function useOnBench<C extends PlanInBars, Stage extends keyof C>(
  of: (state: RootState) => C | undefined,
  stages: readonly Stage[],
): OpenPlan<C, Stage> {
  const computed = useStages(of, stages);
  const show = useShow(computed.plan.units);
  return { plan: computed.plan, computed, show, edit: useBenchEdit() };
}

/**
 * The mould on the bench as a plan by itself: its own sizes, fill, layers and cut. A plan with one mould is
 * what `usePlan` gives. Edits change that mould's part.
 */
export function useBench<Stage extends keyof Bench = never>(
  ...stages: readonly Stage[]
): OpenPlan<Bench, Stage> {
  return useOnBench(selectBench, stages);
}

/**
 * The same of what is drawn of it, which follows while something of it is dragged; all else is worked out
 * once that rests.
 */
export function useDrawn<Stage extends keyof Drawn = never>(
  ...stages: readonly Stage[]
): OpenPlan<Drawn, Stage> {
  return useOnBench(selectDrawn, stages);
}

/** The minutes of the day, which follow while a pour is dragged to another one. */
export const useTimes = (): Times => useStages(selectTimes, ['clock']);

/**
 * How the mould on the bench stands in the plan; one that follows has the pours of the first, and they are
 * changed there.
 */
export function useMouldUse(): { readonly use: MouldUse; readonly follows: boolean } {
  const use = useAppSelector((state) => open(selectMouldUse(state)));
  return { use, follows: use.design === 'as-first' };
}
