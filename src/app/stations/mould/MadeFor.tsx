import { madeFor } from '../../../core/edit/mould.ts';
import { FigureField } from '../../parts/quantities.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** How many bars a slab is made for; it carries its strips to every plan that takes it. */
export function MadeFor() {
  const { plan, edit } = usePlan();
  const { bars } = plan.mould;
  if (!bars)
    return (
      <button
        type="button"
        className="cursor-pointer justify-self-start text-sm underline"
        onClick={() => edit((p) => madeFor(p, { across: 3, along: 9 }))}
      >
        It is a slab for so many bars
      </button>
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
      <button type="button" className="btn btn-sm" onClick={() => edit((p) => madeFor(p, undefined))}>
        Not a slab
      </button>
    </div>
  );
}
