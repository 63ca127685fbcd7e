import { sizeBatch, takesRest } from '../../../core/edit/moulds.ts';
import { setTopAllowance } from '../../../core/edit/pots.ts';
import { hasGivenBatch } from '../../../core/plan/moulds.ts';
import { totalHeldBack } from '../../../core/plan/pours.ts';
import type { FillTo } from '../../../core/plan/planSchema.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Group } from '../../parts/Station.tsx';
import { FigureField, LengthField, MassField } from '../../parts/quantities.tsx';
import { useBench, useMouldUse, usePlan } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** How high the mould is filled, and what is held back for a mounded or piped top. */
export function FillFields() {
  const whole = usePlan('moulds', 'batch');
  const { plan, computed, edit, show } = useBench('fill', 'geometry');
  const { use } = useMouldUse();
  const several = whole.computed.moulds.length > 1;
  // of a mould that takes what is left the batch's size is what is given
  const to = use.takesRest ? whole.plan.fill.to : plan.fill.to;
  const { heightMm } = computed.fill;
  const rim = computed.geometry.heightMm;
  const put = (next: FillTo, gesture?: Gesture) =>
    edit((p) => ({ ...p, fill: { ...p.fill, to: next } }), gesture);
  const putBatch = (next: FillTo, gesture?: Gesture) =>
    whole.edit((p) => ({ ...p, fill: { ...p.fill, to: next } }), gesture);
  const first = whole.computed.moulds[0];
  const firstAsItIs = {
    kind: 'headspace',
    headspaceMm: tenth(Math.max(0, first.geometry.heightMm - first.fill.heightMm)),
  } as const;
  /** the mould takes what the batch leaves, which is as large as it is now */
  const takeRest = () =>
    whole.edit((p) => {
      const massG = Math.max(20, Math.round(whole.computed.batch?.batterG ?? 1000));
      const given = hasGivenBatch(p) ? p : sizeBatch(p, { kind: 'batter', massG }, firstAsItIs);
      return takesRest(given, use.id, firstAsItIs);
    });
  return (
    <Group title="How full">
      <Choice
        legend="Fill by"
        hideLegend
        value={use.takesRest ? 'batch' : to.kind === 'height' ? 'height' : 'headspace'}
        options={[
          { value: 'headspace', label: 'headspace' },
          { value: 'height', label: 'height' },
          { value: 'batch', label: several ? 'what is left' : 'batch size' },
        ]}
        onChoose={(kind) => {
          if (kind === 'headspace') put({ kind, headspaceMm: tenth(Math.max(0, rim - heightMm)) });
          else if (kind === 'height') put({ kind, heightMm: Math.max(1, tenth(heightMm)) });
          else takeRest();
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
          onValue={(massG, g) => putBatch({ kind: 'batter', massG }, g)}
        />
      )}
      {to.kind === 'oils' && (
        <MassField
          label="Whole batch, its oils"
          value={to.massG}
          onValue={(massG, g) => putBatch({ kind: 'oils', massG }, g)}
        />
      )}
      {use.takesRest && (
        <p className="quiet text-sm">
          That fills the mould to {show.length(heightMm)}, {show.length(rim - heightMm)} under the rim.
        </p>
      )}
      <FigureField
        label={several ? 'So many of this mould, filled alike' : 'Moulds filled alike from this batch'}
        suffix=""
        value={plan.fill.copies}
        onValue={(copies, g) => edit((p) => ({ ...p, fill: { ...p.fill, copies } }), g)}
      />
      <MassField
        label={several ? 'Top allowance of all moulds, held back' : 'Top allowance, batter held back'}
        value={totalHeldBack(whole.plan)}
        hint={
          several
            ? 'Shared between the moulds by their open surface. Which pot it comes from is set at Design.'
            : 'For a mounded or piped top and for repairs. Which pot it comes from is set at Design.'
        }
        onValue={(massG, g) => whole.edit((p) => setTopAllowance(p, massG), g)}
      />
    </Group>
  );
}
