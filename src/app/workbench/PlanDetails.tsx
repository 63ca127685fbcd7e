import { Settings2 } from 'lucide-react';
import { SCALE_STEPS_G, type Units } from '../../core/plan/planSchema.ts';
import { keepAsBeginning } from '../../store/keeping/beginnings.ts';
import { keepUnits } from '../../store/unitsUsed.ts';
import { DialogButton } from '../parts/DialogButton.tsx';
import { Choice } from '../kit/Choice.tsx';
import { Picker } from '../parts/Picker.tsx';
import { TextField } from '../parts/TextField.tsx';
import { useEdit, usePresent } from '../parts/usePlan.ts';
import { Button } from '../kit/Button.tsx';

const STEP_OPTIONS = SCALE_STEPS_G.map((g) => ({ value: String(g), label: `${g} g` }));

/** The plan's name, notes, units and scales. */
export function PlanDetails() {
  const plan = usePresent();
  const edit = useEdit();
  const units = (change: Partial<Units>): void => {
    const fault = edit((p) => ({ ...p, units: { ...p.units, ...change } }));
    if (!fault) void keepUnits({ ...plan.units, ...change });
  };
  return (
    <DialogButton
      label="Name, notes and units"
      icon={<Settings2 className="size-4.5" aria-hidden="true" />}
      title="This plan"
    >
      <TextField
        label="Name"
        value={plan.name}
        onValue={(name, gesture) => edit((p) => ({ ...p, name }), gesture)}
      />
      <TextField
        label="Notes"
        value={plan.notes}
        long={{ most: 20000 }}
        onValue={(notes, gesture) => edit((p) => ({ ...p, notes }), gesture)}
      />
      <div className="grid grid-cols-3 gap-4">
        <Choice
          legend="Lengths in"
          value={plan.units.length}
          options={[
            { value: 'mm', label: 'mm' },
            { value: 'in', label: 'in' },
          ]}
          onChoose={(length) => units({ length })}
        />
        <Choice
          legend="Weights in"
          value={plan.units.mass}
          options={[
            { value: 'g', label: 'g' },
            { value: 'oz', label: 'oz' },
          ]}
          onChoose={(mass) => units({ mass })}
        />
        <Choice
          legend="Temperature"
          value={plan.units.temperature}
          options={[
            { value: 'C', label: '°C' },
            { value: 'F', label: '°F' },
          ]}
          onChoose={(temperature) => units({ temperature })}
        />
      </div>
      <div className="grid grid-cols-2 gap-4">
        <Picker
          label="Bench scale shows"
          value={String(plan.units.scaleStepG)}
          options={STEP_OPTIONS}
          onPick={(v) => units({ scaleStepG: Number(v) as Units['scaleStepG'] })}
        />
        <Picker
          label="Fine scale shows"
          value={String(plan.units.fineStepG)}
          options={STEP_OPTIONS}
          onPick={(v) => units({ fineStepG: Number(v) as Units['fineStepG'] })}
        />
      </div>
      <p className="quiet text-sm">
        Oils, water, lye and batter are weighed on the bench scale; colorants, fragrance and additives on the
        fine one.
      </p>
      <Button className="justify-self-start" onClick={() => keepAsBeginning(plan)}>
        Keep as a beginning for new plans
      </Button>
    </DialogButton>
  );
}
