import { constantFrom, coolsIn, usualConstant, USUAL_ROOM_C } from '../../../core/batter/cooling.ts';
import { setClock } from '../../../core/edit/clock.ts';
import type { Cooling } from '../../../core/plan/clockSchema.ts';
import type { Grams, Celsius } from '../../../core/units/quantity.ts';
import { FigureField, TemperatureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { Button } from '../../kit/Button.tsx';

/** Where a second reading is looked for to begin with, and what a first one may show. */
const FIRST = { min: 0, celsius: 80 } as const;
const SECOND = { min: 15, celsius: 60 } as const;

interface LyeCoolingProps {
  readonly peakC: Celsius;
  readonly solutionG: Grams;
}

/** When the lye is as cool as it is wanted: by a usual jug, or by two readings of a thermometer. */
export function LyeCooling({ peakC, solutionG }: LyeCoolingProps) {
  const { plan, edit, show } = usePlan();
  const cooling = plan.clock.cooling ?? {};
  const { roomC = USUAL_ROOM_C, first, second } = cooling;
  const { lyeC } = plan.batter.temperatures;
  const put = (change: Partial<Cooling>, gesture?: Gesture) =>
    edit((p) => setClock(p, { cooling: { ...p.clock.cooling, ...change } }), gesture);
  const measured = first && second && constantFrom(first, second, roomC);
  const constant = measured ?? usualConstant(solutionG);
  const last = measured && (first.min > second.min ? first : second);
  const fromC = last?.celsius ?? peakC;
  const took = coolsIn(fromC, lyeC, roomC, constant);
  const inMin = took === undefined ? undefined : took + (last?.min ?? 0);
  const tells = first && second && measured === undefined;
  return (
    <div className="grid gap-2">
      <p className="text-sm">
        {inMin === undefined ? (
          <>
            It never cools to {show.temperature(lyeC)} by itself in a room of {show.temperature(roomC)}: a
            cold bath, or less cool.
          </>
        ) : (
          <>
            Lye ready at {show.temperature(lyeC)} in <em>≈ {Math.round(inMin)} min</em>{' '}
            <span className="quiet">
              (
              {measured === undefined
                ? 'an estimate for a jug on the bench; two readings are better'
                : 'by your two readings'}
              ).
            </span>
          </>
        )}
      </p>
      {tells && (
        <p role="alert" className="text-sm text-error">
          {show.temperature(first.celsius)} at {first.min} min and {show.temperature(second.celsius)} at{' '}
          {second.min} min do not tell how it cools: it falls towards the room’s {show.temperature(roomC)}.
        </p>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <TemperatureField
          label="Room"
          className="w-24"
          value={roomC}
          onValue={(c, g) => put({ roomC: c }, g)}
        />
        {first && second ? (
          <>
            {(['first', 'second'] as const).map((which) => {
              const reading = which === 'first' ? first : second;
              return (
                <span key={which} className="flex items-end gap-2">
                  <FigureField
                    label={which === 'first' ? 'After' : 'And after'}
                    className="w-24"
                    suffix="min"
                    value={reading.min}
                    onValue={(min, g) => put({ [which]: { ...reading, min } }, g)}
                  />
                  <TemperatureField
                    label={which === 'first' ? 'it was' : 'it was then'}
                    className="w-24"
                    value={reading.celsius}
                    onValue={(c, g) => put({ [which]: { ...reading, celsius: c } }, g)}
                  />
                </span>
              );
            })}
            <Button
              onClick={() =>
                edit((p) => setClock(p, { cooling: { ...(roomC === USUAL_ROOM_C ? {} : { roomC }) } }))
              }
            >
              Without readings
            </Button>
          </>
        ) : (
          <Button onClick={() => put({ first: { ...FIRST, celsius: Math.round(peakC) }, second: SECOND })}>
            Two thermometer readings
          </Button>
        )}
      </div>
    </div>
  );
}
