import { newPath, updateStroke } from '../../../../core/edit/pattern.ts';
import { depthAt } from '../../../../core/pattern/depthAt.ts';
import { plural } from '../../../../core/units/words.ts';
import { STICK, STICK_NAMES } from '../../../../core/pattern/knowHow.ts';
import { strokePaths } from '../../../../core/pattern/blocks.ts';
import type { StickPath } from '../../../../core/plan/patternSchema.ts';
import type { Stroke } from '../../../../core/plan/stepSchema.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { FigureField, LengthField } from '../../../parts/quantities.tsx';
import { RunsPicker } from '../../../parts/RunsPicker.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { More } from '../More.tsx';
import { StepButtons } from './StepButtons.tsx';
import { ToolHead } from './ToolHead.tsx';
import { Check } from '../../../kit/Check.tsx';

type Way = Extract<StickPath, { kind: 'fan' }>['way'];

const STICK_WORDS: Readonly<Record<StickPath['kind'], string>> = {
  fan: 'a fan',
  spiral: 'a spiral',
  rings: 'rings',
  lines: 'lines',
  free: 'a path of your own',
};

/** Out from the middle, or in to it. */
const WayWord = ({ way, onPick }: { readonly way: Way; readonly onPick: (way: Way) => void }) => (
  <Picker
    label="Drawn"
    value={way}
    options={[
      { value: 'out', label: 'from the middle out' },
      { value: 'in', label: 'in to the middle' },
    ]}
    onPick={onPick}
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
      <div className="sentence">
        Drawn as{' '}
        <Picker
          label="Its way"
          value={path.kind}
          options={(Object.keys(STICK_NAMES) as StickPath['kind'][]).map((kind) => ({
            value: kind,
            label: STICK_WORDS[kind],
          }))}
          onPick={(kind) => edit((p) => updateStroke(p, stroke.id, { path: newPath(p, kind) }))}
        />
        {path.kind === 'fan' && (
          <>
            {' of '}
            <FigureField
              label="Strokes"
              suffix=""
              value={path.strokes}
              onValue={(strokes, g) => put({ ...path, strokes: Math.round(strokes) }, g)}
            />
            {' strokes, '}
            <WayWord way={path.way} onPick={(way) => put({ ...path, way })} />
          </>
        )}
        {path.kind === 'spiral' && (
          <>
            {', '}
            <LengthField
              label="From turn to turn"
              value={path.pitchMm}
              onValue={(pitchMm, g) => put({ ...path, pitchMm }, g)}
            />
            {' from turn to turn, '}
            <WayWord way={path.way} onPick={(way) => put({ ...path, way })} />
          </>
        )}
        {path.kind === 'lines' && (
          <>
            {' '}
            <RunsPicker label="They run" value={path.runs} onPick={(runs) => put({ ...path, runs })} />
            {', '}
            <Picker
              label="Drawn"
              value={path.turns ? 'turns' : 'same'}
              options={[
                { value: 'turns', label: 'there and back' },
                { value: 'same', label: 'all one way' },
              ]}
              onPick={(way) => put({ ...path, turns: way === 'turns' })}
            />
          </>
        )}
        {(path.kind === 'rings' || path.kind === 'lines') && (
          <>
            {', '}
            <LengthField
              label="Apart"
              value={path.spacingMm}
              onValue={(spacingMm, g) => put({ ...path, spacingMm }, g)}
            />
            {' apart'}
          </>
        )}
        {path.kind === 'free' && ` through ${plural(path.points.length, 'point')}`}
        {', with its '}
        <Picker
          label="With its"
          value={stroke.end}
          options={[
            { value: 'thick', label: 'thick end' },
            { value: 'thin', label: 'thin end' },
          ]}
          onPick={(end) => edit((p) => updateStroke(p, stroke.id, { end }))}
        />
        {', '}
        <LengthField
          label="How deep"
          value={stroke.depthMm}
          onValue={(depthMm, g) => edit((p) => updateStroke(p, stroke.id, { depthMm }), g)}
        />
        {` deep in ${show.length(deep)} of batter.`}
      </div>
      {path.kind === 'fan' && drawn < path.strokes * (path.doubled ? 2 : 1) && (
        <p role="status" className="quiet text-sm">
          Drawn all the way round, {drawn} of them fall into the mould.
        </p>
      )}
      {path.kind === 'free' && (
        <p className="quiet text-sm">Press “Draw the path” over the plan and draw it in one go.</p>
      )}
      <More know={STICK}>
        {path.kind === 'fan' && (
          <Check checked={path.doubled} onCheck={() => put({ ...path, doubled: !path.doubled })}>
            Another between each two, from half way out
          </Check>
        )}
        <StepButtons stepId={stroke.id} />
      </More>
    </section>
  );
}
