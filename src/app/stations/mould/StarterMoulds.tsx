import { STARTER_MOULDS } from '../../../core/mould/starterMoulds.ts';
import { Picker } from '../../parts/Picker.tsx';
import { usePlan } from '../../parts/usePlan.ts';

const KEEP = 'as it is';

/** Start from a mould of the small library; the plan keeps its own copy. */
export function StarterMoulds() {
  const { plan, edit } = usePlan();
  const same = STARTER_MOULDS.find((m) => JSON.stringify(m) === JSON.stringify(plan.mould));
  return (
    <Picker
      label="Start from"
      value={same?.name ?? KEEP}
      options={[
        ...(same ? [] : [{ value: KEEP, label: `${plan.mould.name} (changed here)` }]),
        ...STARTER_MOULDS.map((m) => ({ value: m.name, label: m.name })),
      ]}
      onPick={(name) => {
        const mould = STARTER_MOULDS.find((m) => m.name === name);
        if (mould) edit((p) => ({ ...p, mould }));
      }}
    />
  );
}
