import { Trash2, X } from 'lucide-react';
import { newPath, updateStroke } from '../../../../core/edit/pattern.ts';
import { moveStep, removeStep } from '../../../../core/edit/pours.ts';
import type { StickPath } from '../../../../core/plan/patternSchema.ts';
import type { Stroke } from '../../../../core/plan/stepSchema.ts';
import { pourChosen } from '../../../../store/deskSlice.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { Choice } from '../../../parts/Choice.tsx';
import { Picker } from '../../../parts/Picker.tsx';
import { FigureField, LengthField } from '../../../parts/quantities.tsx';
import { useBench } from '../../../parts/usePlan.ts';

export const PATH_NAMES: Readonly<Record<StickPath['kind'], string>> = {
  fan: 'Fan',
  spiral: 'Spiral',
  rings: 'Rings',
  lines: 'Lines',
  free: 'A path of your own',
};

type Way = Extract<StickPath, { kind: 'fan' }>['way'];

/** Out from the middle, or in to it. */
const WayChoice = ({ way, onChoose }: { readonly way: Way; readonly onChoose: (way: Way) => void }) => (
  <Choice
    legend="Drawn"
    value={way}
    options={[
      { value: 'out', label: 'out' },
      { value: 'in', label: 'in' },
    ]}
    onChoose={onChoose}
  />
);

/** A stick drawn through the batter: which way, how thick and how deep. */
export function StrokePanel({ stroke }: { readonly stroke: Stroke }) {
  const { plan, computed, edit, show } = useBench();
  const at = plan.steps.findIndex((s) => s.id === stroke.id);
  const dispatch = useAppDispatch();
  const { path } = stroke;
  const put = (next: StickPath, gesture?: Gesture) =>
    edit((p) => updateStroke(p, stroke.id, { path: next }), gesture);
  const deep = computed.fill.heightMm;
  return (
    <section aria-label="The stick" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex items-center gap-3">
        <div className="min-w-0 flex-1">
          <p className="quiet text-sm">The stick</p>
          <h3 className="text-lg leading-tight">{PATH_NAMES[path.kind]}</h3>
        </div>
        <button
          type="button"
          className="btn btn-ghost btn-sm px-1.5"
          aria-label="Close the stick"
          onClick={() => dispatch(pourChosen(null))}
        >
          <X className="size-4" aria-hidden="true" />
        </button>
      </div>
      <Picker
        label="Its way"
        value={path.kind}
        options={(Object.keys(PATH_NAMES) as StickPath['kind'][]).map((kind) => ({
          value: kind,
          label: PATH_NAMES[kind],
        }))}
        onPick={(kind) => edit((p) => updateStroke(p, stroke.id, { path: newPath(p, kind) }))}
      />
      {path.kind === 'fan' && (
        <>
          <div className="grid grid-cols-2 items-end gap-2">
            <FigureField
              label="Strokes"
              suffix=""
              value={path.strokes}
              onValue={(strokes, g) => put({ ...path, strokes: Math.round(strokes) }, g)}
            />
            <WayChoice way={path.way} onChoose={(way) => put({ ...path, way })} />
          </div>
          <label className="flex cursor-pointer items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-4 accent-(--color-primary)"
              checked={path.doubled}
              onChange={() => put({ ...path, doubled: !path.doubled })}
            />
            Another between each two, from half way out
          </label>
        </>
      )}
      {path.kind === 'spiral' && (
        <div className="grid grid-cols-2 items-end gap-2">
          <LengthField
            label="From turn to turn"
            value={path.pitchMm}
            onValue={(pitchMm, g) => put({ ...path, pitchMm }, g)}
          />
          <WayChoice way={path.way} onChoose={(way) => put({ ...path, way })} />
        </div>
      )}
      {path.kind === 'rings' && (
        <LengthField
          label="Apart"
          value={path.spacingMm}
          onValue={(spacingMm, g) => put({ ...path, spacingMm }, g)}
        />
      )}
      {path.kind === 'lines' && (
        <>
          <Choice
            legend="They run"
            value={path.runs}
            options={[
              { value: 'lengthwise', label: 'end to end' },
              { value: 'crosswise', label: 'side to side' },
            ]}
            onChoose={(runs) => put({ ...path, runs })}
          />
          <div className="grid grid-cols-2 items-end gap-2">
            <LengthField
              label="Apart"
              value={path.spacingMm}
              onValue={(spacingMm, g) => put({ ...path, spacingMm }, g)}
            />
            <Choice
              legend="Drawn"
              value={path.turns ? 'turns' : 'same'}
              options={[
                { value: 'turns', label: 'there and back' },
                { value: 'same', label: 'one way' },
              ]}
              onChoose={(way) => put({ ...path, turns: way === 'turns' })}
            />
          </div>
        </>
      )}
      {path.kind === 'free' && (
        <p className="quiet text-sm">
          {path.points.length} points. Press “Draw the path” over the plan and draw it in one go.
        </p>
      )}
      <Choice
        legend="With its"
        value={stroke.end}
        options={[
          { value: 'thick', label: 'thick end' },
          { value: 'thin', label: 'thin end' },
        ]}
        onChoose={(end) => edit((p) => updateStroke(p, stroke.id, { end }))}
      />
      <LengthField
        label="How deep"
        hint={`The batter is ${show.length(deep)} deep.`}
        value={stroke.depthMm}
        onValue={(depthMm, g) => edit((p) => updateStroke(p, stroke.id, { depthMm }), g)}
      />
      <div className="flex flex-wrap gap-1.5">
        {([-1, 1] as const).map((by) => {
          const other = plan.steps[at + by];
          return (
            <button
              key={by}
              type="button"
              className="btn btn-sm"
              disabled={!other || other.kind === 'finish'}
              onClick={() => {
                if (other) edit((p) => moveStep(p, stroke.id, other.id));
              }}
            >
              {by < 0 ? 'Earlier' : 'Later'}
            </button>
          );
        })}
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => {
            edit((p) => removeStep(p, stroke.id));
            dispatch(pourChosen(null));
          }}
        >
          <Trash2 className="size-4" aria-hidden="true" /> Remove
        </button>
      </div>
    </section>
  );
}
