import { memo } from 'react';
import { depositKey } from '../../../core/plan/sources.ts';
import { actName } from '../../../core/clock/words.ts';
import type { TimedAct } from '../../../core/clock/timetable.ts';
import type { Haze } from '../../../core/timing/haze.ts';
import { formatClock, formatMinutes, formatShort } from '../../../core/units/format.ts';
import { NO_COLOUR } from '../../parts/ink.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { useColours, usePlan, useTimes } from '../../parts/usePlan.ts';
import { hazeShape, lineOf, xOf, yOf, type LaneScale } from './lane.ts';
import { PourHandle } from './PourHandle.tsx';
import type { Lanes, PotLane } from './useLanes.ts';

interface PotLaneRowProps {
  readonly lane: PotLane;
  readonly lanes: Lanes;
  readonly scale: LaneScale;
  readonly haze: Haze | undefined;
  readonly hazes: readonly Haze[] | undefined;
  readonly hazeTimes: readonly number[] | undefined;
  /** of each layer, when it carries what comes on it */
  readonly carries: ReadonlyMap<number, number>;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}

/** Sooner than it is carried by less than this is told by nobody, minutes. */
const SOON_MIN = 0.1;

/** What a pour's window is in words. */
export function windowWords(timed: TimedAct): string {
  const { act, startMin, carriedFromMin, pourableUntilMin, blurMm, troubles } = timed;
  if (troubles.includes('breaks'))
    return act.carried?.stage === undefined ? 'runs together' : 'breaks through';
  if (carriedFromMin !== undefined && startMin < carriedFromMin - SOON_MIN)
    return `too soon: border ± ${formatShort(blurMm ?? 0, 0)} mm`;
  if (troubles.includes('tooThick')) return 'too thick by then';
  if (troubles.includes('tooThin')) return 'too thin by then';
  if (troubles.includes('setAlready')) return 'set by then';
  const slack = pourableUntilMin === undefined ? undefined : pourableUntilMin - startMin;
  if (slack === undefined) return carriedFromMin === undefined ? '' : 'any time after';
  if (act.carried && act.carried.stage === undefined)
    return `on fluid: border ± ${formatShort(blurMm ?? 0, 0)} mm`;
  if (slack < -0.2) return `${formatMinutes(-slack)} late`;
  return slack > 120 ? 'hours to spare' : `${formatMinutes(Math.max(0, slack))} to spare`;
}

/** So far along a layer's lines their names are written, of what is left of the lane. */
const NAMED_AT = 0.3;

/** What the two lines of a layer are, written at them: once is enough. */
function LineNames(props: {
  readonly lanes: Lanes;
  readonly scale: LaneScale;
  readonly from: number;
  readonly flows: readonly number[];
  readonly bears: readonly number[];
}) {
  const { lanes, scale, from, flows, bears } = props;
  const at = from + (lanes.untilMin - from) * NAMED_AT;
  const place = lanes.times.findIndex((t) => t >= at);
  const [low, high] = [flows[place], bears[place]];
  if (low === undefined || high === undefined || Number.isNaN(low)) return null;
  return (
    <g fontSize="11.5" fontWeight="700" fill="currentColor" aria-hidden="true">
      <text x={xOf(scale, at)} y={Math.max(9, yOf(scale, high) - 6)} textAnchor="end">
        bears
      </text>
      <text x={xOf(scale, at) + 6} y={yOf(scale, low) + 13}>
        flows
      </text>
    </g>
  );
}

/**
 * One pot's lane: dark in the jug, coloured once it is poured, the band where it can be poured, and when that
 * is.
 */
