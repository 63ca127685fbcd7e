import { usualConstant, coolsIn, USUAL_ROOM_C } from '../batter/cooling.ts';
import { peakLyeTemperature } from '../batter/lyeHeat.ts';
import type { Computed } from '../computed/compute.ts';
import { formatMinutes } from '../units/format.ts';
import type { Minutes } from '../units/quantity.ts';

/** So long one stream is held before arms tire and it wavers. A judgement, no source. */
const TIRED_MIN: Minutes = 8;

/** What comes before minute 0 at least: laid out, weighed, dispersed. A judgement. */
const BEFORE_MIN: Minutes = 45;

const MINUTES_A_DAY: Minutes = 1440;

/** From the first act to the last, min: what is made ready, the lye that cools, the pour. An estimate. */
export function wholeDay({ plan, weights, clock }: Computed): Minutes | undefined {
  if (!weights || !clock) return undefined;
  const { lyeC, waterC } = plan.batter.temperatures;
  const peakC = peakLyeTemperature(weights.lyeG, weights.waterG, waterC);
  const cools = coolsIn(
    peakC,
    lyeC,
    plan.clock.cooling?.roomC ?? USUAL_ROOM_C,
    usualConstant(weights.lyeG + weights.waterG),
  );
  return Math.max(BEFORE_MIN, cools ?? 0) + clock.totalMin;
}

/** What a day asks of who carries it out: a pour that tires arms, an end after midnight. Begun at `from`. */
export function demandsOf(computed: Computed, from: Date): readonly string[] {
  const { plan, clock } = computed;
  const long = (clock?.acts ?? []).filter(
    ({ act, startMin, endMin }) => act.does === 'pour' && endMin - startMin > TIRED_MIN,
  );
  const tired = long.map(({ about, startMin, endMin }) => {
    const nth = plan.steps.filter((s) => s.kind === 'pour').findIndex((s) => s.id === about.step?.id) + 1;
    return `Pour ${nth} is held for about ${formatMinutes(endMin - startMin)}: arms tire after ${TIRED_MIN} min, and the stream wavers. Rest the jug, or let a second pair of hands take turns.`;
  });
  const takes = wholeDay(computed);
  const at = from.getHours() * 60 + from.getMinutes() + (takes ?? 0);
  const ends = new Date(from.getTime() + (takes ?? 0) * 60_000);
  const clockText = `${String(ends.getHours()).padStart(2, '0')}:${String(ends.getMinutes()).padStart(2, '0')}`;
  return [
    ...tired,
    ...(takes !== undefined && at > MINUTES_A_DAY
      ? [
          `Begun now, the last act comes about ${clockText}, after midnight (an estimate): late at night arms and judgement tire.`,
        ]
      : []),
  ];
}
