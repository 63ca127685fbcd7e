import { memo } from 'react';
import { Unlock } from 'lucide-react';
import { keepAt, keepNone } from '../../../core/edit/clock.ts';
import { freeOf } from '../../../core/clock/hands.ts';
import { earliestOf, type Earliest } from '../../../core/clock/earliest.ts';
import { fail, type Result } from '../../../core/result/result.ts';
import type { TimedAct, Timetable } from '../../../core/clock/timetable.ts';
import { actName } from '../../../core/clock/words.ts';
import { stageFigure } from '../../../core/setting/stage.ts';
import { formatClock, formatMinutes } from '../../../core/units/format.ts';
import { useGrowing } from '../../parts/useGrowing.ts';
import { useOdds } from '../../clock/useOdds.ts';
import { QuantityField } from '../../parts/QuantityField.tsx';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { WideTable } from '../../parts/WideTable.tsx';
import { ofHundred } from '../../clock/ofHundred.ts';
import { parseClock } from './parseClock.ts';
import { windowWords } from './PotLaneRow.tsx';
import { Button } from '../../kit/Button.tsx';
import { IconButton } from '../../kit/IconButton.tsx';

const told = ({ act }: TimedAct): boolean =>
  act.window !== undefined || act.carried !== undefined || act.fluid !== undefined;

/** So many rows are drawn before the page has time for more. */
const ROWS_AT_ONCE = 30;

/**
 * Each pour, and what else depends on how thick batter is: when, from when, until when, and how sure that is.
 */
export const Windows = memo(function Windows({ clock }: { readonly clock: Timetable }) {
  const { plan, edit } = usePlan();
  const shown = useOdds();
  const odds = shown.kind === 'known' && !shown.stale ? shown.odds : undefined;
  const kept = plan.steps.some((s) => s.kind === 'pour' && s.atMin !== undefined);
  const acts = clock.acts.filter(told);
  const drawn = useGrowing(acts.length, ROWS_AT_ONCE);
  return (
    <Group
      title="Windows"
      aside={kept && <Button onClick={() => edit(keepNone)}>All as soon as they can be</Button>}
    >
      <WideTable label="Windows of each pour">
        <table className="w-full text-sm">
          <thead className="quiet text-left">
            <tr>
              <th className="pb-1 font-normal">What</th>
              <th className="px-2 pb-1 font-normal">At</th>
              <th className="px-2 pb-1 font-normal">Carried from</th>
              <th className="px-2 pb-1 font-normal">Pourable until</th>
              <th className="px-2 pb-1 font-normal">Thickness</th>
              <th className="px-2 pb-1 font-normal">Slack</th>
              <th className="pb-1 text-right font-normal">Holds</th>
            </tr>
          </thead>
          <tbody>
            {acts.slice(0, drawn).map((timed) => {
              const { step } = timed.about;
              const name = actName(plan, timed);
              const pour = step?.kind === 'pour' ? step : undefined;
              const share = odds?.acts[timed.place];
              return (
                <tr key={timed.place} className="rule border-t">
                  <th className="py-1 text-left font-bold">{name}</th>
                  <td className="px-2">
                    {pour ? (
                      <span className="flex items-center gap-1">
                        <QuantityField
                          label={`${name}: minute`}
                          hideLabel
                          className="w-20"
                          shown={formatClock(timed.startMin)}
                          parse={(text) => parseFrom(text, earliestOf(plan, clock, timed))}
                          onValue={(minutes, g) => edit((p) => keepAt(p, pour.id, minutes), g)}
                        />
                        {pour.atMin !== undefined && (
                          <IconButton
                            icon={Unlock}
                            label={`${name}: as soon as it can be`}
                            title="As soon as it can be"
                            onClick={() => edit((p) => keepAt(p, pour.id, undefined))}
                          />
                        )}
                      </span>
                    ) : (
                      <span className="block w-20 text-right">{formatClock(timed.startMin)}</span>
                    )}
                  </td>
                  <td className="px-2 italic">
                    {timed.carriedFromMin === undefined ? '–' : formatClock(timed.carriedFromMin)}
                  </td>
                  <td className="px-2 italic">
                    {timed.pourableUntilMin === undefined
                      ? '–'
                      : timed.pourableUntilMin > 600
                        ? 'hours'
                        : formatClock(Math.max(0, timed.pourableUntilMin))}
                  </td>
                  <td className="px-2 italic">
                    {timed.stage === undefined ? '–' : stageFigure(timed.stage)}
                  </td>
                  <td className={`px-2 ${timed.troubles.length > 0 ? 'font-bold text-error' : 'italic'}`}>
                    {windowWords(timed)}
                  </td>
                  <td className="text-right italic whitespace-nowrap">
                    {share === undefined ? '…' : ofHundred(share)}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </WideTable>
      <FreeTimes clock={clock} />
    </Group>
  );
});

/** A second is no difference. */
const SAME_MIN = 1 / 60;

/** A minute that cannot be is said, with the earliest that can. */
function parseFrom(text: string, { min, because }: Earliest): Result<number> {
  const read = parseClock(text);
  return read.ok && read.value < min - SAME_MIN
    ? fail('too-early', `earliest ${formatClock(min)}, ${because}`)
    : read;
}

/** Free for at least so long is worth telling, minutes. */
const WORTH_MIN = 2;

/** When hands are free, from when to when. */
function FreeTimes({ clock }: { readonly clock: Timetable }) {
  const free = freeOf(clock, WORTH_MIN);
  if (free.length === 0) return null;
  return (
    <p className="text-sm">
      <span className="quiet">Your hands are free </span>
      {free
        .map(
          ({ from, to }) => `from ${formatClock(from)} to ${formatClock(to)} (${formatMinutes(to - from)})`,
        )
        .join(', ')}
      .
    </p>
  );
}
