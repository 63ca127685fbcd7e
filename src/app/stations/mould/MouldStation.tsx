import type { Mould } from '../../../core/mould/schema.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Group, Station } from '../../parts/Station.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { AnotherMould } from './AnotherMould.tsx';
import { BatchMoulds } from './BatchMoulds.tsx';
import { FillFields } from './FillFields.tsx';
import { InsideThings } from './InsideThings.tsx';
import { MatFields } from './MatFields.tsx';
import { MadeFor } from './MadeFor.tsx';
import { MouldVolume } from './MouldVolume.tsx';
import { OwnMoulds } from './OwnMoulds.tsx';
import { ShapeFields } from './ShapeFields.tsx';
import { StarterMoulds } from './StarterMoulds.tsx';
import type { Gesture } from '../../../store/gesture.ts';
import { isRound } from '../../../core/mould/round.ts';

export function MouldStation() {
  const { plan, edit } = useBench();
  const { mould } = plan;
  const straight = !isRound(mould.shape);
  const change = (part: Partial<Mould>, gesture?: Gesture) =>
    edit((p) => ({ ...p, mould: { ...p.mould, ...part } }), gesture);
  return (
    <Station station="mould" title="Mould">
      <BatchMoulds />
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
          onChoose={(material) => change({ material })}
        />
        <ShapeFields />
        <MadeFor />
        <div className="grid grid-cols-3 gap-3">
          <LengthField
            label="Liner, a side"
            value={mould.linerMm}
            onValue={(linerMm, gesture) => change({ linerMm }, gesture)}
          />
          <LengthField
            label="Wall thickness"
            value={mould.wallMm}
            onValue={(wallMm, gesture) => change({ wallMm }, gesture)}
          />
          {straight && (
            <LengthField
              label="Bow of a wall"
              value={mould.bowMm}
              onValue={(bowMm, gesture) => change({ bowMm }, gesture)}
            />
          )}
        </div>
        {mould.bowMm > 0 && straight && (
          <p className="quiet text-sm">
            The bow is how far each long wall bulges at mid-length at the rim when full: taken as leaning out
            evenly by two thirds of it, an assumed shape.
          </p>
        )}
      </Group>
      <InsideThings />
      <MatFields />
      <FillFields />
      <MouldVolume />
      <OwnMoulds />
      <AnotherMould />
    </Station>
  );
}
