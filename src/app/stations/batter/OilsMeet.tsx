import { oilsMeet } from '../../../core/batter/oilsMeet.ts';
import { isHard } from '../../../core/batter/hardPart.ts';
import { setTemperatures } from '../../../core/edit/batter.ts';
import { usedOils } from '../../../core/batter/usedOils.ts';
import type { Celsius } from '../../../core/units/quantity.ts';
import type { Gesture } from '../../../store/gesture.ts';
import { TemperatureField } from '../../parts/quantities.tsx';
import { useTypedState } from '../../parts/useTypedState.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';
import { partsOf } from '../../parts/partsOf.ts';

/** Hard oils are melted to about here, and liquid ones stand in the room. Common practice, no source. */
const USUAL = { melted: 60, liquid: 20 } as const;

/**
 * Hard oils melted, liquid ones from the shelf: how warm they are together, and that taken as the oils'
 * temperature.
 */
export function OilsMeet() {
  const { plan, edit, show } = usePlan();
  const [at, setAt] = useTypedState<Readonly<Record<keyof typeof USUAL, Celsius>>>(USUAL);
  const oils = usedOils(plan.batter);
  if (!oils.some(isHard) || oils.every(isHard)) return null;
  const put = (change: Partial<typeof at>, gesture: Gesture): undefined => {
    setAt({ ...at, ...change }, gesture);
  };
  const meet = Math.round(oilsMeet(oils, at.melted, at.liquid));
  const { temperatures } = plan.batter;
  const field = partsOf(at, put);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <TemperatureField label="Hard oils melted to" className="w-32" {...field('melted')} />
      <TemperatureField label="Liquid oils at" className="w-28" {...field('liquid')} />
      <p className="pb-2 text-sm">
        are <em>≈ {show.temperature(meet)}</em> together
      </p>
      {meet !== temperatures.oilsC && meet >= 15 && meet <= 80 && (
        <Button className="mb-1" onClick={() => edit((p) => setTemperatures(p, { oilsC: meet }))}>
          Oils at {show.temperature(meet)}
        </Button>
      )}
    </div>
  );
}
