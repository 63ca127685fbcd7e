import { setTop } from '../../../../core/edit/tops.ts';
import type { Top } from '../../../../core/plan/stepSchema.ts';
import type { TopWay } from '../../../../core/plan/topSchema.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { LengthField } from '../../../parts/quantities.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { partsOf } from '../../../parts/partsOf.ts';
import { RunsChoice } from '../../../kit/RunsChoice.tsx';

type Mound = Extract<TopWay, { top: 'mound' }>;

/** A mound: out of which pot, how high and wide, and where its ridge runs. */
export function MoundFields({ step, way }: { readonly step: Top; readonly way: Mound }) {
  const { plan, edit } = useBench();
  const put = (change: Partial<Mound>, gesture?: Gesture) =>
    edit((p) => setTop(p, step.id, { ...way, ...change }), gesture);
  const long = way.runs === 'lengthwise';
  const field = partsOf(way, put);
  return (
    <>
      <Picker
        label="Out of"
        value={way.pot}
        options={plan.pots.map((p) => ({ value: p.id, label: `pot ${p.letter}, ${p.name}` }))}
        onPick={(pot) => put({ pot })}
      />
      <div className="grid grid-cols-2 items-end gap-2">
        <LengthField label="High" {...field('heightMm')} />
        <LengthField label="Wide" {...field('wideMm')} />
      </div>
      <RunsChoice legend="Its ridge runs" value={way.runs} onChoose={(runs) => put({ runs, offMm: 0 })} />
      <LengthField
        label={long ? 'Right of the middle' : 'Beyond the middle'}
        hint={long ? 'Less than nothing: to the left.' : 'Less than nothing: nearer.'}
        {...field('offMm')}
      />
    </>
  );
}
