import { useState } from 'react';
import { ChevronLeft, Ellipsis, FileDown, Flag, ListChecks, Scale, SunMedium, Tags } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import { batchFileName, writeBatchFile } from '../../core/exchange/batchFile.ts';
import { formatClock } from '../../core/units/format.ts';
import { IconButton } from '../kit/IconButton.tsx';
import { saveFile } from '../parts/saveFile.ts';
import { ThemeButton } from '../parts/ThemeButton.tsx';
import { useDay } from './dayContext.ts';
import { Others } from './Others.tsx';
import { SoundButton } from './SoundButton.tsx';
import { useAwake } from './useAwake.ts';
import { useAgo } from './useNow.ts';

/** The running minute. Read out only when it is asked for: it changes every second. */
function DayClock() {
  const day = useDay();
  const since = useAgo(day, day.state.zero);
  if (!since || day.state.ending) return null;
  return (
    <span
      role="timer"
      aria-live="off"
      aria-label="Since the batter was divided"
      className="text-3xl leading-none font-bold tabular-nums sm:text-4xl"
    >
      {since.atLeast && <span title="This machine's clock was set back meanwhile: at least">≥ </span>}
      {formatClock(since.min)}
    </span>
  );
}

const LINK = 'btn btn-ghost min-h-11 min-w-11 px-2';

/** Whose day it is, how far it is, its clock, and what is one tap away. */
export function DayHead() {
  const { batch, screens, next, state, runs } = useDay();
  const { pathname } = useLocation();
  const [more, setMore] = useState(false);
  const base = `/batch/${batch.id}`;
  const awake = useAwake(runs && !state.ending);
  const nth = next ? screens.indexOf(next) + 1 : screens.length;
  const told = state.ending
    ? state.ending.how === 'finished'
      ? 'finished'
      : 'thrown away'
    : next
      ? `act ${nth} of ${screens.length}`
      : 'all done';
  const page = pathname.replace(base, '').replace('/', '');
  return (
    <header className="no-print rule flex min-h-14 flex-wrap items-center gap-x-2 border-b bg-base-200 px-2 py-1 sm:px-4 short:min-h-11 short:py-0">
      <Link
        to={page === '' ? '/' : base}
        className={LINK}
        aria-label={page === '' ? 'To the shelf' : 'Back to the act'}
      >
        <ChevronLeft className="size-5" aria-hidden="true" />
      </Link>
      <span className="min-w-0 flex-1 leading-tight">
        <strong className="block truncate">{batch.name}</strong>
        <span className="quiet block truncate text-sm">{told}</span>
      </span>
      <Others />
      <DayClock />
      <Link to={`${base}/weights`} className={LINK} aria-label="All weights" title="All weights">
        <Scale className="size-5" aria-hidden="true" />
      </Link>
      <IconButton
        icon={Ellipsis}
        label="More of this batch"
        aria-expanded={more}
        className="sm:hidden"
        onClick={() => setMore(!more)}
      />
      <nav
        aria-label="Of this batch"
        className={`items-center max-sm:order-last max-sm:w-full max-sm:justify-between sm:flex ${more ? 'flex' : 'hidden'}`}
      >
        <Link to={`${base}/ready`} className={LINK} aria-label="What is laid out" title="What is laid out">
          <ListChecks className="size-5" aria-hidden="true" />
        </Link>
        <Link
          to={`${base}/labels`}
          className={LINK}
          aria-label="Labels for the jugs"
          title="Labels for the jugs"
        >
          <Tags className="size-5" aria-hidden="true" />
        </Link>
        <IconButton
          icon={FileDown}
          label="Take it to another device, as one file"
          title="Take it to another device, as one file"
          onClick={() => saveFile(batchFileName(batch), writeBatchFile(batch), 'application/json')}
        />
        <Link to={`${base}/end`} className={LINK} aria-label="End this batch" title="End this batch">
          <Flag className="size-5" aria-hidden="true" />
        </Link>
        {awake && (
          <SunMedium className="quiet mx-2 size-5" role="img" aria-label="The screen is kept awake" />
        )}
        <SoundButton />
        <ThemeButton />
      </nav>
    </header>
  );
}
