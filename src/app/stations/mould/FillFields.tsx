import { setTopAllowance } from '../../../core/edit/pots.ts';
import { totalHeldBack } from '../../../core/plan/pours.ts';
import type { FillTo } from '../../../core/plan/planSchema.ts';
import { Choice } from '../../parts/Choice.tsx';
import { Group } from '../../parts/Station.tsx';
import { FigureField, LengthField, MassField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** How high the mould is filled, and what is held back for a mounded or piped top. */
export function FillFields() {
  const { plan, computed, edit, show } = usePlan();
  const { to } = plan.fill;
  const { heightMm } = computed.fill;
  const rim = computed.geometry.heightMm;
  const put = (next: FillTo, gesture?: string) =>
    edit((p) => ({ ...p, fill: { ...p.fill, to: next } }), gesture);
  return (
    <Group title="How full">
      <Choice
        legend="Fill by"
        hideLegend
        value={to.kind === 'headspace' || to.kind === 'height' ? to.kind : 'batch'}
        options={[
          { value: 'headspace', label: 'headspace' },
          { value: 'height', label: 'height' },
          { value: 'batch', label: 'batch size' },
        ]}
        onChoose={(kind) => {
          if (kind === 'headspace') put({ kind, headspaceMm: tenth(Math.max(0, rim - heightMm)) });
          else if (kind === 'height') put({ kind, heightMm: Math.max(1, tenth(heightMm)) });
          else put({ kind: 'batter', massG: Math.max(20, Math.round(computed.weights?.batterG ?? 1000)) });
        }}
      />
      {to.kind === 'headspace' && (
        <LengthField
          label="Headspace under the rim"
          value={to.headspaceMm}
          onValue={(headspaceMm, g) => put({ kind: 'headspace', headspaceMm }, g)}
        />
      )}
      {to.kind === 'height' && (
        <LengthField
          label="Fill height"
          value={to.heightMm}
          onValue={(h, g) => put({ kind: 'height', heightMm: h }, g)}
        />
      )}
      {to.kind === 'batter' && (
        <MassField
          label="Whole batch of batter"
          value={to.massG}
          onValue={(massG, g) => put({ kind: 'batter', massG }, g)}
        />
      )}
      {to.kind === 'oils' && (
        <MassField
          label="Whole batch, its oils"
          value={to.massG}
          onValue={(massG, g) => put({ kind: 'oils', massG }, g)}
        />
      )}
      {computed.fill.givenBatchG !== undefined && (
        <p className="quiet text-sm">
          That fills the mould to {show.length(heightMm)}, {show.length(rim - heightMm)} under the rim.
        </p>
      )}
      <FigureField
        label="Moulds filled alike from this batch"
        suffix=""
        value={plan.fill.copies}
        onValue={(copies, g) => edit((p) => ({ ...p, fill: { ...p.fill, copies } }), g)}
      />
      <MassField
        label="Top allowance, batter held back"
        value={totalHeldBack(plan)}
        hint="For a mounded or piped top and for repairs. Which pot it comes from is set at Design."
        onValue={(massG, g) => edit((p) => setTopAllowance(p, massG), g)}
      />
    </Group>
  );
}
