import { useEffect, useState } from 'react';
import { Outlet, useLocation, useParams } from 'react-router';
import { keeper } from '../../store/keeping/keep.ts';
import { followPlan, openPlan, type Opening } from '../../store/openPlan.ts';
import { planClosed } from '../../store/planSlice.ts';
import { store, useAppDispatch, useAppSelector } from '../../store/store.ts';
import { OutlookProvider } from '../clock/OutlookProvider.tsx';
import { Introduction } from '../help/Introduction.tsx';
import { DripLine } from '../dripline/DripLine.tsx';
import { Boundary } from '../parts/Boundary.tsx';
import { isLarge, useGrowing } from '../parts/useGrowing.ts';
import { Loading } from '../parts/Loading.tsx';
import { FoldedSection } from '../section/FoldedSection.tsx';
import { MouldTabs } from '../section/MouldTabs.tsx';
import { Views } from '../section/Views.tsx';
import { useMedia } from '../parts/useMedia.ts';
import { ConflictBanner } from './ConflictBanner.tsx';
import { Head } from './Head.tsx';
import { NotOpen } from './NotOpen.tsx';
import { PartOfPlan } from './PartOfPlan.tsx';
import { Rail } from './Rail.tsx';
import { useAway } from './useAway.ts';
import { usePanelScroll } from './usePanelScroll.ts';
import { useShortcuts } from './useShortcuts.ts';

/** How wide the station opens beside the section. */
const WIDE: Readonly<Record<string, string>> = {
  mould: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_24rem]',
  design: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_20.5rem]',
  batter: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_36rem]',
  colour: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_40rem]',
  clock: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_46rem]',
  sheet: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_42rem]',
  cut: 'bench:grid-cols-[11.5rem_minmax(0,1fr)_32rem]',
};

/**
 * Narrower than the bench breakpoint of style.css: the section stands over the panel and can be folded away.
 */
const SMALL = '(max-width: 61.99rem)';

/**
 * On a phone the section is folded until it is asked for, but in Design; on a tablet it is open until it is
 * folded away. In a low window it stands beside the panel.
 */
const SHOWN = 'h-[34dvh] sm:h-[38dvh] short:h-auto short:w-[42%]';
const FOLDED: Readonly<Record<string, string>> = { null: 'sm:hidden', true: '', false: 'hidden' };
const OPEN: Readonly<Record<string, string>> = {
  null: `hidden sm:flex ${SHOWN}`,
  true: 'hidden',
  false: `flex ${SHOWN}`,
};

/** A large plan is drawn in parts: its station first, then its loaf, then the line. */
const PARTS = 3;

function OpenPlan() {
  useShortcuts();
  const panel = usePanelScroll();
  const asked = useAppSelector((s) => s.desk.folded);
  const small = useMedia(SMALL);
  const away = useAway(panel);
  const station = useLocation().pathname.split('/')[3] ?? 'design';
  const folded = String(asked ?? (station === 'design' ? false : null));
  const [together] = useState(() => (isLarge(store.getState().plan.present ?? { steps: [] }) ? 1 : PARTS));
  const parts = useGrowing(PARTS, together);
  return (
    <div
      data-away={away ? '' : undefined}
      className="relative flex min-h-0 flex-1 flex-col overflow-clip print:block print:overflow-visible"
    >
      <Head />
      <ConflictBanner />
      {/* drawn at the foot, and come to before the panel */}
      <div className="no-print order-last min-w-0">
        <PartOfPlan what="The drip line">{parts > 2 && <DripLine />}</PartOfPlan>
      </div>
      <div
        className={`flex min-h-0 flex-1 flex-col bench:grid print:block ${WIDE[station] ?? 'bench:grid-cols-[11.5rem_minmax(0,1fr)_24rem]'}`}
      >
        <div className="no-print rule flex shrink-0 border-b max-sm:grid max-sm:grid-cols-4 short:flex away:hidden bench:contents">
          {small && (
            <div className={`rule shrink-0 max-sm:order-last sm:border-r ${FOLDED[folded] ?? ''}`}>
              <PartOfPlan what="The loaf">{parts > 1 && <FoldedSection />}</PartOfPlan>
            </div>
          )}
          <Rail />
        </div>
        {small && <Introduction of="stations" small />}
        {small && <MouldTabs className="flex" />}
        <div className="flex min-h-0 flex-1 flex-col short:flex-row bench:contents print:block">
          <section
            aria-label="Views of the loaf"
            className={`no-print min-h-0 shrink-0 flex-col bench:flex bench:h-auto crowded:hidden ${OPEN[folded] ?? ''}`}
          >
            <PartOfPlan what="The loaf">
              {parts > 1 && <Views editable={station === 'design'} timed={station === 'clock'} />}
            </PartOfPlan>
          </section>
          <main
            ref={panel}
            className="rule relative min-h-0 flex-1 overflow-y-auto border-t bg-base-100 bench:border-t-0 bench:border-l print:overflow-visible print:border-0"
          >
            <PartOfPlan what="This station" station={station}>
              <Outlet />
            </PartOfPlan>
          </main>
        </div>
      </div>
    </div>
  );
}

/** Opens the plan of the address and keeps it stored while it is open. */
export function Workbench() {
  const { planId = '' } = useParams();
  const dispatch = useAppDispatch();
  const open = useAppSelector((s) => s.plan.present?.id === planId);
  const attempt = useAppSelector((s) => s.keeping.attempt);
  const [opening, setOpening] = useState<Opening>();
  useEffect(() => {
    if (opening?.kind === 'open' && store.getState().plan.present?.id === planId) return undefined;
    let gone = false;
    void dispatch(openPlan(planId)).then((found) => {
      if (!gone) setOpening(found);
    });
    return () => {
      gone = true;
    };
    // storage that answers again is asked again; what is open stays as it is
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [dispatch, planId, attempt]);
  useEffect(() => (open ? dispatch(followPlan(planId)) : undefined), [dispatch, planId, open, attempt]);
  useEffect(
    () => () => {
      keeper.leave(planId);
      dispatch(planClosed());
    },
    [dispatch, planId],
  );
  if (open)
    return (
      <Boundary what="This plan" of={[planId]}>
        <OutlookProvider>
          <OpenPlan />
        </OutlookProvider>
      </Boundary>
    );
  return opening && opening.kind !== 'open' ? <NotOpen planId={planId} why={opening} /> : <Loading />;
}
