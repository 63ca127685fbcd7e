import type { Moment } from '../../../core/batter/moments.ts';
import type { Additive } from '../../../core/batter/schema.ts';
import { addAddition, removeAddition, updateAddition } from '../../../core/edit/additions.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { AdditionCards } from './AdditionCards.tsx';
import { Doses } from './Doses.tsx';

const usual = (
  name: string,
  gPerKgOils: number,
  moment: Moment,
  densityGMl: number,
): Omit<Additive, 'id'> => ({
  name,
  densityGMl,
  doses: [{ id: 'd1', gPerKgOils, moment }],
});

/**
 * Usual amounts, common practice: one level teaspoon of 60 % sodium lactate per pound of oils is about 14
 * g/kg.
 */
const USUAL: readonly Omit<Additive, 'id'>[] = [
  usual('Sodium lactate, 60 %', 14, 'cooled-lye', 1.32),
  usual('Sugar', 10, 'water', 1.59),
  usual('Salt', 10, 'cooled-lye', 2.16),
  usual('Silk, shredded', 1, 'hot-lye', 1.3),
  usual('Kaolin clay', 20, 'oils', 2.6),
  usual('Zinc oxide', 5, 'oils', 5.6),
  usual('Oatmeal, ground', 20, 'trace', 1.3),
  usual('Ground shell', 15, 'trace', 2.7),
  usual('Milk powder', 25, 'oils', 1.3),
  usual('Poppy seed', 10, 'trace', 1.1),
  usual('Something else', 10, 'trace', 1),
];

const PICK = 'Add…';

export function Additives() {
  const { plan, edit } = usePlan();
  return (
    <Group
      title="Additives"
      aside={
        <Picker
          label="Add an additive"
          hideLabel
          value={PICK}
          options={[{ value: PICK, label: PICK }, ...USUAL.map((u) => ({ value: u.name, label: u.name }))]}
          onPick={(name) => {
            const picked = USUAL.find((u) => u.name === name);
            if (picked) edit((p) => addAddition(p, 'additives', picked));
          }}
        />
      }
    >
      <AdditionCards
        items={plan.batter.additives}
        nameOf={(a) => a.name}
        empty="None."
        onRemove={(id) => edit((p) => removeAddition(p, 'additives', id))}
        head={(a) => (
          <TextField
            label="Name"
            className="flex-1"
            value={a.name}
            onValue={(name, g) =>
              edit((p) => updateAddition(p, 'additives', a.id, (was) => ({ ...was, name })), g)
            }
          />
        )}
        body={(a) => <Doses list="additives" addition={a} name={a.name} amountIn="g/kg" />}
      />
    </Group>
  );
}
