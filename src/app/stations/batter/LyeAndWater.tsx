import { switchWaterSchool } from '../../../core/edit/batter.ts';
import { formatNumber, formatPercent } from '../../../core/units/format.ts';
import { Choice } from '../../kit/Choice.tsx';
import { Fact } from '../../parts/Fact.tsx';
import { Group } from '../../parts/Station.tsx';
import { PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { WATER_SCHOOLS, WaterValue } from './WaterValue.tsx';
import { WrittenRecipe } from './written/WrittenRecipe.tsx';

export function LyeAndWater() {
  const { plan, computed, edit, show } = usePlan('recipe', 'batch');
  const { batter } = plan;
  const { recipe, batch } = computed;
  const each = batch?.pots.flatMap((p) => p.leastSuperfatPercent ?? []) ?? [];
  const leanest = each.length > 0 ? Math.min(...each) : undefined;
  return (
    <Group title="Lye and water">
      <div className="grid grid-cols-3 gap-3">
        <PercentField
          label="Superfat"
          value={batter.superfatPercent}
          onValue={(superfatPercent, g) =>
            edit((p) => ({ ...p, batter: { ...p.batter, superfatPercent } }), g)
          }
        />
        <PercentField
          label="Purity of the lye"
          value={batter.purityPercent}
          onValue={(purityPercent, g) => edit((p) => ({ ...p, batter: { ...p.batter, purityPercent } }), g)}
        />
      </div>
      <WrittenRecipe />
      <Choice
        legend="Water said as"
        value={batter.water.school}
        options={WATER_SCHOOLS}
        onChoose={(school) => edit((p) => switchWaterSchool(p, school))}
      />
      <div className="grid grid-cols-3 items-end gap-3">
        <WaterValue
          water={batter.water}
          onValue={(value, gesture) =>
            edit((p) => ({ ...p, batter: { ...p.batter, water: { ...p.batter.water, value } } }), gesture)
          }
        />
        {recipe && (
          <dl className="col-span-2">
            {batter.water.school !== 'percent-of-oils' && (
              <Fact name="as % of oils">{formatPercent(recipe.schools.percentOfOils)}</Fact>
            )}
            {batter.water.school !== 'lye-concentration' && (
              <Fact name="as lye concentration">{formatPercent(recipe.schools.lyeConcentrationPercent)}</Fact>
            )}
            {batter.water.school !== 'water-to-lye' && (
              <Fact name="as water : lye">{formatNumber(recipe.schools.waterToLye, 2)} : 1</Fact>
            )}
          </dl>
        )}
      </div>
      {batch && (
        <dl className="grid grid-cols-2 gap-x-6">
          <Fact name="Sodium hydroxide, rounded down" strong>
            {show.lye(batch.lyeG)}
          </Fact>
          <Fact name="Water" strong>
            {show.mass(batch.waterG)}
          </Fact>
          <Fact name="Superfat as weighed">{formatPercent(batch.superfatPercent, 2)}</Fact>
          {leanest !== undefined && (
            <Fact name="The leanest pot, as weighed">{formatPercent(leanest, 2)}</Fact>
          )}
          <Fact name="Oils at the low end of their ranges">
            {formatPercent(recipe?.superfatAtLowEnd ?? 0, 2)}
          </Fact>
        </dl>
      )}
    </Group>
  );
}
