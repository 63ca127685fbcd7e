import type { ReactNode } from 'react';
import { columnsIn } from '../../../../core/mould/column.ts';
import { CORNERS, type Corner } from '../../../../core/mould/cornerProp.ts';
import type { PlaceKind } from '../../../../core/ways/ways.ts';
import { plural } from '../../../../core/units/words.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { FigureField, LengthField, PercentField } from '../../../parts/quantities.tsx';
import { RunsPicker } from '../../../parts/RunsPicker.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { SplitJugFields } from './SplitJugFields.tsx';
import type { WayFieldsProps } from './wayFieldsProps.ts';

const CORNER_WORDS: Readonly<Record<Corner, string>> = {
  'left-near': 'near, left',
  'right-near': 'near, right',
  'left-far': 'far, left',
  'right-far': 'far, right',
};

/** How far down the drops reach; their places are dragged in the plan, or typed beside it. */
const DropFields = ({ place, put }: WayFieldsProps<'drops'>) => (
  <>
    {' at '}
    {plural(place.spots.length, 'place')}
    {', reaching down '}
    <LengthField
      label="Reaches down"
      value={place.reachMm ?? 600}
      onValue={(reachMm, g) => put({ ...place, reachMm }, g)}
    />
  </>
);

const ALL = '';

function ColumnPlaceFields({ place, put }: WayFieldsProps<'column'>) {
  const columns = columnsIn(useBench().plan.mould);
  if (columns.length < 2) return null;
  return (
    <>
      {' over '}
      <Picker
        label="Over"
        value={place.column ?? ALL}
        options={[
          { value: ALL, label: `all ${columns.length} columns` },
          ...columns.map((c, i) => ({ value: c.id, label: `column ${i + 1} alone` })),
        ]}
        onPick={(id) => put(id === ALL ? { at: 'column' } : { at: 'column', column: id })}
      />
    </>
  );
}

const WALLS = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
  { value: 'near', label: 'near' },
  { value: 'far', label: 'far' },
] as const;

const PAIRS = [
  { value: 'long', label: 'the long walls' },
  { value: 'ends', label: 'the ends' },
] as const;

/** What a card's sentence says of each way of pouring, after its name. */
export const WAY_FIELDS: { readonly [K in PlaceKind]: (props: WayFieldsProps<K>) => ReactNode } = {
  column: ColumnPlaceFields,
  corner: ({ place, put }) => (
    <>
      {' in the corner '}
      <Picker
        label="Corner"
        value={place.corner}
        options={CORNERS.map((corner) => ({ value: corner, label: CORNER_WORDS[corner] }))}
        onPick={(corner) => put({ ...place, corner })}
      />
    </>
  ),
  line: ({ place, put }) => (
    <>
      {' '}
      <RunsPicker label="The line runs" value={place.runs} onPick={(runs) => put({ ...place, runs })} />
      {', '}
      <LengthField
        label="Off the middle"
        value={place.offMm}
        onValue={(offMm, g) => put({ ...place, offMm }, g)}
      />
      {' off the middle'}
    </>
  ),
  wall: ({ place, put }) => (
    <>
      {' down the '}
      <Picker label="Wall" value={place.wall} options={WALLS} onPick={(wall) => put({ ...place, wall })} />
      {' wall'}
    </>
  ),
  'two-walls': ({ place, put }) => (
    <>
      {' down '}
      <Picker
        label="Walls"
        value={place.walls}
        options={PAIRS}
        onPick={(walls) => put({ ...place, walls })}
      />
      {', '}
      <PercentField
        label={place.walls === 'long' ? 'On the left' : 'At the near end'}
        value={place.firstPercent}
        onValue={(firstPercent, g) => put({ ...place, firstPercent }, g)}
      />
      {place.walls === 'long' ? ' on the left' : ' at the near end'}
    </>
  ),
  'close-lines': ({ place, put }) => (
    <>
      {' '}
      <RunsPicker label="The line runs" value={place.runs} onPick={(runs) => put({ ...place, runs })} />
      {', '}
      <LengthField
        label="Apart"
        value={place.spacingMm}
        onValue={(spacingMm, g) => put({ ...place, spacingMm }, g)}
      />
      {' apart'}
    </>
  ),
  'in-the-pot': ({ place, put }) => (
    <>
      {' with '}
      <FigureField
        label="Turns of the spoon"
        suffix=""
        value={place.spoonTurns}
        onValue={(spoonTurns, g) => put({ ...place, spoonTurns }, g)}
      />
      {' turns of the spoon'}
    </>
  ),
  'split-jug': SplitJugFields,
  drops: DropFields,
};
