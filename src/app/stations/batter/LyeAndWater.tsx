import { switchWaterSchool } from '../../../core/edit/batter.ts';
import { formatNumber, formatPercent } from '../../../core/units/format.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Fact } from '../../parts/Fact.tsx';
import { Group } from '../../parts/Station.tsx';
import { PercentField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { WATER_SCHOOLS, WaterValue } from './WaterValue.tsx';

export function LyeAndWater() {
  const { plan, computed, edit, show } = usePlan('recipe', 'batch');
  const { batter } = plan;
  const { recipe, batch } = computed;
  const each = batch?.pots.flatMap((p) => p.leastSuperfatPercent ?? []) ?? [];
  const leanest = each.length > 0 ? Math.min(...each) : undefined;
  return (
    <Group title="The solution">
      <div className="sentence">
        Superfat{' '}
        <PercentField
          label="Superfat"
          value={batter.superfatPercent}
          onValue={(superfatPercent, g) =>
            edit((p) => ({ ...p, batter: { ...p.batter, superfatPercent } }), g)
          }
        />
        , with lye{' '}
        <PercentField
          label="Purity of the lye"
          value={batter.purityPercent}
          onValue={(purityPercent, g) => edit((p) => ({ ...p, batter: { ...p.batter, purityPercent } }), g)}
        />{' '}
        pure. Water said as{' '}
        <Picker
          label="Water said as"
          value={batter.water.school}
          options={WATER_SCHOOLS}
          onPick={(school) => edit((p) => switchWaterSchool(p, school))}
        />
        {', '}
        <WaterValue
          water={batter.water}
          onValue={(value, gesture) =>
            edit((p) => ({ ...p, batter: { ...p.batter, water: { ...p.batter.water, value } } }), gesture)
          }
        />
        .
      </div>
      {batch && recipe && (
        <dl className="grid grid-cols-2 gap-x-6">
          <Fact name="Sodium hydroxide, rounded down" strong>
            {show.lye(batch.lyeG)}
          </Fact>
          <Fact name="Water" strong>
            {show.mass(batch.waterG)}
          </Fact>
          {batter.water.school !== 'percent-of-oils' && (
            <Fact name="Water as % of oils">{formatPercent(recipe.schools.percentOfOils)}</Fact>
          )}
          {batter.water.school !== 'lye-concentration' && (
            <Fact name="Water as lye concentration">
              {formatPercent(recipe.schools.lyeConcentrationPercent)}
            </Fact>
          )}
          {batter.water.school !== 'water-to-lye' && (
            <Fact name="Water as water : lye">{formatNumber(recipe.schools.waterToLye, 2)} : 1</Fact>
          )}
          <Fact name="Superfat as weighed">{formatPercent(batch.superfatPercent, 2)}</Fact>
          {leanest !== undefined && (
            <Fact name="The leanest pot, as weighed">{formatPercent(leanest, 2)}</Fact>
          )}
          <Fact name="Superfat, oils at the low end of their ranges">
            {formatPercent(recipe.superfatAtLowEnd, 2)}
          </Fact>
        </dl>
      )}
    </Group>
  );
}
