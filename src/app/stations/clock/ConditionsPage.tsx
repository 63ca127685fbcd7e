import { blendPot, loosenPot, setClock, setPace, setPourPace } from '../../../core/edit/clock.ts';
import { habitsOf, USUAL } from '../../../core/clock/habits.ts';
import { speedOf } from '../../../core/clock/speed.ts';
import { startStage } from '../../../core/clock/start.ts';
import { FACTORS, scentSpeed } from '../../../core/clock/scents.ts';
import type { Pace, Stirrer } from '../../../core/plan/clockSchema.ts';
import { stagePhrase } from '../../../core/setting/stage.ts';
import { formatShort } from '../../../core/units/format.ts';
import { SPEEDS } from '../../../core/batter/schema.ts';
import { updateFragrance } from '../../../core/edit/additions.ts';
import { SPEED_WORDS } from '../../stores/behaviourWords.ts';
import { Choice } from '../../parts/Choice.tsx';
import { Picker } from '../../parts/Picker.tsx';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { Group } from '../../parts/Station.tsx';
import { FigureField, TemperatureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { Temperatures } from '../batter/Temperatures.tsx';
import { Estimated } from './Estimated.tsx';

const STIRRERS: readonly { readonly value: Stirrer; readonly label: string }[] = [
  { value: 'spatula', label: 'spatula' },
  { value: 'whisk', label: 'whisk' },
  { value: 'hand-blender', label: 'hand-turned blender' },
  { value: 'stick-blender', label: 'stick blender' },
];

const COLOURINGS = [
  { value: 'each', label: 'each before its pour' },
  { value: 'all-first', label: 'all at first' },
] as const;

/** What the timing rests on: the batter, the scents, the hands. Each is estimated until it is given. */
export function ConditionsPage() {
  return (
    <>
      <BatterSpeed />
      <Temperatures />
      <Scents />
      <Jugs />
      <Hands />
    </>
  );
}

function BatterSpeed() {
  const { plan, computed, edit, show } = usePlan();
  const { clock } = plan;
  const speed = computed.recipe && speedOf(plan.batter, computed.recipe, clock);
  if (!speed) return null;
  return (
    <Group title="The batter">
      <div className="grid grid-cols-2 items-start gap-3 sm:grid-cols-3">
        <Estimated
          given={speed.origin !== 'estimated'}
          says="from its oils and butters"
          onForget={() => edit((p) => setClock(p, { perMinute: undefined, known: undefined }))}
        >
          <FigureField
            label="Speed of the recipe, at 38 °C and 30 % lye"
            suffix="stages a minute"
            value={Number(speed.atRest.toFixed(4))}
            onValue={(perMinute, g) => edit((p) => setClock(p, { perMinute }), g)}
          />
        </Estimated>
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
          <FigureField
            label="Minute 0: divided at stage"
            suffix="of 5"
            value={startStage(plan)}
            hint={stagePhrase(startStage(plan))}
            onValue={(start, g) => edit((p) => setClock(p, { start }), g)}
          />
        </Estimated>
      </div>
      <p className="text-sm">
        So it thickens by <em>≈ {formatShort(speed.perMinute, 3)} stages a minute</em>: one stage in{' '}
        <em>≈ {Math.round(1 / speed.perMinute)} min</em>{' '}
        <span className="quiet">
          at {show.temperature(speed.batterC)} with lye of {formatShort(speed.lyePercent, 0)} %. Slow recipes
          have 0.03, quick ones 0.10. It is taken to keep its temperature.
        </span>
      </p>
    </Group>
  );
}

const UNKNOWN = 'unknown';

function Scents() {
  const { plan, edit } = usePlan();
  if (plan.batter.fragrances.length === 0) return null;
  return (
    <Group title="What the scent does">
      {plan.batter.fragrances.map((f) => (
        <div key={f.id} className="grid grid-cols-2 items-end gap-3 sm:grid-cols-3">
          <Picker
            label={f.name}
            value={f.speed ?? UNKNOWN}
            options={[
              { value: UNKNOWN, label: 'not known' },
              ...SPEEDS.map((value) => ({ value, label: `${SPEED_WORDS[value]} (× ${FACTORS[value]})` })),
            ]}
            onPick={(next) =>
              edit((p) =>
                updateFragrance(p, f.id, ({ speed: _was, ...was }) =>
                  next === UNKNOWN ? was : { ...was, speed: next },
                ),
              )
            }
          />
          <p className="quiet pb-2 text-sm sm:col-span-2">
            {f.speed === undefined
              ? `Taken as × ${scentSpeed(f).factor}, and much in doubt: a small cup tells.`
              : `As fast × ${FACTORS[f.speed]} from the minute it goes in. An estimate.`}
          </p>
        </div>
      ))}
    </Group>
  );
}

function Jugs() {
  const { plan, edit } = usePlan();
  const habits = habitsOf(plan.clock);
  return (
    <Group title="The jugs">
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          legend="Colour the jugs"
          value={habits.colouring}
          options={COLOURINGS}
          onChoose={(colouring) => {
            edit((p) => setClock(p, { colouring }));
          }}
        />
        <Picker
          label="Stirred with"
          value={habits.stirrer}
          options={STIRRERS}
          onPick={(stirrer) => edit((p) => setClock(p, { stirrer }))}
        />
      </div>
      <ul className="grid gap-2">
        {plan.pots.map((pot) => (
          <li key={pot.id} className="flex flex-wrap items-center gap-x-4 gap-y-1">
            <span className="flex w-40 items-center gap-2">
              <PotBadge pot={pot} />
              <span className="truncate text-sm">{pot.name}</span>
            </span>
            <label className="flex items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="size-4 accent-(--color-primary)"
                checked={pot.blendTo !== undefined}
                onChange={(event) => edit((p) => blendPot(p, pot.id, event.target.checked ? 1.7 : undefined))}
              />
              blended on before its pour
            </label>
            {pot.blendTo !== undefined && (
              <FigureField
                label={`Pot ${pot.letter}: blended on to`}
                hideLabel
                className="w-24"
                suffix="of 5"
                value={pot.blendTo}
                onValue={(blendTo, g) => edit((p) => blendPot(p, pot.id, blendTo), g)}
              />
            )}
            <label className="flex items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="size-4 accent-(--color-primary)"
                checked={pot.loosened === true}
                onChange={(event) => edit((p) => loosenPot(p, pot.id, event.target.checked))}
              />
              stirred loose
            </label>
          </li>
        ))}
      </ul>
      <label className="flex items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="size-4 accent-(--color-primary)"
          checked={plan.clock.warm === true}
          onChange={(event) => edit((p) => setClock(p, { warm: event.target.checked ? true : undefined }))}
        />
        Between pours the mould stands in a warm cupboard: what is poured thickens about half as fast again
      </label>
    </Group>
  );
}

const MINUTES: readonly { readonly key: Exclude<keyof Pace, 'pourMin'>; readonly label: string }[] = [
  { key: 'divideMin', label: 'Share out, each jug' },
  { key: 'colourMin', label: 'Colour a jug' },
  { key: 'scentMin', label: 'Scent a jug' },
  { key: 'makeMin', label: 'Make a portion' },
  { key: 'tapMin', label: 'Tap level' },
  { key: 'tiltMin', label: 'Turn the mould' },
  { key: 'scrapeMin', label: 'Scrape' },
];

const POURS = [
  { how: 'stream', label: 'Pour 425 g in a stream' },
  { how: 'low', label: 'Pour 425 g low' },
  { how: 'spatula', label: 'Pour 425 g over a spatula' },
  { how: 'spoon', label: 'Spoon 425 g' },
] as const;

function Hands() {
  const { plan, edit } = usePlan();
  const habits = habitsOf(plan.clock);
  const given = plan.clock.pace !== undefined;
  return (
    <Group
      title="How long you take"
      aside={
        given && (
          <button
            type="button"
            className="btn btn-sm"
            onClick={() => edit((p) => setClock(p, { pace: undefined }))}
          >
            As is usual
          </button>
        )
      }
    >
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        {POURS.map(({ how, label }) => (
          <FigureField
            key={how}
            label={label}
            suffix="min"
            value={habits.pourMin[how]}
            onValue={(minutes, g) =>
              edit((p) => setPourPace(p, how, minutes === USUAL.pourMin[how] ? undefined : minutes), g)
            }
          />
        ))}
        {MINUTES.map(({ key, label }) => (
          <FigureField
            key={key}
            label={label}
            suffix="min"
            value={habits[key]}
            onValue={(minutes, g) => edit((p) => setPace(p, { [key]: minutes }), g)}
          />
        ))}
      </div>
    </Group>
  );
}
