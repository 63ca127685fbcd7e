import type { BatchState } from '../batch/state.ts';
import type { Said } from '../batch/note.ts';
import type { Plan } from '../plan/planSchema.ts';
import type { Act, Line } from '../procedure/act.ts';
import { fail, type Result } from '../result/result.ts';
import { formatMass } from '../units/format.ts';
import type { Grams } from '../units/quantity.ts';
import { lineKey } from './held.ts';

/** A line of an act by its name in a batch. */
export interface Accepted {
  readonly key: string;
  readonly line: Line;
}

/** Lye of an act whose weight is not accepted yet: it is not gone on with before that is. */
export const toAccept = ({ id, lines }: Act, { weighed }: Pick<BatchState, 'weighed'>): readonly Accepted[] =>
  lines.flatMap((line, i) => {
    const key = lineKey(i);
    return line.lye && weighed.get(id)?.lines.has(key) !== true ? [{ key, line }] : [];
  });

/** What is said once the weight of a line is accepted. */
export const weighedAs = (act: Act, line: string, massG: Grams): Said => ({
  does: 'weighed',
  act: act.id,
  line,
  massG,
  by: 'typed',
});

/** All of a solution may be so many times as heavy as planned: its lye was accepted, the rest is water. */
const MORE_WATER = 1.05;

/**
 * What the scale showed of a line of lye. More than was planned is refused with its number: the oils were
 * weighed for what was planned. So is nothing, or less.
 */
export function acceptable(
  { units }: Plan,
  { massG, times, fine, name, from, to }: Line,
  shownG: Grams,
): Result<Grams> {
  const plannedG = massG * times;
  const stepG = fine ? units.fineStepG : units.scaleStepG;
  const said = (g: Grams): string => formatMass(g, units.mass, stepG);
  if (!(shownG > 0)) return fail('negative', `${said(shownG)} is no weight.`);
  const mostG = from.kind === 'lye' && to.kind === 'oils' ? plannedG * MORE_WATER : plannedG;
  if (shownG >= mostG + stepG / 2)
    return fail(
      'too-much-lye',
      `${said(shownG)} is ${said(shownG - plannedG)} more ${name.split(',')[0]?.toLowerCase() ?? 'lye'} than these oils can use: take it out until the scale shows ${said(plannedG)}.`,
    );
  return { ok: true, value: shownG };
}