export const PotLaneRow = memo(function PotLaneRow(props: PotLaneRowProps) {
  const { lane, lanes, scale, haze, hazes, hazeTimes, carries, chosen, onChoose } = props;
  const { plan, clock } = useTimes();
  const { computed, show } = usePlan('weights');
  const colours = useColours();
  const of = clock?.plan.pots[lane.place];
  if (!of) return null;
  const { pot, ofSecond } = of;
  const colourOf = ({ about: { step } }: TimedAct): string =>
    (step?.kind === 'pour' ? colours.pours.get(depositKey(step, pot.id)) : undefined) ??
    colours.pots.get(pot.id) ??
    NO_COLOUR;
  const [first] = lane.uses;
  const window = first?.act.window;
  const last = lane.uses.at(-1);
  const lastMin = last ? last.startMin + (last.endMin - last.startMin) * (last.act.lastAt ?? 0) : 0;
  const all = { from: 0, to: Math.max(lastMin, last?.startMin ?? 0) };
  const masses = computed.weights?.pots.find((p) => p.pot.id === pot.id)?.batterG;
  const bad = lane.uses.find((u) => u.troubles.length > 0);
  const wait = lane.uses.reduce((s, u) => s + u.waitMin, 0);
  return (
    <li className="grid grid-cols-[8.5rem_minmax(0,1fr)] gap-2">
      <div className="flex min-w-0 items-start gap-2 pt-1">
        <PotBadge pot={pot} size={26} />
        <div className="min-w-0 leading-tight">
          <p className="truncate text-sm font-bold">{ofSecond ? `${pot.name}, piping` : pot.name}</p>
          {masses !== undefined && !ofSecond && (
            <p className="quiet text-xs">{show.mass(masses)} in the jug</p>
          )}
          {first && (
            <p className={`text-xs ${bad ? 'font-bold text-error' : wait > 0.4 ? 'text-warning' : 'quiet'}`}>
              {bad
                ? windowWords(bad)
                : wait > 0.4
                  ? `wait ${formatMinutes(wait)}`
                  : `at ${formatClock(first.startMin)}`}
            </p>
          )}
        </div>
      </div>
      <svg
        width={scale.width}
        height={scale.height + 8}
        viewBox={`0 -8 ${scale.width} ${scale.height + 8}`}
        className="overflow-visible"
      >
        <rect
          width={scale.width}
          height={scale.height}
          fill="var(--mould-air)"
          stroke="var(--color-base-300)"
        />
        {window && (
          <rect
            y={yOf(scale, window.most)}
            width={scale.width}
            height={yOf(scale, window.least) - yOf(scale, window.most)}
            fill="var(--color-success)"
            opacity="0.14"
          />
        )}
        {hazeTimes && haze && (
          <path d={hazeShape(scale, hazeTimes, haze, all)} fill="currentColor" opacity="0.16" />
        )}
        {lane.layers.map(({ layer, use }) => {
          const from = { from: use.startMin, to: lanes.untilMin };
          const of = hazes?.[layer];
          const colour = colourOf(use);
          return hazeTimes && of ? (
            <path key={layer} d={hazeShape(scale, hazeTimes, of, from)} fill={colour} opacity="0.4" />
          ) : null;
        })}
        <path
          d={lineOf(scale, lanes.times, lane.jug, all)}
          fill="none"
          stroke="currentColor"
          strokeWidth="2.2"
        />
        {lane.layers.map(({ layer, use, flows, bears }) => {
          const colour = colourOf(use);
          const from = { from: use.startMin, to: lanes.untilMin };
          const line = lineOf(scale, lanes.times, bears, from);
          const at = carries.get(layer);
          const level = at === undefined ? NaN : (bears[lanes.times.findIndex((t) => t >= at)] ?? NaN);
          return (
            <g key={layer}>
              <path
                d={lineOf(scale, lanes.times, flows, from)}
                fill="none"
                stroke="var(--color-base-content)"
                strokeWidth="1.6"
                strokeDasharray="2 4"
                strokeLinecap="round"
              />
              <path
                d={line}
                fill="none"
                stroke="var(--color-base-content)"
                strokeWidth="5.5"
                opacity="0.55"
              />
              <path d={line} fill="none" stroke={colour} strokeWidth="4" />
              {at !== undefined && Number.isFinite(level) && (
                <path
                  d={`M${xOf(scale, at)},${yOf(scale, level) - 8}v16`}
                  stroke="var(--color-success)"
                  strokeWidth="3"
                >
                  <title>{`carries the next from ${formatClock(at)} min`}</title>
                </path>
              )}
            </g>
          );
        })}
        {lane.uses.map((use) => {
          const open = Math.max(use.carriedFromMin ?? 0, 0);
          const shut = Math.min(use.pourableUntilMin ?? lanes.untilMin, lanes.untilMin);
          return (
            <g key={use.place}>
              {(use.act.lastAt ?? 0) > 0 && (
                <rect
                  x={xOf(scale, use.startMin)}
                  width={xOf(scale, use.endMin - use.startMin)}
                  height={scale.height}
                  fill={colourOf(use)}
                  opacity="0.22"
                />
              )}
              <line
                x1={xOf(scale, use.startMin)}
                x2={xOf(scale, use.startMin)}
                y1={0}
                y2={scale.height}
                stroke={use.troubles.length > 0 ? 'var(--color-error)' : 'currentColor'}
                strokeWidth="1.4"
              />
              <path
                d={`M${xOf(scale, open)},${scale.height - 2}H${xOf(scale, Math.max(open, shut))}`}
                stroke="var(--color-success)"
                strokeWidth="4"
              />
              {shut < open && (
                <path
                  d={`M${xOf(scale, shut)},${scale.height - 2}H${xOf(scale, open)}`}
                  stroke="var(--color-error)"
                  strokeWidth="4"
                  strokeDasharray="4 3"
                />
              )}
            </g>
          );
        })}
        {lane.layers.slice(0, lane.place === 0 ? 1 : 0).map(({ layer, use, flows, bears }) => (
          <LineNames
            key={layer}
            lanes={lanes}
            scale={scale}
            from={use.startMin}
            flows={flows}
            bears={bears}
          />
        ))}
        {lane.uses.map((use) => {
          const { step } = use.about;
          return (
            <PourHandle
              key={use.place}
              use={use}
              letter={pot.letter}
              name={actName(plan, use)}
              colour={colourOf(use)}
              x={xOf(scale, use.startMin)}
              scale={scale.width / scale.untilMin}
              chosen={step !== undefined && chosen === step.id}
              onChoose={() => {
                if (step) onChoose(step.id);
              }}
            />
          );
        })}
      </svg>
    </li>
  );
});
