import { useMemo } from 'react';
import { contrastChoice } from '../../../../core/edit/contrast.ts';
import { formatShort } from '../../../../core/units/format.ts';
import { Group } from '../../../parts/Station.tsx';
import { usePlan } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

/** Less than this is no gain worth a new order, CIEDE2000. */
const WORTH_IT = 0.5;

/** The order of pours whose neighbours stand out most from each other. */
export function PourContrast() {
  const { plan, computed, edit } = usePlan('colours');
  const { pours } = computed.colours;
  const choice = useMemo(() => contrastChoice(plan, pours), [plan, pours]);
  return (
    <Group title="Order of pours for contrast">
      {!choice ? (
        <p className="quiet text-sm">
          For three or more plain layers in one compartment. The layers of an ombre keep their order.
        </p>
      ) : (
        <div className="flex items-center gap-4">
          <p className="flex-1 leading-snug">
            Smallest difference of two neighbours now: <strong>{formatShort(choice.now, 1)}</strong>. The best
            order reaches <strong>{formatShort(choice.best, 1)}</strong>.
          </p>
          {choice.best > choice.now + WORTH_IT && (
            <Button tone="primary" onClick={() => edit(choice.apply)}>
              Pour in the best order
            </Button>
          )}
        </div>
      )}
    </Group>
  );
}
