import { paceOf } from '../../core/making/pace.ts';
import type { Act } from '../../core/procedure/act.ts';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';
import { spanText } from './spanText.ts';

/** Two walls at once: how fast both jugs run, so that neither side is ahead. */
export function Pace({ act }: { readonly act: Act }) {
  const { computed, state } = useDay();
  const show = useShow(state.plan.units);
  const pace = paceOf(computed, act);
  if (!pace) return null;
  const share = pace.firstG / pace.massG;
  return (
    <p className="border-l-4 border-base-content pl-3 text-lg leading-snug">
      Both walls at once: <strong>{show.mass(pace.firstG)}</strong> down the first and{' '}
      <strong>{show.mass(pace.secondG)}</strong> down the other in ≈ {spanText(pace.minutes)}, about{' '}
      {show.mass(pace.gramsPerSecond * share)} and {show.mass(pace.gramsPerSecond * (1 - share))} a second.
      Look at both edges: the one that is ahead waits.
    </p>
  );
}
