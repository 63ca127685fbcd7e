import { setTop } from '../../../../core/edit/tops.ts';
import type { Top } from '../../../../core/plan/stepSchema.ts';
import type { TopWay } from '../../../../core/plan/topSchema.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { ColourPicker } from '../../../parts/colour/ColourPicker.tsx';
import { FigureField, LengthField, MassField } from '../../../parts/quantities.tsx';
import { TextField } from '../../../parts/TextField.tsx';
import { type Edit, useBenchEdit } from '../../../parts/usePlan.ts';
import { partsOf } from '../../../parts/partsOf.ts';

type EveryBar = Extract<TopWay, { rows: number }>;

interface FieldsProps<W extends EveryBar> {
  readonly way: W;
  readonly put: (way: EveryBar, gesture?: Gesture) => ReturnType<Edit>;
}

function Dents({ way, put }: FieldsProps<Extract<EveryBar, { top: 'dents' }>>) {
  return (
    <>
      {', '}
      <LengthField
        label="Across"
        value={way.acrossMm}
        onValue={(acrossMm, g) => put({ ...way, acrossMm }, g)}
      />
      {' across and '}
      <LengthField label="Deep" value={way.depthMm} onValue={(depthMm, g) => put({ ...way, depthMm }, g)} />
      {' deep'}
    </>
  );
}

const OwnColour = ({
  what,
  colour,
  onPick,
}: {
  readonly what: string;
  readonly colour: string;
  readonly onPick: (hex: string, gesture: Gesture) => void;
}) => (
  <ColourPicker
    label={`Colour of ${what}`}
    value={colour}
    onPick={onPick}
    className="size-7 cursor-pointer rounded-full border border-black/30 align-middle"
    style={{ background: colour }}
  >
    {null}
  </ColourPicker>
);

function Pieces({ way, put }: FieldsProps<Extract<EveryBar, { top: 'pieces' }>>) {
  const field = partsOf(way, (part, g) => put({ ...way, ...part }, g));
  return (
    <>
      {': '}
      <OwnColour
        what="the pieces"
        colour={way.colour}
        onPick={(colour, g) => put({ ...way, colour }, g)}
      />{' '}
      <TextField label="Called" {...field('name')} />
      {', '}
      <LengthField label="Across" {...field('acrossMm')} />
      {' across and '}
      <LengthField label="High" {...field('heightMm')} />
      {' high, '}
      <MassField label="Each weighs" fine {...field('massG')} />
      {' each'}
    </>
  );
}

function Straws({ way, put }: FieldsProps<Extract<EveryBar, { top: 'straws' }>>) {
  const field = partsOf(way, (part, g) => put({ ...way, ...part }, g));
  return (
    <>
      {': '}
      <OwnColour
        what="the straws"
        colour={way.colour}
        onPick={(colour, g) => put({ ...way, colour }, g)}
      />{' '}
      <LengthField label="Thick" {...field('acrossMm')} />
      {' thick, '}
      <LengthField label="Deep" {...field('deepMm')} />
      {' deep, standing out '}
      <LengthField label="Stand out" {...field('standsMm')} />
    </>
  );
}

/** What is repeated on every bar: how many, and what each is like. */
export function EveryBarFields({ step, way }: { readonly step: Top; readonly way: EveryBar }) {
  const edit = useBenchEdit();
  const put = (next: EveryBar, gesture?: Gesture) => edit((p) => setTop(p, step.id, next), gesture);
  return (
    <div className="sentence">
      On every bar{' '}
      <FigureField
        label="Rows beside each other"
        suffix=""
        value={way.rows}
        onValue={(rows, g) => put({ ...way, rows }, g)}
      />
      {' beside each other and '}
      <FigureField
        label="Along each bar"
        suffix=""
        value={way.perBar}
        onValue={(perBar, g) => put({ ...way, perBar }, g)}
      />
      {' along it'}
      {way.top === 'dents' && <Dents way={way} put={put} />}
      {way.top === 'pieces' && <Pieces way={way} put={put} />}
      {way.top === 'straws' && <Straws way={way} put={put} />}.
    </div>
  );
}
