import { ChevronLeft } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { nextIn, whoseTurn, type NextIn } from '../../core/making/turnOf.ts';
import { formatClock } from '../../core/units/format.ts';
import { useLive } from '../parts/useLive.ts';
import { goingOn, ofTheseDays } from './goingOn.ts';
import { Heading } from './Heading.tsx';
import { spanText } from './spanText.ts';
import { ago, useNow } from './useNow.ts';

/** Batches go by one another no faster than this, ms. */
const EVERY_MS = 5000;

/** All batches that are going on, whose turn it is first. */
export function Today() {
  const stored = useLive(ofTheseDays);
  const batches = useMemo(() => goingOn(stored ?? []), [stored]);
  const at = useNow(EVERY_MS);
  const all = useMemo(
    () => whoseTurn(batches.map((batch) => nextIn(batch, (zero) => ago({ batch }, zero, at).min))),
    [batches, at],
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col bg-base-100">
      <header className="rule flex min-h-14 items-center border-b bg-base-200 px-2">
        <Link to="/" className="btn btn-ghost min-h-11 min-w-11 px-2" aria-label="To the shelf">
          <ChevronLeft className="size-5" aria-hidden="true" />
        </Link>
        <strong>Going on</strong>
      </header>
      <main className="mx-auto grid min-h-0 w-full max-w-4xl flex-1 auto-rows-max gap-4 overflow-y-auto px-4 py-6 sm:px-8">
        <Heading of="today">{all.length === 0 ? 'No batch is going on' : 'Whose turn it is'}</Heading>
        <ol className="grid gap-3">
          {all.map((next, i) => (
            <Turn key={next.batch.id} next={next} first={i === 0} />
          ))}
        </ol>
      </main>
    </div>
  );
}

function told({ verdict, now = 0 }: NextIn): string {
  if (!verdict) return 'whenever hands are free';
  if (verdict.is === 'wait') return `in ≈ ${spanText(verdict.untilMin - now)}`;
  if (verdict.is === 'late') return `late since ${spanText(now - verdict.sinceMin)}`;
  return verdict.untilMin === undefined ? 'now' : `now, good for ≈ ${spanText(verdict.untilMin - now)} more`;
}

function Turn({ next, first }: { readonly next: NextIn; readonly first: boolean }) {
  const { batch, title, now } = next;
  return (
    <li>
      <Link
        to={`/batch/${batch.id}`}
        className={`grid min-h-14 gap-1 border-l-8 bg-base-200 p-4 ${first ? 'border-accent' : 'border-base-300'}`}
      >
        <span className="flex flex-wrap items-baseline justify-between gap-x-4">
          <span className="quiet">{batch.name}</span>
          {now !== undefined && <span className="text-xl font-bold tabular-nums">{formatClock(now)}</span>}
        </span>
        <strong className={first ? 'text-3xl leading-tight' : 'text-xl'}>{title}</strong>
        <span className="text-lg">{told(next)}</span>
      </Link>
    </li>
  );
}
