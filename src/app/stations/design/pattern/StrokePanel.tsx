import { newPath, updateStroke } from '../../../../core/edit/pattern.ts';
import { depthAt } from '../../../../core/pattern/depthAt.ts';
import { STICK, STICK_NAMES } from '../../../../core/pattern/knowHow.ts';
import { strokePaths } from '../../../../core/pattern/blocks.ts';
import type { StickPath } from '../../../../core/plan/patternSchema.ts';
import type { Stroke } from '../../../../core/plan/stepSchema.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Choice } from '../../../kit/Choice.tsx';
import { Picker } from '../../../parts/Picker.tsx';
import { FigureField, LengthField } from '../../../parts/quantities.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { NeedsAndFails } from './NeedsAndFails.tsx';
import { StepButtons } from './StepButtons.tsx';
import { ToolHead } from './ToolHead.tsx';
import { Check } from '../../../kit/Check.tsx';
import { RunsChoice } from '../../../kit/RunsChoice.tsx';

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
  const { computed, edit, show } = useBench('geometry', 'stack');
  const { path } = stroke;
  const put = (next: StickPath, gesture?: Gesture) =>
    edit((p) => updateStroke(p, stroke.id, { path: next }), gesture);
  const deep = depthAt(computed, stroke);
  const drawn = strokePaths(computed, stroke).length;
  return (
    <section aria-label="The stick" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ToolHead tool="stick" does={STICK_NAMES[path.kind]} />
      <Picker
        label="Its way"
        value={path.kind}
        options={(Object.keys(STICK_NAMES) as StickPath['kind'][]).map((kind) => ({
          value: kind,
          label: STICK_NAMES[kind],
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
          <Check checked={path.doubled} onCheck={() => put({ ...path, doubled: !path.doubled })}>
            Another between each two, from half way out
          </Check>
          {drawn < path.strokes * (path.doubled ? 2 : 1) && (
            <p role="status" className="quiet text-sm">
              Drawn all the way round, {drawn} of them fall into the mould.
            </p>
          )}
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
          <RunsChoice legend="They run" value={path.runs} onChoose={(runs) => put({ ...path, runs })} />
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
      <NeedsAndFails know={STICK} />
      <StepButtons stepId={stroke.id} />
    </section>
  );
}
