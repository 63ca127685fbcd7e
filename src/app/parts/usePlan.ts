import { useMemo } from 'react';
import type { Plan } from '../../core/plan/planSchema.ts';
import type { Computed } from '../../core/sheet/compute.ts';
import {
  formatLength,
  formatMass,
  lyeFigure,
  formatTemperature,
  formatVolume,
  massFigure,
} from '../../core/units/format.ts';
import type { PlanColours } from '../../core/ombre/coloursOf.ts';
import { selectColours, selectComputed } from '../../store/computed.ts';
import { editPlan } from '../../store/editPlan.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import type { Fault } from '../../core/result/result.ts';

export interface Show {
  readonly mass: (g: number) => string;
  readonly massFigure: (g: number) => string;
  /** of lye or its solution: never shown as more than it is */
  readonly lye: (g: number) => string;
  /** on the fine scale: always in g, as doses and that scale are */
  readonly fine: (g: number) => string;
  readonly length: (mm: number) => string;
  readonly volume: (ml: number) => string;
  readonly temperature: (c: number) => string;
}

export type Edit = (edit: (plan: Plan) => Plan, gesture?: string) => Fault | undefined;

interface OpenPlan {
  readonly plan: Plan;
  readonly computed: Computed;
  /** as the maker looks at it: at the pour, at the cut or cured */
  readonly colours: PlanColours;
  readonly show: Show;
  readonly edit: Edit;
}

/** The open plan, what is computed from it, and how its units are shown. Only inside the workbench. */
export function usePlan(): OpenPlan {
  const dispatch = useAppDispatch();
  const computed = useAppSelector(selectComputed);
  const colours = useAppSelector(selectColours);
  if (!computed || !colours) throw new Error('no plan is open');
  const { plan } = computed;
  const { units } = plan;
  const show = useMemo(
    (): Show => ({
      mass: (g) => formatMass(g, units.mass, units.scaleStepG),
      massFigure: (g) => massFigure(g, units.mass, units.scaleStepG),
      lye: (g) => `${lyeFigure(g, units.mass, units.scaleStepG)} ${units.mass}`,
      fine: (g) => formatMass(g, 'g', units.fineStepG),
      length: (mm) => formatLength(mm, units.length),
      volume: (ml) => formatVolume(ml, units.length),
      temperature: (c) => formatTemperature(c, units.temperature),
    }),
    [units],
  );
  const edit = useMemo(
    (): Edit => (change, gesture) => dispatch(editPlan(change, gesture ?? null)),
    [dispatch],
  );
  return { plan, computed, colours, show, edit };
}
