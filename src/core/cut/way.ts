import type { CutWay, Plan } from '../plan/planSchema.ts';
import type { Millimetres } from '../units/quantity.ts';

/** How a block is sliced that is one bar long; straight across where undefined. */
export const withWay =
  (way: CutWay | undefined) =>
  (plan: Plan): Plan => {
    const { way: _was, onSide: _lain, ...cut } = plan.cut;
    return { ...plan, cut: way ? { ...cut, way } : cut };
  };

/** A bar's length that divides a loaf without much left over: as long as a usual bar is. */
export function usualLength(
  loafMm: Millimetres,
  { trimStartMm, trimEndMm, kerfMm }: Plan['cut'],
): Millimetres {
  const usable = loafMm - trimStartMm - trimEndMm;
  const count = Math.max(1, Math.round(usable / USUAL_LONG));
  return Math.max(10, Math.floor(((usable - (count - 1) * kerfMm) / count) * 2) / 2);
}

/** Common practice, no source. */
const USUAL_LONG = 80;

/** So much planed off the bars' mould faces; 0: nothing. */
export const planedBy =
  (planeMm: Millimetres) =>
  (plan: Plan): Plan => {
    const { planeMm: _was, ...cut } = plan.cut;
    return { ...plan, cut: planeMm > 0 ? { ...cut, planeMm } : cut };
  };

/** The loaf lies on its side to be cut, or not. */
export const lainOnSide =
  (onSide: boolean) =>
  (plan: Plan): Plan => {
    const { onSide: _was, ...cut } = plan.cut;
    return { ...plan, cut: onSide ? { ...cut, onSide } : cut };
  };
