import { sizeBatch } from '../../../core/edit/moulds.ts';
import type { FillTo } from '../../../core/plan/planSchema.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { MassField, PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';

/** The batch scaled to the mould, or a batch of given size and how high it fills. */
export function BatchSize() {
  const { plan, computed, edit, show } = usePlan('batch', 'fill', 'geometry', 'moulds');
  const { to } = plan.fill;
  const { batch, fill, geometry } = computed;
  const several = computed.moulds.length > 1;
  const headspaceMm = Math.round(Math.max(0, geometry.heightMm - fill.heightMm) * 10) / 10;
  const put = (next: FillTo, gesture?: Gesture) =>
    edit((p) => sizeBatch(p, next, { kind: 'headspace', headspaceMm }), gesture);
  return (
    <Group title="Batch size">
      <div className="sentence">
        As much as{' '}
        <Picker
          label="Sized by"
          value={to.kind === 'batter' || to.kind === 'oils' ? to.kind : 'mould'}
          options={[
            { value: 'mould', label: several ? 'fills the moulds' : 'fills the mould' },
            { value: 'batter', label: 'a given batter' },
            { value: 'oils', label: 'given oils' },
          ]}
          onPick={(kind) => {
            if (kind === 'batter') put({ kind, massG: Math.max(20, batch?.batterG ?? 1000) });
            else if (kind === 'oils') put({ kind, massG: Math.max(10, batch?.oilsG ?? 700) });
            else put({ kind: 'headspace', headspaceMm });
          }}
        />
        {to.kind === 'batter' && (
          <>
            {' of '}
            <MassField
              label="Batter in all"
              value={to.massG}
              onValue={(massG, g) => put({ kind: 'batter', massG }, g)}
            />
          </>
        )}
        {to.kind === 'oils' && (
          <>
            {' of '}
            <MassField
              label="Oils in all"
              value={to.massG}
              onValue={(massG, g) => put({ kind: 'oils', massG }, g)}
            />{' '}
            {batch && `make: ${show.mass(batch.batterG)}`}
          </>
        )}
        {', with '}
        <PercentField
          label="Overage for jugs and blender"
          value={plan.fill.overagePercent}
          onValue={(overagePercent, g) => edit((p) => ({ ...p, fill: { ...p.fill, overagePercent } }), g)}
        />{' '}
        over for jugs and blender.
        <span className="quiet text-sm">
          {' '}
          {several
            ? `Fills ${computed.moulds.length} kinds of mould.`
            : `Fills the mould to ${show.length(fill.heightMm)}.`}
        </span>
      </div>
    </Group>
  );
}
