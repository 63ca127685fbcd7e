import { habitsOf, STIRRER_WORDS } from '../../../core/plan/habits.ts';
import { blendPot, loosenPot, setClock } from '../../../core/edit/clock.ts';
import { STIRRERS } from '../../../core/plan/clockSchema.ts';
import { isPiped } from '../../../core/plan/second.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Picker } from '../../parts/Picker.tsx';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { StationFold } from '../../parts/StationFold.tsx';
import { StagePicker } from '../../parts/StagePicker.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { Estimated } from './Estimated.tsx';
import { Check } from '../../kit/Check.tsx';

const STIRRER_OPTIONS = STIRRERS.map((value) => ({ value, label: STIRRER_WORDS[value] }));

const COLOURINGS = [
  { value: 'each', label: 'each before its pour' },
  { value: 'all-first', label: 'all at first' },
] as const;

/**
 * How colour goes into the jugs, what is done to each right before it is poured, and where the mould stands
 * between.
 */
export function JugHabits() {
  const { plan, edit } = usePlan();
  const habits = habitsOf(plan.clock);
  return (
    <StationFold
      id="jug-habits"
      title="The jugs"
      state={`coloured ${COLOURINGS.find((c) => c.value === habits.colouring)?.label ?? ''}, stirred with ${STIRRER_WORDS[habits.stirrer]}`}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          legend="Colour the jugs"
          value={habits.colouring}
          options={COLOURINGS}
          onChoose={(colouring) => edit((p) => setClock(p, { colouring }))}
        />
        <Picker
          label="Stirred with"
          value={habits.stirrer}
          options={STIRRER_OPTIONS}
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
            <Check
              checked={pot.blendTo !== undefined}
              onCheck={(on) => edit((p) => blendPot(p, pot.id, on ? 1.7 : undefined))}
            >
              blended on before its pour
            </Check>
            {pot.blendTo !== undefined && (
              <StagePicker
                label={`Pot ${pot.letter}: blended on to`}
                hideLabel
                className="w-56"
                most={4}
                value={pot.blendTo}
                onPick={(blendTo) => edit((p) => blendPot(p, pot.id, blendTo))}
              />
            )}
            <Check checked={pot.loosened === true} onCheck={(on) => edit((p) => loosenPot(p, pot.id, on))}>
              stirred loose
            </Check>
          </li>
        ))}
      </ul>
      <Check
        checked={plan.clock.warm === true}
        onCheck={(on) => edit((p) => setClock(p, { warm: on ? true : undefined }))}
      >
        Between pours the mould stands in a warm cupboard: what is poured thickens about half as fast again
      </Check>
      {isPiped(plan) && <PipingStart />}
    </StationFold>
  );
}

/** When the batch that is piped on top is begun. */
function PipingStart() {
  const { plan, computed, edit } = usePlan('clock');
  const made = computed.clock?.acts.find((a) => a.act.does === 'make' && a.about.ofSecond);
  return (
    <Estimated
      given={plan.clock.pipingAtMin !== undefined}
      says="once the loaf is poured"
      onForget={() => edit((p) => setClock(p, { pipingAtMin: undefined }))}
    >
      <FigureField
        label="The batch for piping is begun at"
        className="w-56"
        suffix="min"
        value={Math.round((plan.clock.pipingAtMin ?? made?.startMin ?? 0) * 10) / 10}
        onValue={(pipingAtMin, g) => edit((p) => setClock(p, { pipingAtMin }), g)}
      />
    </Estimated>
  );
}
