import { setTop } from '../../../../core/edit/tops.ts';
import type { Top } from '../../../../core/plan/stepSchema.ts';
import type { TopWay } from '../../../../core/plan/topSchema.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { Picker } from '../../../parts/Picker.tsx';
import { LengthField } from '../../../parts/quantities.tsx';
import { RunsPicker } from '../../../parts/RunsPicker.tsx';
import { useBench } from '../../../parts/usePlan.ts';
import { partsOf } from '../../../parts/partsOf.ts';

type Mound = Extract<TopWay, { top: 'mound' }>;

/** A mound: out of which pot, how high and wide, and where its ridge runs. */
export function MoundFields({ step, way }: { readonly step: Top; readonly way: Mound }) {
  const { plan, edit } = useBench();
  const put = (change: Partial<Mound>, gesture?: Gesture) =>
    edit((p) => setTop(p, step.id, { ...way, ...change }), gesture);
  const long = way.runs === 'lengthwise';
  const field = partsOf(way, put);
  return (
    <div className="sentence">
      Heaped out of{' '}
      <Picker
        label="Out of"
        value={way.pot}
        options={plan.pots.map((p) => ({ value: p.id, label: `pot ${p.letter}, ${p.name}` }))}
        onPick={(pot) => put({ pot })}
      />
      {', '}
      <LengthField label="High" {...field('heightMm')} />
      {' high and '}
      <LengthField label="Wide" {...field('wideMm')} />
      {' wide, its ridge '}
      <RunsPicker label="Its ridge runs" value={way.runs} onPick={(runs) => put({ runs, offMm: 0 })} />
      {', '}
      <LengthField label={long ? 'Right of the middle' : 'Beyond the middle'} {...field('offMm')} />
      {long
        ? ' right of the middle (less than nothing: left).'
        : ' beyond the middle (less than nothing: nearer).'}
    </div>
  );
}
