import type { Mould } from '../../../core/mould/schema.ts';
import { Choice } from '../../parts/Choice.tsx';
import { Group, Station } from '../../parts/Station.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { FillFields } from './FillFields.tsx';
import { MouldVolume } from './MouldVolume.tsx';
import { ShapeFields } from './ShapeFields.tsx';
import { StarterMoulds } from './StarterMoulds.tsx';

export function MouldStation() {
  const { plan, edit } = usePlan();
  const { mould } = plan;
  const change = (part: Partial<Mould>, gesture?: string) =>
    edit((p) => ({ ...p, mould: { ...p.mould, ...part } }), gesture);
  return (
    <Station station="mould" title="Mould">
      <StarterMoulds />
      <Group title="Inside sizes">
        <TextField label="Name" value={mould.name} onValue={(name, gesture) => change({ name }, gesture)} />
        <Choice
          legend="Walls of"
          value={mould.material}
          options={[
            { value: 'wood', label: 'wood' },
            { value: 'silicone', label: 'silicone' },
            { value: 'plastic', label: 'plastic' },
          ]}
          onChoose={(material) => {
            change({ material });
          }}
        />
        <ShapeFields />
        <LengthField
          label="Liner, each side and floor"
          value={mould.linerMm}
          onValue={(linerMm, gesture) => change({ linerMm }, gesture)}
        />
      </Group>
      <FillFields />
      <MouldVolume />
    </Station>
  );
}
