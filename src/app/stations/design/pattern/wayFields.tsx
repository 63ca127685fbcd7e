import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { columnsIn } from '../../../../core/mould/column.ts';
import { CORNERS, type Corner } from '../../../../core/mould/cornerProp.ts';
import type { PlaceKind, PlaceOf } from '../../../../core/ways/ways.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Choice } from '../../../kit/Choice.tsx';
import { Picker } from '../../../parts/Picker.tsx';
import { FigureField, LengthField, PercentField } from '../../../parts/quantities.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { SplitJugFields } from './SplitJugFields.tsx';
import type { WayFieldsProps } from './wayFieldsProps.ts';
import { Button } from '../../../kit/Button.tsx';
import { IconButton } from '../../../kit/IconButton.tsx';
import { RunsChoice } from '../../../kit/RunsChoice.tsx';

const CORNER_WORDS: Readonly<Record<Corner, string>> = {
  'left-near': 'near, left',
  'right-near': 'near, right',
  'left-far': 'far, left',
  'right-far': 'far, right',
};

/** Each place by its figures; they are dragged in the plan too. */
function DropFields({ place, put }: WayFieldsProps<'drops'>) {
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
      <div className="flex items-end gap-2">
        <Button
          icon={Plus}
          disabled={place.spots.length >= 24}
          onClick={() => {
            const last = place.spots.at(-1) ?? { xMm: 0, yMm: 0 };
            at([...place.spots, { xMm: last.xMm, yMm: last.yMm + 30 }]);
          }}
        >
          Place
        </Button>
        <LengthField
          label="Reaches down"
          value={place.reachMm ?? 600}
          onValue={(reachMm, g) => put({ ...place, reachMm }, g)}
        />
      </div>
    </div>
  );
}

const ALL = '';

function ColumnPlaceFields({ place, put }: WayFieldsProps<'column'>) {
  const columns = columnsIn(useBench().plan.mould);
  if (columns.length === 0) return null;
  return (
    <>
      {columns.length > 1 && (
        <Picker
          label="Over"
          value={place.column ?? ALL}
          options={[
            { value: ALL, label: `all ${columns.length} columns, as much over each` },
            ...columns.map((c, i) => ({ value: c.id, label: `column ${i + 1} alone` })),
          ]}
          onPick={(id) => put(id === ALL ? { at: 'column' } : { at: 'column', column: id })}
        />
      )}
      <p className="quiet text-sm">
        {columns.length === 1 ? 'Drag and turn the column' : 'Drag and turn the columns'} in the plan; more of
        them, and other outlines, under Mould.
      </p>
    </>
  );
}

/** The fields of each way of pouring. */
export const WAY_FIELDS: { readonly [K in PlaceKind]: (props: WayFieldsProps<K>) => ReactNode } = {
  column: ColumnPlaceFields,
  corner: ({ place, put }) => (
    <Picker
      label="Corner"
      value={place.corner}
      options={CORNERS.map((corner) => ({ value: corner, label: CORNER_WORDS[corner] }))}
      onPick={(corner) => put({ ...place, corner })}
    />
  ),
  line: ({ place, put }) => (
    <div className="grid grid-cols-[1fr_auto] items-end gap-2">
      <RunsChoice legend="The line runs" value={place.runs} onChoose={(runs) => put({ ...place, runs })} />
      <LengthField
        label="Off the middle"
        className="w-24"
        value={place.offMm}
        onValue={(offMm, g) => put({ ...place, offMm }, g)}
      />
    </div>
  ),
  wall: ({ place, put }) => (
    <Choice
      legend="Wall"
      value={place.wall}
      options={[
        { value: 'left', label: 'left' },
        { value: 'right', label: 'right' },
        { value: 'near', label: 'near' },
        { value: 'far', label: 'far' },
      ]}
      onChoose={(wall) => put({ ...place, wall })}
    />
  ),
  'two-walls': ({ place, put }) => (
    <div className="grid grid-cols-[1fr_auto] items-end gap-2">
      <Choice
        legend="Walls"
        value={place.walls}
        options={[
          { value: 'long', label: 'long ones' },
          { value: 'ends', label: 'the ends' },
        ]}
        onChoose={(walls) => put({ ...place, walls })}
      />
      <PercentField
        label={place.walls === 'long' ? 'On the left' : 'At the near end'}
        className="w-24"
        value={place.firstPercent}
        onValue={(firstPercent, g) => put({ ...place, firstPercent }, g)}
      />
    </div>
  ),
  'close-lines': ({ place, put }) => (
    <div className="grid grid-cols-[1fr_auto] items-end gap-2">
      <RunsChoice legend="The line runs" value={place.runs} onChoose={(runs) => put({ ...place, runs })} />
      <LengthField
        label="Apart"
        className="w-24"
        value={place.spacingMm}
        onValue={(spacingMm, g) => put({ ...place, spacingMm }, g)}
      />
    </div>
  ),
  'in-the-pot': ({ place, put }) => (
    <FigureField
      label="Turns of the spoon"
      suffix=""
      value={place.spoonTurns}
      onValue={(spoonTurns, g) => put({ ...place, spoonTurns }, g)}
    />
  ),
  'split-jug': SplitJugFields,
  drops: DropFields,
};
