import { lineKey } from '../../core/making/held.ts';
import { titleOf } from '../../core/making/words.ts';
import { potNamed } from '../../core/plan/sources.ts';
import type { Line } from '../../core/procedure/act.ts';
import { PotBadge } from '../parts/PotBadge.tsx';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';
import { useVesselName } from './useVessel.ts';
import { Heading } from './Heading.tsx';

/** All weights of the day at a look: what is weighed, what was, and what is done. */
export function Weights() {
  const { acts, state, next } = useDay();
  const { plan } = state;
  const show = useShow(plan.units);
  const vessel = useVesselName();
  const text = ({ fine, lye }: Line, g: number): string => (fine ? show.fine : lye ? show.lye : show.mass)(g);
  return (
    <main tabIndex={0} className="min-h-0 flex-1 overflow-y-auto px-4 py-4 sm:px-8">
      <Heading of="weights">All weights</Heading>
      <ul className="mt-3 grid gap-x-10 bench:grid-cols-2">
        {acts
          .filter((a) => a.lines.length > 0)
          .map((act) => {
            const done = state.done.has(act.id);
            const weighed = state.weighed.get(act.id);
            const pot = potNamed(plan, act.pot);
            const here = act.id === next?.act.id;
            return (
              <li
                key={act.id}
                aria-current={here ? 'step' : undefined}
                className={`rule grid grid-cols-[1.5rem_minmax(0,1fr)] gap-x-2 border-b py-1.5 break-inside-avoid ${here ? 'border-l-8 border-l-accent bg-base-100 pl-2' : ''}`}
              >
                <span className="font-bold">
                  <span aria-hidden="true">{done && '✓'}</span>
                  <span className="sr-only">{done ? 'done' : 'to come'}</span>
                </span>
                <div>
                  <p className="flex items-center gap-2 leading-tight">
                    {pot && <PotBadge pot={pot} size={22} />}
                    {titleOf(act, plan)}
                  </p>
                  {act.lines.map((line, i) => {
                    const really = weighed?.lines.get(lineKey(i));
                    return (
                      <p key={i} className="flex flex-wrap items-baseline gap-x-2 leading-snug">
                        <strong className="text-xl whitespace-nowrap tabular-nums">
                          {line.times > 1 && `${line.times} × `}
                          {text(line, line.massG)}
                        </strong>
                        <span className="quiet text-sm">
                          {line.name}, into {vessel(line.to)}
                          {really && `: weighed ${text(line, really.massG)}`}
                        </span>
                      </p>
                    );
                  })}
                </div>
              </li>
            );
          })}
      </ul>
    </main>
  );
}
