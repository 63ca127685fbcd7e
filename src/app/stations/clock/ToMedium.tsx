import { rateToMedium, speedOf, toMediumMin } from '../../../core/clock/speed.ts';
import { setClock } from '../../../core/edit/clock.ts';
import { FigureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { Estimated } from './Estimated.tsx';

/** The one question that tells most: how long the recipe takes from light to medium. */
export function ToMedium() {
  const { plan, computed, edit } = usePlan('recipe');
  const speed = computed.recipe && speedOf(plan.batter, computed.recipe, plan.clock);
  if (!speed) return null;
  return (
    <Estimated
      given={speed.origin !== 'estimated'}
      says="from its oils and butters"
      onForget={() => edit((p) => setClock(p, { perMinute: undefined, known: undefined }))}
    >
      <FigureField
        label="From light to medium"
        suffix="min"
        value={Math.round(toMediumMin(speed) * 10) / 10}
        onValue={(minutes, g) => edit((p) => setClock(p, { perMinute: rateToMedium(speed, minutes) }), g)}
      />
    </Estimated>
  );
}
