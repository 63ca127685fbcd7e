import { useMemo, useState } from 'react';
import { resized } from '../../../../core/batter/resize.ts';
import { takeRecipe, type KnownRecipe } from '../../../../core/edit/takeRecipe.ts';
import { recipeOf } from '../../../../core/batter/recipe.ts';
import { computePlan } from '../../../../core/computed/compute.ts';
import type { Fault } from '../../../../core/result/result.ts';
import { Choice } from '../../../kit/Choice.tsx';
import { FigureField, MassField } from '../../../parts/quantities.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import { useTyped } from '../../../parts/useTyped.ts';
import { WideTable } from '../../../parts/WideTable.tsx';

const within =
  (low: number, high: number) =>
  (x: number): Fault | undefined =>
    x >= low && x <= high
      ? undefined
      : { code: 'out-of-range', message: `${x} is outside ${low} to ${high}` };

const whole =
  (low: number, high: number) =>
  (x: number): Fault | undefined =>
    Number.isInteger(x) ? within(low, high)(x) : { code: 'not-whole', message: 'a whole number is wanted' };

type To = 'mould' | 'bars' | 'oils';

const CELL = 'py-1 pl-3 text-right';

/**
 * A written recipe at another size: to fill the mould, for so many bars, for given oils; in one jug or
 * several alike.
 */
export function Resize({ recipe }: { readonly recipe: KnownRecipe }) {
  const { plan, computed, show } = usePlan('cut');
  const [to, setTo] = useState<To>('mould');
  const bars = computed.cut.bars;
  const meanBarG = bars.length > 0 ? bars.reduce((s, b) => s + b.massG, 0) / bars.length : 120;
  const [count, setCount] = useTyped<number>(12, whole(1, 2000));
  const [barG, setBarG] = useTyped(Math.round(meanBarG), within(1, 2000));
  const [oilsTyped, setOilsTyped] = useTyped(recipe.totalG ?? 1000, within(1, 200000));
  const [jugs, setJugs] = useTyped<number>(1, whole(1, 48));
  // its lye may be too much: it is made another size with the lye that is right for it
  const taken = useMemo(() => takeRecipe(plan, { ...recipe, lyeG: undefined }, false), [plan, recipe]);
  const own = taken.ok ? recipeOf(taken.value.batter) : undefined;
  const fillsG = useMemo(() => (taken.ok ? computePlan(taken.value).batch?.oilsG : undefined), [taken]);
  if (!taken.ok || !own) return null;
  const oilsG = to === 'mould' ? fillsG : to === 'bars' ? (count * barG) / own.batterPerOil : oilsTyped;
  if (oilsG === undefined) return null;
  const superfat = taken.value.batter.superfatPercent;
  const size = resized(
    recipe.oils.map((o) => o.share),
    oilsG,
    own,
    jugs,
    plan.units.scaleStepG,
  );
  return (
    <div className="grid gap-3" role="region" aria-label="Another size">
      <Choice
        legend="Another size"
        value={to}
        options={[
          { value: 'mould', label: 'to fill this mould' },
          { value: 'bars', label: 'so many bars' },
          { value: 'oils', label: 'given oils' },
        ]}
        onChoose={setTo}
      />
      <div className="grid grid-cols-3 items-end gap-3">
        {to === 'bars' && <FigureField label="Bars" suffix="" value={count} onValue={setCount} />}
        {to === 'bars' && <MassField label="Each, fresh" value={barG} onValue={setBarG} />}
        {to === 'oils' && <MassField label="Oils in all" value={oilsTyped} onValue={setOilsTyped} />}
        <FigureField label="In so many jugs alike" suffix="" value={jugs} onValue={setJugs} />
      </div>
      <WideTable label="The recipe at that size">
        <table className="w-full text-left">
          <thead className="quiet text-sm">
            <tr className="rule border-b">
              <th className="py-1 font-normal">Lye for superfat {superfat} %, rounded down</th>
              {jugs > 1 && <th className={`${CELL} font-normal`}>Each jug</th>}
              <th className={`${CELL} font-normal`}>{jugs > 1 ? `All ${jugs}` : 'Weigh'}</th>
            </tr>
          </thead>
          <tbody>
            {recipe.oils.map(({ oil }, i) => (
              <tr key={`${oil.id}-${i}`} className="rule border-b">
                <td className="py-1">{oil.name}</td>
                {jugs > 1 && <td className={CELL}>{show.mass(size.jug.oilsG[i] ?? 0)}</td>}
                <td className={`${CELL} font-bold`}>{show.mass(size.all.oilsG[i] ?? 0)}</td>
              </tr>
            ))}
            <tr className="rule border-b">
              <td className="py-1">Sodium hydroxide</td>
              {jugs > 1 && <td className={CELL}>{show.lye(size.jug.lyeG)}</td>}
              <td className={`${CELL} font-bold`}>{show.lye(size.all.lyeG)}</td>
            </tr>
            <tr>
              <td className="py-1">Water</td>
              {jugs > 1 && <td className={CELL}>{show.mass(size.jug.waterG)}</td>}
              <td className={`${CELL} font-bold`}>{show.mass(size.all.waterG)}</td>
            </tr>
          </tbody>
        </table>
      </WideTable>
    </div>
  );
}
