import { takeMould } from '../../../core/edit/mould.ts';
import { sameMould } from '../../../core/mould/sameMould.ts';
import { Picker } from '../../parts/Picker.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { useMouldChoice } from './useMouldChoice.ts';

const KEEP = 'as it is';

/** Start from one's own moulds or the small library; the plan keeps its own copy. */
export function StarterMoulds() {
  const { plan, edit } = useBench();
  const { moulds, options } = useMouldChoice();
  const at = moulds.findIndex((m) => sameMould(m, plan.mould));
  return (
    <div className="sentence">
      Poured in{' '}
      <Picker
        label="Poured in"
        value={at < 0 ? KEEP : String(at)}
        options={[
          ...(at < 0 ? [{ value: KEEP, label: `${plan.mould.name} (changed here)` }] : []),
          ...options,
        ]}
        onPick={(i) => {
          const mould = moulds[Number(i)];
          if (mould) edit((p) => takeMould(p, mould));
        }}
      />
      . <span className="quiet text-sm">Another choice changes the mould of this plan.</span>
    </div>
  );
}
