import { fromJar } from '../../../../core/edit/supplies.ts';
import type { PlanColorant } from '../../../../core/colorant/schema.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import { useSupplies } from '../../../parts/useSupplies.ts';

const TODAY = 'today';

interface JarChoiceProps {
  readonly colorant: PlanColorant;
  /** powder and carrier that the plan takes of it, g */
  readonly takesG: number;
}

/**
 * Whether a colorant is dispersed on the day, or weighed out of a jar that stands ready, and what that leaves
 * in it.
 */
export function JarChoice({ colorant, takesG }: JarChoiceProps) {
  const { edit, show } = usePlan();
  const jars = useSupplies('jar').filter((j) => j.value.colorant === colorant.id);
  if (jars.length === 0 && colorant.jar === undefined) return null;
  const chosen = jars.find((j) => j.value.name === colorant.jar)?.value;
  return (
    <span className="mb-1 grid justify-items-end gap-0.5">
      <Picker
        label={`Where ${colorant.name} comes from`}
        hideLabel
        className="w-44 text-sm"
        value={chosen?.id ?? (colorant.jar === undefined ? TODAY : 'kept')}
        options={[
          { value: TODAY, label: 'dispersed on the day' },
          ...(colorant.jar !== undefined && !chosen
            ? [{ value: 'kept', label: `jar ${colorant.jar} (not in the supplies)` }]
            : []),
          ...jars.map(({ value: j }) => ({ value: j.id, label: `jar: ${j.name}` })),
        ]}
        onPick={(id) => {
          if (id !== 'kept') edit((p) => fromJar(p, colorant.id, jars.find((j) => j.value.id === id)?.value));
        }}
      />
      {chosen && (
        <span className={`text-sm ${chosen.leftG < takesG ? 'font-semibold text-error' : 'quiet'}`}>
          {show.fine(takesG)} of stock;{' '}
          {chosen.leftG < takesG
            ? `only ${show.fine(chosen.leftG)} in the jar`
            : `${show.fine(chosen.leftG - takesG)} stays in it`}
        </span>
      )}
    </span>
  );
}
