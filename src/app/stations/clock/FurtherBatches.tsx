import { X } from 'lucide-react';
import { useMemo } from 'react';
import { BLEND_MIN, lastOf, woven } from '../../../core/clock/batches.ts';
import { jobsOf } from '../../../core/clock/hands.ts';
import type { Timetable } from '../../../core/clock/timetable.ts';
import { actName } from '../../../core/clock/words.ts';
import { formatClock, formatMinutes } from '../../../core/units/format.ts';
import { alsoMadeSet } from '../../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { usePlan, usePresent } from '../../parts/usePlan.ts';
import { BatchRows, type BatchShown } from './BatchRows.tsx';
import { useOtherPlans, useShelfNames } from './useOtherPlans.ts';
import { IconButton } from '../../kit/IconButton.tsx';

/** Nobody makes more at once. */
const MOST = 4;

/** Several batches by the same pair of hands, alike or of other plans: when each can be begun. */
export function FurtherBatches({ clock }: { readonly clock: Timetable }) {
  const dispatch = useAppDispatch();
  const { plan } = usePlan();
  const { name } = usePresent();
  const alsoMade = useAppSelector((s) => s.desk.alsoMade);
  const shelf = useShelfNames();
  const others = useOtherPlans(alsoMade.filter((id) => id !== plan.id));
  const batches = useMemo((): readonly BatchShown[] => {
    const asked = alsoMade.flatMap((id) => {
      if (id === plan.id) return [{ plan, name, clock }];
      const other = others.get(id);
      return other && 'clock' in other ? [{ ...other, name: other.plan.name }] : [];
    });
    const first = { plan, name, clock, beginMin: 0 - BLEND_MIN, startMin: 0, endMin: clock.totalMin };
    const more = woven(
      clock,
      asked.map((a) => a.clock),
    ).flatMap(({ place, ...times }) => {
      const batch = asked[place];
      return batch ? [{ ...batch, ...times }] : [];
    });
    return [first, ...more];
  }, [alsoMade, others, plan, name, clock]);
  const troubles = [...others].flatMap(([id, other]) =>
    'trouble' in other && alsoMade.includes(id)
      ? [`“${shelf.find((e) => e.id === id)?.name ?? id}” ${other.trouble}`]
      : [],
  );
  const options = [
    { value: '', label: 'choose…' },
    { value: plan.id, label: `${name}, once more` },
    ...shelf.filter((e) => e.id !== plan.id).map((e) => ({ value: e.id, label: e.name })),
  ];
  return (
    <Group title="Several batches, the same hands">
      <div className="flex flex-wrap items-end gap-3">
        {alsoMade.length < MOST && (
          <Picker
            label="Make as well"
            className="w-64"
            value=""
            options={options}
            onPick={(id) => {
              if (id !== '') dispatch(alsoMadeSet([...alsoMade, id]));
            }}
          />
        )}
        <ul className="flex flex-wrap gap-2" aria-label="Made as well">
          {alsoMade.map((id, i) => {
            const label =
              id === plan.id ? `${name}, once more` : (shelf.find((e) => e.id === id)?.name ?? id);
            return (
              <li
                key={`${id} ${i}`}
                className="rule flex items-center gap-1 rounded-field border py-1 pr-1 pl-2 text-sm"
              >
                {label}
                <IconButton
                  icon={X}
                  size="tiny"
                  label={`Not as well: ${label}`}
                  onClick={() => dispatch(alsoMadeSet(alsoMade.toSpliced(i, 1)))}
                />
              </li>
            );
          })}
        </ul>
      </div>
      {troubles.map((t) => (
        <p key={t} role="alert" className="text-sm text-error">
          {t}.
        </p>
      ))}
      {batches.length > 1 && <Woven batches={batches} />}
    </Group>
  );
}

/** Saved by less than this is not saved, minutes. */
const WORTH_MIN = 1;

/** What hands do next, of all batches in order. */
function Woven({ batches }: { readonly batches: readonly BatchShown[] }) {
  const [first] = batches;
  if (!first) return null;
  const alone = batches.reduce((s, b) => s + b.clock.totalMin + BLEND_MIN, 0) - BLEND_MIN;
  const all = lastOf(first.clock, batches);
  const jobs = batches
    .flatMap((batch, nth) => [
      ...(nth > 0 ? [{ nth, min: batch.beginMin, says: 'Lye to its oils, and blend' }] : []),
      ...jobsOf(batch.clock).map((job) => ({
        nth,
        min: batch.startMin + job.from,
        says: actName(batch.plan, job.timed),
      })),
    ])
    .toSorted((a, b) => a.min - b.min);
  return (
    <>
      <BatchRows batches={batches} />
      <p className="quiet text-sm">
        {all < alone - WORTH_MIN
          ? `Each made between the others’ waits, all is poured in ≈ ${formatMinutes(all)}; one after another it would be ${formatMinutes(alone)}.`
          : `No wait is long enough for another’s work: one comes after another, and all is poured in ≈ ${formatMinutes(all)}.`}{' '}
        Each keeps its own minutes by the clock: label every jug with its batch.
      </p>
      <details>
        <summary className="cursor-pointer text-sm">What hands do next, minute by minute</summary>
        <ol className="mt-2 gap-x-6 text-sm sm:columns-2" aria-label="Minute by minute">
          {jobs.map(({ nth, min, says }, i) => (
            <li key={i} className="grid break-inside-avoid grid-cols-[3.5rem_4.5rem_1fr] gap-2 py-px">
              <strong className="text-right tabular-nums">{formatClock(min)}</strong>
              <span className="quiet">batch {nth + 1}</span>
              <span>{says}</span>
            </li>
          ))}
        </ol>
      </details>
    </>
  );
}
