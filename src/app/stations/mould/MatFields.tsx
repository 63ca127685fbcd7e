import { REPEATED_EDGES } from '../../../core/flow/edge.ts';
import { FIRST_MAT, setMat } from '../../../core/edit/mat.ts';
import { ridgesStep } from '../../../core/fill/ridges.ts';
import type { Mat } from '../../../core/mould/schema.ts';
import { potNamed } from '../../../core/plan/sources.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { Button } from '../../kit/Button.tsx';
import { RunsChoice } from '../../kit/RunsChoice.tsx';
import { liesRound } from '../../../core/mould/round.ts';

const SHAPES: Readonly<Record<Mat['shape'], string>> = {
  waves: 'waves',
  teeth: 'teeth',
  grooves: 'round grooves',
  ridges: 'round ridges',
  notches: 'square notches',
};

/** A texture mat on the floor: the loaf is made upside down. */
export function MatFields() {
  const { plan, computed, edit, show } = useBench('tops');
  const { mat, shape } = plan.mould;
  const round = liesRound(shape);
  const put = (change: Partial<Mat>, gesture?: Gesture) =>
    edit((p) => (p.mould.mat ? setMat(p, { ...p.mould.mat, ...change }) : p), gesture);
  const ridges = computed.tops.find((t) => t.step.kind === 'ridges');
  const pot = potNamed(plan, ridgesStep(plan).pot);
  if (round && !mat) return null;
  return (
    <Group
      title="Texture mat, made upside down"
      aside={
        <Button onClick={() => edit((p) => setMat(p, mat ? undefined : FIRST_MAT))}>
          {mat ? 'Take it out' : 'Lay one in'}
        </Button>
      }
    >
      {mat ? (
        <>
          <div className="grid grid-cols-2 items-end gap-3">
            <LengthField
              label="Thick, with its relief"
              value={mat.thicknessMm}
              onValue={(thicknessMm, g) => put({ thicknessMm }, g)}
            />
            <LengthField
              label="Hollows deep"
              value={mat.reliefMm}
              onValue={(reliefMm, g) => put({ reliefMm }, g)}
            />
            <Picker
              label="Relief of"
              value={mat.shape}
              options={REPEATED_EDGES.map((s) => ({ value: s, label: SHAPES[s] }))}
              onPick={(next) => put({ shape: next })}
            />
            <LengthField
              label="From hollow to hollow"
              value={mat.pitchMm}
              onValue={(pitchMm, g) => put({ pitchMm }, g)}
            />
          </div>
          <RunsChoice legend="They run" hideLegend value={mat.runs} onChoose={(runs) => put({ runs })} />
          <p className="text-sm">
            Heights are above its flat. {ridges && <b>Its hollows take {show.mass(ridges.massG)}</b>}
            {ridges && pot && ` of pot ${pot.letter}, ${pot.name}: the ridges of the bars.`} What is poured
            first is the top, what is poured last the base: bars are drawn as they stand.
          </p>
        </>
      ) : (
        <p className="quiet text-sm">None: the loaf stands as it is poured.</p>
      )}
    </Group>
  );
}
