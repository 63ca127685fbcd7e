import { useEffect, useRef, useState } from 'react';
import { setRoundOrder } from '../../../../core/edit/pattern.ts';
import type { OrdersFound } from '../../../../core/face/pictureOrder.ts';
import { potNamed } from '../../../../core/plan/sources.ts';
import type { Pour } from '../../../../core/plan/stepSchema.ts';
import { formatShort } from '../../../../core/units/format.ts';
import { patternClient } from '../../../section/patternClient.ts';
import { PotBadge } from '../../../parts/PotBadge.tsx';
import { useBench, useColours } from '../../../parts/usePlan.ts';
import { Button } from '../../../kit/Button.tsx';

/**
 * Orders of the round whose neighbours in the picture differ most: looked for when asked, apart from the
 * page.
 */
export function PictureOrders({ pour }: { readonly pour: Pour }) {
  const { plan, edit } = useBench();
  const colours = useColours();
  const [found, setFound] = useState<OrdersFound | 'looking' | 'failed'>();
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const look = async (): Promise<void> => {
    setFound('looking');
    const job = patternClient.ask(
      'orders',
      { plan, pourId: pour.id, colours: colours.pots },
      { key: 'orders' },
    );
    stop.current = job.stop;
    const outcome = await job.outcome;
    if (outcome.kind === 'cancelled') setFound(undefined);
    else setFound(outcome.kind === 'done' ? outcome.value : 'failed');
  };
  if (found === 'looking')
    return (
      <p className="flex items-center gap-2 text-sm" role="status">
        Looking what lies beside what
        <Button size="tiny" onClick={() => stop.current?.()}>
          Stop
        </Button>
      </p>
    );
  return (
    <div className="grid gap-2">
      <Button className="justify-self-start" onClick={() => void look()}>
        Orders with the most contrast
      </Button>
      {found === 'failed' && <p className="text-sm text-error">They could not be worked out.</p>}
      {found !== undefined && found !== 'failed' && (
        <>
          <p className="quiet text-sm">
            Mean difference of neighbours in the picture now {formatShort(found.now, 1)} (CIEDE2000).
          </p>
          <ol className="grid gap-1">
            {found.best.map(({ order, contrast }) => (
              <li key={order.join(' ')} className="flex items-center gap-2">
                <span className="flex flex-1 flex-wrap gap-0.5">
                  {order.map((id, i) => {
                    const pot = potNamed(plan, id);
                    return pot && <PotBadge key={i} pot={pot} size={22} />;
                  })}
                </span>
                <span className="tabular-nums">{formatShort(contrast, 1)}</span>
                <Button
                  size="tiny"
                  aria-label={`Pour in the order ${order.map((id) => potNamed(plan, id)?.letter ?? '').join(', ')}`}
                  onClick={() => edit((p) => setRoundOrder(p, pour.id, order))}
                >
                  Take it
                </Button>
              </li>
            ))}
          </ol>
        </>
      )}
    </div>
  );
}
