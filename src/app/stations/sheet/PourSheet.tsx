import { barsText } from '../../../core/cut/barsText.ts';
import { massOfContents } from '../../../core/ledger/contents.ts';
import { supplied } from '../../../core/ledger/ledger.ts';
import { formatPercent } from '../../../core/units/format.ts';
import type { Chapter } from '../../../core/day/act.ts';
import { CHAPTER_TITLES, type Act } from '../../../core/procedure/act.ts';
import { tellingAll } from '../../../core/procedure/procedureOf.ts';
import { Loading } from '../../parts/Loading.tsx';
import { WarningCards } from '../../parts/WarningCards.tsx';
import { useComputed, usePresent } from '../../parts/usePlan.ts';
import { useShow } from '../../parts/useShow.ts';
import { useTask } from '../../parts/useTask.ts';
import { isLarge, useGrowing } from '../../parts/useGrowing.ts';
import { LoafDrawing } from '../../section/LoafDrawing.tsx';
import { MouldRow } from './MouldRow.tsx';
import { PrintButton } from './PrintButton.tsx';
import { Refused } from './Refused.tsx';
import { usePaper } from './usePaper.ts';
import { SheetAct } from './SheetAct.tsx';
import { WallMarks } from './WallMarks.tsx';

/** Neighbouring acts of one chapter under one heading, in order. */
function chapters(
  acts: readonly Act[],
): readonly { readonly chapter: Chapter; readonly acts: readonly Act[] }[] {
  const groups: { chapter: Chapter; acts: Act[] }[] = [];
  for (const act of acts) {
    const last = groups.at(-1);
    if (last?.chapter === act.chapter) last.acts.push(act);
    else groups.push({ chapter: act.chapter, acts: [act] });
  }
  return groups;
}

/** So many acts are drawn at once: more than most days have, few of a large plan. */
const AT_ONCE = 80;
const FEW = 20;

/** The whole job as an ordered list to print and to tick off. */
export function PourSheet() {
  const { name } = usePresent();
  const computed = useComputed();
  const { plan, weights } = computed;
  const show = useShow(plan.units);
  const told = useTask(computed, tellingAll);
  const shown = useGrowing(told?.length ?? 0, isLarge(plan) ? FEW : AT_ONCE);
  const acts = (told ?? []).slice(0, shown);
  const whole = shown === told?.length;
  const marked = useGrowing(whole ? computed.moulds.length : 0, 1);
  const piping = computed.second?.weights;
  const several = computed.moulds.length > 1;
  usePaper(`${name}: pour sheet`);
  if (!weights) return <Refused title="Pour sheet" />;
  const weighedG = massOfContents(supplied(weights.ledger));
  const cares = computed.warnings.filter((w) => w.level === 'warn');
  const number = new Map(acts.map((t, i) => [t.id, i + 1]));
  return (
    <div className="grid gap-5 p-6 print:gap-3 print:p-0">
      <header className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-2xl">{name}: pour sheet</h2>
          <p className="quiet">
            {show.mass(weights.batterG)} of batter, {show.mass(weighedG)} weighed in all with what stays in
            jars and jugs · {show.lye(weights.lyeG)} lye · {show.mass(weights.waterG)} water · superfat{' '}
            {formatPercent(weights.superfatPercent)} as weighed · {plan.pots.length} pots ·{' '}
            {barsText(computed.moulds)}
          </p>
          {piping && (
            <p className="quiet">
              For piping, apart from that: {show.mass(piping.batterG)} of batter · {show.lye(piping.lyeG)} lye
              · {show.mass(piping.waterG)} water
            </p>
          )}
        </div>
        <PrintButton />
        {!several && (
          <figure className="hidden w-64 shrink-0 print:block" aria-hidden="true">
            <LoafDrawing letters of={computed.moulds[0]} />
          </figure>
        )}
      </header>
      {several && <MouldRow />}
      {cares.length > 0 && <WarningCards warnings={cares} />}
      {chapters(acts).map((group, i) => (
        <section key={`${group.chapter}-${i}`} aria-label={CHAPTER_TITLES[group.chapter]}>
          <h3 className="mb-1 text-base break-after-avoid text-accent print:text-black">
            {CHAPTER_TITLES[group.chapter]}
          </h3>
          <ol className="rule border-t">
            {group.acts.map((act) => (
              <SheetAct key={act.id} act={act} number={number.get(act.id) ?? 0} />
            ))}
          </ol>
        </section>
      ))}
      {!whole && <Loading says="The sheet is written…" />}
      {computed.moulds.slice(0, marked).map((m) => (
        <WallMarks key={m.use.id} of={m} />
      ))}
    </div>
  );
}
