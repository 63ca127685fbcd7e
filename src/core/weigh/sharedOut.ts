import type { MouldId } from '../validate/ids.ts';
import type { Grams } from '../units/quantity.ts';
import { toStep } from '../units/scaleStep.ts';

/** What goes into one kind of mould, as planned. */
export interface Part {
  readonly mould: MouldId;
  readonly copies: number;
  readonly eachG: Grams;
}

/** Batter shared between moulds as it was planned, to the scale's step; the last takes what that leaves. */
export function sharedOut(
  into: readonly Part[],
  massG: Grams,
  stepG: Grams,
): readonly { readonly mould: MouldId; readonly massG: Grams }[] {
  const plannedG = into.reduce((s, i) => s + i.eachG * i.copies, 0);
  let leftG = massG;
  return into.map(({ mould, eachG, copies }, i) => {
    const part = plannedG > 0 ? (eachG * copies) / plannedG : 1 / into.length;
    const hereG = i === into.length - 1 ? leftG : Math.min(leftG, toStep(massG * part, stepG));
    leftG -= hereG;
    return { mould, massG: hereG };
  });
}
