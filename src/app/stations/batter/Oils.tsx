import { setOilWeight } from '../../../core/edit/batter.ts';
import { lineNames, percentSum } from '../../../core/batter/usedOils.ts';
import { Group } from '../../parts/Station.tsx';
import { useOfSecond, usePlan } from '../../parts/usePlan.ts';
import { OilTable } from './OilTable.tsx';
import { WordButton } from '../../kit/WordButton.tsx';

/** The recipe's oils: by percent, and by weight where it is the oils that say how large the batch is. */
export function Oils() {
  const { plan, computed, edit } = usePlan('batch');
  const ofSecond = useOfSecond();
  const { batch } = computed;
  const { oils } = plan.batter;
  const { to } = plan.fill;
  const givenG = to.kind === 'oils' ? to.massG : undefined;
  const sum = percentSum(plan.batter);
  const lines = lineNames(oils);
  const weightOf = (line: string): number | undefined => {
    if (givenG === undefined || sum <= 0) return batch?.oils.find((w) => w.line === line)?.massG;
    // as it was typed, not as the scale rounds it once carriers are set aside
    return ((oils[lines.indexOf(line)]?.percent ?? 0) / sum) * givenG;
  };
  return (
    <Group
      title="Oils"
      aside={
        givenG === undefined && batch && !ofSecond ? (
          <WordButton
            className="text-sm"
            onClick={() =>
              edit((p) => ({ ...p, fill: { ...p.fill, to: { kind: 'oils', massG: batch.oilsG } } }))
            }
          >
            Give them by weight
          </WordButton>
        ) : undefined
      }
    >
      <OilTable
        oils={oils}
        put={(change, gesture) =>
          edit((p) => ({ ...p, batter: { ...p.batter, oils: change(p.batter.oils) } }), gesture)
        }
        weightOf={weightOf}
        totalG={givenG ?? batch?.oilsG}
        {...(givenG === undefined
          ? {}
          : { onWeight: (i, massG, g) => edit((p) => setOilWeight(p, i, massG), g) })}
      />
    </Group>
  );
}
