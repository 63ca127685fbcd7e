import { Link } from 'react-router';
import { withCutter } from '../../../core/edit/supplies.ts';
import type { Plan } from '../../../core/plan/planSchema.ts';
import { formatLength } from '../../../core/units/format.ts';
import { parseAs } from '../../../core/units/parseQuantity.ts';
import { unitWritten } from '../../../core/units/factors.ts';
import { fail, ok, type Result } from '../../../core/result/result.ts';
import { Picker } from '../../parts/Picker.tsx';
import { QuantityField } from '../../parts/QuantityField.tsx';
import { Group } from '../../parts/Station.tsx';
import { LengthField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { useSupplies } from '../../parts/useSupplies.ts';
import { Button } from '../../kit/Button.tsx';

const HAND = 'hand';

/** "30, 78, 126 mm": places along the loaf, in the plan's unit or any written. */
function parsePlaces(text: string, unit: string): Result<readonly number[]> {
  const record = unitWritten(unit);
  if (!record) throw new RangeError(`no unit ${unit}`);
  const parts = text
    .split(/[,;]/)
    .map((t) => t.trim())
    .filter((t) => t !== '');
  const read: number[] = [];
  for (const part of parts) {
    const one = parseAs(part, record);
    if (!one.ok) return one;
    read.push(one.value);
  }
  return read.length > 0
    ? ok(read)
    : fail('no-places', 'places along the loaf are wanted, as in 30, 78, 126');
}

/** What the loaf is cut with, and what lies on top that no cut should meet. */
export function CutterFields() {
  const { plan, edit } = useBench();
  const cutters = useSupplies('cutter');
  const { cutter, onTop } = plan.cut;
  const { length } = plan.units;
  const chosen = cutters.find((c) => c.value.name === cutter?.name)?.value;
  const put =
    (next: Plan['cut']['onTop']) =>
    (p: Plan): Plan => {
      const { onTop: _was, ...cut } = p.cut;
      return { ...p, cut: next ? { ...cut, onTop: next } : cut };
    };
  return (
    <Group
      title="Cutter, and pieces on top"
      aside={
        <Button onClick={() => edit(put(onTop ? undefined : { atMm: [plan.cut.thicknessMm], longMm: 12 }))}>
          {onTop ? 'Nothing on top' : 'Pieces on top'}
        </Button>
      }
    >
      <div className="grid grid-cols-3 items-start gap-3">
        {cutters.length === 0 && !cutter ? (
          <p className="quiet col-span-3 text-sm">
            Cut by hand at any thickness. A{' '}
            <Link to="/supplies" className="underline">
              cutter in the supplies
            </Link>{' '}
            has its own grid and its longest loaf.
          </p>
        ) : (
          <Picker
            label="Cut with"
            className="col-span-2"
            value={cutter ? (chosen?.id ?? 'kept') : HAND}
            options={[
              { value: HAND, label: 'a knife, at any thickness' },
              ...(cutter && !chosen
                ? [{ value: 'kept', label: `${cutter.name} (not in the supplies)` }]
                : []),
              ...cutters.map(({ value: c }) => ({
                value: c.id,
                label: `${c.name}, every ${formatLength(c.pitchMm, length)}`,
              })),
            ]}
            onPick={(id) => {
              if (id !== 'kept') edit((p) => withCutter(p, cutters.find((c) => c.value.id === id)?.value));
            }}
          />
        )}
        {onTop && (
          <>
            <QuantityField
              label="Middles of the pieces, from the near end"
              className="col-span-2"
              shown={onTop.atMm.map((mm) => formatLength(mm, length)).join(', ')}
              parse={(text) => parsePlaces(text, length)}
              onValue={(atMm, g) => edit(put({ ...onTop, atMm: [...atMm] }), g)}
            />
            <LengthField
              label="How long each is"
              value={onTop.longMm}
              onValue={(longMm, g) => edit(put({ ...onTop, longMm }), g)}
            />
          </>
        )}
      </div>
    </Group>
  );
}
