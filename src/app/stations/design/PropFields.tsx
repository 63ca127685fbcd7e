import { X } from 'lucide-react';
import { footOf, propsAt, propUp } from '../../../core/edit/prop.ts';
import type { ScaledLayer } from '../../../core/weigh/scaled.ts';
import { USUAL_FROM_CORNER_MM } from '../../../core/mould/cornerProp.ts';
import {
  isCorner,
  UNDER,
  waysOfPropping,
  type PutUnder,
  type Thing,
  type Under,
} from '../../../core/mould/propped.ts';
import { UNDER_WORDS } from '../../../core/mould/propWords.ts';
import { isLevel } from '../../../core/mould/tilt.ts';
import { formatLength, formatShort } from '../../../core/units/format.ts';
import { momentShown } from '../../../store/deskSlice.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Picker } from '../../parts/Picker.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { ThingsToHand } from './ThingsToHand.tsx';
import { useThingsToHand } from './useThingsToHand.ts';
import { IconButton } from '../../kit/IconButton.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

const NOTHING = 'nothing';
const OTHER = 'other';

/** Where another thing can go beside those that are there: across a corner a rod carries the mould alone. */
const placesFor = (props: readonly PutUnder[]): readonly Under[] =>
  props.length > 1 ? UNDER.filter((u) => !isCorner(u)) : UNDER;

/** What is put under the mould at this pour, before any angle: the tilt follows from it. */
export function PropFields({ layer }: { readonly layer: ScaledLayer }) {
  const { plan, edit, show } = useBench();
  const dispatch = useAppDispatch();
  const { list: things } = useThingsToHand();
  const { pour, tilt } = layer;
  const props = propsAt(plan, pour.id);
  const put = (next: readonly PutUnder[], gesture?: Gesture) => {
    dispatch(momentShown('pour'));
    return edit((p) => propUp(p, pour.id, next), gesture);
  };
  const at = (i: number, change: Partial<PutUnder>, gesture?: Gesture) =>
    put(
      props.map((p, k) => (k === i ? { ...p, ...change } : p)),
      gesture,
    );
  const add = (what: string): void => {
    const thing = things.find((t) => t.name === what) ?? { name: undefined, heightMm: 15 };
    const last = props.at(-1);
    const under: Under = last && !isCorner(last.under) ? last.under : 'right-edge';
    const rest = props.filter((p) => !isCorner(p.under));
    put([
      ...rest,
      { ...(thing.name === undefined ? {} : { name: thing.name }), heightMm: thing.heightMm, under },
    ]);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2" role="group" aria-label="Propped by">
      {props.map((p, i) => (
        <div
          key={i}
          className="grid grid-cols-[minmax(0,1fr)] gap-1.5 rounded-box border border-base-300 p-2"
        >
          <div className="flex items-center justify-between gap-2">
            <strong className="truncate">{p.name ?? 'Prop'}</strong>
            <IconButton
              icon={X}
              label={`Take ${p.name ?? 'the prop'} away`}
              onClick={() => put(props.filter((_, k) => k !== i))}
            />
          </div>
          <div className="grid grid-cols-2 items-start gap-2">
            <LengthField
              label="High"
              value={p.heightMm}
              hint={formatLength(p.heightMm, plan.units.length === 'mm' ? 'in' : 'mm')}
              onValue={(heightMm, g) => at(i, { heightMm }, g)}
            />
            <Picker
              label="under"
              className="order-first col-span-2"
              value={p.under}
              options={placesFor(props).map((u) => ({ value: u, label: UNDER_WORDS[u] }))}
              onPick={(under) => at(i, { under })}
            />
            {isCorner(p.under) && (
              <LengthField
                label="From the corner, each way"
                value={p.fromCornerMm ?? USUAL_FROM_CORNER_MM}
                hint="a rod laid across: the opposite corner stays on the bench"
                onValue={(fromCornerMm, g) => at(i, { fromCornerMm }, g)}
              />
            )}
          </div>
        </div>
      ))}
      {!props.some((p) => isCorner(p.under)) && props.length < 4 && (
        <Picker
          label={props.length === 0 ? 'Prop it on' : 'and on'}
          value={NOTHING}
          options={[
            { value: NOTHING, label: 'Choose…' },
            ...things.map((t) => ({ value: t.name, label: `${t.name}, ${show.length(t.heightMm)}` })),
            { value: OTHER, label: 'something else' },
          ]}
          onPick={(what) => {
            if (what !== NOTHING) add(what);
          }}
        />
      )}
      {props.length === 0 && !isLevel(tilt) && <Ways {...{ layer, things }} onTake={put} />}
      <ThingsToHand />
    </div>
  );
}

/** What there is that makes about the tilt that was drawn. */
function Ways({
  layer,
  things,
  onTake,
}: {
  readonly layer: ScaledLayer;
  readonly things: readonly Thing[];
  readonly onTake: (props: readonly PutUnder[]) => void;
}) {
  const { plan, show } = useBench();
  const ways = waysOfPropping(footOf(plan.mould), layer.tilt, things);
  if (ways.length === 0) return null;
  const what = (p: PutUnder): string => `${p.name ?? ''} (${show.length(p.heightMm)})`;
  return (
    <ul className="grid gap-1 text-sm" aria-label="What makes about this tilt">
      {ways.map((way, i) => (
        <li key={i}>
          <WordButton className="text-left" onClick={() => onTake(way.props)}>
            {way.props.map((p) => `${what(p)} under ${UNDER_WORDS[p.under]}`).join(' and ')}
          </WordButton>{' '}
          <span className="quiet">
            {way.offDeg < 0.05 ? 'just this tilt' : `${formatShort(way.offDeg, 1)}° off`}
          </span>
        </li>
      ))}
    </ul>
  );
}
