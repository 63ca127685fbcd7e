import { useEffect, useMemo, useRef, useState } from 'react';
import { setRoundOrder } from '../../../../core/edit/pattern.ts';
import type { OrdersFound } from '../../../../core/face/pictureOrder.ts';
import { stepWord } from '../../../../core/colour/thresholds.ts';
import { topFace } from '../../../../core/face/loafFaces.ts';
import { layPlan } from '../../../../core/fill/layPlan.ts';
import type { PotId } from '../../../../core/validate/ids.ts';
import { potNamed } from '../../../../core/plan/sources.ts';
import type { Plan } from '../../../../core/plan/planSchema.ts';
import type { Pour } from '../../../../core/plan/stepSchema.ts';
import { formatShort } from '../../../../core/units/format.ts';
import { FaceDrawing } from '../../../section/FaceDrawing.tsx';
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
  const [asked, setAsked] = useState(false);
  const [found, setFound] = useState<{ readonly of: Plan; readonly orders: OrdersFound | undefined }>();
  const stop = useRef<(() => void) | null>(null);
  // what was found is of one plan: once it is another one it is looked for anew
  useEffect(() => {
    if (!asked) return undefined;
    const job = patternClient.ask(
      'orders',
      { plan, pourId: pour.id, colours: colours.pots },
      { key: 'orders' },
    );
    stop.current = job.stop;
    let gone = false;
    void job.outcome.then((outcome) => {
      if (gone) return;
      if (outcome.kind === 'cancelled') setAsked(false);
      else setFound({ of: plan, orders: outcome.kind === 'done' ? outcome.value : undefined });
    });
    return () => {
      gone = true;
      job.stop();
    };
  }, [asked, plan, pour.id, colours.pots]);
  const looking = asked && found?.of !== plan;
  const orders = asked && found?.of === plan ? found.orders : undefined;
  if (looking)
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
      {!orders && (
        <Button className="justify-self-start" onClick={() => setAsked(true)}>
          Orders with the most contrast
        </Button>
      )}
      {asked && !orders && <p className="text-sm text-error">They could not be worked out.</p>}
      {orders && (
        <>
          <p className="quiet text-sm">
            Neighbours in the picture now: {stepWord(orders.now)}, {formatShort(orders.now, 1)} apart on the
            mean.
          </p>
          <ol className="grid gap-1">
            {orders.best.map(({ order, contrast }) => (
              <li key={order.join(' ')} className="flex items-center gap-2">
                <span className="flex flex-1 flex-wrap gap-0.5">
                  {order.map((id, i) => {
                    const pot = potNamed(plan, id);
                    return pot && <PotBadge key={i} pot={pot} size={22} />;
                  })}
                </span>
                <OrderPicture order={order} pour={pour} />
                <span className="w-16 text-right text-sm">
                  {stepWord(contrast)}, {formatShort(contrast, 1)}
                </span>
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

/** px */
const SMALL = 64;

/** The loaf from above as it would be poured in an order, small. */
function OrderPicture({ order, pour }: { readonly order: readonly PotId[]; readonly pour: Pour }) {
  const { plan } = useBench();
  const colours = useColours();
  const face = useMemo(
    () => topFace(layPlan(setRoundOrder(plan, pour.id, order)).moulds[0]),
    [plan, pour.id, order],
  );
  return <FaceDrawing face={face} colours={colours} top width={SMALL} height={SMALL} />;
}
