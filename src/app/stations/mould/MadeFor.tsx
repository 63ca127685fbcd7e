import { madeFor } from '../../../core/edit/mould.ts';
import { isCavity } from '../../../core/mould/schema.ts';
import { FigureField } from '../../parts/quantities.tsx';
import { useBench } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';

/**
 * Whether the mould is a cavity, or how many bars a slab is made for; it carries its strips to every plan
 * that takes it.
 */
export function MadeFor() {
  const { plan, edit } = useBench();
  const { bars } = plan.mould;
  const quiet = 'cursor-pointer justify-self-start text-sm underline';
  if (isCavity(plan.mould))
    return (
      <p className="text-sm">
        A cavity: one bar, not cut.{' '}
        <button type="button" className={quiet} onClick={() => edit((p) => madeFor(p, undefined))}>
          It is cut
        </button>
      </p>
    );
  if (!bars)
    return (
      <p className="flex gap-4">
        {plan.mould.shape.kind === 'box' && (
          <button
            type="button"
            className={quiet}
            onClick={() => edit((p) => madeFor(p, { across: 3, along: 9 }))}
          >
            It is a slab for so many bars
          </button>
        )}
        <button
          type="button"
          className={quiet}
          onClick={() => edit((p) => madeFor(p, { across: 1, along: 1 }))}
        >
          It is a cavity for one bar
        </button>
      </p>
    );
  return (
    <div className="grid grid-cols-3 items-end gap-3">
      <FigureField
        label="Bars across"
        suffix=""
        value={bars.across}
        onValue={(across, g) => edit((p) => madeFor(p, { ...bars, across }), g)}
      />
      <FigureField
        label="Bars along"
        suffix=""
        value={bars.along}
        onValue={(along, g) => edit((p) => madeFor(p, { ...bars, along }), g)}
      />
      <Button onClick={() => edit((p) => madeFor(p, undefined))}>Not a slab</Button>
    </div>
  );
}
