import { rateAt, rateToMedium, speedOf, toMediumMin } from '../../../core/clock/speed.ts';
import { setClock } from '../../../core/edit/clock.ts';
import type { Fault } from '../../../core/result/result.ts';
import { formatShort } from '../../../core/units/format.ts';
import { QUICKEST_RATE, SLOWEST_RATE } from '../../../core/validate/fields.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { FigureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { Estimated } from './Estimated.tsx';

/** The one question that tells most: how long the recipe takes from light to medium. */
export function ToMedium() {
  const { plan, computed, edit } = usePlan('recipe');
  const speed = computed.recipe && speedOf(plan.batter, computed.recipe, plan.clock);
  if (!speed) return null;
  const least = toMediumMin({ perMinute: rateAt(QUICKEST_RATE, speed.batterC, speed.lyePercent) });
  const most = toMediumMin({ perMinute: rateAt(SLOWEST_RATE, speed.batterC, speed.lyePercent) });
  const put = (minutes: number, gesture: Gesture): Fault | undefined => {
    const fault = edit((p) => setClock(p, { perMinute: rateToMedium(speed, minutes) }), gesture);
    return (
      fault && {
        ...fault,
        message: `${formatShort(minutes, 3)} min is outside ${formatShort(least, 1)} to ${formatShort(most, 0)} min`,
      }
    );
  };
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
        onValue={put}
      />
    </Estimated>
  );
}
