import { addMicaLine } from '../../../../core/edit/micaLine.ts';
import type { ScaledLayer } from '../../../../core/weigh/scaled.ts';
import type { StepId } from '../../../../core/validate/ids.ts';
import { pourChosen } from '../../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { ColorantPicker } from '../../../parts/colour/ColorantPicker.tsx';
import { useBenchEdit } from '../../../parts/usePlan.ts';

/** Puts a thin line of a colorant over a layer. */
export function PutLine({ layer }: { readonly layer: ScaledLayer }) {
  const edit = useBenchEdit();
  const dispatch = useAppDispatch();
  return (
    <ColorantPicker
      label="A line over it, of"
      className="w-full"
      onPick={(colorant) => {
        let id: StepId | undefined;
        edit((p) => {
          const made = addMicaLine(p, layer, colorant);
          id = made.stepId;
          return made.plan;
        });
        if (id !== undefined) dispatch(pourChosen(id));
      }}
    />
  );
}
