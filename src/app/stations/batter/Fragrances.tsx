import { Link } from 'react-router';
import { fragranceInBarPercent } from '../../../core/batter/fragranceLimit.ts';
import type { Fragrance } from '../../../core/batter/schema.ts';
import { takeFragrance } from '../../../core/edit/supplies.ts';
import { Picker } from '../../parts/Picker.tsx';
import { useSupplies } from '../../parts/useSupplies.ts';
import { addAddition, removeAddition, updateFragrance } from '../../../core/edit/additions.ts';
import { formatPercent } from '../../../core/units/format.ts';
import { Fact } from '../../parts/Fact.tsx';
import { Group } from '../../parts/Station.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { SPEED_WORDS } from '../../supplies/behaviourWords.ts';
import { AdditionCards } from './AdditionCards.tsx';
import { Doses } from './Doses.tsx';
import type { Gesture } from '../../../store/gesture.ts';
import { Button } from '../../kit/Button.tsx';

const FIRST: Omit<Fragrance, 'id'> = {
  name: 'Fragrance',
  densityGMl: 0.97,
  doses: [{ id: 'd1', gPerKgOils: 30, moment: 'trace' }],
};

const FROM_SUPPLIES = 'From the supplies…';

export function Fragrances() {
  const { plan, edit } = usePlan();
  const stock = useSupplies('fragrance');
  return (
    <Group
      title="Fragrance"
      aside={
        <span className="flex gap-2">
          {stock.length > 0 && (
            <Picker
              label="A fragrance out of the supplies"
              hideLabel
              value={FROM_SUPPLIES}
              options={[
                { value: FROM_SUPPLIES, label: FROM_SUPPLIES },
                ...stock.map(({ value: f }) => ({
                  value: f.id,
                  label: f.version === undefined ? f.name : `${f.name}, ${f.version}`,
                })),
              ]}
              onPick={(id) => {
                const picked = stock.find((f) => f.value.id === id);
                if (picked) edit((p) => takeFragrance(p, picked.value));
              }}
            />
          )}
          <Button onClick={() => edit((p) => addAddition(p, 'fragrances', FIRST))}>
            {plan.batter.fragrances.length === 0 ? 'Add fragrance' : 'Add another'}
          </Button>
        </span>
      }
    >
      <AdditionCards
        items={plan.batter.fragrances}
        nameOf={(f) => (f.version === undefined ? f.name : `${f.name}, ${f.version}`)}
        empty="None."
        onRemove={(id) => edit((p) => removeAddition(p, 'fragrances', id))}
        head={(f) => (
          <TextField
            label="Name"
            className="flex-1"
            value={f.name}
            onValue={(name, g) => edit((p) => updateFragrance(p, f.id, (was) => ({ ...was, name })), g)}
          />
        )}
        body={(f) => <FragranceBody fragrance={f} />}
      />
    </Group>
  );
}

function FragranceBody({ fragrance }: { readonly fragrance: Fragrance }) {
  const { plan, computed, edit, show } = usePlan('recipes', 'batch');
  const { recipes, batch } = computed;
  const { id, limitPercent, vanillinPercent } = fragrance;
  const put = (change: Partial<Fragrance>, gesture: Gesture) =>
    edit((p) => updateFragrance(p, id, (was) => ({ ...was, ...change })), gesture);
  const inBars = plan.pots.flatMap((pot) => {
    const recipe = recipes.ofPot(pot.id);
    const percent = recipe ? fragranceInBarPercent(recipe, id) : 0;
    return percent > 0 ? [{ pot, percent }] : [];
  });
  const most = Math.max(0, ...inBars.map((b) => b.percent));
  const alike = inBars.length === plan.pots.length && inBars.every((b) => Math.abs(b.percent - most) < 1e-9);
  return (
    <>
      <Doses list="fragrances" addition={fragrance} name={fragrance.name} amountIn="percent" />
      <div className="grid grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] items-start gap-3">
        <PercentField
          label="Certificate limit, of the bar"
          value={limitPercent}
          onValue={(percent, g) => put({ limitPercent: percent }, g)}
        />
        <PercentField
          label="Vanillin in it"
          hint="tans the soap; the supplier’s sheet says"
          value={vanillinPercent}
          onValue={(percent, g) => put({ vanillinPercent: percent }, g)}
        />
      </div>
      <p className="text-sm">
        {fragrance.speed === undefined
          ? 'What it does to the batter’s speed is not known. '
          : `It ${SPEED_WORDS[fragrance.speed]}. `}
        <Link className="underline" to="../clock/conditions#scents" relative="path">
          {fragrance.speed === undefined ? 'Say it under Clock' : 'Change it under Clock'}
        </Link>
      </p>
      <dl className="grid grid-cols-2 gap-x-6">
        <Fact name="Weight">
          {batch ? show.fine(batch.fragrances.find((w) => w.id === id)?.massG ?? 0) : '–'}
        </Fact>
        <Fact name={alike ? 'In the cured bar' : 'In the cured bar, at most'} origin="estimated">
          {inBars.length > 0 ? formatPercent(most, 2) : '–'}
        </Fact>
        {!alike &&
          inBars.map(({ pot, percent }) => (
            <Fact key={pot.id} name={`in pot ${pot.letter}, ${pot.name}`} origin="estimated">
              {formatPercent(percent, 2)}
            </Fact>
          ))}
      </dl>
    </>
  );
}
