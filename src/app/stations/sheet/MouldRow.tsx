import { plural } from '../../../core/units/words.ts';
import { pouredIn } from '../../../core/weigh/scaled.ts';
import { mouldNames } from '../../../core/plan/moulds.ts';
import { formatLength } from '../../../core/units/format.ts';
import { usePlan } from '../../parts/usePlan.ts';
import { LoafDrawing } from '../../section/LoafDrawing.tsx';

/** Every mould of the batch drawn, with how full it gets, what it takes and the bars it gives. */
export function MouldRow() {
  const { plan, computed, show } = usePlan('moulds');
  const names = mouldNames(plan);
  return (
    <ul aria-label="Moulds" className="flex flex-wrap gap-6">
      {computed.moulds.map((m) => {
        const { id, copies } = m.use;
        return (
          <li key={id} className="w-44 break-inside-avoid text-sm leading-snug print:w-56">
            <LoafDrawing letters of={m} />
            <strong>
              {copies > 1 && `${copies} × `}
              {names.get(id)}
            </strong>
            <br />
            to {formatLength(m.fill.heightMm, plan.units.length)}, {show.mass(pouredIn(m))}
            {copies > 1 && ' each'}, {plural(m.cut.count * copies, 'bar')}
          </li>
        );
      })}
    </ul>
  );
}
