import { useId, useState } from 'react';
import { Check as Tick } from 'lucide-react';
import { layingOut, type LaidOut, type ToLayOut } from '../../core/making/laidOut.ts';
import { plural } from '../../core/units/words.ts';
import { sayOnDay } from '../../store/day.ts';
import { Button } from '../kit/Button.tsx';
import { WordButton } from '../kit/WordButton.tsx';
import { Caution } from '../parts/Caution.tsx';
import { PotBadge } from '../parts/PotBadge.tsx';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';
import { Foot } from './Foot.tsx';
import { Heading } from './Heading.tsx';
import { useShort } from './useShort.ts';

const TITLES: Readonly<Record<LaidOut, string>> = {
  protect: 'Yourself and the room',
  mould: 'The mould',
  jugs: 'Jugs',
  tools: 'Scales and tools',
  stores: 'Out of the stores',
};

const GROUPS = Object.keys(TITLES) as LaidOut[];

/** What is to be made ready before lye is made: each thing ticked, or passed over with a reason. */
export function ReadyList() {
  const { state, ready, acts, runs } = useDay();
  const all = layingOut(state.plan, ready, acts);
  const open = all.filter((r) => !state.ready.has(r.id));
  const first = GROUPS.find((g) => open.some((r) => r.group === g));
  const here = open.filter((r) => r.group === first);
  const say = (things: readonly ToLayOut[]) =>
    sayOnDay(things.map((r) => ({ does: 'ready' as const, what: r.id })));
  const short = useShort(all);
  return (
    <>
      <main
        tabIndex={0}
        className="grid min-h-0 flex-1 auto-rows-max content-start gap-5 overflow-y-auto px-4 py-4 sm:px-8"
      >
        <Heading
          of="ready"
          over={open.length === 0 ? 'All of it is ready' : `${plural(open.length, 'thing')} to see to`}
        >
          Make ready
        </Heading>
        {short.length > 0 && (
          <section aria-label="Short in the stores" className="border-l-4 border-warning bg-base-200 p-3">
            <p className="font-bold">Short in the stores, before any lye is made:</p>
            <ul>
              {short.map((s) => (
                <li key={s}>{s}</li>
              ))}
            </ul>
          </section>
        )}
        <div className="grid gap-x-10 gap-y-5 md:grid-cols-2 bench:grid-cols-3">
          {GROUPS.map((group) => (
            <Group key={group} group={group} things={all.filter((r) => r.group === group)} />
          ))}
        </div>
      </main>
      <Foot
        go={runs && first ? `All here: ${TITLES[first].toLowerCase()}` : undefined}
        onGo={() => void say(here)}
        onBack={undefined}
      />
    </>
  );
}

function Group({ group, things }: { readonly group: LaidOut; readonly things: readonly ToLayOut[] }) {
  const id = useId();
  if (things.length === 0) return null;
  return (
    <section aria-labelledby={id} className="grid content-start gap-1">
      <h2 id={id} className="rule border-b-2 pb-1 text-lg">
        {TITLES[group]}
      </h2>
      <ul>
        {things.map((thing) => (
          <Thing key={thing.id} thing={thing} />
        ))}
      </ul>
    </section>
  );
}

/** One thing to have there. */
function Thing({ thing: { id, text, caution, massG, fine, lye, pot } }: { readonly thing: ToLayOut }) {
  const { state, runs } = useDay();
  const show = useShow(state.plan.units);
  const [asks, setAsks] = useState(false);
  const [why, setWhy] = useState('');
  const field = useId();
  const there = state.ready.get(id);
  const mass = massG === undefined ? '' : (fine ? show.fine : lye ? show.lye : show.mass)(massG);
  return (
    <li className="rule grid gap-1 border-b py-1">
      <div className="flex items-center gap-3">
        <button
          type="button"
          role="checkbox"
          aria-checked={there !== undefined && there.skipped === undefined}
          disabled={!runs || (there !== undefined && there.skipped === undefined)}
          className="flex min-h-12 flex-1 cursor-pointer items-center gap-3 text-left disabled:cursor-default"
          onClick={() => void sayOnDay([{ does: 'ready', what: id }])}
        >
          <span className="grid size-8 shrink-0 place-items-center rounded-field border-2 border-base-content">
            {there && (there.skipped === undefined ? <Tick className="size-6" aria-hidden="true" /> : '–')}
          </span>
          {pot && <PotBadge pot={pot} size={30} />}
          <span className="flex-1 leading-snug">
            {mass !== '' && <strong className="mr-2 whitespace-nowrap">{mass}</strong>}
            {text}
          </span>
        </button>
        {runs && there === undefined && (
          <WordButton className="min-h-12 px-1 text-sm" aria-expanded={asks} onClick={() => setAsks(!asks)}>
            without
          </WordButton>
        )}
      </div>
      {there?.skipped !== undefined && <p className="quiet pl-11 text-sm">Passed over: {there.skipped}</p>}
      {asks && there === undefined && (
        <form
          className="flex items-end gap-2 pl-11"
          onSubmit={(event) => {
            event.preventDefault();
            if (why.trim() !== '') void sayOnDay([{ does: 'ready', what: id, skipped: why.trim() }]);
          }}
        >
          <span className="grid flex-1 gap-0.5">
            <label htmlFor={field} className="quiet text-sm">
              Why it goes without
            </label>
            <input
              id={field}
              className="field h-11"
              maxLength={400}
              value={why}
              onChange={(event) => setWhy(event.target.value)}
            />
          </span>
          <Button type="submit" size="full" className="h-11" disabled={why.trim() === ''}>
            Pass over
          </Button>
        </form>
      )}
      {caution !== undefined && (
        <div className="pl-11">
          <Caution>{caution}</Caution>
        </div>
      )}
    </li>
  );
}
