import { useState } from 'react';
import { checkRecipe, lateOilFor, rightLye, type RecipeCheck } from '../../../../core/batter/checkRecipe.ts';
import { libraryOil, OIL_LIBRARY } from '../../../../core/batter/oilLibrary.ts';
import type { KnownRecipe } from '../../../../core/edit/takeRecipe.ts';
import { formatNumber, formatPercent } from '../../../../core/units/format.ts';
import { downToStep, upToStep } from '../../../../core/units/scaleStep.ts';
import { Fact } from '../../../parts/Fact.tsx';
import { Picker } from '../../../parts/Picker.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

interface FindingsProps {
  readonly recipe: KnownRecipe;
  readonly onTake: (asMuchAsWritten: boolean) => void;
  readonly said: string;
}

/**
 * What is found of a written recipe: its oils, its lye against them, its water, and what would put it right.
 */
export function Findings({ recipe, onTake, said }: FindingsProps) {
  const { plan, show } = usePlan();
  const { totalG, lyeG, waterG } = recipe;
  const { superfatPercent, purityPercent } = plan.batter;
  const wanted = recipe.superfatPercent ?? superfatPercent;
  const step = plan.units.scaleStepG;
  const oils = recipe.oils.map((o) => ({ oil: o.oil, massG: o.share * (totalG ?? 0) }));
  const checked =
    totalG !== undefined && lyeG !== undefined
      ? checkRecipe({ oils, lyeG, waterG, purityPercent })
      : undefined;
  const heavy = checked !== undefined && checked.superfat.middle < 0;
  return (
    <div className="grid gap-3" aria-label="What is found" role="region">
      <dl className="grid grid-cols-2 gap-x-6">
        {recipe.oils.map(({ oil, share }, i) => (
          <Fact key={`${oil.id}-${i}`} name={oil.name}>
            {formatPercent(share * 100, 2)}
            {totalG !== undefined && ` · ${show.mass(share * totalG)}`}
          </Fact>
        ))}
        {totalG !== undefined && (
          <Fact name="All oils" strong>
            {show.mass(totalG)}
          </Fact>
        )}
        {totalG !== undefined && (
          <Fact name={`Right lye for superfat ${formatPercent(wanted)}`} strong>
            {show.lye(downToStep(rightLye({ oils, purityPercent }, wanted), step))}
          </Fact>
        )}
        {checked && <LyeFacts check={checked} />}
      </dl>
      {lyeG !== undefined && totalG === undefined && (
        <p className="text-sm">
          Its lye is a weight, its oils are percents alone: write the oils by weight too, and the lye is
          checked.
        </p>
      )}
      {heavy && (
        <HeavyLye
          check={checked}
          lateG={(oil, superfat) =>
            upToStep(lateOilFor({ oils, lyeG: lyeG ?? 0, waterG, purityPercent }, oil, superfat), step)
          }
        />
      )}
      {checked && !heavy && checked.superfat.low < 0 && (
        <p className="text-sm font-semibold text-error">
          With its oils at the low end of their ranges it is lye-heavy by{' '}
          {formatPercent(Math.abs(checked.superfat.low))}: use your supplier’s saponification values, or less
          lye.
        </p>
      )}
      {!heavy && (
        <p className="flex flex-wrap items-center gap-2">
          <Button tone="primary" onClick={() => onTake(false)}>
            Take it over, to fill the mould
          </Button>
          {totalG !== undefined && (
            <Button onClick={() => onTake(true)}>Take it over, as much as written</Button>
          )}
          <span role="status" className="text-sm">
            {said}
          </span>
        </p>
      )}
    </div>
  );
}

function LyeFacts({ check: { superfat, water } }: { readonly check: RecipeCheck }) {
  return (
    <>
      <Fact name="Superfat it leaves" strong>
        {formatPercent(superfat.middle, 2)}
      </Fact>
      <Fact name="its oils at the low, the high end">
        {formatPercent(superfat.low)} · {formatPercent(superfat.high)}
      </Fact>
      {water && <Fact name="Water, of the oils">{formatPercent(water.percentOfOils)}</Fact>}
      {water && <Fact name="as lye concentration">{formatPercent(water.lyeConcentrationPercent)}</Fact>}
      {water && <Fact name="as water : lye">{formatNumber(water.waterToLye, 2)} : 1</Fact>}
    </>
  );
}

interface HeavyLyeProps {
  readonly check: RecipeCheck;
  /** g of an oil, stirred in late, that brings it to a superfat */
  readonly lateG: (oil: (typeof OIL_LIBRARY)[number], superfatPercent: number) => number;
}

/**
 * More lye than the oils can use: refused, with its number, and what an oil stirred in late would do about
 * it.
 */
function HeavyLye({ check, lateG }: HeavyLyeProps) {
  const { plan, show } = usePlan();
  const [oilId, setOilId] = useState('olive');
  const oil = libraryOil(oilId) ?? OIL_LIBRARY[0];
  return (
    <div role="alert" className="grid gap-2 rounded-box border-2 border-error p-3">
      <p className="font-semibold text-error">
        Refused: lye-heavy by {formatPercent(Math.abs(check.superfat.middle), 1)} at{' '}
        {formatPercent(plan.batter.purityPercent)} purity, {show.mass(check.tooMuchG)} more than these oils
        can use. Unspent lye burns skin.
      </p>
      {oil && (
        <div className="flex flex-wrap items-end gap-3 text-sm">
          <Picker
            label="An oil stirred in late"
            className="w-52"
            value={oilId}
            options={OIL_LIBRARY.map((o) => ({ value: o.id, label: o.name }))}
            onPick={setOilId}
          />
          <p className="pb-1.5">
            <strong>{show.mass(lateG(oil, 0))}</strong> of it uses the lye up (0 %),{' '}
            <strong>{show.mass(lateG(oil, 5))}</strong> brings it to 5 %. Less lye is the surer way.
          </p>
        </div>
      )}
    </div>
  );
}
