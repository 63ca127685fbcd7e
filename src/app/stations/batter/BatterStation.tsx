import { Caution } from '../../parts/Caution.tsx';
import { StationFold } from '../../parts/StationFold.tsx';
import { useOfSecond, usePlan } from '../../parts/usePlan.ts';
import { BatchSeen, WhichBatch } from '../../parts/WhichBatch.tsx';
import { Station } from '../../parts/Station.tsx';
import { Additives } from './Additives.tsx';
import { addedText, lyeText, oilsText } from './asItStands.ts';
import { BatchSize } from './BatchSize.tsx';
import { Fragrances } from './Fragrances.tsx';
import { LateOils } from './LateOils.tsx';
import { LyeAndWater } from './LyeAndWater.tsx';
import { Oils } from './Oils.tsx';
import { PartLiquids } from './PartLiquids.tsx';
import { Promises } from './Promises.tsx';
import { SecondSize } from './SecondSize.tsx';
import { Temperatures } from './Temperatures.tsx';
import { WrittenRecipe } from './written/WrittenRecipe.tsx';

export function BatterStation() {
  return (
    <Station station="batter" title="Batter">
      <WhichBatch />
      <BatchSeen>
        <Recipe />
      </BatchSeen>
    </Station>
  );
}

/** The recipe of the loaf's batch, or of the one that is piped on it. */
function Recipe() {
  const { plan, computed, show } = usePlan('batch', 'recipe');
  const ofSecond = useOfSecond();
  const { batch } = computed;
  return (
    <>
      <div>
        <StationFold
          id="recipe"
          title="Recipe"
          figure={batch ? show.mass(batch.batterG) : '–'}
          state={oilsText(plan.batter)}
        >
          {ofSecond ? <SecondSize /> : <BatchSize />}
          <Oils />
          <WrittenRecipe />
        </StationFold>
        <StationFold
          id="lye"
          title="Lye and water"
          figure={batch ? `${show.lye(batch.lyeG)} lye` : '–'}
          state={lyeText(plan.batter, computed, show)}
        >
          <LyeAndWater />
          <Caution>
            Sodium hydroxide burns skin and eyes. Goggles and gloves on, room aired. Lye into water, never
            water into lye. No aluminium.
          </Caution>
          <Temperatures />
        </StationFold>
        <StationFold id="added" title="What is added" figure="" state={addedText(plan.batter)}>
          <Fragrances />
          <Additives />
          <LateOils />
          <PartLiquids />
          <Promises />
        </StationFold>
      </div>
      <p className="quiet text-sm">
        Drip Line is a planning aid. Your suppliers’ data sheets, local rules and licensed practice come
        first.
      </p>
    </>
  );
}
