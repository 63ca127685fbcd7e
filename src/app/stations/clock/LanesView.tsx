import { useCallback, useEffect, useMemo } from 'react';
import type { Timetable } from '../../../core/clock/timetable.ts';
import { lateShown, momentShown, pourChosen } from '../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { formatClock } from '../../../core/units/format.ts';
import { useOutlook } from '../../clock/outlookContext.ts';
import { Choice } from '../../kit/Choice.tsx';
import { useGrowing } from '../../parts/useGrowing.ts';
import { useTimes } from '../../parts/usePlan.ts';
import { useSize } from '../../parts/useSize.ts';
import { HandsRow } from './HandsRow.tsx';
import { ticksOf, xOf, yOf, type LaneScale } from './lane.ts';
import { LaneLegend } from './LaneLegend.tsx';
import { PotLaneRow } from './PotLaneRow.tsx';
import { useLanes } from './useLanes.ts';

/** px: the pots' names, and what is between them and the lanes */
const NAMES = 136;
const GAP = 8;
const HIGH = 58;

const WORDS = [
  { stage: 1, word: 'light' },
  { stage: 2, word: 'medium' },
  { stage: 3, word: 'thick' },
  { stage: 5, word: 'firm' },
] as const;

/** How the loaf is seen: as it was drawn, or as it comes out poured on time or late. */
const RELATED = [
  { value: 'null', label: 'drawn' },
  { value: '0', label: 'poured on time' },
  { value: '5', label: '5 min late' },
  { value: '15', label: '15 min late' },
] as const;

/** So many lanes are drawn before the page has time for more. */
const LANES_AT_ONCE = 8;

/**
 * One lane a pot, through time; what hands do; and a moment that can be moved, at which the section is shown.
 */
export function LanesView({ clock }: { readonly clock: Timetable }) {
  const dispatch = useAppDispatch();
  const { plan } = useTimes();
  const { chosen, moment, lateMin } = useAppSelector((s) => s.desk);
  const known = useOutlook();
  const fresh = known?.plan === plan ? known.outlook : undefined;
  const [ref, { width }] = useSize<HTMLDivElement>();
  const lanes = useLanes(clock);
  const drawn = useGrowing(lanes.pots.length, LANES_AT_ONCE);
  const scale = useMemo(
    (): LaneScale => ({
      width: Math.max(120, width - NAMES - GAP - 34),
      height: HIGH,
      untilMin: lanes.untilMin,
      top: lanes.top,
    }),
    [width, lanes.untilMin, lanes.top],
  );
  const carries = useMemo(
    () =>
      new Map(
        clock.acts.flatMap((a) =>
          (a.act.carried?.by ?? []).flatMap((layer) =>
            a.carriedFromMin === undefined ? [] : [[layer, a.carriedFromMin] as const],
          ),
        ),
      ),
    [clock],
  );
  const choose = useCallback((id: string) => dispatch(pourChosen(id)), [dispatch]);
  const timed = clock.acts.filter((a) => a.about.step && !a.about.ofSecond);
  const at = timed.find((a) => a.about.step?.id === chosen);
  const shownMin = at && moment === 'pour' ? at.endMin : clock.totalMin;
  const show = (minutes: number): void => {
    const done = timed.findLast((a) => a.startMin <= minutes + 1e-9);
    if (done?.about.step) dispatch(pourChosen(done.about.step.id));
    dispatch(momentShown(done && minutes < clock.totalMin - 1e-9 ? 'pour' : 'whole'));
  };
  // elsewhere the loaf is as it was drawn
  useEffect(
    () => () => {
      dispatch(lateShown(null));
    },
    [dispatch],
  );
  return (
    <>
      <LaneLegend />
      <div ref={ref} className="relative grid gap-1.5">
        {width > 0 && (
          <>
            <div className="flex" style={{ paddingLeft: NAMES + GAP }}>
              <svg
                width={scale.width}
                height="20"
                viewBox={`0 0 ${scale.width} 20`}
                className="overflow-visible"
                aria-hidden="true"
              >
                {ticksOf(lanes.untilMin, scale.width / 46).map((t) => (
                  <g key={t} transform={`translate(${xOf(scale, t)} 0)`}>
                    <text y="12" fontSize="12" textAnchor="middle" fill="currentColor">
                      {t}
                    </text>
                    <path d="M0,15v5" stroke="currentColor" />
                  </g>
                ))}
                <text x={scale.width + 13} y="12" fontSize="12" fill="var(--color-secondary)">
                  min
                </text>
              </svg>
            </div>
            <ol className="grid gap-2.5" aria-label="Pots through time">
              {lanes.pots.slice(0, drawn).map((lane) => (
                <PotLaneRow
                  key={lane.place}
                  lane={lane}
                  lanes={lanes}
                  scale={scale}
                  haze={fresh?.pots[lane.place]}
                  hazes={fresh?.layers}
                  hazeTimes={fresh?.times}
                  carries={carries}
                  chosen={chosen}
                  onChoose={choose}
                />
              ))}
            </ol>
            <svg
              width="34"
              height={HIGH}
              viewBox={`0 0 34 ${HIGH}`}
              className="absolute right-0 overflow-visible"
              style={{ top: 36 }}
              aria-hidden="true"
            >
              {WORDS.filter((w) => w.stage <= lanes.top).map(({ stage, word }) => (
                <text key={word} x="4" y={yOf(scale, stage) + 4} fontSize="11" fill="var(--color-secondary)">
                  {word}
                </text>
              ))}
            </svg>
            <HandsRow clock={clock} scale={scale} />
            <label className="grid grid-cols-[8.5rem_minmax(0,1fr)] items-center gap-2">
              <span className="text-sm">
                <span className="quiet">The loaf</span>{' '}
                {shownMin < (timed[0]?.startMin ?? 0) ? 'before it is poured' : `at ${formatClock(shownMin)}`}
              </span>
              <input
                type="range"
                min="0"
                max={lanes.untilMin}
                step="0.05"
                value={shownMin}
                aria-label="The loaf at this minute"
                aria-valuetext={`${formatClock(shownMin)} min`}
                className="accent-(--color-accent)"
                style={{ width: scale.width }}
                onChange={(event) => show(Number(event.target.value))}
              />
            </label>
            <div className="grid grid-cols-[8.5rem_minmax(0,1fr)] items-center gap-2">
              <span className="quiet text-sm">Seen as</span>
              <div className="max-w-lg">
                <Choice
                  legend="The loaf is seen as"
                  hideLegend
                  value={String(lateMin)}
                  options={RELATED}
                  onChoose={(value) => dispatch(lateShown(value === 'null' ? null : Number(value)))}
                />
              </div>
            </div>
          </>
        )}
      </div>
    </>
  );
}
