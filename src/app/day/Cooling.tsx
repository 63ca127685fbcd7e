import { useMemo, useState } from 'react';
import { VESSEL, type VesselKey } from '../../core/day/vessel.ts';
import { sinceThen } from '../../core/making/minute.ts';
import { isNear, lyeCools } from '../../core/making/lyeCooling.ts';
import type { Act } from '../../core/procedure/act.ts';
import { parseTemperature } from '../../core/units/parseTemperature.ts';
import { sayOnDay } from '../../store/day.ts';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';
import { Entry } from './Entry.tsx';
import { Press } from './Press.tsx';
import { spanText } from './spanText.ts';
import { useAlarm } from './useAlarm.ts';
import { useAgo } from './useNow.ts';

const dissolves = ({ deed }: Act): boolean => deed.does === 'dissolve-lye';
const takesLye = ({ lines, ofSecond }: Act): boolean => !ofSecond && lines.some((l) => l.from.kind === 'lye');

/**
 * The lye on its way to the temperature that it is wanted at, from when it is dissolved until it is poured.
 */
export function Cooling() {
  const day = useDay();
  const { batch, state, acts, held, runs } = day;
  const { plan } = state;
  const [measures, setMeasures] = useState(false);
  const show = useShow(plan.units);
  const made = acts.find((a) => dissolves(a) && !a.ofSecond);
  const at = made && state.done.get(made.id);
  const over = acts.some((a) => takesLye(a) && state.done.has(a.id));
  const since = useAgo(day, at);
  const readings = state.temperatures.get(VESSEL.lye.key);
  const shown = useMemo(
    () =>
      at === undefined
        ? []
        : (readings ?? []).map((r) => {
            const moments = batch.events.map((e) => e.at);
            const upTo = moments.slice(0, moments.indexOf(r.at) + 1);
            const before = { ...batch, events: batch.events.slice(0, upTo.length) };
            return { min: sinceThen(before, at, []).ms / 60_000, celsius: r.celsius };
          }),
    [batch, readings, at],
  );
  const cools =
    made?.deed.does === 'dissolve-lye' && since && !over
      ? lyeCools(plan, { peakC: made.deed.peakC, solutionG: held.get(VESSEL.lye.key) ?? 0 }, shown, since.min)
      : undefined;
  const near = cools && isNear(cools);
  useAlarm(near ? 'near' : undefined, 'The lye is near its mark: measure it.');
  if (!cools) return null;
  const oils = state.temperatures.get(VESSEL.oils.key)?.at(-1);
  const lye = readings?.at(-1);
  const take = (vessel: VesselKey) => (celsius: number) =>
    sayOnDay([{ does: 'temperature', vessel, celsius }]);
  return (
    <section
      aria-label="The lye cools"
      className={`grid gap-2 border-l-8 bg-base-200 p-3 ${near ? 'border-success' : 'border-warning'}`}
    >
      <p className="flex flex-wrap items-baseline gap-x-3">
        <strong className="text-2xl">Lye ≈ {show.temperature(cools.nowC)}</strong>
        <span className="text-lg tabular-nums">
          {cools.inMin === undefined
            ? `never falls to ${show.temperature(cools.toC)} in this room: a cold bath`
            : cools.inMin === 0
              ? `at its ${show.temperature(cools.toC)}: measure it`
              : `${show.temperature(cools.toC)} in ≈ ${spanText(cools.inMin)}`}
        </span>
      </p>
      <p className="quiet text-sm">
        {cools.measured ? 'By your two readings. ' : 'An estimate: two readings are better. '}
        {near && <strong>Near its mark. </strong>}
        {lye && `Lye measured ${show.temperature(lye.celsius)}. `}
        {oils &&
          `Oils measured ${show.temperature(oils.celsius)}, wanted ${show.temperature(plan.batter.temperatures.oilsC)}.`}
      </p>
      {runs && !measures && (
        <Press className="justify-self-start" onClick={() => setMeasures(true)}>
          Measured
        </Press>
      )}
      {runs && measures && (
        <div className="grid gap-3 sm:grid-cols-2">
          <Entry
            label="Thermometer in the lye"
            take="It is"
            parse={(text) => parseTemperature(text, plan.units.temperature)}
            onTake={take(VESSEL.lye.key)}
          />
          <Entry
            label="Thermometer in the oils"
            take="It is"
            parse={(text) => parseTemperature(text, plan.units.temperature)}
            onTake={take(VESSEL.oils.key)}
          />
        </div>
      )}
    </section>
  );
}
