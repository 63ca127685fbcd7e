import { blendTemperature } from '../../../core/batter/blendTemperature.ts';
import { peakLyeTemperature } from '../../../core/batter/lyeHeat.ts';
import { setTemperatures } from '../../../core/edit/batter.ts';
import type { Batter } from '../../../core/batter/schema.ts';
import { OilsMeet } from './OilsMeet.tsx';
import { LyeCooling } from './LyeCooling.tsx';
import { Group } from '../../parts/Station.tsx';
import { TemperatureField } from '../../parts/quantities.tsx';
import { useOfSecond, usePlan } from '../../parts/usePlan.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { partsOf } from '../../parts/partsOf.ts';

/** Temperatures at mixing, and how hot the lye solution will get. */
export function Temperatures() {
  const { plan, computed, edit, show } = usePlan('batch');
  const ofSecond = useOfSecond();
  const { temperatures } = plan.batter;
  const { batch } = computed;
  const frozen = batch?.partLiquids.some((l) => l.moment === 'frozen' && l.massG > 0) ?? false;
  const put = (change: Partial<Batter['temperatures']>, gesture: Gesture) =>
    edit((p) => setTemperatures(p, change), gesture);
  const field = partsOf(temperatures, put);
  return (
    <Group title="Temperatures">
      <div className="grid grid-cols-3 gap-3">
        <TemperatureField label="Oils at mixing" {...field('oilsC')} />
        <TemperatureField label="Lye at mixing" {...field('lyeC')} />
        <TemperatureField label="Water before the lye" {...field('waterC')} />
      </div>
      <OilsMeet />
      {batch && !frozen && batch.waterG > 0 && batch.lyeG > 0 && (
        <p className="text-sm">
          The solution heats to{' '}
          <em>≈ {show.temperature(peakLyeTemperature(batch.lyeG, batch.waterG, temperatures.waterC))}</em>{' '}
          <span className="quiet">
            (estimate: all the lye at once, 15 % of the heat lost). Use a heat-safe jug with room.
          </span>
        </p>
      )}
      {batch && !ofSecond && !frozen && batch.waterG > 0 && batch.lyeG > 0 && (
        <LyeCooling
          peakC={peakLyeTemperature(batch.lyeG, batch.waterG, temperatures.waterC)}
          solutionG={batch.solutionG}
        />
      )}
      {batch && (
        <p className="text-sm">
          Oils and lye meet at <em>≈ {show.temperature(blendTemperature(batch, temperatures))}</em>{' '}
          <span className="quiet">(estimate: nothing lost to the pot).</span>
        </p>
      )}
    </Group>
  );
}
