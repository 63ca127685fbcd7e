import { STAGES } from '../../core/setting/stage.ts';
import { pourActId } from '../../core/day/act.ts';
import type { Said } from '../../core/batch/note.ts';
import type { Act } from '../../core/procedure/act.ts';
import { potsOf } from '../../core/plan/sources.ts';
import { sayOnDay } from '../../store/day.ts';
import { Press } from './Press.tsx';
import { useDay } from './dayContext.ts';

type Of = Extract<Said, { does: 'stage' }>['of'];

/** Jugs that hold batter now, and the layer that was poured last: each can be told how thick it is. */
function useLooked(act: Act): readonly { readonly name: string; readonly of: Of }[] {
  const { state } = useDay();
  const { plan } = state;
  if (!state.zero) return [];
  const own = act.lines.flatMap((l) => (l.from.kind === 'pot' && !l.from.ofSecond ? [l.from.pot] : []));
  const jugs = [...new Set([...own, ...(act.pot !== undefined && !act.ofSecond ? [act.pot] : [])])];
  const poured = plan.steps.findLast(
    (s) => s.kind === 'pour' && potsOf(s).length === 1 && state.done.has(pourActId(s.id)),
  );
  const layerOf = poured?.kind === 'pour' ? plan.pots.find((p) => p.id === potsOf(poured)[0]) : undefined;
  return [
    ...jugs.flatMap((id) => {
      const pot = plan.pots.find((p) => p.id === id);
      return pot ? [{ name: `Jug ${pot.letter}`, of: { is: 'jug' as const, pot: id } }] : [];
    }),
    ...(poured && layerOf
      ? [{ name: `The layer of ${layerOf.letter}`, of: { is: 'layer' as const, act: pourActId(poured.id) } }]
      : []),
  ];
}

/** How thick something is now, in one tap: the rest of the timetable goes by it at once. */
export function Readings({ act }: { readonly act: Act }) {
  const looked = useLooked(act);
  if (looked.length === 0) return null;
  return (
    <section aria-label="How thick it is now" className="grid gap-2">
      {looked.map(({ name, of }) => (
        <Reading key={name} name={name} of={of} />
      ))}
    </section>
  );
}

const same = (a: Of, b: Of): boolean => JSON.stringify(a) === JSON.stringify(b);

function Reading({ name, of }: { readonly name: string; readonly of: Of }) {
  const { state } = useDay();
  const last = state.readings.findLast((r) => same(r.of, of));
  return (
    <fieldset className="flex flex-wrap items-center gap-1.5">
      <legend className="float-left mr-1 w-24 leading-tight">{name} is</legend>
      {STAGES.map((word, stage) => (
        <Press
          key={word}
          className="px-2.5"
          aria-pressed={last?.stage === stage}
          onClick={() => void sayOnDay([{ does: 'stage', of, stage }])}
        >
          {word}
        </Press>
      ))}
    </fieldset>
  );
}
