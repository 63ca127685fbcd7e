import type { ActOf, DayAct } from '../../day/act.ts';
import type { Told } from '../act.ts';
import type { Stirrer } from '../../plan/clockSchema.ts';
import { habitsOf } from '../../plan/habits.ts';
import { linesOf } from '../lines.ts';
import type { Telling } from '../telling.ts';

/** What is told of acts of some kinds; nothing where nothing comes of one. */
export type TellFor<D extends DayAct['does']> = {
  readonly [K in D]: (telling: Telling, act: ActOf<K>) => Told | undefined;
};

/** An act that is told only where something is put on the scale for it. */
export function ifWeighed(
  { computed, w }: Telling,
  { id }: DayAct,
  told: (lines: NonNullable<Told['lines']>) => Told['deed'],
): (Told & Required<Pick<Told, 'lines'>>) | undefined {
  const lines = linesOf(computed, w, id);
  return lines.length > 0 ? { deed: told(lines), lines } : undefined;
}

export const stirrerOf = ({ plan }: Telling['computed']): Stirrer => habitsOf(plan.clock).stirrer;

/** What a jug's colour is stirred in with, where it gets any. */
export const colouredBy = (
  { computed }: Telling,
  lines: NonNullable<Told['lines']>,
): { readonly coloured?: Stirrer } =>
  lines.some((l) => l.from.kind === 'jar') ? { coloured: stirrerOf(computed) } : {};
