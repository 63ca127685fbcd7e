import { Square } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Offered, OfferedWay } from '../../../core/clock/offered.ts';
import { takeWay } from '../../../core/edit/clock.ts';
import type { Plan } from '../../../core/plan/planSchema.ts';
import { formatMinutes } from '../../../core/units/format.ts';
import { lowerFirst } from '../../../core/units/words.ts';
import type { Job } from '../../../workers/jobs/client.ts';
import { clockClient } from '../../clock/clockClient.ts';
import { useEdit, usePlan } from '../../parts/usePlan.ts';
import { ofHundred } from '../../clock/ofHundred.ts';
import { Button } from '../../kit/Button.tsx';

type Sought =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'under-way'; readonly done: number; readonly plan: Plan }
  | { readonly kind: 'found'; readonly plan: Plan; readonly offered: Offered }
  | { readonly kind: 'failed'; readonly message: string };

/** Below this a way is none to go: the nearest that there is, told as that. */
const HOLDS = 0.5;

/** Ways that hold, looked for when they are asked for; each is taken with one press. */
export function WaysPage() {
  const { plan } = usePlan();
  const [sought, setSought] = useState<Sought>({ kind: 'nothing' });
  const job = useRef<Job<Offered | undefined> | null>(null);
  useEffect(() => () => job.current?.stop(), []);
  const look = (): void => {
    setSought({ kind: 'under-way', done: 0, plan });
    const asked = clockClient.ask('ways', plan, {
      key: 'ways',
      onProgress: ({ done }) => {
        setSought((s) => (s.kind === 'under-way' ? { ...s, done } : s));
      },
    });
    job.current = asked;
    void asked.outcome.then((outcome) => {
      if (job.current !== asked) return;
      if (outcome.kind === 'done' && outcome.value)
        setSought({ kind: 'found', plan, offered: outcome.value });
      else if (outcome.kind === 'failed') setSought({ kind: 'failed', message: outcome.message });
      else setSought({ kind: 'nothing' });
    });
  };
  const found = sought.kind === 'found' && sought.plan === plan ? sought.offered : undefined;
  const stale = sought.kind === 'found' && sought.plan !== plan;
  return (
    <div className="grid gap-4">
      <p className="text-sm">
        Tries the order of colouring, when the scent goes in, how layers land, laying them on while fluid,
        blending a jug on, stirring one loose, a jug for each pour, a warm cupboard, portions from their own
        lye, where blending stops, temperature and water; and offers the best three that differ.
      </p>
      <div className="flex items-center gap-3">
        <Button tone="primary" size="full" disabled={sought.kind === 'under-way'} onClick={look}>
          {stale || found ? 'Look again' : 'Plan it for me'}
        </Button>
        {sought.kind === 'under-way' && (
          <>
            <progress
              className="h-2 w-40 accent-(--color-accent)"
              max="1"
              value={sought.done}
              aria-label="Looking for ways"
            />
            <Button icon={Square} onClick={() => job.current?.stop()}>
              Stop
            </Button>
          </>
        )}
        {stale && <p className="quiet text-sm">The plan has changed since.</p>}
        {sought.kind === 'failed' && (
          <p className="text-sm text-error">It could not be looked for: {sought.message}</p>
        )}
      </div>
      {found && <Found offered={found} />}
    </div>
  );
}

function Found({ offered }: { readonly offered: Offered }) {
  const { now, best, tried } = offered;
  const top = Math.max(0, ...best.map((w) => w.odds.whole));
  const none = top < HOLDS && now.odds.whole < HOLDS;
  return (
    <div className="grid gap-3" aria-live="polite">
      <p className="text-sm">
        As it is it <strong>holds {ofHundred(now.odds.whole)}</strong>, {formatMinutes(now.totalMin)}.
        {now.weakest && now.odds.whole < 0.9 && (
          <>
            {' '}
            What fails most often: {lowerFirst(now.weakest.name)}, which holds {ofHundred(now.weakest.holds)}.
          </>
        )}{' '}
        <span className="quiet">{tried} ways were weighed.</span>
      </p>
      {none && (
        <p className="rounded-r-box border-l-4 border-warning px-3 py-2 text-sm">
          <strong>No way that was tried holds more often than not.</strong>{' '}
          {best[0]?.weakest
            ? `What cannot be met: ${lowerFirst(best[0].weakest.name)} holds only ${ofHundred(best[0].weakest.holds)}, even in the nearest way.`
            : ''}{' '}
          Fewer layers, or a pot of its own for what comes late, would change that. The nearest ways are
          below.
        </p>
      )}
      {best.length === 0 && (
        <p className="text-sm">
          Nothing that could be done otherwise makes it better: it is as good as it gets.
        </p>
      )}
      <ol className="grid gap-3">
        {best.map((way, i) => (
          <WayCard key={i} way={way} now={now} nth={i + 1} />
        ))}
      </ol>
    </div>
  );
}

function WayCard({
  way,
  now,
  nth,
}: {
  readonly way: OfferedWay;
  readonly now: OfferedWay;
  readonly nth: number;
}) {
  const edit = useEdit();
  const better = Math.round((way.odds.whole - now.odds.whole) * 100);
  const minutes = Math.round(way.totalMin - now.totalMin);
  return (
    <li
      className="rule grid grid-cols-[1fr_auto] gap-x-4 gap-y-2 rounded-box border p-3"
      aria-label={`Way ${nth}`}
    >
      <ul className="grid content-start gap-1">
        {way.does.map(({ label, why }) => (
          <li key={label} className="leading-tight">
            <span className="font-bold">{label}</span>
            <span className="quiet text-sm">: {why}</span>
          </li>
        ))}
      </ul>
      <div className="grid justify-items-end content-start gap-1 text-right">
        <p className="font-heading text-2xl leading-none font-bold whitespace-nowrap">
          holds {ofHundred(way.odds.whole)}
        </p>
        <p className="text-sm italic whitespace-nowrap">≈ {formatMinutes(way.totalMin)}</p>
        <Button tone="primary" className="mt-1" onClick={() => edit((p) => takeWay(p, way.plan))}>
          Take this way
        </Button>
      </div>
      <p className="quiet col-span-2 text-sm">
        {better > 0
          ? `Holds ${better} of 100 more`
          : better < 0
            ? `Holds ${-better} of 100 less`
            : 'Holds as often'}
        {minutes === 0
          ? ', in the same time.'
          : minutes > 0
            ? `, and takes ${minutes} min longer.`
            : `, and is done ${-minutes} min sooner.`}
        {way.weakest && way.weakest.holds < 0.97
          ? ` Weakest: ${lowerFirst(way.weakest.name)}, which holds ${ofHundred(way.weakest.holds)}.`
          : ''}
      </p>
    </li>
  );
}
