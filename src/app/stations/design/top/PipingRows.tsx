import { Plus, Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { addRow, makeRope, removeRow, setRow, sideBySide } from '../../../../core/edit/tops.ts';
import type { Top } from '../../../../core/plan/stepSchema.ts';
import { MOST_ROWS, type PipedRow, type TopWay } from '../../../../core/plan/topSchema.ts';
import { batchShown } from '../../../../store/deskSlice.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { PotBadge } from '../../../parts/PotBadge.tsx';
import { Picker } from '../../../parts/Picker.tsx';
import { FigureField, LengthField } from '../../../parts/quantities.tsx';
import { useBench, useBenchEdit } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';
import { IconButton } from '../../../kit/IconButton.tsx';
import { partsOf } from '../../../parts/partsOf.ts';

interface RowProps {
  readonly step: Top;
  readonly row: PipedRow;
  readonly at: number;
  readonly alone: boolean;
}

/** One row: out of which bag, dollops or a rope, how large, and where it lies on the bar. */
function Row({ step, row, at, alone }: RowProps) {
  const { plan, edit } = useBench();
  const pots = plan.second?.pots ?? [];
  const pot = pots.find((p) => p.id === row.pot);
  const put = (change: Partial<PipedRow>, gesture?: Gesture) =>
    edit((p) => setRow(p, step.id, at, change), gesture);
  const name = `row ${at + 1}`;
  const field = partsOf(row, put);
  return (
    <li className="rule flex items-start gap-2 border-b pb-2 last:border-b-0" aria-label={`Row ${at + 1}`}>
      {pot && <PotBadge pot={pot} size={30} />}
      <div className="sentence min-w-0 flex-1">
        {'Out of '}
        <Picker
          label={`Bag of ${name}`}
          value={row.pot}
          options={pots.map((p) => ({ value: p.id, label: `${p.letter}, ${p.name}` }))}
          onPick={(next) => put({ pot: next })}
        />
        {': '}
        {row.perBar !== undefined && (
          <>
            <FigureField
              label="Dollops to a bar"
              suffix=""
              value={row.perBar}
              onValue={(perBar, g) => put({ perBar }, g)}
            />{' '}
          </>
        )}
        <Picker
          label={`What ${name} is`}
          value={row.perBar === undefined ? 'rope' : 'dollops'}
          options={[
            { value: 'dollops', label: row.perBar === 1 ? 'dollop to a bar' : 'dollops to a bar' },
            { value: 'rope', label: 'a continuous row' },
          ]}
          onPick={(what) =>
            edit((p) => (what === 'rope' ? makeRope(p, step.id, at) : setRow(p, step.id, at, { perBar: 1 })))
          }
        />
        {', '}
        <LengthField label={row.perBar === undefined ? 'Wide' : 'Across'} {...field('acrossMm')} />
        {row.perBar === undefined ? ' wide and ' : ' across and '}
        <LengthField label="High" {...field('heightMm')} />
        {' high, '}
        <LengthField
          label="Off the middle"
          value={Math.abs(row.offMm)}
          onValue={(mm, g) => put({ offMm: row.offMm < 0 ? -mm : mm }, g)}
        />{' '}
        <Picker
          label={`Side of ${name}`}
          value={row.offMm < 0 ? 'left' : 'right'}
          options={[
            { value: 'left', label: 'left' },
            { value: 'right', label: 'right' },
          ]}
          onPick={(side) => put({ offMm: Math.max(1, Math.abs(row.offMm)) * (side === 'left' ? -1 : 1) })}
        />
        {' of the middle.'}
      </div>
      <IconButton
        icon={Trash2}
        label={`Take out ${name}`}
        disabled={alone}
        onClick={() => edit((p) => removeRow(p, step.id, at))}
      />
    </li>
  );
}

/** The rows that are piped on each bar. Their recipe and colours are set where those of all batches are. */
export function PipingRows({
  step,
  way,
}: {
  readonly step: Top;
  readonly way: Extract<TopWay, { top: 'piping' }>;
}) {
  const edit = useBenchEdit();
  const dispatch = useAppDispatch();
  const toSecond = (): void => {
    dispatch(batchShown('second'));
  };
  return (
    <>
      <ol className="grid gap-2">
        {way.rows.map((row, at) => (
          <Row key={at} step={step} row={row} at={at} alone={way.rows.length === 1} />
        ))}
      </ol>
      <div className="flex flex-wrap gap-2">
        <Button
          icon={Plus}
          disabled={way.rows.length >= MOST_ROWS}
          onClick={() => edit((p) => addRow(p, step.id))}
        >
          Row
        </Button>
        {way.rows.length > 1 && (
          <Button onClick={() => edit((p) => sideBySide(p, step.id))}>Side by side</Button>
        )}
      </div>
      <p className="quiet text-sm">
        Piped of a second small batch: its{' '}
        <Link className="underline" to="../batter" onClick={toSecond}>
          recipe and weights
        </Link>
        , and the{' '}
        <Link className="underline" to="../colour/pots" onClick={toSecond}>
          colours of its bags
        </Link>
        .
      </p>
    </>
  );
}
