import { Plus, X } from 'lucide-react';
import type { PlaceOf } from '../../../../core/ways/ways.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Button } from '../../../kit/Button.tsx';
import { IconButton } from '../../../kit/IconButton.tsx';
import { LengthField } from '../../../parts/quantities.tsx';
import type { WayFieldsProps } from './wayFieldsProps.ts';

/** Each place of the drops by its figures; they are dragged in the plan too. */
export function DropPlaces({ place, put }: Pick<WayFieldsProps<'drops'>, 'place' | 'put'>) {
  const at = (spots: PlaceOf<'drops'>['spots'], gesture?: Gesture) => put({ ...place, spots }, gesture);
  return (
    <div className="grid gap-2">
      {place.spots.map((spot, i) => (
        <div key={i} className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
          <LengthField
            label={`Place ${i + 1}, to the right`}
            value={spot.xMm}
            onValue={(xMm, g) => at(place.spots.with(i, { ...spot, xMm }), g)}
          />
          <LengthField
            label="to the far end"
            value={spot.yMm}
            onValue={(yMm, g) => at(place.spots.with(i, { ...spot, yMm }), g)}
          />
          <IconButton
            icon={X}
            label={`Take out place ${i + 1}`}
            disabled={place.spots.length === 1}
            onClick={() => at(place.spots.toSpliced(i, 1))}
          />
        </div>
      ))}
      <Button
        icon={Plus}
        className="justify-self-start"
        disabled={place.spots.length >= 24}
        onClick={() => {
          const last = place.spots.at(-1) ?? { xMm: 0, yMm: 0 };
          at([...place.spots, { xMm: last.xMm, yMm: last.yMm + 30 }]);
        }}
      >
        Place
      </Button>
    </div>
  );
}
