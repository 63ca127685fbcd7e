import { Link } from 'react-router';
import { setClock } from '../../../core/edit/clock.ts';
import { speedOf, toMediumMin } from '../../../core/clock/speed.ts';
import { startStage } from '../../../core/clock/start.ts';
import { formatShort } from '../../../core/units/format.ts';
import { Group } from '../../parts/Station.tsx';
import { StagePicker } from '../../parts/StagePicker.tsx';
import { TemperatureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { RECIPE } from '../../../core/clock/scents.ts';
import { plural } from '../../../core/units/words.ts';
import { useTaught } from './useTaught.ts';
import { Estimated } from './Estimated.tsx';
import { HandPace } from './HandPace.tsx';
import { JugHabits } from './JugHabits.tsx';
import { ScentSpeeds } from './ScentSpeeds.tsx';
import { ToMedium } from './ToMedium.tsx';

/** What the timing rests on: the batter, the scents, the hands. Each is estimated until it is given. */
export function ConditionsPage() {
  return (
    <>
      <BatterSpeed />
      <div>
        <ScentSpeeds />
        <JugHabits />
        <HandPace />
      </div>
    </>
  );
}

function BatterSpeed() {
  const { plan, computed, edit, show } = usePlan('recipe');
  const { clock } = plan;
  const speed = computed.recipe && speedOf(plan.batter, computed.recipe, clock);
  const taught = useTaught().find((l) => l.name === RECIPE);
  if (!speed) return null;
  const { oilsC, lyeC } = plan.batter.temperatures;
  const inMin = (perMinute: number): string => formatShort(toMediumMin({ perMinute }), 1);
  return (
    <Group title="The batter">
      <div className="grid grid-cols-2 items-start gap-3 sm:grid-cols-3">
        <ToMedium />
        <Estimated
          given={speed.measured}
          says="where oils and lye meet"
          onForget={() => edit((p) => setClock(p, { batterC: undefined }))}
        >
          <TemperatureField
            label="The batter itself"
            value={speed.batterC}
            onValue={(batterC, g) => edit((p) => setClock(p, { batterC }), g)}
          />
        </Estimated>
        <Estimated
          given={clock.start !== undefined}
          says="as its ways of pouring want it"
          onForget={() => edit((p) => setClock(p, { start: undefined }))}
        >
          <StagePicker
            label="Minute 0: divided when it is"
            most={3}
            value={Math.round(startStage(plan) * 100) / 100}
            onPick={(start) => edit((p) => setClock(p, { start }))}
          />
        </Estimated>
      </div>
      <p className="text-sm">
        So it takes <em>≈ {inMin(speed.perMinute * (taught?.factor ?? 1))} min</em> from light to medium
        {taught && (
          <>
            , as {plural(taught.readings, 'reading')} taught ({inMin(speed.perMinute)} min was taken before)
          </>
        )}
        : at {show.temperature(speed.batterC)}, with lye of {formatShort(speed.lyePercent, 0)} %, unscented,
        in its jug.{' '}
        <span className="quiet">
          Slow recipes take some 22 min at 38 °C, usual ones 12, quick ones 7. It is taken to keep its
          temperature; near emulsion it stays as it is for some minutes.
        </span>
      </p>
      <p className="text-sm">
        Oils are mixed at {show.temperature(oilsC)}, lye at {show.temperature(lyeC)}.{' '}
        <Link className="underline" to="../../batter#lye" relative="path">
          Change it under Batter
        </Link>
      </p>
    </Group>
  );
}
