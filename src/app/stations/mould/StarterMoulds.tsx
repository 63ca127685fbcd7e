import { takeMould } from '../../../core/edit/mould.ts';
import { sameMould } from '../../../core/mould/sameMould.ts';
import { STARTER_MOULDS } from '../../../core/mould/starterMoulds.ts';
import { Picker } from '../../parts/Picker.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { useOwnMoulds } from './useOwnMoulds.ts';

const KEEP = 'as it is';

/** Start from one's own moulds or the small library; the plan keeps its own copy. */
export function StarterMoulds() {
  const { plan, edit } = usePlan();
  const own = useOwnMoulds();
  const moulds = [...own, ...STARTER_MOULDS];
  const at = moulds.findIndex((m) => sameMould(m, plan.mould));
  return (
    <Picker
      label="Start from"
      value={at < 0 ? KEEP : String(at)}
      options={[
        ...(at < 0 ? [{ value: KEEP, label: `${plan.mould.name} (changed here)` }] : []),
        ...moulds.map((m, i) => ({ value: String(i), label: i < own.length ? `${m.name} (mine)` : m.name })),
      ]}
      onPick={(i) => {
        const mould = moulds[Number(i)];
        if (mould) edit((p) => takeMould(p, mould));
      }}
    />
  );
}
