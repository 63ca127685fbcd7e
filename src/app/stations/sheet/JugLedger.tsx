import { isLyeHeavy } from '../../../core/ask/superfat.ts';
import type { Vessel } from '../../../core/day/vessel.ts';
import { procedureOf } from '../../../core/procedure/procedureOf.ts';
import { jugLedger, type Moved, type VesselAfter } from '../../../core/procedure/jugLedger.ts';
import type { Act } from '../../../core/procedure/act.ts';
import { wordsOf } from '../../../core/procedure/words/wordsOf.ts';
import { formatClock, formatPercent } from '../../../core/units/format.ts';
import { upperFirst } from '../../../core/units/words.ts';
import { PotBadge } from '../../parts/PotBadge.tsx';
import { useComputed, usePlan, usePresent } from '../../parts/usePlan.ts';
import { WideTable } from '../../parts/WideTable.tsx';
import { PrintButton } from './PrintButton.tsx';
import { Refused } from './Refused.tsx';
import { usePaper } from './usePaper.ts';

const CELL = 'py-1 pl-3 text-right align-top leading-tight whitespace-nowrap';
/** A column of its own where there is room; on a phone it is told under what went in or out. */
const WIDE = 'hidden sm:table-cell print:table-cell';

const TOO_MUCH = 'too much lye';

/** Only what the fine scale weighs is in one of these. */
const FINE: readonly Vessel['kind'][] = ['jar', 'carrier-oil'];

const percent = (x: number | undefined): string =>
  x === undefined || Math.abs(x) < 0.005 ? '–' : formatPercent(x, 1);

/** The first sentence of what is done: the sheet has the rest. */
const firstOf = (text: string): string =>
  `${text.split(/(?<=[a-z)])[.:;] /, 1)[0]?.replace(/[.:]$/, '') ?? text}.`;

/** What is in every vessel, act by act, to be read line by line and printed: numbered as the sheet is. */
export function JugLedger() {
  const { name } = usePresent();
  const computed = useComputed();
  usePaper(`${name}: what is in every jug`);
  if (!computed.weights) return <Refused title="What is in every jug" />;
  const acts = procedureOf(computed);
  const entries = new Map(jugLedger(computed).map((e) => [e.act, e.vessels] as const));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 p-6 print:p-0">
      <header className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-2xl">{name}: what is in every jug</h2>
          <p className="quiet text-sm print:text-black">
            Act by act as on the pour sheet, with its numbers: what went in or out, and what each vessel holds
            once that is done. Superfat below nothing is lye that its oils cannot use. The scale reads what a
            jug holds with its weight empty, where that is known.
          </p>
        </div>
        <PrintButton />
      </header>
      <WideTable label="What is in every vessel">
        <table className="w-full text-sm tabular-nums">
          <thead className="quiet print:text-black">
            <tr className="rule border-b text-right">
              <th className="py-1 pr-3 text-left font-normal">Vessel</th>
              <th className="py-1 text-left font-normal">In or out</th>
              <th className="pl-3 font-normal">Holds</th>
              <th className={`pl-3 font-normal ${WIDE}`}>Superfat</th>
              <th className={`pl-3 font-normal ${WIDE}`}>Water</th>
              <th className={`pl-3 font-normal ${WIDE}`}>Scent</th>
              <th className={`pl-3 font-normal ${WIDE}`}>Scale reads</th>
            </tr>
          </thead>
          {acts.map((act, i) => {
            const vessels = entries.get(act.id);
            return vessels && <Entry key={act.id} act={act} nth={i + 1} vessels={vessels} />;
          })}
        </table>
      </WideTable>
    </div>
  );
}

/** One act: what is done, and a row for every vessel that it touches. */
function Entry({
  act,
  nth,
  vessels,
}: {
  readonly act: Act;
  readonly nth: number;
  readonly vessels: readonly VesselAfter[];
}) {
  const { plan } = usePlan();
  const min = act.timed?.atMin;
  return (
    <tbody className="rule border-b break-inside-avoid">
      <tr>
        <th
          colSpan={7}
          scope="rowgroup"
          className="-indent-8 pt-2 pb-0.5 pl-8 text-left leading-snug font-bold"
        >
          <span className="quiet mr-2 inline-block min-w-6 indent-0 text-right font-normal">{nth}</span>
          {firstOf(wordsOf(act, plan).text)}
          {min !== undefined && act.chapter !== 'cut' && (
            <span className="quiet font-normal italic"> ≈ {formatClock(min)}</span>
          )}
        </th>
      </tr>
      {vessels.map((v) => (
        <VesselRow key={v.vessel.key} after={v} />
      ))}
    </tbody>
  );
}

function VesselRow({ after }: { readonly after: VesselAfter }) {
  const { plan, show } = usePlan();
  const { vessel, name, moved, holdsG, superfatPercent, waterPercent, scentPercent, readsG } = after;
  const pot =
    vessel.kind === 'pot' && !vessel.ofSecond ? plan.pots.find((p) => p.id === vessel.pot) : undefined;
  const heavy = isLyeHeavy(superfatPercent);
  const superfat = superfatPercent === undefined ? '–' : formatPercent(superfatPercent, 1);
  const water = percent(waterPercent);
  const scent = percent(scentPercent);
  const reads = readsG === undefined ? '–' : show.mass(readsG);
  const told = [
    ['superfat', superfat],
    ['water', water],
    ['scent', scent],
    ['the scale reads', reads],
  ].flatMap(([what, figure]) => (figure === '–' ? [] : `${what} ${figure}`));
  return (
    <tr className="align-top">
      <th scope="row" className="max-w-44 py-1 pr-3 pl-8 text-left leading-tight font-normal">
        <span className="flex items-start gap-1.5">
          {pot && <PotBadge pot={pot} size={18} />}
          {upperFirst(name)}
        </span>
      </th>
      <td className="py-1 leading-tight">
        {moved.map((m, i) => (
          <MovedLine key={`${m.name}-${i}`} moved={m} />
        ))}
        <span className={`block text-xs sm:hidden print:hidden ${heavy ? 'font-bold text-error' : 'quiet'}`}>
          {[...told, ...(heavy ? [TOO_MUCH] : [])].join(', ')}
        </span>
      </td>
      <td className={`${CELL} font-bold`}>
        {FINE.includes(vessel.kind) ? show.fine(holdsG) : show.mass(holdsG)}
      </td>
      <td className={`${CELL} ${WIDE} ${heavy ? 'font-bold text-error print:text-black' : ''}`}>
        {superfat}
        {heavy && <span className="block text-xs">{TOO_MUCH}</span>}
      </td>
      <td className={`${CELL} ${WIDE}`}>{water}</td>
      <td className={`${CELL} ${WIDE}`}>{scent}</td>
      <td className={`${CELL} ${WIDE}`}>{reads}</td>
    </tr>
  );
}

function MovedLine({ moved: { name, massG, fine } }: { readonly moved: Moved }) {
  const { show } = usePlan();
  const figure = fine ? show.fine(Math.abs(massG)) : show.mass(Math.abs(massG));
  return (
    <span className="block">
      <span className="font-semibold whitespace-nowrap">
        {massG < 0 ? '− ' : '+ '}
        {figure}
      </span>{' '}
      <span className="quiet print:text-black">{name}</span>
    </span>
  );
}
