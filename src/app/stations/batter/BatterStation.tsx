import { Caution } from '../../parts/Caution.tsx';
import { useOfSecond } from '../../parts/usePlan.ts';
import { BatchSeen, WhichBatch } from '../../parts/WhichBatch.tsx';
import { Station } from '../../parts/Station.tsx';
import { Additives } from './Additives.tsx';
import { BatchSize } from './BatchSize.tsx';
import { Fragrances } from './Fragrances.tsx';
import { LateOils } from './LateOils.tsx';
import { LyeAndWater } from './LyeAndWater.tsx';
import { Oils } from './Oils.tsx';
import { PartLiquids } from './PartLiquids.tsx';
import { Promises } from './Promises.tsx';
import { SecondSize } from './SecondSize.tsx';
import { Temperatures } from './Temperatures.tsx';

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
  const ofSecond = useOfSecond();
  return (
    <>
      {ofSecond ? <SecondSize /> : <BatchSize />}
      <Oils />
      <LyeAndWater />
      <Caution>
        Sodium hydroxide burns skin and eyes. Goggles and gloves on, room aired. Lye into water, never water
        into lye. No aluminium.
      </Caution>
      <Temperatures />
      <PartLiquids />
      <Additives />
      <LateOils />
      <Fragrances />
      <Promises />
      <p className="quiet text-sm">
        Drip Line is a planning aid. Your suppliers’ data sheets, local rules and licensed practice come
        first.
      </p>
    </>
  );
}
