import { Plus, X } from 'lucide-react';
import { addColumn, formedAs, putColumn, removeColumn, withCorner } from '../../../core/edit/columns.ts';
import { columnsIn } from '../../../core/mould/column.ts';
import { holeMl } from '../../../core/mould/geometry.ts';
import { MOST_COLUMNS, MOST_CORNERS, type Column } from '../../../core/mould/schema.ts';
import { potNamed } from '../../../core/plan/sources.ts';
import { plural } from '../../../core/units/words.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Group } from '../../parts/Station.tsx';
import { FigureField, LengthField } from '../../parts/quantities.tsx';
import { useBench, useBenchEdit } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';
import { IconButton } from '../../kit/IconButton.tsx';

type Own = Extract<Column, { form: 'own' }>;

/** The corners of an outline of one's own, from its middle. */
function CornerFields({
  column,
  onPut,
}: {
  readonly column: Own;
  readonly onPut: (column: Column, gesture?: Gesture) => ReturnType<ReturnType<typeof useBench>['edit']>;
}) {
  const { points } = column;
  return (
    <fieldset className="grid gap-2">
      <legend className="mb-1 text-sm">Corners, from its middle: right, and beyond</legend>
      {points.map((p, i) => (
        <div key={i} className="grid grid-cols-[1.5rem_1fr_1fr_auto] items-center gap-2">
          <span className="text-sm">{i + 1}</span>
          <LengthField
            label={`Corner ${i + 1}, right`}
            hideLabel
            value={p.xMm}
            onValue={(xMm, g) => onPut({ ...column, points: points.with(i, { ...p, xMm }) }, g)}
          />
          <LengthField
            label={`Corner ${i + 1}, beyond`}
            hideLabel
            value={p.yMm}
            onValue={(yMm, g) => onPut({ ...column, points: points.with(i, { ...p, yMm }) }, g)}
          />
          <span className="flex gap-1">
            <IconButton
              icon={Plus}
              disabled={points.length >= MOST_CORNERS}
              label={`Another corner after corner ${i + 1}`}
              title="Another corner after this one"
              onClick={() => onPut(withCorner(column, i))}
            />
            <IconButton
              icon={X}
              disabled={points.length <= 3}
              label={`Take corner ${i + 1} out`}
              title="Take this corner out"
              onClick={() => onPut({ ...column, points: points.toSpliced(i, 1) })}
            />
          </span>
        </div>
      ))}
    </fieldset>
  );
}

function OneColumn({
  column,
  nth,
  of,
}: {
  readonly column: Column;
  readonly nth: number;
  readonly of: number;
}) {
  const edit = useBenchEdit();
  const put = (next: Column, gesture?: Gesture) => edit((p) => putColumn(p, next), gesture);
  return (
    <div className="grid gap-3" role="group" aria-label={of > 1 ? `Column ${nth}` : 'Column'}>
      <div className="flex items-center justify-between gap-2">
        <h4 className="text-sm font-semibold">{of > 1 ? `Column ${nth}` : 'Column'}</h4>
        <Button
          onClick={() => edit((p) => removeColumn(p, column.id))}
          {...(of > 1 ? { 'aria-label': `Take column ${nth} out` } : {})}
        >
          Take it out
        </Button>
      </div>
      <Choice
        legend="Column is"
        hideLegend
        value={column.form}
        options={[
          { value: 'square', label: 'square' },
          { value: 'round', label: 'round' },
          { value: 'own', label: 'own outline' },
        ]}
        onChoose={(form) => put(formedAs(column, form))}
      />
      <div className={`grid gap-3 ${column.form === 'square' ? 'grid-cols-2' : 'grid-cols-3'}`}>
        {column.form !== 'own' && (
          <LengthField
            label="Across"
            value={column.acrossMm}
            onValue={(acrossMm, g) => put({ ...column, acrossMm }, g)}
          />
        )}
        <LengthField
          label="Right of middle"
          value={column.xMm}
          onValue={(xMm, g) => put({ ...column, xMm }, g)}
        />
        <LengthField
          label="Beyond middle"
          value={column.yMm}
          onValue={(yMm, g) => put({ ...column, yMm }, g)}
        />
        {column.form !== 'round' && (
          <FigureField
            label="Turned"
            suffix="°"
            value={column.turnDeg ?? 0}
            onValue={(turnDeg, g) => put({ ...column, turnDeg }, g)}
          />
        )}
      </div>
      {column.form === 'own' && <CornerFields column={column} onPut={put} />}
    </div>
  );
}

/** What stands in the mould while it is poured, and is pulled out after. */
export function ColumnFields() {
  const { plan, computed, edit, show } = useBench('geometry', 'fill');
  const columns = columnsIn(plan.mould);
  const kept = plan.fill.top.filter((t) => t.massG > 0);
  return (
    <Group
      title="Columns standing in it"
      aside={
        columns.length < MOST_COLUMNS && (
          <Button onClick={() => edit((p) => addColumn(p))}>
            {columns.length === 0 ? 'Stand one in' : 'One more'}
          </Button>
        )
      }
    >
      {columns.length === 0 ? (
        <p className="quiet text-sm">None.</p>
      ) : (
        <>
          {columns.map((c, i) => (
            <OneColumn key={c.id} column={c} nth={i + 1} of={columns.length} />
          ))}
          <p className="quiet text-sm">
            {columns.length > 1 ? `The ${plural(columns.length, 'column')} keep` : 'It keeps'} out{' '}
            {show.volume(holeMl(computed.geometry, computed.fill.heightMm))} up to the fill. Pulled out,{' '}
            {columns.length > 1 ? 'the holes are' : 'the hole is'} filled with batter held back
            {kept.length > 0
              ? `: ${kept.map((t) => `${show.mass(t.massG)} of ${potNamed(plan, t.pot)?.letter ?? ''}`).join(', ')}`
              : ''}
            . Drag and turn {columns.length > 1 ? 'them' : 'it'} from above, under Design.
          </p>
        </>
      )}
    </Group>
  );
}
