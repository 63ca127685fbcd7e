import { createContext, useContext, useMemo } from 'react';
import { inSecond } from '../../core/edit/second.ts';
import { pipedIn } from '../../core/plan/second.ts';
import type { PlanColours } from '../../core/ombre/coloursOf.ts';
import type { MouldUse } from '../../core/plan/moulds.ts';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { Fault, Result } from '../../core/result/result.ts';
import type { Computed } from '../../core/computed/compute.ts';
import { selectBench, selectColours, selectComputed, selectMouldUse } from '../../store/computed.ts';
import { editHere } from '../../store/editHere.ts';
import { editPlan } from '../../store/editPlan.ts';
import type { Gesture } from '../../store/gesture.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { useShow, type Show } from './useShow.ts';

export type Edit = (edit: (plan: Plan) => Plan | Result<Plan>, gesture?: Gesture) => Fault | undefined;

interface OpenPlan {
  /** it is the batch that is piped on top, as a plan by itself */
  readonly ofSecond: boolean;
  readonly plan: Plan;
  readonly computed: Computed;
  /** as the maker looks at it: at the pour, at the cut or cured */
  readonly colours: PlanColours;
  readonly show: Show;
  readonly edit: Edit;
}

interface OnBench extends OpenPlan {
  readonly computed: Computed & { readonly hand?: number };
  readonly use: MouldUse;
  /** its pours are those of the first mould: they are changed there */
  readonly follows: boolean;
}

/** Inside it the open plan is the batch that is piped on top, where there is one. */
export const OfSecond = createContext(false);

/**
 * One stage of what is computed from the open plan, or one figure of it: who takes only that is not drawn again while it is the same.
 * Only inside the workbench.
 */
export function useStage<T>(pick: (computed: Computed) => T): T {
  return useAppSelector((state) => {
    const computed = selectComputed(state);
    if (!computed) throw new Error('no plan is open');
    return pick(computed);
  });
}

/** The open plan as it is now, with its words. Only inside the workbench. */
export function usePresent(): Plan {
  const present = useAppSelector((s) => s.plan.present);
  if (!present) throw new Error('no plan is open');
  return present;
}

/**
 * The open plan's work, what is computed from it, and how its units are shown; for its name and notes ask `usePresent`. Only inside
 * the workbench.
 */
export function usePlan(): OpenPlan {
  const dispatch = useAppDispatch();
  const computed = useAppSelector(selectComputed);
  const colours = useAppSelector(selectColours);
  if (!computed || !colours) throw new Error('no plan is open');
  const { second } = computed;
  const ofSecond = useContext(OfSecond) && second !== undefined;
  const seen = ofSecond ? second : computed;
  const show = useShow(seen.plan.units);
  const edit = useMemo(
    (): Edit => (change, gesture) =>
      dispatch(editPlan(ofSecond ? inSecond(change, pipedIn(second.plan)) : change, gesture)),
    [dispatch, ofSecond, second],
  );
  return { ofSecond, plan: seen.plan, computed: seen, colours, show, edit };
}

/**
 * The mould on the bench as a plan by itself: its own sizes, fill, layers and cut. A plan with one mould is what `usePlan` gives.
 * Edits change that mould's part.
 */
export function useBench(): OnBench {
  const dispatch = useAppDispatch();
  const computed = useAppSelector(selectBench);
  const colours = useAppSelector(selectColours);
  const use = useAppSelector(selectMouldUse);
  if (!computed || !colours || !use) throw new Error('no plan is open');
  const { plan } = computed;
  const show = useShow(plan.units);
  const edit = useMemo((): Edit => (change, gesture) => dispatch(editHere(change, gesture)), [dispatch]);
  return { ofSecond: false, plan, computed, colours, show, edit, use, follows: use.design === 'as-first' };
}
