import { coloursEach } from '../../../../core/plan/habits.ts';
import { SHOWS } from '../../../../core/colour/thresholds.ts';
import { ON_WHISK_G } from '../../../../core/day/order/whisk.ts';
import { pottingOrder } from '../../../../core/procedure/mixing.ts';
import { formatShort } from '../../../../core/units/format.ts';
import type { Weights } from '../../../../core/weigh/weights.ts';
import { PotBadge } from '../../../parts/PotBadge.tsx';
import { Group } from '../../../parts/Station.tsx';
import { usePlan } from '../../../parts/usePlan.ts';

/** The pots in the order to colour them with one whisk, with the shift that each brings to the next. */
export function WhiskOrder({ weights }: { readonly weights: Weights }) {
  const { plan, computed } = usePlan('graded', 'day');
  const each = coloursEach(plan);
  const steps = pottingOrder(computed, weights);
  if (steps.length < 2) return null;
  const worst = Math.max(...steps.map((s) => s.shift));
  return (
    <Group title={each ? 'Each pot is coloured right before it is poured' : 'Colour the pots in this order'}>
      <ol className="flex flex-wrap items-center gap-y-2">
        {steps.map(({ pot, shift }, i) => (
          <li key={pot.id} className="flex items-center">
            {i > 0 && (
              <span
                className={`px-1.5 text-sm ${shift > SHOWS ? 'font-bold text-error' : 'quiet'}`}
                aria-label={`shifts the next by ${formatShort(shift, 1)}`}
              >
                → {formatShort(shift, 1)}
              </span>
            )}
            <PotBadge pot={pot} size={34} />
          </li>
        ))}
      </ol>
      <p className="quiet text-sm">
        With one whisk, wiped: about {ON_WHISK_G} g of each colour goes on into the next and shifts it by the
        figure given (2 shows). ≈ estimated.{' '}
        {worst > SHOWS ? 'Rinse it before the pot marked.' : 'Nothing needs washing.'}
        {each && ' All at first, lightest first, is a choice under Clock, “Conditions”.'}
      </p>
    </Group>
  );
}
