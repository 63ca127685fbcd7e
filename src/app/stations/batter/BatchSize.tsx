import { sizeBatch } from '../../../core/edit/moulds.ts';
import type { FillTo } from '../../../core/plan/planSchema.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Fact } from '../../parts/Fact.tsx';
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
      <Choice
        legend="Sized by"
        hideLegend
        value={to.kind === 'batter' || to.kind === 'oils' ? to.kind : 'mould'}
        options={[
          { value: 'mould', label: several ? 'to fill the moulds' : 'to fill the mould' },
          { value: 'batter', label: 'given batter' },
          { value: 'oils', label: 'given oils' },
        ]}
        onChoose={(kind) => {
          if (kind === 'batter') put({ kind, massG: Math.max(20, batch?.batterG ?? 1000) });
          else if (kind === 'oils') put({ kind, massG: Math.max(10, batch?.oilsG ?? 700) });
          else put({ kind: 'headspace', headspaceMm });
        }}
      />
      <div className="grid grid-cols-3 items-end gap-3">
        {to.kind === 'batter' && (
          <MassField
            label="Batter in all"
            value={to.massG}
            onValue={(massG, g) => put({ kind: 'batter', massG }, g)}
          />
        )}
        {to.kind === 'oils' && (
          <MassField
            label="Oils in all"
            value={to.massG}
            onValue={(massG, g) => put({ kind: 'oils', massG }, g)}
          />
        )}
        <PercentField
          label="Overage for jugs and blender"
          value={plan.fill.overagePercent}
          onValue={(overagePercent, g) => edit((p) => ({ ...p, fill: { ...p.fill, overagePercent } }), g)}
        />
        <dl className="col-span-2">
          <Fact
            name={
              several
                ? `Fills ${computed.moulds.length} kinds of mould`
                : `Fills the mould to ${show.length(fill.heightMm)}`
            }
            strong
          >
            {batch ? show.mass(batch.batterG) : '–'}
          </Fact>
        </dl>
      </div>
    </Group>
  );
}
