import { useEffect, useState } from 'react';
import { Link, Outlet, useLocation, useParams } from 'react-router';
import { followPlan, openPlan } from '../../store/openPlan.ts';
import { planClosed } from '../../store/planSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { DripLine } from '../dripline/DripLine.tsx';
import { Loading } from '../parts/Loading.tsx';
import { FoldedSection } from '../section/FoldedSection.tsx';
import { Views } from '../section/Views.tsx';
import { useMedia } from '../parts/useMedia.ts';
import { ConflictBanner } from './ConflictBanner.tsx';
import { Head } from './Head.tsx';
import { Rail } from './Rail.tsx';
import { usePanelScroll } from './usePanelScroll.ts';
import { useShortcuts } from './useShortcuts.ts';

/** How wide the station opens beside the section. */
const WIDE: Readonly<Record<string, string>> = {
  mould: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_24rem]',
  design: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_20.5rem]',
  batter: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_40rem]',
  colour: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_40rem]',
  'pour-day': 'bench:grid-cols-[11.5rem_minmax(0,1fr)_42rem]',
  cut: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_32rem]',
};

/** Narrower than the bench breakpoint of style.css: the section stands over the panel and can be folded away. */
const SMALL = '(max-width: 61.99rem)';

/** On a phone the section is folded until it is asked for, on a tablet it is open until it is folded away. */
const STRIP: Readonly<Record<string, string>> = { null: 'sm:hidden', true: '', false: 'hidden' };
const OPEN: Readonly<Record<string, string>> = {
  null: 'hidden h-[38dvh] sm:flex',
  true: 'hidden',
  false: 'flex h-[38dvh]',
};

function OpenPlan() {
  useShortcuts();
  const panel = usePanelScroll();
  const folded = useAppSelector((s) => s.desk.folded);
  const small = useMedia(SMALL);
  const station = useLocation().pathname.split('/')[3] ?? 'design';
  return (
    <div className="relative flex h-dvh flex-col overflow-clip print:block print:h-auto print:overflow-visible">
      <Head />
      <ConflictBanner />
      <div
        className={`flex min-h-0 flex-1 flex-col bench:grid print:block ${WIDE[station] ?? 'bench:grid-cols-[11.5rem_minmax(0,1fr)_24rem]'}`}
      >
        <Rail />
        {small && (
          <div className={`no-print rule shrink-0 border-b ${STRIP[String(folded)] ?? ''}`}>
            <FoldedSection />
          </div>
        )}
        <div
          className={`no-print min-h-0 shrink-0 flex-col bench:flex bench:h-auto ${OPEN[String(folded)] ?? ''}`}
        >
          <Views editable={station === 'design'} />
        </div>
        <main
          ref={panel}
          className="rule relative min-h-0 flex-1 overflow-y-auto border-t bg-base-100 bench:border-t-0 bench:border-l print:overflow-visible print:border-0"
        >
          <Outlet />
        </main>
      </div>
      <DripLine />
    </div>
  );
}

/** Opens the plan of the address and keeps it stored while it is open. */
export function Workbench() {
  const { planId = '' } = useParams();
  const dispatch = useAppDispatch();
  const open = useAppSelector((s) => s.plan.present?.id === planId);
  const [missing, setMissing] = useState<string | null>(null);
  useEffect(() => {
    let stop: (() => void) | undefined;
    let gone = false;
    void dispatch(openPlan(planId)).then((found) => {
      if (gone) return;
      if (found) stop = dispatch(followPlan(planId));
      else setMissing(planId);
    });
    return () => {
      gone = true;
      stop?.();
      dispatch(planClosed());
    };
  }, [dispatch, planId]);
  if (missing === planId)
    return (
      <main className="mx-auto grid max-w-xl gap-4 p-10">
        <h1 className="text-2xl">This plan is not on the shelf</h1>
        <p>It may have been deleted, or it was made in another browser.</p>
        <Link className="btn btn-primary justify-self-start" to="/">
          To the shelf
        </Link>
      </main>
    );
  return open ? <OpenPlan /> : <Loading />;
}
