import { memo } from 'react';
import type { Timetable } from '../../../core/clock/timetable.ts';
import { needsOf, type Need } from '../../../core/clock/needs.ts';
import { stageWord } from '../../../core/setting/stage.ts';
import { formatClock, formatShort } from '../../../core/units/format.ts';
import { Group } from '../../parts/Station.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** A jug that is held otherwise by less than this is held as it was drawn, mm. */
const WORTH_MM = 3;

/** What each way of pouring needs of its batter, until when, and until when it has that. */
export const Needs = memo(function Needs({ clock }: { readonly clock: Timetable }) {
  const { plan } = usePlan();
  const needs = needsOf(plan, clock);
  if (needs.length === 0) return null;
  return (
    <Group title="What each way needs">
      <ul className="grid gap-2">
        {needs.map((need) => (
          <NeedLine key={`${need.step} ${need.name}`} need={need} />
        ))}
      </ul>
    </Group>
  );
});

function NeedLine({ need }: { readonly need: Need }) {
  const { show } = usePlan();
  const { name, least, most, untilMin, hasMin, jug } = need;
  const short = hasMin < untilMin;
  const from = least > 0 ? `${stageWord(least)} to ${stageWord(most)}` : `no thicker than ${stageWord(most)}`;
  const moved =
    jug &&
    (Math.abs(jug.firstMm - jug.plannedMm) > WORTH_MM || Math.abs(jug.lastMm - jug.plannedMm) > WORTH_MM);
  return (
    <li className={`border-l-4 pl-3 text-sm ${short ? 'border-error' : 'border-success'}`}>
      <strong>{name}</strong> needs {from}{' '}
      <span className="quiet">
        ({least > 0 ? `${formatShort(least, 1)} to ` : ''}
        {formatShort(most, 1)} of 5)
      </span>{' '}
      until minute <strong>{formatClock(untilMin)}</strong>;{' '}
      <span className={short ? 'font-bold text-error' : ''}>
        with this batter you have until{' '}
        <strong>{hasMin > 240 ? 'hours later' : formatClock(Math.max(0, hasMin))}</strong>.
      </span>
      {moved && (
        <>
          {' '}
          To go as deep as it was drawn, hold the jug{' '}
          <em>
            ≈ {show.length(Math.round(jug.firstMm))}
            {Math.abs(jug.lastMm - jug.firstMm) > WORTH_MM
              ? ` high at first, ${show.length(Math.round(jug.lastMm))} at the end`
              : ' high'}
          </em>{' '}
          <span className="quiet">(drawn for {show.length(jug.plannedMm)}).</span>
        </>
      )}
    </li>
  );
}
