import { columnsIn } from '../../../core/mould/column.ts';
import { plural } from '../../../core/units/words.ts';
import type { Mould } from '../../../core/mould/schema.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Group, Station } from '../../parts/Station.tsx';
import { DamagedList } from '../../parts/Damaged.tsx';
import { StationFold } from '../../parts/StationFold.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { AnotherMould } from './AnotherMould.tsx';
import { BatchMoulds, MouldBeside } from './BatchMoulds.tsx';
import { FillFields } from './FillFields.tsx';
import { InsideThings } from './InsideThings.tsx';
import { MatFields } from './MatFields.tsx';
import { MadeFor } from './MadeFor.tsx';
import { MouldVolume } from './MouldVolume.tsx';
import { OwnMoulds } from './OwnMoulds.tsx';
import { useOwnMoulds } from './useOwnMoulds.ts';
import { ShapeFields } from './ShapeFields.tsx';
import { StarterMoulds } from './StarterMoulds.tsx';
import type { Gesture } from '../../../store/gesture.ts';
import { isRound } from '../../../core/mould/round.ts';

export function MouldStation() {
  const { plan, edit } = useBench();
  const { mould } = plan;
  const { damaged } = useOwnMoulds();
  const straight = !isRound(mould.shape);
  const change = (part: Partial<Mould>, gesture?: Gesture) =>
    edit((p) => ({ ...p, mould: { ...p.mould, ...part } }), gesture);
  return (
    <Station station="mould" title="Mould">
      <BatchMoulds />
      <StarterMoulds />
      <DamagedList table="moulds" keys={damaged} />
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
      <FillFields />
      <MouldVolume />
      <div>
        <StationFold id="inside" title="What stands in it" state={insideText(mould)}>
          <InsideThings />
          <MatFields />
        </StationFold>
        <StationFold
          id="beside"
          title="Another mould beside it"
          state={plan.others.length === 0 ? 'none' : plural(plan.others.length, 'more')}
        >
          <MouldBeside />
        </StationFold>
        <StationFold id="elsewhere" title="The same design in another mould" state="a plan by itself">
          <AnotherMould />
        </StationFold>
        <StationFold id="my-moulds" title="My moulds">
          <OwnMoulds />
        </StationFold>
      </div>
    </Station>
  );
}

/** "a divider, 2 columns" */
function insideText(mould: Mould): string {
  const columns = columnsIn(mould).length;
  const list = [
    ...(mould.divider ? ['a divider'] : []),
    ...(columns > 0 ? [plural(columns, 'column')] : []),
    ...(mould.mat ? ['a texture mat'] : []),
  ];
  return list.length === 0 ? 'nothing' : list.join(', ');
}
