import { jugLedger } from '../../core/procedure/jugLedger.ts';
import type { Act } from '../../core/procedure/act.ts';
import type { VesselKey } from '../../core/day/vessel.ts';
import { upperFirst } from '../../core/units/words.ts';
import type { Grams } from '../../core/units/quantity.ts';
import { remembered } from '../../core/task/remembered.ts';
import { NO_COLOUR } from '../parts/ink.ts';
import { useColours } from '../parts/usePlan.ts';
import { useShow } from '../parts/useShow.ts';
import { useDay, type Day } from './dayContext.ts';
import { JugDrawing } from './JugDrawing.tsx';

const BATTER = '#e9dcc0';

/** What each act leaves in its vessels, and the most that each ever holds on the day as it is planned, g. */
const bookOf = remembered((computed: Day['computed']) => {
  const entries = jugLedger(computed);
  const most = new Map<VesselKey, Grams>();
  for (const { vessels } of entries)
    for (const { vessel, holdsG } of vessels)
      most.set(vessel.key, Math.max(most.get(vessel.key) ?? 0, holdsG));
  return { most, byAct: new Map(entries.map((e) => [e.act, e.vessels] as const)) };
});

/** The jugs that an act fills or empties: how full each is now, and what it holds once the act is done. */
export function Jug({ act }: { readonly act: Act }) {
  const { computed, state } = useDay();
  const colours = useColours();
  const show = useShow(state.plan.units);
  const book = bookOf(computed);
  const jugs = (book.byAct.get(act.id) ?? []).filter(
    ({ vessel }) => vessel.kind === 'pot' || vessel.kind === 'cup' || vessel.kind === 'stock',
  );
  if (jugs.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-x-8 gap-y-3">
      {jugs.map(({ vessel, name, moved, holdsG, readsG }) => {
        const most = book.most.get(vessel.key) ?? 1;
        const pot = vessel.kind === 'pot' || vessel.kind === 'cup' ? vessel.pot : undefined;
        const beforeG = holdsG - moved.reduce((s, m) => s + m.massG, 0);
        const colour = (pot !== undefined && !vessel.ofSecond && colours.pots.get(pot)) || BATTER;
        return (
          <li key={vessel.key} className="flex items-end gap-3">
            <JugDrawing full={(0.85 * Math.max(holdsG, 0)) / most} colour={colour || NO_COLOUR} />
            <span className="leading-snug">
              <span className="block">{upperFirst(name)}</span>
              <span className="quiet block text-sm">{show.mass(Math.max(0, beforeG))} in it</span>
              <strong className="block text-xl">{show.mass(holdsG)} after</strong>
              {readsG !== undefined && (
                <span className="block">the scale then reads {show.mass(readsG)}</span>
              )}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
