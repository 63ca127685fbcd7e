import { useState } from 'react';
import { Link } from 'react-router';
import { leftOver } from '../../core/making/leftOver.ts';
import { unitWritten } from '../../core/units/factors.ts';
import { parseAs } from '../../core/units/parseQuantity.ts';
import { upperFirst } from '../../core/units/words.ts';
import type { VesselKey } from '../../core/day/vessel.ts';
import type { Grams } from '../../core/units/quantity.ts';
import { sayOnDay } from '../../store/day.ts';
import { useShow } from '../parts/useShow.ts';
import { useDay } from './dayContext.ts';
import { Entry } from './Entry.tsx';
import { Foot } from './Foot.tsx';
import { Heading } from './Heading.tsx';
import { ThrowAway } from './ThrowAway.tsx';
import { useVesselName } from './useVessel.ts';

/**
 * What is left over in which vessel, and the batch is finished, or thrown away; once it is, what was said.
 */
export function AllDone({ onBack }: { readonly onBack: (() => void) | undefined }) {
  const { state, acts, held, runs, next } = useDay();
  const { plan, ending } = state;
  const show = useShow(plan.units);
  const name = useVesselName();
  const unit = unitWritten(plan.units.mass);
  const vessels = leftOver(acts, held);
  const [left, setLeft] = useState<ReadonlyMap<VesselKey, Grams>>(new Map());
  const named = (key: VesselKey): string => {
    const found = vessels.find((v) => v.vessel.key === key);
    return found ? name(found.vessel) : key;
  };
  const said = () => [...left].flatMap(([vessel, massG]) => (massG > 0 ? [{ vessel, massG }] : []));
  const open = vessels.filter(({ vessel }) => !left.has(vessel.key));
  if (ending)
    return (
      <main className="mx-auto grid min-h-0 w-full max-w-4xl flex-1 content-start gap-5 overflow-y-auto px-4 py-6 sm:px-8">
        <Heading of="ended" over={new Date(ending.at.utcMs).toLocaleString('en-GB')}>
          {ending.how === 'finished' ? 'Finished' : 'Thrown away'}
        </Heading>
        {ending.how === 'thrown-away' ? (
          <p className="text-xl">{ending.reason}</p>
        ) : (
          <p className="text-lg">
            {ending.left.size === 0
              ? 'Nothing was left over: all scraped in.'
              : `Left over: ${[...ending.left].map(([key, g]) => `${named(key)} ${show.mass(g)}`).join(', ')}.`}
          </p>
        )}
        <Link to="/" className="btn min-h-14 justify-self-start text-lg">
          To the shelf
        </Link>
      </main>
    );
  return (
    <>
      <main className="mx-auto grid min-h-0 w-full max-w-4xl flex-1 content-start gap-5 overflow-y-auto px-4 py-6 sm:px-8">
        <Heading of="all-done" over={next ? 'Not every act is done' : 'Every act is done'}>
          What is left over?
        </Heading>
        <p>
          One number for each vessel: next time the overage goes by it. Gloves stay on: what is left is raw
          batter, and goes with caustic waste by your local rules, not down the drain warm and thick.
        </p>
        <ul className="grid gap-3">
          {vessels.map(({ vessel, massG }) => {
            const here = left.get(vessel.key);
            return (
              <li
                key={vessel.key}
                className="rule grid items-end gap-3 border-b pb-3 sm:grid-cols-[minmax(0,1fr)_20rem]"
              >
                <span>
                  <strong>{upperFirst(name(vessel))}</strong>
                  <span className="quiet block text-sm">by the book {show.mass(massG)}</span>
                  {here !== undefined && <span className="block text-xl">{show.mass(here)} left</span>}
                </span>
                {runs && unit && (
                  <Entry
                    label={`Left in ${name(vessel)}`}
                    take="Left"
                    parse={(text) => parseAs(text, unit)}
                    onTake={(g) => {
                      setLeft(new Map([...left, [vessel.key, g] as const]));
                      return Promise.resolve(undefined);
                    }}
                  />
                )}
              </li>
            );
          })}
        </ul>
        {runs && <ThrowAway />}
      </main>
      <Foot
        go={
          !runs
            ? undefined
            : open.length === 0
              ? 'Finished'
              : left.size === 0
                ? 'All scraped in'
                : 'The others scraped in'
        }
        onGo={() => {
          if (open.length > 0)
            setLeft(new Map([...left, ...open.map(({ vessel }) => [vessel.key, 0] as const)]));
          else void sayOnDay([{ does: 'finished', left: said() }]);
        }}
        onBack={onBack}
      />
    </>
  );
}
