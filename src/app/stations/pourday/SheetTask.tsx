import { TriangleAlert } from 'lucide-react';
import type { Task } from '../../../core/sheet/procedure.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { pourChosen } from '../../../store/deskSlice.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { usePlan } from '../../parts/usePlan.ts';

/** One numbered line of the sheet: what to do, what to weigh, what to beware of, and a box to tick. */
export function SheetTask({ task, number }: { readonly task: Task; readonly number: number }) {
  const { plan, show } = usePlan();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const pot = plan.pots.find((p) => p.id === task.pot);
  const isChosen = task.step !== undefined && task.step === chosen;
  return (
    <li
      className={`rule grid grid-cols-[1.75rem_1.75rem_minmax(0,1fr)_auto] gap-x-2 border-b py-2 break-inside-avoid ${isChosen ? 'bg-base-200' : ''}`}
      onClick={() => {
        if (task.chapter === 'pour' && task.step !== undefined && pot) dispatch(pourChosen(task.step));
      }}
    >
      <span className="quiet text-right">{number}</span>
      <span
        className="mt-0.5 grid size-5 place-items-center rounded-sm border-[1.5px] border-base-content"
        aria-hidden="true"
      />
      <div className="grid gap-1.5">
        <p className="flex items-start gap-2 leading-snug">
          {pot && <PotBadge pot={pot} size={22} {...(task.step === undefined ? {} : { pour: task.step })} />}
          <span>{task.text}</span>
        </p>
        {task.caution && (
          <p className="flex gap-1.5 text-sm leading-snug font-semibold text-error print:text-black">
            <TriangleAlert aria-label="Caution" className="mt-0.5 size-4 shrink-0" />
            {task.caution}
          </p>
        )}
        {task.running && (
          <p className="quiet text-sm">
            In {task.running.moulds > 1 ? `each of ${task.running.moulds} moulds` : 'the mould'} now{' '}
            {show.mass(task.running.inMouldG)} of {show.mass(task.running.ofG)}
          </p>
        )}
      </div>
      {task.lines.length > 0 && (
        <table className="h-min text-right">
          <tbody>
            {task.lines.map((line, i) => (
              <tr key={`${line.name}-${i}`}>
                <th scope="row" className="quiet max-w-40 pr-3 text-left text-sm leading-tight font-normal">
                  {line.name}
                </th>
                <td className="text-lg font-bold whitespace-nowrap">
                  {line.fine
                    ? show.fine(line.massG)
                    : line.lye
                      ? show.lye(line.massG)
                      : show.mass(line.massG)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </li>
  );
}
