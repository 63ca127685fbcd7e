import { Fact } from '../../parts/Fact.tsx';
import { Group } from '../../parts/Station.tsx';
import { PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** How large the batch for piping is: what is piped says it. */
export function SecondSize() {
  const { plan, computed, edit, show } = usePlan('batch');
  const pipedG = plan.steps.reduce(
    (s, p) => s + (p.kind === 'pour' && p.amount.kind === 'mass' ? p.amount.massG : 0),
    0,
  );
  return (
    <Group title="Batch size">
      <div className="grid grid-cols-3 items-end gap-3">
        <PercentField
          label="Beyond what is piped"
          hint="Bags and nozzles keep some."
          value={plan.fill.overagePercent}
          onValue={(overagePercent, g) => edit((p) => ({ ...p, fill: { ...p.fill, overagePercent } }), g)}
        />
        <dl className="col-span-2">
          <Fact name="Piped on the soap">{show.mass(pipedG)}</Fact>
          <Fact name="Batter to make for it" strong>
            {computed.batch ? show.mass(computed.batch.batterG) : '–'}
          </Fact>
        </dl>
      </div>
      <p className="quiet text-sm">
        A recipe of its own, mixed in one vessel once the loaf carries it. What is piped is set in Design.
      </p>
    </Group>
  );
}
