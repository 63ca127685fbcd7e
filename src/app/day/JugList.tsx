import { VESSEL } from '../../core/day/vessel.ts';
import { listOfVessel } from '../../core/making/inJug.ts';
import type { Act } from '../../core/procedure/act.ts';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';

const KEPT = 0.5;

/** What belongs into the jugs of a pour, and what of them is kept back: seen before it is poured. */
export function JugList({ act }: { readonly act: Act }) {
  const { state, acts, held } = useDay();
  const show = useShow(state.plan.units);
  if (act.deed.does !== 'pour') return null;
  const pots = new Set(
    act.lines.flatMap((l) => (l.from.kind === 'pot' || l.from.kind === 'cup' ? [l.from.pot] : [])),
  );
  const lists = [...pots].map((id) => {
    const pot = state.plan.pots.find((p) => p.id === id);
    const { key } = VESSEL.pot(id);
    const all = listOfVessel(acts, key, state);
    const own = act.lines.reduce((s, l) => (l.from.key === key ? s + l.massG * l.times : s), 0);
    return { id, pot, into: all.filter((x) => x.massG > 0), keptG: (held.get(key) ?? 0) - own };
  });
  return (
    <section aria-label="In the jug" className="grid gap-2 text-sm leading-snug">
      {lists.map(({ id, pot, into, keptG }) => (
        <p key={id}>
          <strong>{pot?.letter}</strong> has{' '}
          {into.map((x, i) => (
            <span key={i} className={x.done ? '' : 'font-bold text-error'}>
              {i > 0 && ', '}
              {x.done ? '✓' : 'not yet'} {(x.fine ? show.fine : show.mass)(x.massG)} {x.name.toLowerCase()}
            </span>
          ))}
          {keptG > KEPT && <>; {show.mass(keptG)} stays in it</>}.
        </p>
      ))}
    </section>
  );
}
