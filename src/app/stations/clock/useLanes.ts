import { useMemo } from 'react';
import type { TimedAct, Timetable } from '../../../core/clock/timetable.ts';
import { Run } from '../../../core/timing/run.ts';
import { bearsIn, stageIn } from '../../../core/timing/haze.ts';
import { shownUntil } from '../../../core/clock/outlook.ts';
import type { Minutes, Stage } from '../../../core/units/quantity.ts';
import { useAppSelector } from '../../../store/store.ts';

/** Firm; a lane of thin batter goes a little beyond what it takes. */
const FIRM: Stage = 5;
const LEAST_TOP: Stage = 2;
const BEYOND: Stage = 0.6;

/** Places along a line, and while a pour is dragged. */
const TIMES = 160;
const TIMES_MOVING = 80;

/** One pot through time: its batter in the jug, and each layer that was poured of it. */
export interface PotLane {
  readonly place: number;
  /** acts that draw on it, in order */
  readonly uses: readonly TimedAct[];
  readonly jug: readonly Stage[];
  readonly layers: readonly {
    readonly layer: number;
    readonly use: TimedAct;
    /** as how thick it flows, and, lying still, bears */
    readonly flows: readonly Stage[];
    readonly bears: readonly Stage[];
  }[];
}

export interface Lanes {
  readonly untilMin: Minutes;
  readonly times: readonly Minutes[];
  readonly pots: readonly PotLane[];
  /** thickness at the upper edge of each lane: of firm, or of less where all that is poured is thin */
  readonly top: Stage;
}

/**
 * Every pot's thickness through time, all going as it is taken to go. Cheap: it is drawn anew while a pour is
 * dragged.
 */
export function useLanes(clock: Timetable): Lanes {
  const count = useAppSelector((s) => (s.plan.moving ? TIMES_MOVING : TIMES));
  return useMemo(() => {
    const { course } = clock.plan;
    const run = new Run(course, { keeps: true });
    run.go();
    const untilMin = shownUntil(clock.totalMin);
    const times = Array.from({ length: count }, (_, i) => (untilMin * i) / (count - 1));
    const pots = course.pots.map((_, place): PotLane => {
      const uses = clock.acts.filter((a) => a.act.window && a.act.pots.includes(place));
      const states = run.kept?.pots[place] ?? [];
      return {
        place,
        uses,
        jug: times.map((t) => stageIn(states, t)),
        layers: uses.flatMap((use) =>
          (use.act.lays ?? []).slice(0, 1).map((layer) => ({
            layer,
            use,
            flows: times.map((t) => stageIn(run.kept?.layers[layer] ?? [], t)),
            bears: times.map((t) => bearsIn(run.kept?.layers[layer] ?? [], t, run.restDoubles)),
          })),
        ),
      };
    });
    const most = Math.max(...course.acts.map((a) => a.window?.most ?? a.carried?.stage ?? 0));
    return { untilMin, times, pots, top: Math.min(FIRM, Math.max(LEAST_TOP, Math.ceil(most + BEYOND))) };
  }, [clock, count]);
}
