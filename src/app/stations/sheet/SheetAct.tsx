import { TriangleAlert } from 'lucide-react';
import type { Act } from '../../../core/procedure/act.ts';
import type { Deed } from '../../../core/procedure/deeds.ts';
import type { FromAbove } from '../../../core/ways/fromAbove.ts';
import { wordsOf } from '../../../core/procedure/words/wordsOf.ts';
import { potNamed } from '../../../core/plan/sources.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { pourChosen } from '../../../store/deskSlice.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { FromAboveDrawing } from '../../parts/FromAboveDrawing.tsx';
import { RoundTable } from './RoundTable.tsx';

/** What is to be seen from above: ways of a stick, lines and places. */
const aboveOf = (deed: Deed): FromAbove | undefined =>
  deed.does === 'stroke' ? deed.above : deed.does === 'pour' ? deed.pattern?.above : undefined;

/** One numbered line of the sheet: what to do, what to weigh, what to beware of, and a box to tick. */
export function SheetAct({ act, number }: { readonly act: Act; readonly number: number }) {
  const { plan, show } = usePlan();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.desk.chosen);
  const pot = potNamed(plan, act.pot) ?? plan.second?.pots.find((p) => p.id === act.pot);
  const step = act.chapter === 'pour' ? act.step : undefined;
  const words = wordsOf(act, plan);
  const above = aboveOf(act.deed);
  const isChosen = step !== undefined && step === chosen;
  return (
    <li
      className={`rule grid grid-cols-[1.75rem_minmax(0,1fr)] gap-x-2 border-b py-2 break-inside-avoid print:py-1 sm:grid-cols-[1.75rem_minmax(0,1fr)_auto] print:grid-cols-[1.75rem_1.75rem_minmax(0,1fr)_auto] ${isChosen ? 'bg-base-200' : ''}`}
    >
      <span className="quiet text-right">{number}</span>
      {/* on paper there is something to tick it off with */}
      <span
        className="mt-0.5 hidden size-5 rounded-sm border-[1.5px] border-black print:block"
        aria-hidden="true"
      />
      <div className="grid gap-1.5 print:gap-0.5">
        <p className="flex items-start gap-2 leading-snug">
          {pot &&
            (step === undefined ? (
              <PotBadge pot={pot} size={22} />
            ) : (
              <button
                type="button"
                className="cursor-pointer rounded-full"
                aria-label={`Show pour of pot ${pot.letter} in the section`}
                aria-pressed={isChosen}
                onClick={() => dispatch(pourChosen(isChosen ? null : step))}
              >
                <PotBadge pot={pot} size={22} pour={step} />
              </button>
            ))}
          <span>{words.text}</span>
        </p>
        {above && <FromAboveDrawing above={above} />}
        {words.caution && (
          <p className="flex gap-1.5 text-sm leading-snug font-semibold text-error print:text-black">
            <TriangleAlert aria-label="Caution" className="mt-0.5 size-4 shrink-0" />
            {words.caution}
          </p>
        )}
        {(words.timing !== undefined || act.running !== undefined) && (
          <div className="grid gap-1.5 print:flex print:flex-wrap print:gap-x-4 print:gap-y-0">
            {words.timing !== undefined && <p className="quiet text-sm italic">{words.timing}</p>}
            {act.running?.map(({ name, moulds, inMouldG, ofG }) => (
              <p key={name ?? ''} className="quiet text-sm">
                In {moulds > 1 ? `each of ${moulds} ${name ?? 'moulds'}` : (name ?? 'the mould')} now{' '}
                {show.mass(inMouldG)} of {show.mass(ofG)}
              </p>
            ))}
          </div>
        )}
      </div>
      {act.lines.length > 0 && (
        <table className="col-start-2 h-min justify-self-end text-right sm:col-start-auto print:col-start-auto">
          <tbody>
            {act.lines.map((line, i) => (
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
      {act.deed.does === 'pour' && act.deed.pattern && act.deed.pattern.roundCount > 1 && (
        <RoundTable pattern={act.deed.pattern} />
      )}
    </li>
  );
}
