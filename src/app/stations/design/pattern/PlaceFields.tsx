import { Plus, X } from 'lucide-react';
import { withAColumn } from '../../../../core/edit/columns.ts';
import { firstPlace, setPlace } from '../../../../core/edit/pattern.ts';
import { columnsIn } from '../../../../core/mould/column.ts';
import { CORNERS, type Corner } from '../../../../core/mould/cornerProp.ts';
import { KNOW_HOW } from '../../../../core/pattern/knowHow.ts';
import type { Place } from '../../../../core/plan/patternSchema.ts';
import type { Pour } from '../../../../core/plan/stepSchema.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Choice } from '../../../parts/Choice.tsx';
import { Picker } from '../../../parts/Picker.tsx';
import { FigureField, LengthField, PercentField } from '../../../parts/quantities.tsx';
import { SplitJugFields } from './SplitJugFields.tsx';
import { useBench, useBenchEdit } from '../../../parts/usePlan.ts';

const CORNER_WORDS: Readonly<Record<Corner, string>> = {
  'left-near': 'near, left',
  'right-near': 'near, right',
  'left-far': 'far, left',
  'right-far': 'far, right',
};

type Drops = Extract<Place, { at: 'drops' }>;

/** Each place by its figures; they are dragged in the plan too. */
function DropFields({ pour, place }: { readonly pour: Pour; readonly place: Drops }) {
  const edit = useBenchEdit();
  const put = (spots: Drops['spots'], gesture?: Gesture) =>
    edit((p) => setPlace(p, pour.id, { ...place, spots }), gesture);
  return (
    <div className="grid gap-2">
      {place.spots.map((spot, i) => (
        <div key={i} className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
          <LengthField
            label={`Place ${i + 1}, to the right`}
            value={spot.xMm}
            onValue={(xMm, g) => put(place.spots.with(i, { ...spot, xMm }), g)}
          />
          <LengthField
            label="to the far end"
            value={spot.yMm}
            onValue={(yMm, g) => put(place.spots.with(i, { ...spot, yMm }), g)}
          />
          <button
            type="button"
            className="btn btn-ghost btn-sm px-1.5"
            aria-label={`Take out place ${i + 1}`}
            disabled={place.spots.length === 1}
            onClick={() => put(place.spots.toSpliced(i, 1))}
          >
            <X className="size-4" aria-hidden="true" />
          </button>
        </div>
      ))}
      <div className="flex items-end gap-2">
        <button
          type="button"
          className="btn btn-sm"
          disabled={place.spots.length >= 24}
          onClick={() => {
            const last = place.spots.at(-1) ?? { xMm: 0, yMm: 0 };
            put([...place.spots, { xMm: last.xMm, yMm: last.yMm + 30 }]);
          }}
        >
          <Plus className="size-4" aria-hidden="true" /> Place
        </button>
        <LengthField
          label="Reaches down"
          value={place.reachMm ?? 600}
          onValue={(reachMm, g) => edit((p) => setPlace(p, pour.id, { ...place, reachMm }), g)}
        />
      </div>
    </div>
  );
}

type Runs = Extract<Place, { at: 'line' }>['runs'];

const RunsChoice = ({ runs, onChoose }: { readonly runs: Runs; readonly onChoose: (runs: Runs) => void }) => (
  <Choice
    legend="The line runs"
    value={runs}
    options={[
      { value: 'lengthwise', label: 'end to end' },
      { value: 'crosswise', label: 'side to side' },
    ]}
    onChoose={onChoose}
  />
);

const ALL = '';

/** Where a pour that pushes others aside goes in. */
export function PlaceFields({ pour, place }: { readonly pour: Pour; readonly place: Place }) {
  const { plan, edit } = useBench();
  const put = (next: Place, gesture?: Gesture) => edit((p) => setPlace(p, pour.id, next), gesture);
  const columns = columnsIn(plan.mould);
  return (
    <div className="grid gap-2">
      <Picker
        label="Way of pouring"
        value={place.at}
        options={(Object.keys(KNOW_HOW) as Place['at'][]).map((at) => ({
          value: at,
          label: KNOW_HOW[at].name,
        }))}
        onPick={(at) => {
          edit((p) => {
            const placed = setPlace(p, pour.id, firstPlace(at));
            return at === 'column' ? withAColumn(placed) : placed;
          });
        }}
      />
      {place.at === 'column' && columns.length > 1 && (
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
      {place.at === 'column' && columns.length > 0 && (
        <p className="quiet text-sm">
          {columns.length === 1 ? 'Drag and turn the column' : 'Drag and turn the columns'} in the plan; more
          of them, and other outlines, under Mould.
        </p>
      )}
      {place.at === 'corner' && (
        <Picker
          label="Corner"
          value={place.corner}
          options={CORNERS.map((corner) => ({ value: corner, label: CORNER_WORDS[corner] }))}
          onPick={(corner) => put({ ...place, corner })}
        />
      )}
      {place.at === 'line' && (
        <div className="grid grid-cols-[1fr_auto] items-end gap-2">
          <RunsChoice runs={place.runs} onChoose={(runs) => put({ ...place, runs })} />
          <LengthField
            label="Off the middle"
            className="w-24"
            value={place.offMm}
            onValue={(offMm, g) => put({ ...place, offMm }, g)}
          />
        </div>
      )}
      {place.at === 'in-the-pot' && (
        <FigureField
          label="Turns of the spoon"
          suffix=""
          value={place.spoonTurns}
          onValue={(spoonTurns, g) => put({ ...place, spoonTurns }, g)}
        />
      )}
      {place.at === 'split-jug' && <SplitJugFields pour={pour} place={place} put={put} />}
      {place.at === 'close-lines' && (
        <div className="grid grid-cols-[1fr_auto] items-end gap-2">
          <RunsChoice runs={place.runs} onChoose={(runs) => put({ ...place, runs })} />
          <LengthField
            label="Apart"
            className="w-24"
            value={place.spacingMm}
            onValue={(spacingMm, g) => put({ ...place, spacingMm }, g)}
          />
        </div>
      )}
      {place.at === 'wall' && (
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
      )}
      {place.at === 'two-walls' && (
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
      )}
      {place.at === 'drops' && <DropFields pour={pour} place={place} />}
    </div>
  );
}
