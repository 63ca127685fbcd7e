import { freshId } from '../../../core/edit/freshId.ts';
import type { Additive } from '../../../core/batter/schema.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { FigureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { Rows } from './Rows.tsx';

/** Usual amounts, common practice: one level teaspoon of 60 % sodium lactate per pound of oils is about 14 g/kg. */
const USUAL: readonly Omit<Additive, 'id'>[] = [
  { name: 'Sodium lactate, 60 %', gPerKgOils: 14, into: 'lye', densityGMl: 1.32 },
  { name: 'Sugar', gPerKgOils: 10, into: 'lye', densityGMl: 1.59 },
  { name: 'Salt', gPerKgOils: 10, into: 'lye', densityGMl: 2.16 },
  { name: 'Silk, shredded', gPerKgOils: 1, into: 'lye', densityGMl: 1.3 },
  { name: 'Kaolin clay', gPerKgOils: 20, into: 'oils', densityGMl: 2.6 },
  { name: 'Oatmeal, ground', gPerKgOils: 20, into: 'trace', densityGMl: 1.3 },
  { name: 'Milk powder', gPerKgOils: 25, into: 'oils', densityGMl: 1.3 },
  { name: 'Poppy seed', gPerKgOils: 10, into: 'trace', densityGMl: 1.1 },
  { name: 'Something else', gPerKgOils: 10, into: 'trace', densityGMl: 1 },
];

const PICK = 'Add…';

export function Additives() {
  const { plan, computed, edit, show } = usePlan();
  const { additives } = plan.batter;
  const put = (change: (list: readonly Additive[]) => Additive[], gesture?: string) =>
    edit((p) => ({ ...p, batter: { ...p.batter, additives: change(p.batter.additives) } }), gesture);
  const at = (id: string, change: Partial<Additive>, gesture?: string) =>
    put((list) => list.map((a) => (a.id === id ? { ...a, ...change } : a)), gesture);
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
            const usual = USUAL.find((u) => u.name === name);
            if (usual) put((list) => [...list, { id: freshId('a', list), ...usual }]);
          }}
        />
      }
    >
      <Rows
        items={additives}
        idOf={(a) => a.id}
        nameOf={(a) => a.name}
        empty="None."
        onRemove={(id) => put((list) => list.filter((a) => a.id !== id))}
      >
        {(a) => (
          <>
            <TextField
              label="Name"
              className="flex-1"
              value={a.name}
              onValue={(name, g) => at(a.id, { name }, g)}
            />
            <FigureField
              label="per kg of oils"
              className="w-28"
              suffix="g/kg"
              value={a.gPerKgOils}
              onValue={(gPerKgOils, g) => at(a.id, { gPerKgOils }, g)}
            />
            <Picker
              label="goes into"
              className="w-34"
              value={a.into}
              options={[
                { value: 'lye', label: 'cooled lye' },
                { value: 'oils', label: 'oils' },
                { value: 'trace', label: 'at trace' },
              ]}
              onPick={(into) => at(a.id, { into })}
            />
            <span className="w-20 pb-2 text-right font-bold">
              {show.fine(computed.batch?.additives.find((w) => w.id === a.id)?.massG ?? 0)}
            </span>
          </>
        )}
      </Rows>
    </Group>
  );
}
