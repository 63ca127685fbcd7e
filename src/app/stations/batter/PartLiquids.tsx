import { freshId } from '../../../core/edit/freshId.ts';
import type { PartLiquid } from '../../../core/batter/schema.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { LIQUID_OPTIONS } from './momentOptions.ts';
import { Rows } from './Rows.tsx';
import type { Gesture } from '../../../store/gesture.ts';
import { Button } from '../../kit/Button.tsx';

/** Milk, aloe and the like in place of some of the water, each at its moment. */
export function PartLiquids() {
  const { plan, computed, edit, show } = usePlan('batch');
  const { partLiquids } = plan.batter;
  const put = (change: (list: readonly PartLiquid[]) => PartLiquid[], gesture?: Gesture) =>
    edit((p) => ({ ...p, batter: { ...p.batter, partLiquids: change(p.batter.partLiquids) } }), gesture);
  const at = (id: string, change: Partial<PartLiquid>, gesture?: Gesture) =>
    put((list) => list.map((l) => (l.id === id ? { ...l, ...change } : l)), gesture);
  return (
    <Group
      title="In place of some water"
      aside={
        <Button
          onClick={() =>
            put((list) => [
              ...list,
              {
                id: freshId('l', list),
                name: 'Milk',
                percentOfWater: 20,
                waterPercent: 88,
                moment: 'emulsion',
              },
            ])
          }
        >
          Add milk, aloe…
        </Button>
      }
    >
      <Rows
        items={partLiquids}
        idOf={(l) => l.id}
        nameOf={(l) => l.name}
        empty="Water only."
        onRemove={(id) => put((list) => list.filter((l) => l.id !== id))}
      >
        {(l) => (
          <>
            <TextField
              label="Name"
              className="min-w-36 flex-1"
              value={l.name}
              onValue={(name, g) => at(l.id, { name }, g)}
            />
            <PercentField
              label="of the water"
              className="w-28"
              value={l.percentOfWater}
              onValue={(percentOfWater, g) => at(l.id, { percentOfWater }, g)}
            />
            <PercentField
              label="water in it"
              className="w-28"
              value={l.waterPercent}
              onValue={(waterPercent, g) => at(l.id, { waterPercent }, g)}
            />
            <Picker
              label="when"
              className="min-w-40 flex-1"
              value={l.moment}
              options={LIQUID_OPTIONS}
              onPick={(moment) => at(l.id, { moment })}
            />
            <span className="w-20 pb-2 text-right font-bold">
              {show.mass(computed.batch?.partLiquids.find((w) => w.id === l.id)?.massG ?? 0)}
            </span>
          </>
        )}
      </Rows>
    </Group>
  );
}
